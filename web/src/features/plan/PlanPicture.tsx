import { useOperation } from '../../mirror/hooks.ts';
import { Box, Grid, Text } from '@chakra-ui/react';
import type { Apiary, MarkingColour } from '@incremen/core/records';
import type { PlannedPart, WorkedPlan } from '@incremen/core/split';
import { dayInWords } from '@incremen/core/basics';
import { promisedBy, type Promised } from '@incremen/core/remedies';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import { HiveDrawing, hiveInWords, hiveSize, slotPoint, type DrawnBox } from '../../drawing/HiveDrawing.tsx';
import { one, smallMass } from '../../ui/format.ts';
import { afterBoxes, beforeBoxes, NEW_PART_INK, STAY_PART_INK } from './planDrawing.ts';

interface Arrow {
  readonly key: string;
  readonly d: string;
  readonly ink: string;
}

/** The colony before in the middle, its two parts at its sides, every carried frame as a line between slots. */
export function PlanPicture({
  apiary,
  plan,
  queenColour,
}: {
  readonly apiary: Apiary;
  readonly plan: WorkedPlan;
  readonly queenColour: MarkingColour | null;
}) {
  const ground = useRef<HTMLDivElement>(null);
  const [arrows, setArrows] = useState<readonly Arrow[]>([]);
  const before = beforeBoxes(apiary, plan);
  const [stay, fresh] = plan.parts;
  const stayBoxes = afterBoxes(apiary, plan, stay);
  const freshBoxes = afterBoxes(apiary, plan, fresh);
  const promised = useMemo(() => promisedBy(apiary, plan.command.work), [apiary, plan]);
  const of = (part: PlannedPart) => promised.find((p) => p.colonyId === part.colonyId) ?? null;

  useLayoutEffect(() => {
    const draw = () =>
      setArrows(
        ground.current ? arrowsOf(ground.current, plan, before, [...stayBoxes], [...freshBoxes]) : [],
      );
    draw();
    const observer = new ResizeObserver(draw);
    if (ground.current) observer.observe(ground.current);
    return () => observer.disconnect();
    // The boxes follow from the plan.
    // eslint-disable-next-line react/exhaustive-deps
  }, [plan]);

  return (
    <Box
      ref={ground}
      position="relative"
      bg="sheet"
      borderWidth="1px"
      borderRadius="xl"
      p={{ base: 3, md: 5 }}
    >
      <Grid
        templateColumns={{ base: '1fr', sm: 'repeat(3, minmax(0, 1fr))' }}
        gap={{ base: 5, md: 9 }}
        alignItems="end"
        justifyItems="center"
      >
        <Part
          part={fresh}
          promised={of(fresh)}
          boxes={freshBoxes}
          queenColour={queenColour}
          hive="new"
          ink={NEW_PART_INK}
          // Where both have a queen, the old one stays.
          hasNewQueen={stay.queen === 'here' && fresh.queen === 'here'}
        />
        <Box data-hive="before" w="100%" maxW="270px" order={{ base: -1, sm: 0 }}>
          <Text fontWeight="700">{stay.name}</Text>
          <Text fontSize="sm" color="inkSoft" mb={1}>
            before
          </Text>
          <HiveDrawing
            boxes={before}
            queenColour={queenColour}
            label={`Before: ${hiveInWords(stay.name, before)}`}
            scale={1.4}
          />
          <Text fontSize="sm" mt={1} minH="2.8em">
            {one(stay.measure.framesOfBeesNow + fresh.measure.framesOfBeesNow)} bees ·{' '}
            {one(stay.measure.broodFrames + fresh.measure.broodFrames)} brood ·{' '}
            {one(stay.measure.storesFrames + fresh.measure.storesFrames)} stores
          </Text>
        </Box>
        <Part
          part={stay}
          promised={of(stay)}
          boxes={stayBoxes}
          queenColour={queenColour}
          hive="stay"
          ink={STAY_PART_INK}
        />
      </Grid>
      <svg
        aria-hidden="true"
        style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
      >
        {arrows.map((a) => (
          <path
            key={a.key}
            d={a.d}
            fill="none"
            stroke={a.ink}
            strokeWidth={2.2}
            strokeLinecap="round"
            opacity={0.8}
          />
        ))}
      </svg>
    </Box>
  );
}

