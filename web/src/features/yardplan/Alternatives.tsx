import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { Apiary, YardPlanRequest } from '@incremen/core/records';
import type { Alternative, Assignment } from '@incremen/core/yardplan';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../state/store.ts';
import { useOperation } from '../../mirror/hooks.ts';
import { count, mass, one } from '../../ui/format.ts';
import { yardPlanner } from '../../workers/yardPlanner.ts';
import { labelOf } from '../../shared/goals/goalWords.ts';
import { alternativeDropped, alternativeOpened, keptBeside } from '../../state/plannerSlice.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import styles from './Alternatives.module.css';
import common from '../../ui/common.module.css';

/** Rounds of search for each of the usual ways; enough to compare by. */
const ROUNDS_BESIDE = 3;

/** Plans side by side: what each makes, what it takes, and what it risks. */
export function Alternatives({
  apiary,
  request,
  plan,
  now,
}: {
  readonly apiary: Apiary;
  readonly request: YardPlanRequest;
  readonly plan: Assignment;
  readonly now: Alternative;
}) {
  const dispatch = useAppDispatch();
  const { units } = useOperation();
  const kept = useAppSelector((s) => s.planner.alternatives);
  const [trying, setTrying] = useState(false);
  const label = labelOf(request.goals, apiary, units);
  const nucs = request.goals.find((g) => g.kind === 'makeNucs');

  const keep = (asked: YardPlanRequest, found: Assignment, summary: Alternative) =>
    dispatch(
      keptBeside({
        id: JSON.stringify([asked.goals, asked.day, asked.pins, asked.forbids, asked.leftOutIds]),
        label: labelOf(asked.goals, apiary, units),
        request: asked,
        plan: found,
        summary,
      }),
    );

  async function tryTheUsual() {
    if (nucs?.kind !== 'makeNucs') return;
    setTrying(true);
    keep(request, plan, now);
    const count = nucs.count ?? now.nucs;
    const others = [
      ...(['raises', 'cell', 'mated', 'old-queen'] as const).map((queen) => ({ count, queen })),
      { count: count + 1, queen: nucs.recipe.queen },
      { count: count - 1, queen: nucs.recipe.queen },
    ].filter((o) => o.count >= 1 && (o.count !== count || o.queen !== nucs.recipe.queen));
    try {
      for (const o of others) {
        const asked: YardPlanRequest = {
          ...request,
          pins: [],
          forbids: [],
          goals: request.goals.map((g) =>
            g.id === nucs.id ? { ...nucs, count: o.count, recipe: { ...nucs.recipe, queen: o.queen } } : g,
          ),
        };
        const found = await yardPlanner('beside').alternative(apiary, asked, ROUNDS_BESIDE);
        if (found) keep(asked, found.plan, found.alternative);
      }
    } finally {
      setTrying(false);
    }
  }

  return (
    <Box as="section">
      <Flex align="center" gap={3} wrap="wrap" mb={1}>
        <SectionHeading flex="1" mb={0}>
          Side by side
        </SectionHeading>
        {nucs && (
          <Button
            size="sm"
            minH="40px"
            variant="outline"
            bg="sheet"
            loading={trying}
            onClick={() => void tryTheUsual()}
          >
            Try other queens and numbers
          </Button>
        )}
        <Button size="sm" minH="40px" variant="outline" bg="sheet" onClick={() => keep(request, plan, now)}>
          Keep this beside
        </Button>
      </Flex>
      <Box overflowX="auto" position="relative" tabIndex={0} role="region" aria-label="Plans side by side">
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">plan</th>
              <th scope="col">
                <span className={common.forReaders}>what to do</span>
              </th>
              {COLUMNS.map((c) => (
                <th key={c.title} scope="col">
                  {c.title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">{label} (on the bench)</th>
              <td>now</td>
              {COLUMNS.map((c) => (
                <td key={c.title}>{c.of(now, units)}</td>
              ))}
            </tr>
            {kept.map((a) => (
              <tr key={a.id}>
                <th scope="row">{a.label}</th>
                <td style={{ whiteSpace: 'nowrap' }}>
                  <button
                    type="button"
                    className={common.linkButton}
                    onClick={() => dispatch(alternativeOpened(a.id))}
                  >
                    Take it
                  </button>
                  <button
                    type="button"
                    className={common.quietButton}
                    aria-label={`Drop: ${a.label}`}
                    onClick={() => dispatch(alternativeDropped(a.id))}
                  >
                    <X size={16} aria-hidden />
                  </button>
                </td>
                {COLUMNS.map((c) => (
                  <td key={c.title}>{c.of(a.summary, units)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      <Text fontSize="sm" color="inkSoft" mt={1}>
        Costs are in your currency, by the prices among the house rules. Hours, chances and honey are usual
        values, not measured ones: the chance that a nuc ends with a laying queen is 0.75 for own queens, 0.8
        for cells, 0.9 for mated and 0.95 for old ones.
      </Text>
    </Box>
  );
}

const COLUMNS: readonly {
  readonly title: string;
  readonly of: (a: Alternative, units: 'metric' | 'imperial') => string;
}[] = [
  { title: 'colonies after', of: (a) => String(a.coloniesAfter) },
  {
    title: 'laying, likely',
    of: (a) => (a.nucs === 0 ? '–' : `${one(a.queensExpected)}\u00a0of\u00a0${a.nucs}`),
  },
  { title: 'least bees', of: (a) => (a.leastBees === null ? '–' : one(a.leastBees)) },
  { title: 'least brood', of: (a) => (a.leastBrood === null ? '–' : one(a.leastBrood)) },
  { title: 'hives', of: (a) => String(a.hivesOpened) },
  { title: 'frames', of: (a) => String(a.combsCarried) },
  { title: 'shakes', of: (a) => String(a.framesShaken) },
  { title: 'hours', of: (a) => one(a.hours) },
  {
    title: 'to get',
    of: (a) =>
      [
        ...(a.boxesNeeded > 0 ? [count(a.boxesNeeded, 'box', 'boxes')] : []),
        ...(a.queensBought > 0 ? [count(a.queensBought, 'queen')] : []),
        ...(a.cellsNeeded > 0 ? [count(a.cellsNeeded, 'cell')] : []),
      ].join(', ') || '–',
  },
  { title: 'cost', of: (a) => String(Math.round(a.cost)) },
  { title: 'honey given up', of: (a, units) => mass(a.honeyGivenUpKg, units) },
];
