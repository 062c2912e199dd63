import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { combsToReplace } from '@incremen/core/work';
import { framesInStore, type CommandOf, type Frame } from '@incremen/core/records';
import { z } from 'zod';
import { sizeName } from '../../shared/hives/SizePicker.tsx';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { CountIn, SelectIn } from '../../shared/telling/checkedFields.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

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

const cared = z.strictObject({
  chosen: z.string(),
  care: z.enum(['moth', 'melt', 'year']),
  n: z.int().min(1),
});

const keyOf = (f: Frame) => `${f.sizeId}/${f.blank}/${f.combYear ?? ''}`;

/** What is done with combs that lie in the store: so many of one kind. */
export function CareForStore({ done }: { readonly done: () => void }) {
  const apiary = useApiary();
  const operation = useOperation();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const groups = new Map<string, Frame[]>();
  for (const f of framesInStore(apiary)) groups.set(keyOf(f), [...(groups.get(keyOf(f)) ?? []), f]);
  const [first] = groups.keys();
  if (first === undefined) return null;
  const year = Number(today.slice(0, 4));
  const change: Record<Care, CommandOf<'careForCombs'>['change']> = {
    moth: { what: 'moth', there: true },
    melt: { what: 'melt' },
    year: { what: 'year', combYear: year },
  };
  const framesOf = (chosen: string) => groups.get(chosen) ?? [];
  // Of another kind there may be fewer.
  const manyOf = ({ n, chosen }: { n: number; chosen: string }) => Math.min(n, framesOf(chosen).length);
  const said = (typed: z.infer<typeof cared>) => `${CARES[typed.care]}: ${count(manyOf(typed), 'comb')}`;
  return (
    <CheckedForm
      label="Combs of the store"
      verb={said}
      schema={cared}
      start={{ chosen: first, care: 'moth', n: 1 }}
      busy={busy}
      problems={problems}
      onTell={async (typed) => {
        const told = await tell(
          {
            type: 'careForCombs',
            frameIds: framesOf(typed.chosen)
              .slice(0, manyOf(typed))
              .map((f) => f.id),
            day: today,
            change: change[typed.care],
          },
          said(typed),
        );
        if (told) done();
      }}
    >
      {({ chosen }) => (
        <>
          <SelectIn
            name="chosen"
            label="Which combs"
            options={[...groups].map(([key, [one, ...rest]]) => [
              key,
              `${one?.blank === 'foundation' ? 'foundation' : 'drawn'}, ${one ? sizeName(operation, one.sizeId) : ''}${one?.combYear ? `, from ${one.combYear}` : ''} (${rest.length + 1})`,
            ])}
          />
          <SelectIn name="care" label="What" options={Object.entries(CARES)} />
          <CountIn name="n" label="combs" min={1} max={Math.max(1, framesOf(chosen).length)} />
        </>
      )}
    </CheckedForm>
  );
}
