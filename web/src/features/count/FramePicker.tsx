import type { Box as HiveBox } from '@incremen/core/records';
import { HiveDrawing, hiveSize, type DrawnBox } from '../../drawing/HiveDrawing.tsx';
import { SLAT } from '../../drawing/Slat.tsx';
import type { CountDraft } from '../../shared/counting/countDraft.ts';
import styles from './FramePicker.module.css';

/** A count so far as boxes to be drawn, the frame in hand outlined. */
export function drawnCount(draft: CountDraft, boxes: readonly HiveBox[], outline = true): DrawnBox[] {
  const inHand = draft.frames[draft.at]?.frameId;
  return boxes.map((b) => ({
    id: b.id,
    slots: b.slots,
    sizeId: b.sizeId,
    role: b.role,
    excluderBelow: b.excluderBelow,
    frames: draft.frames
      .filter((f) => f.boxId === b.id)
      .map((f) => ({
        id: f.frameId,
        slot: f.slot,
        reading: f.reading,
        blank: 'drawn' as const,
        ...(outline && f.frameId === inHand ? { outline: 'var(--chakra-colors-accent)' } : {}),
      })),
  }));
}

/** The hive so far; a tap on a slat goes to its frame. On phones only the box in hand is shown. */
export function FramePicker({
  draft,
  boxes,
  go,
  label,
}: {
  readonly draft: CountDraft;
  readonly boxes: readonly DrawnBox[];
  readonly go: (to: number) => void;
  readonly label: (boxId: string) => string;
}) {
  const current = draft.frames[draft.at];
  return (
    <div className={styles.boxes}>
      {boxes.toReversed().map((box) => {
        const first = draft.frames.findIndex((f) => f.boxId === box.id);
        const here = box.id === current?.boxId;
        const slot = here ? current.slot : 1;
        return (
          <div
            key={box.id}
            className={styles.box}
            data-here={here || undefined}
            role="slider"
            tabIndex={0}
            aria-label={`Frame of the ${label(box.id)}`}
            aria-valuemin={1}
            aria-valuemax={box.slots}
            aria-valuenow={slot}
            aria-valuetext={here ? `frame ${slot}${current.reading ? ', read' : ''}` : 'not in hand'}
            onFocus={() => !here && first >= 0 && go(first)}
            onKeyDown={(e) => {
              const by = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
              if (by === 0) return;
              // The recorder listens for arrows everywhere; here they are dealt with.
              e.preventDefault();
              e.stopPropagation();
              go(draft.at + by);
            }}
            onClick={(e) => {
              const at = draft.frames.findIndex((f) => f.boxId === box.id && f.slot === slotAt(e, box.slots));
              if (at >= 0) go(at);
            }}
          >
            <HiveDrawing boxes={[box]} label={`${label(box.id)} so far`} fill />
            <div
              aria-hidden
              className={styles.slots}
              style={{
                gridTemplateColumns: `repeat(${box.slots}, 1fr)`,
                padding: `0 ${100 * sideShare(box.slots)}%`,
              }}
            >
              {box.frames.map((f) => (
                <span
                  key={f.id}
                  data-read={f.reading !== null || undefined}
                  data-here={f.id === current?.frameId || undefined}
                  style={{ gridColumn: f.slot }}
                >
                  {f.slot}
                </span>
              ))}
            </div>
          </div>
        );
      })}
    </div>
  );
}

/** The slot under a tap on the drawing of a box. */
function slotAt(e: React.MouseEvent<HTMLElement>, slots: number): number {
  const { left, width } = e.currentTarget.getBoundingClientRect();
  const side = sideShare(slots);
  return Math.ceil((((e.clientX - left) / width - side) / (1 - 2 * side)) * slots);
}

/** Share of the drawing's width that lies beside the outermost slats, on each side. */
function sideShare(slots: number): number {
  const { width } = hiveSize([{ id: '', slots, sizeId: 'langstroth-deep', role: 'brood', frames: [] }]);
  return (width - slots * SLAT.pitch) / 2 / width;
}
