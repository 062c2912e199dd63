import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import type { JointVerdict, NextAction, Verdict } from '@incremen/core/queen-verdict';
import { Eye, Hand, Hammer, type LucideIcon } from 'lucide-react';
import { Link } from 'react-router';
import common from '../../ui/common.module.css';

const CERTAINTY: Readonly<Record<Verdict['certainty'], string>> = {
  proved: 'Proved',
  likely: 'Likely',
  open: 'Open',
};
const TONE = { proved: 'accent', likely: 'near', open: 'rest' } as const;
const ICON: Readonly<Record<NextAction['kind'], LucideIcon>> = { act: Hammer, look: Eye, leave: Hand };

/** What the look says, with its reasons, and what to do next. */
export function VerdictCard({
  joint,
  names,
}: {
  readonly joint: JointVerdict;
  readonly names: ReadonlyMap<string, string>;
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
            <>
              {verdict.contradictions.map((c) => (
                <Text key={c} color="alarm" fontWeight="600" mt={1}>
                  {c}
                </Text>
              ))}
              {verdict.reasons.map((r) => (
                <Text key={r} color="inkSoft" mt={1}>
                  {r}
                </Text>
              ))}
              <Box as="ul" listStyleType="none" mt={2} display="grid" gap={2}>
                {verdict.next.map((n) => (
                  <Next key={n.what} action={n} />
                ))}
              </Box>
              {verdict.next.some((n) => n.kind === 'act') && (
                <Link className={common.inlineLink} to={`/colonies/${id}/act`}>
                  What can be done about {names.get(id)}
                </Link>
              )}
            </>
          )}
        </Box>
      ))}
    </Box>
  );
}

function Next({ action }: { readonly action: NextAction }) {
  const Icon = ICON[action.kind];
  const { window: w } = action;
  return (
    <Flex as="li" gap={3} align="flex-start">
      <Box color={action.kind === 'leave' ? 'rest' : 'accent'} pt="3px" flex="none">
        <Icon size={20} aria-hidden />
      </Box>
      <Box>
        <Text fontWeight="600">
          {action.what}
          {w && action.kind === 'look' && w.earliest !== w.latest && (
            <Text as="span" fontWeight="700">
              {' '}
              on {dayInWords(w.likely)} ({dayInWords(w.earliest)} to {dayInWords(w.latest)})
            </Text>
          )}
          {w && w.earliest === w.latest && action.kind === 'look' && ` on ${dayInWords(w.likely)}`}
          {w &&
            action.kind === 'leave' &&
            w.earliest !== w.latest &&
            `, ${dayInWords(w.earliest)} to ${dayInWords(w.latest)}`}
        </Text>
        <Text fontSize="sm" color="inkSoft">
          {action.why}
        </Text>
      </Box>
    </Flex>
  );
}
