import { Box, Text } from '@chakra-ui/react';
import { coloniesOfYard, type Apiary, type YardGoal, type YardPlanRequest } from '@incremen/core/records';
import type { YardProblem } from '@incremen/core/yardplan';
import { useAppDispatch } from '../../state/store.ts';
import { useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Select } from '../../ui/Select.tsx';
import { GoalCard } from '../../shared/goals/GoalCard.tsx';
import { GOAL_KINDS } from '../../shared/goals/goalWords.ts';
import { goalColonies, newGoal } from '../../shared/goals/newGoal.ts';
import { LimitField } from './LimitField.tsx';
import { asked, colonyLeftOut, goalsChanged } from '../../state/plannerSlice.ts';
import { WorkDayField } from '../../shared/work/WorkDayField.tsx';
import { DayForetold } from '../../shared/weather/DayForetold.tsx';
import { NightsForetold } from '../../shared/weather/NightsForetold.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { Tick } from '../../ui/Tick.tsx';
import common from '../../ui/common.module.css';
import choiceStyles from '../../ui/Choice.module.css';

/** What is wanted, on which day, and under which circumstances. */
export function GoalPanel({
  apiary,
  request,
  problem,
}: {
  readonly apiary: Apiary;
  readonly request: YardPlanRequest;
  readonly problem: YardProblem | null;
}) {
  const dispatch = useAppDispatch();
  const colonies = request.yardIds.flatMap((id) => coloniesOfYard(apiary, id));
  const set = (goals: readonly YardGoal[]) => dispatch(goalsChanged(goals));
  return (
    <Box as="section" aria-label="What you want" display="grid" gap={3} alignContent="start">
      <SectionHeading mb={0}>What you want</SectionHeading>
      {request.goals.map((goal) => (
        <GoalCard
          key={goal.id}
          goal={goal}
          colonies={colonies}
          onChange={(next) => set(request.goals.map((g) => (g.id === goal.id ? next : g)))}
          onRemove={() => set(request.goals.filter((g) => g.id !== goal.id))}
        />
      ))}
      {/* While there is none, all of them stand beside this as cards. */}
      {request.goals.length > 0 && (
        <Select
          label="Add a goal"
          value=""
          options={[['', 'Add a goal…'], ...GOAL_KINDS.map((g) => [g.kind, g.title] as const)]}
          onChange={(kind) => {
            if (kind === '') return;
            set([...request.goals, makeGoal(kind as YardGoal['kind'], request, apiary)]);
          }}
        />
      )}
      <Circumstances request={request} apiary={apiary} />
      <LeftOutList problem={problem} request={request} apiary={apiary} />
    </Box>
  );
}

/** A goal with an id that is free. */
export function makeGoal(kind: YardGoal['kind'], request: YardPlanRequest, apiary: Apiary): YardGoal {
  const taken = new Set(request.goals.map((g) => g.id));
  let n = request.goals.length + 1;
  while (taken.has(`${kind}${n}`)) n++;
  return newGoal(kind, `${kind}${n}`, goalColonies(apiary, request.yardIds, request.day), request.day);
}

function Circumstances({ request, apiary }: { readonly request: YardPlanRequest; readonly apiary: Apiary }) {
  const dispatch = useAppDispatch();
  const yards = Object.values(apiary.yard);
  const today = useToday();
  const limit = (by: Partial<YardPlanRequest['limits']>) =>
    dispatch(asked({ limits: { ...request.limits, ...by } }));
  return (
    <Box as="details">
      <summary className={common.summary}>Day, nights, season, order, limits</summary>
      <Box display="grid" gap={3} pt={2} fontSize="sm">
        <WorkDayField day={request.day} today={today} onChange={(day) => dispatch(asked({ day }))} />
        <DayForetold day={request.day} onChange={(day) => dispatch(asked({ day }))} />
        <Choice
          label="Nights to come"
          value={request.nights}
          onChange={(nights) => dispatch(asked({ nights }))}
          options={[
            { id: 'mild', label: 'Mild' },
            {
              id: 'cold',
              label: 'Below 10 °C (50 °F)',
              hint: 'Bees draw together and bare the outer brood.',
            },
          ]}
        />
        <NightsForetold nights={request.nights} onChange={(nights) => dispatch(asked({ nights }))} />
        <Choice
          label="Season"
          value={request.season}
          onChange={(season) => dispatch(asked({ season }))}
          options={[
            { id: 'build-up', label: 'Build-up' },
            { id: 'dearth', label: 'Midsummer, dearth', hint: 'Donors keep three frames of brood and food.' },
          ]}
        />
        <Choice
          label="Order of frames in a box"
          value={request.order}
          onChange={(order) => dispatch(asked({ order }))}
          options={[
            { id: 'nest', label: 'As a nest', hint: 'Brood together, honey outside; for warm days.' },
            { id: 'keep', label: 'As they hang', hint: 'For weak colonies and cool days.' },
            {
              id: 'checkerboard',
              label: 'Empty comb between brood',
              hint: 'Strong colonies in warm weather only; all others as a nest.',
            },
          ]}
        />
        {yards.length > 1 && (
          <fieldset>
            <legend className={choiceStyles.choicesLegend}>Yards</legend>
            {yards.map((y) => (
              <Tick
                key={y.id}
                label={y.name}
                checked={request.yardIds.includes(y.id)}
                onChange={(on) => {
                  const ids = on ? [...request.yardIds, y.id] : request.yardIds.filter((id) => id !== y.id);
                  if (ids.length > 0) dispatch(asked({ yardIds: ids }));
                }}
              />
            ))}
          </fieldset>
        )}
        <LimitField
          label="Hives opened at most"
          value={request.limits.hives}
          most={400}
          onChange={(hives) => limit({ hives })}
        />
        <LimitField
          label="Frames carried from hive to hive at most"
          value={request.limits.frames}
          most={4000}
          onChange={(frames) => limit({ frames })}
        />
      </Box>
    </Box>
  );
}

function LeftOutList({
  problem,
  request,
  apiary,
}: {
  readonly problem: YardProblem | null;
  readonly request: YardPlanRequest;
  readonly apiary: Apiary;
}) {
  const dispatch = useAppDispatch();
  const known = problem?.leftOut ?? [];
  const byChoice = request.leftOutIds.filter((id) => !known.some((l) => l.colonyId === id));
  const all = [
    ...known,
    ...byChoice.map((id) => ({ colonyId: id, name: apiary.colony[id]?.name ?? '', why: 'You left it out.' })),
  ];
  if (all.length === 0) return null;
  return (
    <Box>
      <Text fontWeight="700">Not included</Text>
      <Box as="ul" listStyleType="none" fontSize="sm" display="grid" gap={1}>
        {all.map((l) => (
          <li key={l.colonyId}>
            <b>{l.name}</b>{' '}
            <Text as="span" color="inkSoft">
              {l.why}
            </Text>{' '}
            {request.leftOutIds.includes(l.colonyId) && (
              <button
                type="button"
                className={common.linkButton}
                onClick={() => dispatch(colonyLeftOut(l.colonyId))}
              >
                Take it in
              </button>
            )}
          </li>
        ))}
      </Box>
    </Box>
  );
}
