import { Box, Button, Flex, Grid, Text } from '@chakra-ui/react';
import { capital, dayInWords, yearOf } from '@incremen/core/basics';
import { isNuc } from '@incremen/core/rules';
import { type Apiary, type Colony, ACTION_IDS, type ActionId } from '@incremen/core/records';
import {
  allFacts,
  apiaryAfter,
  promisedBy,
  type Promised,
  planAction,
  hostOf,
  keptOf,
  waysToUnite,
  wayToUnite,
  workOfAction,
  type ActionChoice,
  type ActionPlan,
  type UnitFacts,
} from '@incremen/core/remedies';
import { ArrowRight, X } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { drawnBoxesOf } from '../../drawing/drawnBoxes.ts';
import { HiveDrawing, hiveInWords } from '../../drawing/HiveDrawing.tsx';
import { useApiary, useSend, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { one } from '../../ui/format.ts';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { Select } from '../../ui/Select.tsx';
import { Cautions } from '../../shared/work/Cautions.tsx';
import { useOutside } from '../../shared/weather/useOutside.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

/** One remedy worked out: what is chosen, what is done in which order, and when to come back. */
export function ActionPage() {
  const apiary = useApiary();
  const { colonyId = '', actionId = '' } = useParams();
  const colony = apiary.colony[colonyId];
  const id = ACTION_IDS.find((a) => a === actionId);
  if (!colony || !id || colony.endedOn !== null) return <RouteError missing />;
  return <Action key={`${colony.id} ${id}`} colony={colony} id={id} />;
}

/** Ids for a plan that is only shown. What is recorded gets ids of its own. */
function countedIds(): () => string {
  let count = 0;
  return () => `00000000-0000-4000-8000-${String(count++).padStart(12, '0')}`;
}

function Action({ colony, id }: { readonly colony: Colony; readonly id: ActionId }) {
  const apiary = useApiary();
  const today = useToday();
  const navigate = useNavigate();
  const { coldNights } = useOutside();
  const { send, problems, busy } = useSend();
  const [params] = useSearchParams();
  const partnerId = params.get('with');
  const [choice, setChoice] = useState<ActionChoice>(partnerId ? { partnerId } : {});
  const all = useMemo(() => allFacts(apiary, today, { coldNights }), [apiary, today, coldNights]);
  const facts = all.find((f) => f.colony.id === colony.id);
  const plan = useMemo(
    () => (facts ? planAction(id, facts, all, choice, countedIds()) : null),
    [id, facts, all, choice],
  );
  // Worked off on trial, for the picture.
  const { after, promised } = useMemo(() => {
    if (!plan) return { after: apiary, promised: [] };
    const { work } = workOfAction(apiary, plan, today, countedIds());
    return { after: apiaryAfter(apiary, work), promised: promisedBy(apiary, work) };
  }, [apiary, plan, today]);
  if (!facts) return <RouteError missing />;
  if (!plan) {
    return (
      <Box>
        <PageHeader title={colony.name} />
        <Text mb={4}>
          {facts.sick
            ? 'Signs of disease were seen in it: nothing goes in or out, and it is united with nobody. Have it examined.'
            : 'This cannot be worked out from what is on record: no healthy colony can give what it needs, nothing fits its boxes, or its partner may be sick.'}
        </Text>
        <Button asChild>
          <Link to={`/colonies/${colony.id}/act`}>Other remedies</Link>
        </Button>
      </Box>
    );
  }
  async function start(of: UnitFacts) {
    const newId = () => crypto.randomUUID();
    const worked = planAction(id, of, all, choice, newId);
    if (!worked) return;
    const command = workOfAction(apiary, worked, today, newId);
    const sent = await send(command);
    if (sent.ok) await navigate(`/worksheet/${command.work.id}`);
  }
  const others = plan.units.filter((u) => u.facts.colony.id !== colony.id);
  const partner = others.find((u) => u.facts.colony.id === choice.partnerId) ?? others[0];
  return (
    <Box>
      <PageHeader title={capital(plan.name)} aside={dayInWords(today)}>
        <Button asChild variant="outline" bg="sheet">
          <Link to={`/colonies/${colony.id}/act`}>Other remedies</Link>
        </Button>
        <Button disabled={busy} onClick={() => void start(facts)}>
          Start the work
        </Button>
      </PageHeader>
      <ProblemList problems={problems} />
      {id === 'combine' && partner && (
        <UnionChoices facts={facts} partner={partner.facts} all={all} choice={choice} onChange={setChoice} />
      )}
      {id === 'let-go' && (
        <Box mb={5}>
          <Select
            label="Its stand"
            fit
            value={choice.partnerId ?? ''}
            options={[
              ['', 'its stand stays empty'] as const,
              ...all
                .filter((o) => o.colony.id !== colony.id && o.yardId === facts.yardId && isNuc(o))
                .map((o) => [o.colony.id, `${o.colony.name} takes its stand`] as const),
            ]}
            onChange={(heir) => setChoice(heir === '' ? {} : { partnerId: heir })}
          />
        </Box>
      )}
      {id === 'add-box' && (
        <Box mb={5}>
          <Choice
            label="Where it goes"
            value={choice.where ?? 'best'}
            options={[
              { id: 'best', label: 'Where it is best' },
              { id: 'under', label: 'Under the brood' },
              { id: 'over', label: 'On the brood' },
              { id: 'top', label: 'As a super' },
            ]}
            onChange={(where) => setChoice(where === 'best' ? {} : { where })}
          />
        </Box>
      )}
      {plan.why !== undefined && (
        <Text fontSize="lg" mb={4} maxW="44rem">
          {plan.why}
        </Text>
      )}
      {id === 'boost-nurses' && !coldNights && (
        <Box mb={5}>
          <Choice
            label="How the nurses come"
            value={choice.nurses ?? 'shaken'}
            options={[
              {
                id: 'shaken',
                label: 'Shaken before the entrance',
                hint: 'No brood to keep warm, no queen travels.',
              },
              {
                id: 'on-comb',
                label: 'On the comb they feed',
                hint: 'They stay on it; one comb of brood more.',
              },
            ]}
            onChange={(nurses) => setChoice({ ...choice, nurses })}
          />
        </Box>
      )}
      {id === 'give-queen' && <QueenChoices today={today} choice={choice} onChange={setChoice} />}
      <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 340px' }} gap={8} alignItems="start">
        <Box>
          <Before plan={plan} after={after} promised={promised} />
          <SectionHeading mt={5}>Step by step</SectionHeading>
          <Box as="ol" listStyleType="decimal" pl={6} display="grid" gap={3}>
            {plan.steps.map((s) => (
              <li key={s.text}>
                <Text fontWeight="700">{s.text}</Text>
                {s.detail && <Text color="inkSoft">{s.detail}</Text>}
              </li>
            ))}
          </Box>
        </Box>
        <Box display="grid" gap={6}>
          {plan.looks.length > 0 && (
            <Box as="section" aria-label="Come back">
              <SectionHeading>Come back</SectionHeading>
              {plan.looks.map((l) => (
                <Box
                  key={`${l.topic}${l.window.likely}${l.colonyIds.join()}`}
                  mb={3}
                  pl={3}
                  borderLeftWidth="5px"
                  borderColor={l.kind === 'hands-off' ? 'rest' : 'accent'}
                >
                  <Text fontWeight="700">
                    {l.kind === 'hands-off'
                      ? `Hands off until ${dayInWords(l.window.latest)}`
                      : `${dayInWords(l.window.likely)} (${dayInWords(l.window.earliest)} to ${dayInWords(l.window.latest)})`}
                  </Text>
                  <Text>{l.expect}</Text>
                </Box>
              ))}
            </Box>
          )}
          {plan.kit.length > 0 && (
            <Box as="section">
              <SectionHeading>Bring</SectionHeading>
              {plan.kit.map((k) => (
                <Text key={k.what}>
                  {k.count} × {k.what}
                </Text>
              ))}
            </Box>
          )}
          {plan.cautions.length > 0 && <Cautions cautions={plan.cautions} />}
        </Box>
      </Grid>
    </Box>
  );
}

/** Every unit before and after: drawn, with its bees and brood. */
function Before({
  plan,
  after,
  promised,
}: {
  readonly plan: ActionPlan;
  readonly after: Apiary;
  readonly promised: readonly Promised[];
}) {
  const apiary = useApiary();
  return (
    <Box as="ul" aria-label="Before and after" listStyleType="none" display="grid" gap={4}>
      {plan.units.map(({ facts }) => {
        const then = promised.find((p) => p.colonyId === facts.colony.id);
        const { colony } = facts;
        const later = after.colony[colony.id];
        const lives = later !== undefined && later.endedOn === null;
        return (
          <Box as="li" key={colony.id} borderBottomWidth="1px" pb={3}>
            <Flex gap={4} wrap="wrap" align="baseline" mb={2}>
              <Text fontWeight="700" minW="7em">
                {colony.name}
              </Text>
              {then && (
                <>
                  <Text>
                    bees {one(facts.unit.bees)} → <b>{one(then.bees)}</b>
                  </Text>
                  <Text>
                    brood {one(facts.state.strength.broodFrames.likely)} → <b>{one(then.brood)}</b> frames on{' '}
                    {dayInWords(then.day)}, with the field bees at home
                  </Text>
                </>
              )}
            </Flex>
            <Flex gap={4} align="flex-end" wrap="wrap">
              <Picture apiary={apiary} colony={colony} />
              <ArrowRight size={22} aria-label="becomes" />
              {lives ? (
                <Picture apiary={after} colony={later} />
              ) : (
                <Text color="inkSoft">no longer a separate colony</Text>
              )}
            </Flex>
          </Box>
        );
      })}
    </Box>
  );
}

function Picture({ apiary, colony }: { readonly apiary: Apiary; readonly colony: Colony }) {
  const boxes = drawnBoxesOf(apiary, colony);
  return (
    <Box w="196px">
      <HiveDrawing boxes={boxes} label={hiveInWords(colony.name, boxes)} scale={1} />
    </Box>
  );
}

function UnionChoices({
  facts,
  partner,
  all,
  choice,
  onChange,
}: {
  readonly facts: UnitFacts;
  readonly partner: UnitFacts;
  readonly all: readonly UnitFacts[];
  readonly choice: ActionChoice;
  readonly onChange: (choice: ActionChoice) => void;
}) {
  const others = all.filter(
    (o) => o.colony.id !== facts.colony.id && !o.sick && (o.shut === null || o === partner),
  );
  const alsoIds = choice.alsoIds ?? [];
  const also = others.filter((o) => alsoIds.includes(o.colony.id));
  const united = [facts, partner, ...also];
  const ways = waysToUnite(united, choice.boxOf);
  const box = hostOf(united, choice.boxOf).colony.id;
  const how = wayToUnite(united, choice);
  const { nameOf: name, standOf: stand } = keptOf(united, choice);
  const more = others.filter((o) => o !== partner && !also.includes(o));
  const unite = (ids: readonly string[]) =>
    onChange({ ...choice, partnerId: partner.colony.id, alsoIds: ids });
  return (
    <Box mb={5}>
      <Flex gap={5} wrap="wrap" align="flex-end">
        <Select
          label="With"
          fit
          value={partner.colony.id}
          options={others
            .filter((o) => !also.includes(o))
            .map((o) => [o.colony.id, `with ${o.colony.name}`] as const)}
          onChange={(partnerId) => onChange({ ...choice, partnerId })}
        />
        {also.map(({ colony }) => (
          <Button
            key={colony.id}
            variant="outline"
            bg="sheet"
            aria-label={`Without ${colony.name}`}
            onClick={() => unite(alsoIds.filter((id) => id !== colony.id))}
          >
            and {colony.name} <X size={18} aria-hidden />
          </Button>
        ))}
        {more.length > 0 && (
          <Select
            label="And with"
            fit
            value=""
            options={[
              ['', 'and nobody else'] as const,
              ...more.map((o) => [o.colony.id, `and ${o.colony.name}`] as const),
            ]}
            onChange={(id) => id !== '' && unite([...alsoIds, id])}
          />
        )}
        <Choice
          label="How"
          value={how}
          options={[
            { id: 'paper', label: 'Over paper' },
            { id: 'sheet', label: 'One box, a sheet between' },
            { id: 'direct', label: 'Comb to comb' },
          ]}
          onChange={(h) => onChange({ ...choice, how: h })}
        />
        <Choice
          label="When"
          value={choice.when ?? 'dusk'}
          options={[
            { id: 'dusk', label: 'At dusk' },
            { id: 'day', label: 'By day' },
          ]}
          onChange={(when) => onChange({ ...choice, when })}
        />
      </Flex>
      <Flex gap={5} wrap="wrap" mt={3}>
        <Choice
          label="Its name"
          value={name}
          options={united.map((u) => ({ id: u.colony.id, label: u.colony.name }))}
          onChange={(nameOf) => onChange({ ...choice, nameOf })}
        />
        <Choice
          label="Its stand"
          value={stand}
          options={united.map((u) => ({ id: u.colony.id, label: `that of ${u.colony.name}` }))}
          onChange={(standOf) => onChange({ ...choice, standOf })}
        />
        <Choice
          label="Its box"
          value={box}
          options={united.map((u) => ({
            id: u.colony.id,
            label: `that of ${u.colony.name}, ${u.slots} slots`,
          }))}
          onChange={(boxOf) => onChange({ ...choice, boxOf })}
        />
      </Flex>
      <Text color="inkSoft" mt={2}>
        {ways.why} {ways.noOneBox ?? ''} At dusk all field bees come along; by day some return to the old
        stand.
      </Text>
    </Box>
  );
}

const DOTS = ['white', 'yellow', 'red', 'green', 'blue'] as const;

function QueenChoices({
  today,
  choice,
  onChange,
}: {
  readonly today: string;
  readonly choice: ActionChoice;
  readonly onChange: (choice: ActionChoice) => void;
}) {
  const queen = choice.queen ?? { name: null, birthYear: yearOf(today), dot: null };
  const years = [0, 1, 2].map((n) => yearOf(today) - n);
  return (
    <Flex gap={5} wrap="wrap" align="flex-end" mb={5}>
      <Select
        label="Her year"
        fit
        value={String(queen.birthYear ?? '')}
        options={[...years.map((y) => [String(y), `of ${y}`] as const), ['', 'year unknown'] as const]}
        onChange={(y) => onChange({ ...choice, queen: { ...queen, birthYear: y === '' ? null : Number(y) } })}
      />
      <Choice
        label="Her mark"
        value={queen.dot ?? 'none'}
        options={[{ id: 'none', label: 'none' }, ...DOTS.map((d) => ({ id: d, label: d }))]}
        onChange={(d) => onChange({ ...choice, queen: { ...queen, dot: DOTS.find((x) => x === d) ?? null } })}
      />
    </Flex>
  );
}