const PLACE: Readonly<Record<PlannedPart['distance'], string>> = {
  stand: 'old stand',
  'same-yard': 'new stand',
  beside: 'beside it',
  away: 'away',
  above: 'above excluder and supers',
};

const QUEEN_WORDS = { here: 'old queen', elsewhere: 'raises a queen', unknown: 'queen perhaps' } as const;

function Part({
  part,
  promised,
  boxes,
  queenColour,
  hive,
  ink,
  hasNewQueen = false,
}: {
  readonly part: PlannedPart;
  /** What it will be, as every page shows it on that day. */
  readonly promised: Promised | null;
  readonly boxes: readonly DrawnBox[];
  readonly queenColour: MarkingColour | null;
  readonly hive: string;
  readonly ink: string;
  readonly hasNewQueen?: boolean;
}) {
  const { units } = useOperation();
  return (
    <Box data-hive={hive} w="100%" maxW="270px">
      <Text fontWeight="700" color={ink} _firstLetter={{ textTransform: 'uppercase' }}>
        {part.name}
      </Text>
      <Text fontSize="sm" color="inkSoft" mb={1}>
        {PLACE[part.distance]}
        {part.distance !== 'above' && `, ${hasNewQueen ? 'new queen in her cage' : QUEEN_WORDS[part.queen]}`}
      </Text>
      <HiveDrawing
        boxes={boxes}
        queenColour={queenColour}
        label={`After: ${hiveInWords(part.name, boxes)}`}
        scale={1.4}
      />
      <Text fontSize="sm" mt={1} minH="2.8em">
        {promised && part.distance !== 'above' && (
          <>
            {dayInWords(promised.day)}, field bees at home: <b>{one(promised.bees)}</b> frames of bees ·{' '}
            <b>{one(promised.brood)}</b> brood · <b>{smallMass(promised.foodKg, units)}</b> of food
          </>
        )}
      </Text>
    </Box>
  );
}

function arrowsOf(
  ground: HTMLElement,
  plan: WorkedPlan,
  before: readonly DrawnBox[],
  stay: readonly DrawnBox[],
  fresh: readonly DrawnBox[],
): Arrow[] {
  const origin = ground.getBoundingClientRect();
  const svgOf = (hive: string) => ground.querySelector(`[data-hive=${hive}] svg`)?.getBoundingClientRect();
  const from = svgOf('before');
  if (!from) return [];
  const at = (svg: DOMRect, boxes: readonly DrawnBox[], boxId: string, slot: number) => {
    const point = slotPoint(boxes, boxId, slot);
    const k = svg.width / hiveSize(boxes).width;
    return (
      point && {
        x: svg.left - origin.left + point.x * k,
        y: svg.top - origin.top + ((point.top + point.bottom) / 2) * k,
      }
    );
  };
  return plan.command.work.body.moves.flatMap((m): Arrow[] => {
    // What comes from the store or only slides over needs no arrow.
    const { from: leaves, to } = m;
    if (!leaves || !to || leaves.boxId === to.boxId) return [];
    const toNew = fresh.some((b) => b.id === to.boxId);
    const target = svgOf(toNew ? 'new' : 'stay');
    const a = at(from, before, leaves.boxId, leaves.slot);
    const b = target && at(target, toNew ? fresh : stay, to.boxId, to.slot);
    if (!a || !b) return [];
    const bend = (b.x - a.x) * 0.45;
    return [
      {
        key: m.frameId,
        ink: toNew ? NEW_PART_INK : STAY_PART_INK,
        d: `M${a.x} ${a.y}C${a.x + bend} ${a.y} ${b.x - bend} ${b.y} ${b.x} ${b.y}`,
      },
    ];
  });
}
