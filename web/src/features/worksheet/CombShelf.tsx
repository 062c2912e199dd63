import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { bothSides } from '@incremen/core/comb';
import {
  boxesOfHive,
  boxName,
  coloniesOfHive,
  framesApart,
  framesInStore,
  type Apiary,
  type Command,
  type CommandOf,
  type Frame,
} from '@incremen/core/records';
import { useState } from 'react';
import { z } from 'zod';
import { CareForStore, OldCombs } from './OldCombs.tsx';
import { sizeName } from '../../shared/hives/SizePicker.tsx';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { ChoiceIn, CountIn, LineIn, SelectIn } from '../../shared/telling/checkedFields.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { useApiary, useOperation, useToday } from '../../mirror/hooks.ts';
import { count } from '../../ui/format.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { yearOrNull } from '../../ui/formFields.tsx';

const KINDS = [
  { id: 'drawn', label: 'Drawn, empty' },
  { id: 'honey', label: 'Full of honey' },
  { id: 'foundation', label: 'Foundation' },
] as const;

const added = z.strictObject({
  n: z.int().min(1).max(200),
  sizeId: z.string().transform((s) => s as Frame['sizeId']),
  kind: z.enum(['drawn', 'honey', 'foundation']),
  year: yearOrNull,
  from: z.string().trim().max(80),
});

/** The commands that put loose combs on the shelf, with what is in them. */
function shelve({ n, sizeId, kind, year, from }: z.output<typeof added>, day: string): Command {
  const ids = Array.from({ length: n }, () => crypto.randomUUID());
  return {
    type: 'batch',
    commands: [
      {
        type: 'addToStore',
        frames: ids.map((id) => ({
          id,
          sizeId,
          blank: kind === 'foundation' ? ('foundation' as const) : ('drawn' as const),
          combYear: year,
        })),
      },
      ...(kind === 'honey'
        ? [
            {
              type: 'readLoose' as const,
              day,
              readings: ids.map((frameId) => ({
                id: crypto.randomUUID(),
                frameId,
                body: bothSides({ honey: 10 }, 0, { estimated: true }) as never,
              })),
            },
          ]
        : []),
      ...(from === ''
        ? []
        : [
            {
              type: 'careForCombs' as const,
              frameIds: ids,
              day,
              change: { what: 'from' as const, from },
            },
          ]),
    ],
  };
}

/** Loose combs are entered here, and what is kept apart waits here for a decision. */
export function CombShelf() {
  const [form, setForm] = useState<'add' | 'care' | null>(null);
  const close = () => setForm(null);
  const hasCombs = framesInStore(useApiary()).length > 0;
  return (
    <>
      {form === 'add' && <AddCombs done={close} />}
      {form === 'care' && (
        <Box mt={4}>
          <CareForStore done={close} />
        </Box>
      )}
      {form === null && (
        <Flex gap={3} wrap="wrap" mt={3}>
          <Button variant="outline" bg="sheet" onClick={() => setForm('add')}>
            Add combs
          </Button>
          {hasCombs && (
            <Button variant="outline" bg="sheet" onClick={() => setForm('care')}>
              Wax moth, melt down, year
            </Button>
          )}
        </Flex>
      )}
      <OldCombs />
      <Apart />
      <Deserted />
    </>
  );
}

function AddCombs({ done }: { readonly done: () => void }) {
  const apiary = useApiary();
  const operation = useOperation();
  const today = useToday();
  const { tell, problems, busy } = useTell();
  const sizes = [...new Set([operation.referenceSize, ...Object.values(apiary.box).map((b) => b.sizeId)])];
  return (
    <Box mt={4}>
      <CheckedForm
        label="Combs for the store"
        verb={({ n }) => `Add ${count(n, 'comb')}`}
        schema={added}
        start={{ n: 5, sizeId: operation.referenceSize, kind: 'drawn', year: '', from: '' }}
        busy={busy}
        problems={problems}
        onTell={async (said) => {
          if (await tell(shelve(said, today), `${count(said.n, 'comb')} in the store`)) done();
        }}
      >
        <CountIn name="n" label="combs" min={1} max={200} />
        <ChoiceIn name="kind" label="What they are" options={KINDS} />
        <SelectIn name="sizeId" label="Frame size" options={sizes.map((s) => [s, sizeName(operation, s)])} />
        <LineIn name="year" label="Drawn in" numeric hint="The year, if it is known." maxLength={4} />
        <LineIn name="from" label="From" hint="Where they came from." maxLength={80} />
      </CheckedForm>
    </Box>
  );
}

