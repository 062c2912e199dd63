import { Box, Button, Flex, Text } from '@chakra-ui/react';
import {
  boxesOfHive,
  framesOfBox,
  placeOf,
  type Apiary,
  type Colony,
  type CommandOf,
  type Command,
} from '@incremen/core/records';
import { chambersFor } from '@incremen/core/decide';
import { ArrowDown, ArrowUp, Plus } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { HiveDrawing, type DrawnBox } from '../../drawing/HiveDrawing.tsx';
import { useApiary, useOperation, useSend } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { BoxWork } from '../../shared/colonies/BoxWork.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { BoxThings } from './BoxThings.tsx';
import { SquareButton } from '../../ui/SquareButton.tsx';
import { keepSizes, SizePicker, sizeName, type PickedSize } from '../../shared/hives/SizePicker.tsx';

type Arranged = CommandOf<'arrangeHive'>['boxes'][number];

/** How a hive stands: boxes from the bottom up, excluder, supers, partitions. */
export function HivePage() {
  const apiary = useApiary();
  const { colonyId = '' } = useParams();
  const colony = apiary.colony[colonyId];
  if (!colony?.hiveId || colony.endedOn !== null) return <RouteError missing />;
  return <HiveEditor key={colony.hiveId} colony={colony} hiveId={colony.hiveId} />;
}

