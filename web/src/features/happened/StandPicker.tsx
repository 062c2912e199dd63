import { Flex } from '@chakra-ui/react';
import { hivesOnStand, standsOfYard, type Apiary, type CommandOf } from '@incremen/core/records';
import { useApiary } from '../../mirror/hooks.ts';
import { Select } from '../../ui/Select.tsx';
import { TextField } from '../../ui/TextField.tsx';

/** A stand in a yard: one that is free, or a new one with a name. */
export interface PickedStand {
  readonly yardId: string;
  /** Null: a new one. */
  readonly standId: string | null;
  readonly name: string;
}

/** The place that a command names; a new stand gets an identifier. */
export const placeOfPick = ({ yardId, standId, name }: PickedStand): CommandOf<'moveHive'>['to'] =>
  standId === null
    ? { standId: crypto.randomUUID(), fresh: { yardId, name: name.trim() } }
    : { standId, fresh: null };

/** The pick that a place came from. */
export const pickOfPlace = (apiary: Apiary, to: CommandOf<'moveHive'>['to']): PickedStand =>
  to.fresh
    ? { ...to.fresh, standId: null }
    : { yardId: apiary.stand[to.standId]?.yardId ?? '', standId: to.standId, name: '' };

/** The yards that are in use, by name. */
const openYards = (apiary: Apiary) =>
  Object.values(apiary.yard)
    .filter((y) => y.closedOn === null)
    .toSorted((a, b) => a.name.localeCompare(b.name));

/** Where to: first the yard, then a free stand of it or a new one. */
export function StandPicker({
  picked,
  onPick,
}: {
  readonly picked: PickedStand;
  readonly onPick: (picked: PickedStand) => void;
}) {
  const apiary = useApiary();
  const free = standsOfYard(apiary, picked.yardId).filter((s) => hivesOnStand(apiary, s.id).length === 0);
  return (
    <Flex gap={3} wrap="wrap" align="flex-end">
      <Select
        fit
        label="Yard"
        value={picked.yardId}
        options={openYards(apiary).map((y) => [y.id, y.name])}
        onChange={(yardId) => onPick({ yardId, standId: null, name: '' })}
      />
      <Select
        fit
        label="Stand"
        value={picked.standId ?? 'new'}
        options={[['new', 'a new stand'], ...free.map((s) => [s.id, `${s.name}, free`] as const)]}
        onChange={(id) => onPick({ ...picked, standId: id === 'new' ? null : id })}
      />
      {picked.standId === null && (
        <TextField
          label="Name of the stand"
          value={picked.name}
          onChange={(name) => onPick({ ...picked, name })}
        />
      )}
    </Flex>
  );
}
