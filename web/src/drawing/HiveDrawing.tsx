import {
  bothSides,
  CONTENT_CLASSES,
  CONTENT_NAMES,
  frameSize,
  shareOf,
  type FrameReading,
  type FrameSizeId,
} from '@incremen/core/comb';
import type { Box, MarkingColour } from '@incremen/core/records';
import { memo } from 'react';
import { Slat, SLAT } from './Slat.tsx';
import { SlatPaths } from './SlatPaths.tsx';

/** A frame to be drawn in a box. */
export interface DrawnFrame {
  readonly id: string;
  readonly slot: number;
  /** Null for a frame that was never read. */
  readonly reading: FrameReading | null;
  readonly blank: 'drawn' | 'foundation';
  readonly outline?: string;
  readonly dim?: boolean;
  /** Its own size, where it hangs in a box made for another. */
  readonly sizeId?: FrameSizeId;
}

/** A box to be drawn. */
export interface DrawnBox {
  readonly id: string;
  readonly slots: number;
  readonly sizeId: FrameSizeId;
  readonly role: Box['role'];
  /** A queen excluder lies under the box. */
  readonly excluderBelow?: boolean;
  /** Slots after which a partition stands. */
  readonly partitionsAfter?: readonly number[];
  /** Slots behind a partition, which belong to another colony. */
  readonly othersSlots?: readonly number[];
  readonly frames: readonly DrawnFrame[];
  /** A sheet or paper lies under the box: another family lives below. */
  readonly sheetBelow?: boolean;
  /** What takes slots and is no comb. */
  readonly inserts?: Box['inserts'];
}

const PAD = 8;
const ABOVE = 8;
const BELOW = 11;
const BOX_GAP = 3;

/** Depth of a Langstroth deep comb, in mm. */
const DEEP_MM = 203;

/** How deep a frame hangs, beside a Langstroth deep; by area where only that is known. */
function slatHeight(size: FrameSizeId): number {
  const { depthMm, areaCm2PerSide } = frameSize(size);
  const share = depthMm ? depthMm / DEEP_MM : areaCm2PerSide / frameSize('langstroth-deep').areaCm2PerSide;
  return SLAT.deepHeight * Math.min(1.3, Math.max(0.55, share));
}

const boxHeight = (box: DrawnBox) => slatHeight(box.sizeId) + ABOVE + BELOW;
const boxWidth = (slots: number) => slots * SLAT.pitch + 2 * PAD;

/** The upper edge of each box, bottom box first as they are given. */
function topsOf(boxes: readonly DrawnBox[]): number[] {
  return boxes.map((_, i) => boxes.slice(i + 1).reduce((y, above) => y + boxHeight(above) + BOX_GAP, 2));
}

/** Where a slot lies in the drawing of a hive; the arrows of a plan end there. */
export function slotPoint(
  boxes: readonly DrawnBox[],
  boxId: string,
  slot: number,
): { x: number; top: number; bottom: number } | undefined {
  const at = boxes.findIndex((b) => b.id === boxId);
  const box = boxes[at];
  if (!box) return undefined;
  const top = (topsOf(boxes)[at] as number) + ABOVE;
  return { x: PAD + (slot - 1) * SLAT.pitch + SLAT.pitch / 2, top, bottom: top + slatHeight(box.sizeId) };
}

/** Size of the drawing of a hive, in drawing units. */
export function hiveSize(boxes: readonly DrawnBox[]): { width: number; height: number } {
  const width = Math.max(...boxes.map((b) => boxWidth(b.slots)), boxWidth(4));
  const height = boxes.reduce((h, b) => h + boxHeight(b) + BOX_GAP, 0) + 6;
  return { width, height };
}