/** Hives on stands in which nobody lives any more. */
function Deserted() {
  const apiary = useApiary();
  const { tell } = useTell();
  const hives = Object.values(apiary.hive).filter(
    (h) => h.standId !== null && coloniesOfHive(apiary, h.id).length === 0,
  );
  if (hives.length === 0) return null;
  return (
    <Box as="section" mt={6} aria-label="Hives without bees">
      <SectionHeading mb={1}>Hives without bees</SectionHeading>
      {hives.map((h) => {
        const stand = h.standId === null ? undefined : apiary.stand[h.standId];
        return (
          <Flex key={h.id} gap={3} wrap="wrap" align="center">
            <Text flex="1 1 260px">
              {h.name}, still on its stand{stand && ` in ${apiary.yard[stand.yardId]?.name ?? 'a yard'}`}
            </Text>
            <Button
              size="sm"
              variant="outline"
              bg="sheet"
              onClick={() => void tell({ type: 'clearHive', hiveId: h.id }, `${h.name} is in the store`)}
            >
              Take it to the store
            </Button>
          </Flex>
        );
      })}
    </Box>
  );
}

const WHY = { 'dead-colony': 'a dead colony', disease: 'disease', other: 'another reason' } as const;

const whyApart = ({ care: { quarantine } }: Frame): string =>
  quarantine ? `${WHY[quarantine.why]}, since ${dayInWords(quarantine.since)}` : 'wax moth';

function whereOf(apiary: Apiary, frame: Frame): string {
  const box = frame.boxId === null ? undefined : apiary.box[frame.boxId];
  const hive = box?.hiveId ? apiary.hive[box.hiveId] : undefined;
  return box && hive ? `${hive.name}, ${boxName(boxesOfHive(apiary, hive.id), box.id)}` : 'in the store';
}

/** Combs that are in no plan and no sum, by where they are and why. */
function Apart() {
  const apiary = useApiary();
  const today = useToday();
  const { tell } = useTell();
  const groups = new Map<string, Frame[]>();
  for (const f of framesApart(apiary)) {
    const key = `${whereOf(apiary, f)}|${whyApart(f)}`;
    groups.set(key, [...(groups.get(key) ?? []), f]);
  }
  if (groups.size === 0) return null;
  return (
    <Box as="section" mt={6} aria-label="Kept apart">
      <SectionHeading mb={1}>Kept apart</SectionHeading>
      <Text color="inkSoft" mb={2}>
        In no plan and no sum. Release combs only when the cause is known and they are clean; ask the
        inspector where a disease is suspected.
      </Text>
      <Box as="ul" listStyleType="none" display="grid" gap={3}>
        {[...groups.values()].map((frames) => {
          const [first] = frames;
          if (!first) return null;
          const change = (to: CommandOf<'careForCombs'>['change'], kept: string) =>
            void tell(
              { type: 'careForCombs', frameIds: frames.map((f) => f.id), day: today, change: to },
              kept,
            );
          const clean = first.care.quarantine
            ? ({ what: 'release' } as const)
            : ({ what: 'moth', there: false } as const);
          return (
            <Flex as="li" key={first.id} gap={3} wrap="wrap" align="center">
              <Text flex="1 1 260px">
                <b>{count(frames.length, 'comb')}</b>, {whereOf(apiary, first)}: {whyApart(first)}
              </Text>
              <Button size="sm" variant="outline" bg="sheet" onClick={() => change(clean, 'Clean again')}>
                They are clean
              </Button>
              <Button
                size="sm"
                variant="outline"
                bg="sheet"
                onClick={() => change({ what: 'melt' }, 'Melted down')}
              >
                Melt down or burn
              </Button>
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
}