function HiveEditor({ colony, hiveId }: { readonly colony: Colony; readonly hiveId: string }) {
  const apiary = useApiary();
  const operation = useOperation();
  const navigate = useNavigate();
  const { send, problems, busy } = useSend();
  const [boxes, setBoxes] = useState<readonly Arranged[]>(() => standing(apiary, hiveId));
  const [newSizes, setNewSizes] = useState<readonly PickedSize[]>([]);
  const colonies = Object.values(apiary.colony)
    .filter((c) => c.hiveId === hiveId && c.endedOn === null)
    .toSorted((a, b) => a.name.localeCompare(b.name));
  const inStore = Object.values(apiary.box).filter(
    (b) => b.hiveId === null && !boxes.some((x) => x.id === b.id),
  );
  const changed = JSON.stringify(boxes) !== JSON.stringify(standing(apiary, hiveId));

  const put = (at: number, to: Partial<Arranged>) =>
    setBoxes(boxes.map((b, i) => (i === at ? { ...b, ...to } : b)));
  const swap = (at: number, by: 1 | -1) => {
    const next = [...boxes];
    const [a, b] = [next[at], next[at + by]];
    if (!a || !b) return;
    next[at] = b;
    next[at + by] = a;
    setBoxes(next.map((x, i) => (i === 0 ? { ...x, excluderBelow: false } : x)));
  };

  async function save() {
    const arrange: Command = { type: 'arrangeHive', hiveId, boxes: [...boxes] };
    const sizes = keepSizes(operation, newSizes);
    const sent = await send(
      sizes.length > 0 ? { type: 'batch', commands: [...sizes, arrange] as never } : arrange,
    );
    if (sent.ok) await navigate(`/colonies/${colony.id}`);
  }

  return (
    <Box>
      <PageHeader title={`Boxes of ${colony.name}`} aside={placeOf(apiary, colony).yard?.name}>
        <Button disabled={!changed} loading={busy} onClick={() => void save()}>
          Save this layout
        </Button>
      </PageHeader>
      <ProblemList problems={problems} />
      <Flex gap={8} direction={{ base: 'column', md: 'row' }} align="flex-start">
        <HiveDrawing boxes={drawn(apiary, boxes)} label={`${colony.name} as it will stand`} scale={1.3} />
        <Box flex="1" w="100%" maxW="44rem">
          <Box as="ol" listStyleType="none" display="flex" flexDirection="column-reverse" gap={3}>
            {boxes.map((b, i) => {
              const known = apiary.box[b.id];
              const sizeId = b.fresh?.sizeId ?? known?.sizeId ?? 'langstroth-deep';
              const slots = b.fresh?.slots ?? known?.slots ?? 10;
              const name = `Box ${i + 1} from the bottom`;
              return (
                <Box as="li" key={b.id} bg="sheet" borderWidth="1px" borderRadius="lg" p={3}>
                  <Flex align="center" gap={2} wrap="wrap">
                    <Text fontWeight="700">
                      {i + 1}. {sizeName(operation, sizeId)}, {slots} slots
                    </Text>
                    <Flex ml="auto" gap={1}>
                      <SquareButton
                        label={`${name}: up`}
                        disabled={i === boxes.length - 1}
                        onClick={() => swap(i, 1)}
                      >
                        <ArrowUp size={18} aria-hidden />
                      </SquareButton>
                      <SquareButton label={`${name}: down`} disabled={i === 0} onClick={() => swap(i, -1)}>
                        <ArrowDown size={18} aria-hidden />
                      </SquareButton>
                      <Button
                        variant="ghost"
                        aria-label={`${name}: into the store`}
                        disabled={boxes.length === 1}
                        onClick={() => setBoxes(boxes.filter((_, k) => k !== i))}
                      >
                        Into the store
                      </Button>
                    </Flex>
                  </Flex>
                  <Flex gap={4} wrap="wrap" mt={2}>
                    <Choice
                      hideLabel
                      label={`${name}: use`}
                      value={b.role}
                      onChange={(role) => put(i, { role })}
                      options={[
                        { id: 'brood', label: 'Brood' },
                        { id: 'super', label: 'Super' },
                      ]}
                    />
                    {i > 0 && (
                      <Choice
                        hideLabel
                        label={`${name}: excluder`}
                        value={b.excluderBelow ? 'yes' : 'no'}
                        onChange={(v) => put(i, { excluderBelow: v === 'yes' })}
                        options={[
                          { id: 'yes', label: 'Excluder under it' },
                          { id: 'no', label: 'None', quiet: true },
                        ]}
                      />
                    )}
                    {colonies.length > 1 && (
                      <Choice
                        hideLabel
                        label={`${name}: whose`}
                        value={whose(b)}
                        onChange={(w) => put(i, { chambers: chambers(w, slots, colonies) })}
                        options={[
                          { id: 'parted', label: 'Parted' },
                          { id: 'common', label: 'In common' },
                          ...colonies.map((c) => ({ id: c.id, label: c.name })),
                        ]}
                      />
                    )}
                  </Flex>
                </Box>
              );
            })}
          </Box>
          <AddBox
            top={apiary.box[boxes.at(-1)?.id ?? '']?.slots ?? 10}
            onAdd={(size, slots, blank) => {
              const id = crypto.randomUUID();
              if (size.newName !== null) setNewSizes([...newSizes, size]);
              setBoxes([
                ...boxes,
                {
                  id,
                  role: 'super',
                  excluderBelow: false,
                  chambers: chambersFor(
                    { slots, role: 'super' },
                    colonies.map((c) => c.id),
                  ),
                  fresh: {
                    sizeId: size.id,
                    slots,
                    frames:
                      blank === 'none'
                        ? []
                        : Array.from({ length: slots }, (_, i) => ({
                            id: crypto.randomUUID(),
                            slot: i + 1,
                            blank,
                            combYear: null,
                          })),
                  },
                },
              ]);
            }}
          />
          {inStore.length > 0 && (
            <Box mt={4}>
              <Text fontWeight="600" mb={1}>
                Boxes in the store
              </Text>
              <Flex gap={2} wrap="wrap">
                {inStore.map((b) => (
                  <Button
                    key={b.id}
                    variant="outline"
                    bg="sheet"
                    onClick={() =>
                      setBoxes([
                        ...boxes,
                        {
                          id: b.id,
                          role: b.role,
                          excluderBelow: false,
                          chambers: chambersFor(
                            b,
                            colonies.map((c) => c.id),
                          ),
                          fresh: null,
                        },
                      ])
                    }
                  >
                    <Plus size={18} aria-hidden /> {sizeName(operation, b.sizeId)},{' '}
                    {framesOfBox(apiary, b.id).length} frames
                  </Button>
                ))}
              </Flex>
            </Box>
          )}
        </Box>
      </Flex>
      <Box as="section" mt={8} aria-label="As work, step by step">
        <SectionHeading>As work, step by step</SectionHeading>
        <BoxWork colony={colony} />
      </Box>
      <BoxThings colony={colony} />
    </Box>
  );
}