/** A hive on its stand: boxes from the bottom up, each with its frames as slats. */
export const HiveDrawing = memo(function HiveDrawing({
  boxes,
  queenColour,
  label,
  scale = 1,
  numbers = false,
  fill = false,
}: {
  readonly boxes: readonly DrawnBox[];
  readonly queenColour?: MarkingColour | null;
  /** What the picture shows, for those who do not see it. */
  readonly label: string;
  readonly scale?: number;
  readonly numbers?: boolean;
  /** As wide as its surroundings, whatever the scale. */
  readonly fill?: boolean;
}) {
  const { width, height } = hiveSize(boxes);
  const tops = topsOf(boxes);
  const floor = height - 5;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${width} ${height}`}
      width={fill ? '100%' : width * scale}
      {...(fill ? {} : { height: height * scale })}
      style={{ display: 'block', maxWidth: '100%', height: 'auto' }}
    >
      {boxes.map((box, at) => {
        const top = tops[at] as number;
        return (
          <g key={box.id}>
            <rect
              x={1}
              y={top}
              width={boxWidth(box.slots) - 2}
              height={boxHeight(box)}
              rx={3}
              fill="var(--chakra-colors-box-fill)"
              stroke="var(--chakra-colors-line)"
              strokeWidth={1.4}
              strokeDasharray={box.role === 'super' ? '5 3' : undefined}
            />
            {box.excluderBelow && (
              <path
                d={`M4 ${top + boxHeight(box) + BOX_GAP / 2}h${boxWidth(box.slots) - 8}`}
                stroke="var(--chakra-colors-ink)"
                strokeWidth={2.2}
                strokeDasharray="2.5 2"
              />
            )}
            {box.partitionsAfter?.map((slot) => (
              <path
                key={`p${slot}`}
                d={`M${PAD + slot * SLAT.pitch} ${top + 2}v${boxHeight(box) - 4}`}
                stroke="var(--chakra-colors-wood)"
                strokeWidth={2.6}
              />
            ))}
            {box.othersSlots?.map((slot) => (
              <rect
                key={`o${slot}`}
                x={PAD + (slot - 1) * SLAT.pitch + 3}
                y={top + ABOVE}
                width={SLAT.width - 1}
                height={slatHeight(box.sizeId)}
                rx={2}
                fill="var(--chakra-colors-sunk)"
              />
            ))}
            {box.sheetBelow && (
              <path
                d={`M2 ${top + boxHeight(box) + BOX_GAP / 2}h${boxWidth(box.slots) - 4}`}
                stroke="var(--chakra-colors-near)"
                strokeWidth={2.6}
              />
            )}
            {box.inserts?.map(({ what, slot }) => (
              <rect
                key={`i${slot}`}
                x={slotX(slot) + (what === 'frame-feeder' ? 0 : 3)}
                y={top + ABOVE}
                width={what === 'frame-feeder' ? SLAT.width : SLAT.width - 6}
                height={slatHeight(box.sizeId)}
                rx={1}
                fill={
                  what === 'frame-feeder' ? 'var(--chakra-colors-syrup-water)' : 'var(--chakra-colors-wood)'
                }
                stroke="var(--chakra-colors-wood)"
              />
            ))}
            <EmptySlots box={box} top={top + ABOVE} />
            <SlatPaths
              queenColour={queenColour ?? null}
              slats={box.frames.filter(isPlain).map((f) => ({
                id: f.id,
                reading: readingOf(f),
                unread: isUnread(f),
                x: slotX(f.slot),
                y: top + ABOVE,
                height: slatHeight(box.sizeId),
              }))}
            />
            {box.frames
              .filter((f) => !isPlain(f))
              .map((f) => (
                <Slat
                  key={f.id}
                  reading={readingOf(f)}
                  unread={isUnread(f)}
                  x={slotX(f.slot)}
                  y={top + ABOVE}
                  height={slatHeight(f.sizeId ?? box.sizeId)}
                  queenColour={queenColour ?? null}
                  {...(f.sizeId ? { outline: 'var(--chakra-colors-alarm)' } : {})}
                  {...(f.outline ? { outline: f.outline } : {})}
                  {...(f.dim ? { dim: true } : {})}
                />
              ))}
            {numbers &&
              box.frames.map((f) => (
                <text
                  key={`n${f.id}`}
                  x={PAD + (f.slot - 0.5) * SLAT.pitch}
                  y={top + 5.2}
                  style={{ fontSize: '6px' }}
                  textAnchor="middle"
                  fill="var(--chakra-colors-ink-soft)"
                >
                  {f.slot}
                </text>
              ))}
          </g>
        );
      })}
      <path
        d={`M0 ${floor}h${boxWidth(boxes[0]?.slots ?? 10)}`}
        stroke="var(--chakra-colors-wood)"
        strokeWidth={3.4}
        strokeLinecap="round"
      />
    </svg>
  );
});

/** Frames with nothing special about them are drawn together. */
const isPlain = (f: DrawnFrame) => !f.outline && !f.dim && !f.sizeId;
const isUnread = (f: DrawnFrame) => f.reading === null && f.blank === 'drawn';
const readingOf = (f: DrawnFrame) => f.reading ?? bothSides({ [f.blank]: 10 }, 0);
const slotX = (slot: number) => PAD + (slot - 1) * SLAT.pitch + (SLAT.pitch - SLAT.width) / 2;

function EmptySlots({ box, top }: { readonly box: DrawnBox; readonly top: number }) {
  const taken = new Set([
    ...box.frames.map((f) => f.slot),
    ...(box.othersSlots ?? []),
    ...(box.inserts ?? []).map((n) => n.slot),
  ]);
  return Array.from({ length: box.slots }, (_, i) => i + 1)
    .filter((s) => !taken.has(s))
    .map((s) => (
      <rect
        key={s}
        x={PAD + (s - 1) * SLAT.pitch + 2.5}
        y={top}
        width={SLAT.width}
        height={slatHeight(box.sizeId)}
        rx={2}
        fill="none"
        stroke="var(--chakra-colors-line)"
        strokeWidth={1}
        strokeDasharray="2 3"
      />
    ));
}

/** The main contents of a hive in one sentence, as the text of its picture. */
export function hiveInWords(name: string, boxes: readonly DrawnBox[]): string {
  const frames = boxes.flatMap((b) => b.frames);
  const totals = CONTENT_CLASSES.map((c) => ({
    c,
    n: frames.reduce((sum, f) => sum + (f.reading ? shareOf(f.reading, c) : 0), 0),
  })).filter((t) => t.n >= 0.5);
  const words = totals.map((t) => `${t.n.toFixed(1)} ${CONTENT_NAMES[t.c]}`).join(', ');
  const wrong = frames.filter((f) => f.sizeId).length;
  const alsoWrong = wrong > 0 ? `; ${wrong} hang in a box made for another size` : '';
  return `${name}: ${boxes.length === 1 ? 'one box' : `${boxes.length} boxes`}, ${frames.length} frames${words ? `; in frames: ${words}` : ''}${alsoWrong}`;
}
