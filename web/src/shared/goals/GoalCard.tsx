import { Box, Flex, Text } from '@chakra-ui/react';
import type { YardGoal, YardGoalOf } from '@incremen/core/records';
import { X } from 'lucide-react';
import { Select } from '../../ui/Select.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import { useOperation } from '../../mirror/hooks.ts';
import { DayInput } from '../days/DayInput.tsx';
import { ColonyChoice } from './ColonyChoice.tsx';
import { titleOf } from './goalWords.ts';
import { RecipeFields } from './RecipeFields.tsx';
import common from '../../ui/common.module.css';
import keyStyles from '../../ui/Key.module.css';

/** A colony that a goal can be about. */
export interface Choosable {
  readonly id: string;
  readonly name: string;
}

/** One thing that is wanted, with its settings where they are read. */
export function GoalCard({
  goal,
  colonies,
  onChange,
  onRemove,
}: {
  readonly goal: YardGoal;
  readonly colonies: readonly Choosable[];
  readonly onChange: (goal: YardGoal) => void;
  readonly onRemove: () => void;
}) {
  return (
    <Box
      as="section"
      aria-label={titleOf(goal.kind)}
      bg="sheet"
      borderWidth="1px"
      borderRadius="lg"
      px={3}
      pt={1}
      pb={3}
      display="grid"
      gap={2}
      fontSize="sm"
    >
      <Flex align="center" gap={2}>
        <Text fontWeight="700" fontSize="md" flex="1">
          {titleOf(goal.kind)}
        </Text>
        <button
          type="button"
          className={common.quietButton}
          aria-label={`Remove: ${titleOf(goal.kind)}`}
          onClick={onRemove}
        >
          <X size={18} aria-hidden />
        </button>
      </Flex>
      <Settings goal={goal} colonies={colonies} onChange={onChange} />
      <Select
        label={`How much it matters: ${titleOf(goal.kind)}`}
        value={String(goal.importance)}
        options={[
          ['1', 'if it is easy'],
          ['2', 'matters'],
          ['3', 'matters most'],
        ]}
        onChange={(v) => onChange({ ...goal, importance: Number(v) })}
      />
    </Box>
  );
}

