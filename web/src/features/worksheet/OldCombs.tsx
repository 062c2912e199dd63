import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { combsToReplace } from '@incremen/core/work';
import { framesInStore, type CommandOf, type Frame } from '@incremen/core/records';
import { useState } from 'react';
import { sizeName } from '../../shared/hives/SizePicker.tsx';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { Select } from '../../ui/Select.tsx';
import { Stepper } from '../../ui/Stepper.tsx';

/** Combs that have served their years, hive by hive and in the store. */
export function OldCombs() {
  const apiary = useApiary();
  const today = useToday();
  const { tell } = useTell();
  const { hives, store, years } = combsToReplace(apiary, Number(today.slice(0, 4)));
  if (hives.length === 0 && store.length === 0) return null;
  return (
    <Box as="section" mt={6} aria-label="Combs to replace">
      <SectionHeading mb={1}>Combs to replace</SectionHeading>
      <Text color="inkSoft" mb={2}>
        Drawn {years} years ago or longer. Move them to the edge of the nest, take them out when they are
        empty, and melt them down.
      </Text>
      <Box as="ul" listStyleType="none" display="grid" gap={2}>
        {hives.map(({ hive, frames, oldest }) => (
          <li key={hive.id}>
            <b>{hive.name}</b>: {count(frames.length, 'comb')}, the oldest from {oldest}
            {frames.every((f) => f.slot !== null) && (
              <Text as="span" color="inkSoft">
                {' '}
                (slot {frames.map((f) => f.slot).join(', ')})
              </Text>
            )}
          </li>
        ))}
        {store.length > 0 && (
          <Flex as="li" gap={3} wrap="wrap" align="center">
            <Text flex="1 1 260px">
              <b>{count(store.length, 'comb')}</b> in the store
            </Text>
            <Button
              size="sm"
              variant="outline"
              bg="sheet"
              onClick={() =>
                void tell(
                  {
                    type: 'careForCombs',
                    frameIds: store.map((f) => f.id),
                    day: today,
                    change: { what: 'melt' },
                  },
                  `${count(store.length, 'comb')} melted down`,
                )
              }
            >
              Melt them down
            </Button>
          </Flex>
        )}
      </Box>
    </Box>
  );
}

const CARES = {
  moth: 'Wax moth found',
  melt: 'Melt down',
  year: 'Drawn this year',
} as const;
type Care = keyof typeof CARES;

const keyOf = (f: Frame) => `${f.sizeId}/${f.blank}/${f.combYear ?? ''}`;

/** What is done with combs that lie in the store: so many of one kind. */
export function CareForStore({ done }: { readonly done: () => void }) {
  const apiary = useApiary();
  const operation = useOperation();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const groups = new Map<string, Frame[]>();
  for (const f of framesInStore(apiary)) groups.set(keyOf(f), [...(groups.get(keyOf(f)) ?? []), f]);
  const [chosen, choose] = useState<string>([...groups.keys()][0] ?? '');
  const [n, setN] = useState(1);
  const frames = groups.get(chosen) ?? [];
  const many = Math.min(n, frames.length);
  const year = Number(today.slice(0, 4));
  const change: Record<Care, CommandOf<'careForCombs'>['change']> = {
    moth: { what: 'moth', there: true },
    melt: { what: 'melt' },
    year: { what: 'year', combYear: year },
  };
  const [care, setCare] = useState<Care>('moth');
  return (
    <TellForm
      label="Combs of the store"
      verb={`${CARES[care]}: ${count(many, 'comb')}`}
      busy={busy}
      disabled={many === 0}
      problems={problems}
      onTell={async () => {
        const told = await tell(
          {
            type: 'careForCombs',
            frameIds: frames.slice(0, many).map((f) => f.id),
            day: today,
            change: change[care],
          },
          `${CARES[care]}: ${count(many, 'comb')}`,
        );
        if (told) done();
      }}
    >
      <Select
        fit
        label="Which combs"
        value={chosen}
        options={[...groups].map(([key, [first, ...rest]]) => [
          key,
          `${first?.blank === 'foundation' ? 'foundation' : 'drawn'}, ${first ? sizeName(operation, first.sizeId) : ''}${first?.combYear ? `, from ${first.combYear}` : ''} (${rest.length + 1})`,
        ])}
        onChange={choose}
      />
      <Select
        fit
        label="What"
        value={care}
        options={Object.entries(CARES)}
        onChange={(c) => setCare(c as Care)}
      />
      <Stepper label="combs" value={many} min={1} max={Math.max(1, frames.length)} onChange={setN} />
    </TellForm>
  );
}
