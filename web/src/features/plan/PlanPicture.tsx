import { Box, Flex, Text } from '@chakra-ui/react';
import type { Apiary, MarkingColour, PlanPart, WorkedPlan } from '@incremen/core';
import { useLayoutEffect, useRef, useState } from 'react';
import { HiveDrawing, hiveInWords, hiveSize, slotPoint, type DrawnBox } from '../../drawing/HiveDrawing.tsx';
import { one } from '../../ui/format.ts';
import { afterBoxes, beforeBoxes, NEW_PART_INK, STAY_PART_INK } from './planDrawing.ts';

interface Arrow {
  readonly key: string;
  readonly d: string;
  readonly ink: string;
}

/** Before on the left, after on the right, and every frame that is carried as a line between its slots. */
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
  const [stay, fresh] = plan.command.plan.body.parts;
  const stayBoxes = afterBoxes(apiary, plan, stay);
  const freshBoxes = afterBoxes(apiary, plan, fresh);

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
      <Flex gap={{ base: 4, md: 10 }} justify="space-between" align="center">
        <Box flex="1 1 0" maxW="300px" data-hive="before">
          <Text fontWeight="700" mb={1}>
            {stay.name}{' '}
            <Text as="span" fontWeight="400" color="inkSoft">
              before
            </Text>
          </Text>
          <HiveDrawing
            boxes={before}
            queenColour={queenColour}
            label={`Before: ${hiveInWords(stay.name, before)}`}
            scale={1.4}
          />
        </Box>
        <Box flex="1 1 0" maxW="300px" display="grid" gap={5}>
          <Part part={stay} boxes={stayBoxes} queenColour={queenColour} hive="stay" ink={STAY_PART_INK} />
          <Part part={fresh} boxes={freshBoxes} queenColour={queenColour} hive="new" ink={NEW_PART_INK} />
        </Box>
      </Flex>
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

const QUEEN_WORDS = { here: 'old queen', elsewhere: 'raises a queen', unknown: 'queen perhaps' } as const;

function Part({
  part,
  boxes,
  queenColour,
  hive,
  ink,
}: {
  readonly part: PlanPart;
  readonly boxes: readonly DrawnBox[];
  readonly queenColour: MarkingColour | null;
  readonly hive: string;
  readonly ink: string;
}) {
  const m = part.measure;
  return (
    <Box data-hive={hive}>
      <Flex columnGap={2} wrap="wrap" align="baseline" mb={1}>
        <Text fontWeight="700" color={ink}>
          {part.name}
        </Text>
        <Text fontSize="sm" color="inkSoft">
          {part.distance === 'stand' ? 'old stand' : part.distance === 'away' ? 'away' : 'new stand'},{' '}
          {QUEEN_WORDS[part.queen]}
        </Text>
      </Flex>
      <HiveDrawing
        boxes={boxes}
        queenColour={queenColour}
        label={`After: ${hiveInWords(part.name, boxes)}`}
        scale={1.4}
      />
      <Text fontSize="sm" mt={1}>
        <b>{one(m.framesOfBeesAfterDrift)}</b> bees after drift · <b>{one(m.broodFrames)}</b> brood ·{' '}
        <b>{one(m.storesFrames)}</b> stores
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
  return plan.command.moves.flatMap((m): Arrow[] => {
    if (m.fromBoxId === null || m.fromSlot === null) return [];
    const toNew = fresh.some((b) => b.id === m.toBoxId);
    const target = svgOf(toNew ? 'new' : 'stay');
    const a = at(from, before, m.fromBoxId, m.fromSlot);
    const b = target && at(target, toNew ? fresh : stay, m.toBoxId, m.toSlot);
    if (!a || !b) return [];
    const bend = Math.max(40, (b.x - a.x) * 0.4);
    return [
      {
        key: m.frameId,
        ink: toNew ? NEW_PART_INK : STAY_PART_INK,
        d: `M${a.x} ${a.y}C${a.x + bend} ${a.y} ${b.x - bend} ${b.y} ${b.x} ${b.y}`,
      },
    ];
  });
}
