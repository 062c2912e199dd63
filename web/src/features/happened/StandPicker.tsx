import { Flex, Text } from '@chakra-ui/react';
import { hivesOnStand, standsOfYard, type Apiary, type CommandOf } from '@incremen/core/records';
import { useController } from 'react-hook-form';
import { z } from 'zod';
import { useApiary } from '../../mirror/hooks.ts';
import { Select } from '../../ui/Select.tsx';
import { TextField } from '../../ui/TextField.tsx';

/** A stand in a yard: one that is free, or a new one with a name. */
export const pickedStand = z
  .strictObject({
    yardId: z.string(),
    /** Null: a new one. */
    standId: z.string().nullable(),
    name: z.string().trim().max(80),
  })
  .refine((s) => s.standId !== null || s.name !== '', { message: 'Give the new stand a name.' });
export type PickedStand = z.input<typeof pickedStand>;

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

/** Where to, as the field `to` of a checked form: first the yard, then a free stand of it or a new one. */
export function StandPicker() {
  const apiary = useApiary();
  const { field, fieldState } = useController({ name: 'to' });
  const picked = field.value as PickedStand;
  const onPick: (picked: PickedStand) => void = field.onChange;
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
      {fieldState.error && (
        <Text color="alarm" role="alert" w="100%">
          {fieldState.error.message ?? 'Choose where to.'}
        </Text>
      )}
    </Flex>
  );
}