function AddBox({
  top,
  onAdd,
}: {
  readonly top: number;
  readonly onAdd: (size: PickedSize, slots: number, blank: 'drawn' | 'foundation' | 'none') => void;
}) {
  const operation = useOperation();
  const [size, setSize] = useState<PickedSize | null>({ id: 'langstroth-medium', newName: null });
  const [blank, setBlank] = useState<'drawn' | 'foundation' | 'none'>('foundation');
  return (
    <Box as="details" mt={4}>
      <Box as="summary" minH="touch" cursor="pointer" fontWeight="600" alignContent="center">
        Put another box on top
      </Box>
      <Box display="grid" gap={3} pt={1}>
        <SizePicker
          label="Frame size of the new box"
          operation={operation}
          picked={size ?? { id: 'langstroth-medium', newName: null }}
          onPick={setSize}
        />
        <Choice
          label="Its frames"
          value={blank}
          onChange={setBlank}
          options={[
            { id: 'foundation', label: 'Foundation' },
            { id: 'drawn', label: 'Drawn comb' },
            { id: 'none', label: 'No frames yet' },
          ]}
        />
        <Button
          variant="outline"
          bg="sheet"
          justifySelf="start"
          disabled={size === null}
          onClick={() => size && onAdd(size, top, blank)}
        >
          <Plus size={18} aria-hidden /> Put it on top
        </Button>
      </Box>
    </Box>
  );
}

/** A hive as it now stands. */
function standing(apiary: Apiary, hiveId: string): Arranged[] {
  return boxesOfHive(apiary, hiveId).map((b) => ({
    id: b.id,
    role: b.role,
    excluderBelow: b.excluderBelow,
    chambers: b.chambers,
    fresh: null,
  }));
}

function whose(box: Arranged): string {
  if (box.chambers.length > 1) return 'parted';
  return box.chambers[0]?.colonyId ?? 'common';
}

function chambers(whose: string, slots: number, colonies: readonly Colony[]): Arranged['chambers'] {
  if (whose === 'parted') {
    return chambersFor(
      { slots, role: 'brood' },
      colonies.map((c) => c.id),
    );
  }
  return [{ colonyId: whose === 'common' ? null : whose, fromSlot: 1, toSlot: slots }];
}

function drawn(apiary: Apiary, boxes: readonly Arranged[]): DrawnBox[] {
  return boxes.map((b) => {
    const known = apiary.box[b.id];
    return {
      id: b.id,
      slots: b.fresh?.slots ?? known?.slots ?? 10,
      sizeId: b.fresh?.sizeId ?? known?.sizeId ?? 'langstroth-deep',
      role: b.role,
      excluderBelow: b.excluderBelow,
      partitionsAfter: b.chambers.slice(0, -1).map((c) => c.toSlot),
      frames: b.fresh
        ? b.fresh.frames.map((f) => ({ id: f.id, slot: f.slot, reading: null, blank: f.blank }))
        : framesOfBox(apiary, b.id).flatMap((f) =>
            f.slot === null
              ? []
              : [
                  {
                    id: f.id,
                    slot: f.slot,
                    reading: f.readingId === null ? null : (apiary.reading[f.readingId]?.body ?? null),
                    blank: f.blank,
                    ...(f.sizeId === known?.sizeId ? {} : { sizeId: f.sizeId }),
                  },
                ],
          ),
    };
  });
}
