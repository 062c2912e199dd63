import {
  CONTENT_CLASSES,
  shareOf,
  shareOfBees,
  type ContentClass,
  type FrameReading,
} from '@incremen/core/comb';
import type { MarkingColour } from '@incremen/core/records';
import { memo } from 'react';
import { COMB_INK, combColour, CONTENT_FILL, dotColour } from './contentStyle.ts';

/** Width of a slat and of the space that it takes in a box, in drawing units. */
export const SLAT = { width: 13, pitch: 18, deepHeight: 64 } as const;

/** What a slat shows. */
export interface SlatProps {
  readonly reading: FrameReading;
  readonly x: number;
  readonly y: number;
  readonly height: number;
  /** Colour of the queen's year; she is drawn in grey when it is not known. */
  readonly queenColour?: MarkingColour | null;
  /** Never read: drawn as an outline. */
  readonly unread?: boolean;
  readonly outline?: string;
  readonly dim?: boolean;
}

/**
 * A frame as an upright slat: contents as bands in the order of real comb, bees as a halo behind, the queen
 * as a dot in the colour of her year, cells as drops under the bottom bar.
 */
export const Slat = memo(function Slat({
  reading,
  x,
  y,
  height,
  queenColour,
  unread,
  outline,
  dim,
}: SlatProps) {
  const bees = shareOfBees(reading);
  const w = SLAT.width;
  return (
    <g opacity={dim ? 0.35 : 1}>
      {bees > 0.04 && (
        <rect
          x={x - 2.4}
          y={haloOf(bees, y, height).y}
          width={w + 4.8}
          height={haloOf(bees, y, height).height}
          rx={4}
          fill="var(--chakra-colors-halo)"
          opacity={0.3 + 0.7 * bees}
        />
      )}
      {unread ? (
        <rect
          x={x}
          y={y}
          width={w}
          height={height}
          rx={2}
          fill="none"
          stroke="var(--chakra-colors-ink-soft)"
          strokeWidth={1}
          strokeDasharray="2 2"
        />
      ) : (
        <>
          <rect x={x} y={y} width={w} height={height} fill={CONTENT_FILL.drawn} />
          {bandsOf(reading).map(({ content, from, to }) => (
            <rect
              key={content}
              x={x}
              y={y + from * height}
              width={w}
              height={(to - from) * height}
              fill={CONTENT_FILL[content]}
            />
          ))}
          <rect
            x={x}
            y={y}
            width={w}
            height={height}
            rx={1.5}
            fill="none"
            stroke={outline ?? COMB_INK}
            strokeWidth={outline ? 2.4 : 1}
          />
        </>
      )}
      <path
        d={`M${x - 2} ${y}h${w + 4}`}
        stroke="var(--chakra-colors-wood)"
        strokeWidth={2.6}
        strokeLinecap="round"
      />
      <Cells reading={reading} x={x + w / 2} y={y + height} />
      {reading.queenSeen && <QueenMark x={x + w / 2} y={y + height * 0.56} colour={queenColour ?? null} />}
    </g>
  );
});

/** Where the bees behind a slat begin, and how far they reach: the more, the taller. */
export function haloOf(bees: number, y: number, height: number): { y: number; height: number } {
  const reach = Math.min(1, 0.25 + bees * 0.8);
  return { y: y + height * (0.5 - 0.5 * reach) + 1, height: height * reach };
}

/** The bands of a frame from the top down, as shares of its height; what is too thin to see is left out. */
export function bandsOf(reading: FrameReading): { content: ContentClass; from: number; to: number }[] {
  const bands: { content: ContentClass; from: number; to: number }[] = [];
  let from = 0;
  for (const content of CONTENT_CLASSES) {
    const to = from + shareOf(reading, content);
    if (to - from > 0.003) bands.push({ content, from, to });
    from = to;
  }
  return bands;
}

/** A queen: her dot with a dark ring and a pale one around it, so that she shows on any comb. */
export function QueenMark({
  x,
  y,
  colour,
  r = 5,
}: {
  readonly x: number;
  readonly y: number;
  readonly colour: MarkingColour | null;
  readonly r?: number;
}) {
  return (
    <g>
      <circle cx={x} cy={y} r={r + 2.2} fill={dotColour('ring')} />
      <circle
        cx={x}
        cy={y}
        r={r}
        fill={dotColour(colour ?? 'none')}
        stroke={COMB_INK}
        strokeWidth={r * 0.38}
      />
    </g>
  );
}

const DROP = 'c3 0 3.6 2.6 2.4 5.4c-.7 1.7-1.5 2.6-2.4 2.6s-1.7-.9-2.4-2.6c-1.2-2.8-.6-5.4 2.4-5.4z';

/** At most two drops: the most advanced kind first. Solid is capped, open is not, tip gone is emerged. */
export function Cells({
  reading,
  x,
  y,
}: {
  readonly reading: FrameReading;
  readonly x: number;
  readonly y: number;
}) {
  const order = ['capped', 'emerged', 'open', 'charged', 'torn'] as const;
  const kinds = order.filter((k) => reading.cells.some((c) => c.kind === k)).slice(0, 2);
  return kinds.map((kind, i) => {
    const at = x + (i - (kinds.length - 1) / 2) * 7;
    return (
      <g key={kind}>
        <path
          d={`M${at} ${y + 0.5}${DROP}`}
          fill={kind === 'capped' ? combColour('cell-capped') : combColour('cell')}
          stroke={combColour('cell-line')}
          strokeWidth={1.3}
        />
        {kind === 'emerged' && (
          <path d={`M${at - 2} ${y + 7.4}h4`} stroke={combColour('cell-line')} strokeWidth={2} />
        )}
        {kind === 'torn' && (
          <path d={`M${at + 0.4} ${y + 3}l2.6 1.4`} stroke={combColour('cell-line')} strokeWidth={1.6} />
        )}
      </g>
    );
  });
}
