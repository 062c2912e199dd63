import { Explained } from '../../drawing/Explained.tsx';
import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { dayInWords, type Day } from '@incremen/core/basics';
import type { JointVerdict, NextAction, Verdict } from '@incremen/core/queen-verdict';
import { Eye, Hand, Hammer, type LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import common from '../../ui/common.module.css';

const CERTAINTY: Readonly<Record<Verdict['certainty'], string>> = {
  proved: 'Proved',
  likely: 'Likely',
  open: 'Open',
};
const TONE = { proved: 'accent', likely: 'near', open: 'rest' } as const;
const ICON: Readonly<Record<NextAction['kind'], LucideIcon>> = { act: Hammer, look: Eye, leave: Hand };

/** The reasons that are told at a glance. */
const REASONS = 2;

/**
 * What an inspection says, at a glance: the answer, the next thing to do with its date, the strongest reasons. What comes
 * after that, further reasons and the chances are folded.
 */
export function VerdictCard({
  joint,
  names,
  day,
  chances,
}: {
  readonly joint: JointVerdict;
  readonly names: ReadonlyMap<string, string>;
  readonly day: Day;
  /** The chances of a part, for those who unfold them. */
  readonly chances: (colonyId: string) => ReactNode;
}) {
  return (
    <Box as="section" aria-label="Verdict" aria-live="polite" display="grid" gap={4}>
      <Heading as="h2" fontSize={{ base: '1.35rem', md: '1.6rem' }}>
        {joint.headline}
      </Heading>
      {joint.parts.map(({ id, verdict }) => (
        <Box key={id} borderTopWidth="3px" borderColor={verdict ? TONE[verdict.certainty] : 'line'} pt={2}>
          <Flex align="baseline" gap={2} wrap="wrap">
            <Text fontWeight="700">{names.get(id)}</Text>
            {verdict ? (
              <Text color={TONE[verdict.certainty]} fontWeight="600">
                {CERTAINTY[verdict.certainty]}: {verdict.headline}
              </Text>
            ) : (
              <Text color="inkSoft">not opened yet</Text>
            )}
          </Flex>
          {verdict && (
            <Told verdict={verdict} name={names.get(id) ?? ''} day={day} colonyId={id}>
              {chances(id)}
            </Told>
          )}
        </Box>
      ))}
    </Box>
  );
}

function Told({
  verdict,
  name,
  day,
  colonyId,
  children,
}: {
  readonly verdict: Verdict;
  readonly name: string;
  readonly day: Day;
  readonly colonyId: string;
  readonly children: ReactNode;
}) {
  const [first, ...later] = verdict.next;
  return (
    <>
      {verdict.contradictions.map((c) => (
        <Text key={c} color="alarm" fontWeight="600" mt={1}>
          <Explained>{c}</Explained>
        </Text>
      ))}
      {first && (
        <Box mt={2}>
          <Next action={first} day={day} />
        </Box>
      )}
      {verdict.reasons.slice(0, REASONS).map((r) => (
        <Text key={r} color="inkSoft" mt={2}>
          <Explained>{r}</Explained>
        </Text>
      ))}
      {verdict.next.some((n) => n.kind === 'act') && (
        <Box mt={2}>
          <Link className={common.inlineLink} to={`/colonies/${colonyId}/act`}>
            What can be done about {name}
          </Link>
        </Box>
      )}
      <Box as="details" mt={2}>
        <Text as="summary" cursor="pointer" py={2} color="accent" fontWeight="600">
          {later.length > 0 ? 'What comes after, and how likely it is' : 'How likely it is, and why'}
        </Text>
        {verdict.reasons.slice(REASONS).map((r) => (
          <Text key={r} color="inkSoft" mt={1}>
            <Explained>{r}</Explained>
          </Text>
        ))}
        {later.length > 0 && (
          <Box as="ul" listStyleType="none" mt={2} mb={3} display="grid" gap={2}>
            {later.map((n) => (
              <li key={n.what}>
                <Next action={n} day={day} />
              </li>
            ))}
          </Box>
        )}
        {children}
      </Box>
    </>
  );
}

function Next({ action, day }: { readonly action: NextAction; readonly day: Day }) {
  const Icon = ICON[action.kind];
  return (
    <Flex gap={3} align="flex-start">
      <Box color={action.kind === 'leave' ? 'rest' : 'accent'} pt="3px" flex="none">
        <Icon size={20} aria-hidden />
      </Box>
      <Box>
        <Text fontWeight="600">
          {action.what}
          {whenOf(action, day)}
        </Text>
        <Text fontSize="sm" color="inkSoft">
          <Explained>{action.why}</Explained>
        </Text>
      </Box>
    </Flex>
  );
}

/** The date of a step, in words that go on from what it says. */
function whenOf({ kind, window: w, what }: NextAction, day: Day): string {
  if (!w) return '';
  if (kind === 'leave') {
    return w.earliest === w.latest ? '' : `, ${dayInWords(w.earliest)} to ${dayInWords(w.latest)}`;
  }
  if (w.latest <= day) return /\b(now|today)\b/.test(what) ? '' : ', today';
  return w.earliest === w.latest
    ? ` on ${dayInWords(w.likely)}`
    : ` on ${dayInWords(w.likely)} (${dayInWords(w.earliest)} to ${dayInWords(w.latest)})`;
}
