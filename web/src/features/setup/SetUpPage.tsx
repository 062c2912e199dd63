import { Box, Button, Flex, NativeSelect, Text } from '@chakra-ui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { listInWords } from '@incremen/core/basics';
import { frameSizeId } from '@incremen/core/comb';
import type { Apiary, Command } from '@incremen/core/records';
import { useMemo, useState, type FocusEvent } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useNavigate, useSearchParams } from 'react-router';
import { z } from 'zod';
import { HiveDrawing, type DrawnBox } from '../../drawing/HiveDrawing.tsx';
import { useApiary, useOperation, useSend, useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { count } from '../../ui/format.ts';
import { Tick } from '../../ui/Tick.tsx';
import { FormLine } from '../../ui/formFields.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { hiveNames } from './hiveNames.ts';
import { colonyNames, hivesCommand, USUAL_HIVE, type HiveKind } from './hivesCommand.ts';
import { keepSizes, SizePicker, sizeName, type PickedSize } from '../../shared/hives/SizePicker.tsx';

const SLOTS = [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 14, 16, 18, 20, 24, 28] as const;

/** Sets up a yard and its hives, many at once. Nothing is asked that is not needed yet. */
export function SetUpPage() {
  const apiary = useApiary();
  const operation = useOperation();
  const today = useToday();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const { send, problems, busy } = useSend();
  const known = apiary.yard[params.get('yard') ?? ''];
  const taken = useMemo(
    () => new Set(Object.values(apiary.colony).flatMap((c) => (c.endedOn === null ? [c.name] : []))),
    [apiary.colony],
  );
  const {
    register,
    handleSubmit,
    control,
    setValue,
    formState: { errors },
  } = useForm<SetUp>({
    resolver: zodResolver(useMemo(() => setUpSchema(known === undefined, taken), [known, taken])),
    defaultValues: { yardName: freeYardName(apiary), names: firstNames(taken), ...USUAL_HIVE },
    mode: 'onTouched',
  });
  const { yardName, names, ...kind } = useWatch({ control }) as SetUp;
  const [size, setSize] = useState<PickedSize | null>({ id: USUAL_HIVE.sizeId, newName: null });
  const [superSize, setSuperSize] = useState<PickedSize | null>({
    id: USUAL_HIVE.superSizeId,
    newName: null,
  });
  const list = hiveNames(names);
  const change = <K extends keyof HiveKind>(key: K, to: HiveKind[K]) =>
    setValue(key, to as never, { shouldValidate: true });
  const colonies = list.flatMap((n) => colonyNames(n, kind.colonies));
  const sizes = [size, ...(kind.supers > 0 ? [superSize] : [])];
  const sizesKnown = sizes.every((s) => s !== null);

  async function setUp() {
    if (!size || !superSize || list.length === 0) return;
    const newId = () => crypto.randomUUID();
    const yardId = known?.id ?? newId();
    const whole = { ...kind, sizeId: size.id, superSizeId: superSize.id };
    const commands: Command[] = [
      ...(known ? [] : [{ type: 'addYard' as const, yard: { id: yardId, name: yardName, note: '' } }]),
      ...keepSizes(
        operation,
        sizes.flatMap((s) => s ?? []),
      ),
      hivesCommand(yardId, today, list, whole, newId),
    ];
    const sent = await send({ type: 'batch', commands: commands as never });
    if (sent.ok) await navigate(`/yards/${yardId}`);
  }

  return (
    <Box>
      <PageHeader title={known ? `Hives for ${known.name}` : 'A yard and its hives'} />
      <Flex gap={10} direction={{ base: 'column', lg: 'row' }} align="flex-start">
        <Box
          as="form"
          display="grid"
          gap={5}
          w="100%"
          maxW="40rem"
          onSubmit={(e: React.FormEvent) => void handleSubmit(setUp)(e)}
        >
          {!known && (
            <FormLine
              label="Name of the yard"
              size="lg"
              placeholder="As you call it"
              maxLength={80}
              fault={errors.yardName?.message}
              onFocus={selectAll}
              {...register('yardName')}
            />
          )}
          <FormLine
            label="Names of the hives"
            size="lg"
            fault={errors.names?.message}
            onFocus={selectAll}
            hint={
              list.length > 0
                ? `${count(list.length, 'hive')}: ${colonies.slice(0, 6).join(', ')}${colonies.length > 6 ? ', …' : ''}`
                : 'A range such as “E1 to E12”, names with commas, or just how many.'
            }
            {...register('names')}
          />
          <Flex gap={6} wrap="wrap">
            <Choice
              label="Boxes of each hive"
              value={String(kind.boxes)}
              onChange={(n) => change('boxes', Number(n))}
              options={[
                { id: '1', label: 'One' },
                { id: '2', label: 'Two' },
                { id: '3', label: 'Three' },
              ]}
            />
            <Box as="label">
              <Text fontWeight="600" mb={1}>
                Frames in a box
              </Text>
              <NativeSelect.Root size="lg">
                <NativeSelect.Field
                  bg="sheet"
                  value={kind.slots}
                  onChange={(e) => change('slots', Number(e.target.value))}
                >
                  {SLOTS.map((n) => (
                    <option key={n} value={n}>
                      {n}
                    </option>
                  ))}
                </NativeSelect.Field>
                <NativeSelect.Indicator />
              </NativeSelect.Root>
            </Box>
          </Flex>
          <SizePicker
            label="Frame size"
            operation={operation}
            picked={size ?? { id: kind.sizeId, newName: null }}
            onPick={setSize}
          />
          <Choice
            label="What is in the frames now?"
            value={kind.blank}
            onChange={(blank) => change('blank', blank)}
            options={[
              { id: 'drawn', label: 'Drawn comb' },
              { id: 'foundation', label: 'Foundation' },
            ]}
          />
          <Box as="details">
            <Box as="summary" minH="touch" cursor="pointer" fontWeight="600" alignContent="center">
              Supers and partitions
            </Box>
            <Box display="grid" gap={5} pt={2}>
              <Choice
                label="Supers on each hive"
                value={String(kind.supers)}
                onChange={(n) => change('supers', Number(n))}
                options={['0', '1', '2', '3'].map((n) => ({ id: n, label: n === '0' ? 'None' : n }))}
              />
              {kind.supers > 0 && (
                <>
                  <SizePicker
                    label="Frame size of the supers"
                    operation={operation}
                    picked={superSize ?? { id: kind.superSizeId, newName: null }}
                    onPick={setSuperSize}
                  />
                  <Tick
                    label="Queen excluder under the supers"
                    checked={kind.excluder}
                    onChange={(excluder) => change('excluder', excluder)}
                  />
                </>
              )}
              <Choice
                label="Colonies in each hive, behind partitions"
                value={String(kind.colonies)}
                onChange={(n) => change('colonies', Number(n))}
                options={['1', '2', '3', '4'].map((n) => ({ id: n, label: n === '1' ? 'One' : n }))}
              />
            </Box>
          </Box>
          <ProblemList problems={problems} />
          <Flex gap={3} align="center" wrap="wrap">
            <Button type="submit" size="lg" disabled={!sizesKnown} loading={busy}>
              Put {list.length === 1 ? 'one hive' : `${list.length} hives`} on their stands
            </Button>
            {errors.colonies && (
              <Text color="alarm" role="alert">
                {errors.colonies.message}
              </Text>
            )}
            {!sizesKnown && <Text color="inkSoft">Your frame size needs a name and its measures.</Text>}
          </Flex>
        </Box>
        {size && (
          <Box>
            <HiveDrawing
              boxes={drawnKind({ ...kind, sizeId: size.id, superSizeId: superSize?.id ?? kind.superSizeId })}
              label="One such hive"
              scale={1.2}
            />
            <Text color="inkSoft" mt={2}>
              {list[0] ?? 'One hive'}: {kind.boxes * kind.slots} frames of{' '}
              {size.newName ?? sizeName(operation, size.id)}
              {kind.supers > 0 ? `, ${count(kind.supers, 'super')}` : ''}
            </Text>
          </Box>
        )}
      </Flex>
    </Box>
  );
}

/** What is offered is typed over at once. */
const selectAll = (e: FocusEvent<HTMLInputElement>) => e.target.select();

/** The yard that most people begin with; nothing where there is one already. */
const freeYardName = (apiary: Apiary): string =>
  Object.values(apiary.yard).some((y) => y.name === 'Home') ? '' : 'Home';

/** Four hives of a letter that no colony bears yet. */
const firstNames = (taken: ReadonlySet<string>): string => {
  const free = 'EFGHKLMNPRSTUVWXYZ'.split('').find((l) => ![1, 2, 3, 4].some((n) => taken.has(`${l}${n}`)));
  return free === undefined ? '' : `${free}1 to ${free}4`;
};

/** What is asked when a yard or hives are set up. */
type SetUp = HiveKind & { yardName: string; names: string };

/** What the answers must be like; `taken` are the names that colonies bear already. */
const setUpSchema = (newYard: boolean, taken: ReadonlySet<string>) =>
  z
    .strictObject({
      yardName: z.string(),
      names: z.string(),
      sizeId: frameSizeId,
      slots: z.number(),
      boxes: z.number(),
      supers: z.number(),
      superSizeId: frameSizeId,
      excluder: z.boolean(),
      colonies: z.number(),
      blank: z.enum(['drawn', 'foundation']),
    })
    .refine((s) => !newYard || s.yardName.trim() !== '', {
      path: ['yardName'],
      message: 'The yard needs a name.',
    })
    .refine((s) => hiveNames(s.names).length > 0, {
      path: ['names'],
      message: 'Write a range such as E1 to E12, names with commas, or how many hives there are (up to 150).',
    })
    .refine((s) => namesTwice(s, taken).length === 0, {
      path: ['names'],
      error: ({ input }) => {
        const twice = namesTwice(input as SetUp, taken);
        return `${listInWords(twice.slice(0, 4))} ${twice.length === 1 ? 'is' : 'are'} there already: give other names.`;
      },
    })
    .refine((s) => s.colonies <= s.slots / 2, {
      path: ['colonies'],
      error: ({ input }) => {
        const { slots, colonies } = input as SetUp;
        return `${slots} slots are too few for ${colonies} colonies.`;
      },
    });

/** Colonies that would bear a name that another bears. */
const namesTwice = (s: Pick<SetUp, 'names' | 'colonies'>, taken: ReadonlySet<string>): string[] =>
  hiveNames(s.names)
    .flatMap((n) => colonyNames(n, s.colonies))
    .filter((n) => taken.has(n));

/** One hive of a kind, to be drawn. */
function drawnKind(kind: HiveKind): DrawnBox[] {
  const box = (id: string, role: 'brood' | 'super', excluderBelow: boolean): DrawnBox => ({
    id,
    slots: kind.slots,
    sizeId: role === 'brood' ? kind.sizeId : kind.superSizeId,
    role,
    excluderBelow,
    partitionsAfter:
      role === 'brood'
        ? Array.from({ length: kind.colonies - 1 }, (_, i) =>
            Math.ceil(((i + 1) * kind.slots) / kind.colonies),
          )
        : [],
    frames: Array.from({ length: kind.slots }, (_, i) => ({
      id: `${id}${i}`,
      slot: i + 1,
      reading: null,
      blank: kind.blank,
    })),
  });
  return [
    ...Array.from({ length: kind.boxes }, (_, i) => box(`b${i}`, 'brood', false)),
    ...Array.from({ length: kind.supers }, (_, i) => box(`s${i}`, 'super', kind.excluder && i === 0)),
  ];
}
