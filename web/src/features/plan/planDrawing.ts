import type { Apiary } from '@incremen/core/records';
import type { FrameReading } from '@incremen/core/comb';
import type { PlannedPart, WorkedPlan } from '@incremen/core/split';
import type { DrawnBox } from '../../drawing/HiveDrawing.tsx';

/** The ink of the new part's frames, before and after. */
export const NEW_PART_INK = 'var(--chakra-colors-accent)';
/** The ink of frames that move into the part that stays. */
export const STAY_PART_INK = 'var(--chakra-colors-alarm)';

/** What is needed to draw a frame of a plan wherever it hangs. */
function readings(apiary: Apiary, plan: WorkedPlan): Map<string, FrameReading> {
  const map = new Map<string, FrameReading>();
  for (const f of plan.frames) map.set(f.id, f.reading);
  for (const m of plan.command.work.body.moves) {
    if (map.has(m.frameId)) continue;
    const frame = apiary.frame[m.frameId];
    if (frame) {
      map.set(m.frameId, {
        v: 1,
        sides: [
          { contents: { [frame.blank]: 10 }, bees: 0 },
          { contents: { [frame.blank]: 10 }, bees: 0 },
        ],
        queenSeen: false,
        cells: [],
        estimated: true,
      });
    }
  }
  return map;
}

/** Frames that hang in another box afterwards. */
const carriedFrames = ({ command }: WorkedPlan) =>
  new Set(command.work.body.moves.flatMap((m) => (m.from?.boxId === m.to?.boxId ? [] : [m.frameId])));

/** The colony before the work, on the day of the work; frames that go are ringed. */
export function beforeBoxes(apiary: Apiary, plan: WorkedPlan): DrawnBox[] {
  const [stay, fresh] = plan.parts;
  const hive = apiary.colony[stay.colonyId]?.hiveId;
  const toNew = new Set(fresh.slots.map((s) => s.frameId));
  const moved = carriedFrames(plan);
  return Object.values(apiary.box)
    .filter((b) => b.hiveId === hive)
    .toSorted((a, b) => a.position - b.position)
    .map((b) => ({
      id: b.id,
      slots: b.slots,
      sizeId: b.sizeId,
      role: b.role,
      frames: plan.frames
        .filter((f) => f.boxId === b.id)
        .map((f) => ({
          id: f.id,
          slot: f.slot,
          reading: f.reading,
          blank: 'drawn' as const,
          ...(moved.has(f.id) ? { outline: toNew.has(f.id) ? NEW_PART_INK : STAY_PART_INK } : {}),
        })),
    }));
}

/** One part as it will stand. */
export function afterBoxes(apiary: Apiary, plan: WorkedPlan, part: PlannedPart): DrawnBox[] {
  const byId = readings(apiary, plan);
  const moved = carriedFrames(plan);
  const boxIds = [...new Set(part.slots.map((s) => s.boxId))];
  const { newHives, newBoxes } = plan.command.work.body;
  const brought = [
    ...newBoxes,
    ...newHives.flatMap((h) => h.boxes).flatMap((b) => (b.from === 'kit' ? [b] : [])),
  ];
  const known = boxIds.flatMap((id) => {
    const box = apiary.box[id];
    if (box) return [{ id, slots: box.slots, sizeId: box.sizeId, role: box.role, position: box.position }];
    const kitBox = brought.find((k) => k.boxId === id);
    return kitBox
      ? [
          {
            id,
            slots: kitBox.slots,
            sizeId: kitBox.sizeId,
            role: 'brood' as const,
            position: 0,
          },
        ]
      : [];
  });
  return known
    .toSorted((a, b) => a.position - b.position)
    .map((b) => ({
      ...b,
      frames: part.slots
        .filter((s) => s.boxId === b.id)
        .map((s) => ({
          id: s.frameId,
          slot: s.slot,
          reading: byId.get(s.frameId) ?? null,
          blank: apiary.frame[s.frameId]?.blank ?? ('drawn' as const),
          ...(moved.has(s.frameId) ? { outline: part.key === 'new' ? NEW_PART_INK : STAY_PART_INK } : {}),
        })),
    }));
}
