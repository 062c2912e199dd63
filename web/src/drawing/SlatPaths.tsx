import { CONTENT_CLASSES, shareOfBees, type ContentClass, type FrameReading } from '@incremen/core/comb';
import type { MarkingColour } from '@incremen/core/records';
import { memo } from 'react';
import { COMB_INK, CONTENT_FILL } from './contentStyle.ts';
import { bandsOf, Cells, haloOf, QueenMark, SLAT } from './Slat.tsx';

/** A frame among others, where it hangs. */
export interface PlacedSlat {
  readonly id: string;
  readonly reading: FrameReading;
  readonly unread: boolean;
  readonly x: number;
  readonly y: number;
  readonly height: number;
}

/** Bees on a frame are told apart in so many steps. */
const HALO_STEPS = 6;

/**
 * Frames that hang side by side, drawn like {@link Slat} and with a tenth of its elements: all bands of one
 * content are one path. A board shows some three thousand frames.
 */
export const SlatPaths = memo(function SlatPaths({
  slats,
  queenColour,
}: {
  readonly slats: readonly PlacedSlat[];
  readonly queenColour: MarkingColour | null;
}) {
  const w = SLAT.width;
  const halos = Array.from({ length: HALO_STEPS + 1 }, () => '');
  const bands = new Map<ContentClass, string>();
  let ground = '';
  let unread = '';
  let bars = '';
  for (const { reading, unread: blank, x, y, height } of slats) {
    bars += `M${x - 2} ${y}h${w + 4}`;
    const bees = shareOfBees(reading);
    if (bees > 0.04) {
      const step = Math.max(1, Math.round(Math.min(1, bees) * HALO_STEPS));
      const halo = haloOf(bees, y, height);
      halos[step] = (halos[step] ?? '') + rounded(x - 2.4, halo.y, w + 4.8, halo.height, 4);
    }
    if (blank) {
      unread += rounded(x, y, w, height, 2);
      continue;
    }
    ground += rounded(x, y, w, height, 1.5);
    for (const { content, from, to } of bandsOf(reading)) {
      const band = `M${x} ${y + from * height}h${w}v${(to - from) * height}h${-w}z`;
      bands.set(content, (bands.get(content) ?? '') + band);
    }
  }
  return (
    <g>
      {halos.map((d, step) =>
        d === '' ? null : (
          <path key={step} d={d} fill="var(--chakra-colors-halo)" opacity={0.3 + (0.7 * step) / HALO_STEPS} />
        ),
      )}
      {unread !== '' && (
        <path d={unread} fill="none" stroke="var(--chakra-colors-ink-soft)" strokeDasharray="2 2" />
      )}
      {ground !== '' && <path d={ground} fill={CONTENT_FILL.drawn} />}
      {CONTENT_CLASSES.map((c) => {
        const d = bands.get(c);
        return d === undefined || c === 'drawn' ? null : <path key={c} d={d} fill={CONTENT_FILL[c]} />;
      })}
      {ground !== '' && <path d={ground} fill="none" stroke={COMB_INK} />}
      <path d={bars} stroke="var(--chakra-colors-wood)" strokeWidth={2.6} strokeLinecap="round" />
      {slats.map((s) =>
        s.reading.cells.length > 0 ? (
          <Cells key={s.id} reading={s.reading} x={s.x + w / 2} y={s.y + s.height} />
        ) : null,
      )}
      {slats.map((s) =>
        s.reading.queenSeen ? (
          <QueenMark key={s.id} x={s.x + w / 2} y={s.y + s.height * 0.56} colour={queenColour} />
        ) : null,
      )}
    </g>
  );
});

/** A rectangle with round corners, as a piece of a path. */
function rounded(x: number, y: number, width: number, height: number, r: number): string {
  const a = (dx: number, dy: number) => `a${r} ${r} 0 0 1 ${dx} ${dy}`;
  return `M${x + r} ${y}h${width - 2 * r}${a(r, r)}v${height - 2 * r}${a(-r, r)}h${2 * r - width}${a(-r, -r)}v${2 * r - height}${a(r, -r)}z`;
}