function Settings({
  goal,
  colonies,
  onChange,
}: {
  readonly goal: YardGoal;
  readonly colonies: readonly Choosable[];
  readonly onChange: (goal: YardGoal) => void;
}) {
  const { units } = useOperation();
  const one = (label: string, value: string, set: (id: string) => void) => (
    <Select label={label} value={value} options={colonies.map((c) => [c.id, c.name])} onChange={set} />
  );
  const some = (ids: readonly string[], all: string | null, set: (ids: string[]) => void) => (
    <ColonyChoice
      label={`Colonies of: ${titleOf(goal.kind)}`}
      all={all}
      colonies={colonies}
      chosen={ids}
      onChange={set}
    />
  );
  switch (goal.kind) {
    case 'makeNucs':
      return <NucSettings goal={goal} colonies={colonies} onChange={onChange} />;
    case 'level':
      return (
        <Select
          label="Level by"
          value={goal.by}
          options={[
            ['capped', 'by capped brood'],
            ['brood', 'by all brood'],
          ]}
          onChange={(by) => onChange({ ...goal, by: by as 'capped' })}
        />
      );
    case 'raise':
      return (
        <>
          {some(goal.colonyIds, 'every weak one', (colonyIds) => onChange({ ...goal, colonyIds }))}
          <Stepper
            label="to"
            unit={goal.by}
            value={goal.targetFrames}
            min={1}
            max={20}
            step={0.5}
            onChange={(targetFrames) => onChange({ ...goal, targetFrames })}
          />
          <Select
            label="Counted in"
            value={goal.by}
            options={[
              ['bees', 'frames of bees'],
              ['brood', 'frames of brood'],
            ]}
            onChange={(by) => onChange({ ...goal, by: by as 'bees' })}
          />
          {goal.by === 'bees' && (
            <DayInput
              label="By the day"
              value={goal.onDay}
              onChange={(onDay) => onDay !== '' && onChange({ ...goal, onDay })}
            />
          )}
        </>
      );
    case 'calm':
      return some(goal.colonyIds, null, (colonyIds) => onChange({ ...goal, colonyIds }));
    case 'relieve':
      return some(goal.colonyIds, 'every honey-bound one', (colonyIds) => onChange({ ...goal, colonyIds }));
    case 'provision': {
      const perUnit = units === 'imperial' ? 0.45359237 : 1;
      return (
        <>
          {some(goal.colonyIds, 'all of them', (colonyIds) => onChange({ ...goal, colonyIds }))}
          <Stepper
            label="stores"
            unit={units === 'imperial' ? 'lb' : 'kg'}
            value={Math.round(goal.storesKg / perUnit)}
            min={1}
            max={Math.floor(60 / perUnit)}
            onChange={(n) => onChange({ ...goal, storesKg: n * perUnit })}
          />
        </>
      );
    }
    case 'shrink':
      return (
        <>
          {one('Colony to bring down', goal.colonyId, (colonyId) => onChange({ ...goal, colonyId }))}
          <Stepper
            label="to boxes"
            value={goal.boxes}
            min={1}
            max={6}
            onChange={(boxes) => onChange({ ...goal, boxes })}
          />
        </>
      );
    case 'unite':
      return (
        <>
          {one('Colony that ends', goal.fromId, (fromId) => onChange({ ...goal, fromId }))}
          <Text>into</Text>
          {one('Colony that stays', goal.intoId, (intoId) => onChange({ ...goal, intoId }))}
        </>
      );
    case 'hiveUp':
      return (
        <>
          {one('Nuc to move', goal.colonyId, (colonyId) => onChange({ ...goal, colonyId }))}
          <Stepper
            label="box of"
            unit="frames"
            value={goal.slots}
            min={6}
            max={14}
            onChange={(slots) => onChange({ ...goal, slots })}
          />
          <Select
            label="On it, in the same job"
            value={goal.above ?? ''}
            options={[
              ['', 'nothing on it yet'],
              ['brood', 'a second box for brood'],
              ['super', 'excluder and a super'],
            ]}
            onChange={(above) => {
              const { above: _before, ...rest } = goal;
              onChange(above === '' ? rest : { ...rest, above: above as 'brood' });
            }}
          />
          <Select
            label="For drones"
            value={goal.droneComb === true ? 'comb' : ''}
            options={[
              ['', 'no drone comb'],
              ['comb', 'a drone comb beside the brood'],
            ]}
            onChange={(comb) => {
              const { droneComb: _before, ...rest } = goal;
              onChange(comb === '' ? rest : { ...rest, droneComb: true });
            }}
          />
        </>
      );
  }
}

function NucSettings({
  goal,
  colonies,
  onChange,
}: {
  readonly goal: YardGoalOf<'makeNucs'>;
  readonly colonies: readonly Choosable[];
  readonly onChange: (goal: YardGoal) => void;
}) {
  return (
    <>
      <Flex gap={2} align="flex-end" wrap="wrap">
        <Box flex="1">
          {goal.count === null ? (
            <Text fontWeight="600">as many as possible</Text>
          ) : (
            <Stepper
              label="how many"
              value={goal.count}
              min={1}
              max={120}
              onChange={(n) => onChange({ ...goal, count: n })}
            />
          )}
        </Box>
        <button
          type="button"
          className={keyStyles.key}
          aria-pressed={goal.count === null}
          onClick={() => onChange({ ...goal, count: goal.count === null ? 2 : null })}
        >
          most
        </button>
      </Flex>
      <Select
        label="Donors"
        value={goal.wholeOfId ?? ''}
        options={[
          ['', 'donors keep their stands'],
          ...colonies.map((c) => [c.id, `${c.name} is broken up whole`] as const),
        ]}
        onChange={(id) => {
          const { wholeOfId: _before, ...rest } = goal;
          // Every comb has to find a place: as many units as that makes.
          onChange(id === '' ? rest : { ...rest, wholeOfId: id, count: null });
        }}
      />
      {goal.wholeOfId !== undefined && (
        <Text color="inkSoft">
          Its old queen is left with one more nuc of the recipe. All leave the stand at dusk: nobody flies
          home to it.
        </Text>
      )}
      <RecipeFields recipe={goal.recipe} onChange={(recipe) => onChange({ ...goal, recipe })} />
    </>
  );
}
