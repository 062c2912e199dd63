import { CONTENT_NAMES, stripsOf, type ContentClass, type Side } from '@incremen/core/comb';
import { useRef } from 'react';
import { COMB_INK, CONTENT_FILL } from '../../drawing/contentStyle.ts';
import { count } from '../../ui/format.ts';

/**
 * One side of a frame drawn large. Its ten strips are tenths; with a brush in hand a tap or a stroke paints
 * them.
 */
export function CombFace({
  side,
  name,
  brush,
  height,
  onPaint,
}: {
  readonly side: Side | null;
  readonly name: string;
  readonly brush: ContentClass | null;
  readonly height: number;
  readonly onPaint: (strip: number) => void;
}) {
  const width = 150;
  const stroke = useRef<number | null>(null);
  const strips = side ? stripsOf(side.contents) : [];
  const step = height / 10;
  const bees = side?.bees ?? 0;
  return (
    <svg
      viewBox={`-14 -10 ${width + 28} ${height + 16}`}
      width="100%"
      style={{
        display: 'block',
        maxWidth: 190,
        maxHeight: height + 26,
        touchAction: brush ? 'none' : 'auto',
        cursor: brush ? 'crosshair' : 'default',
      }}
      role="group"
      onPointerUp={() => (stroke.current = null)}
      onPointerLeave={() => (stroke.current = null)}
      aria-label={sideInWords(name, side)}
    >
      {bees > 0 && (
        <rect
          x={-9}
          y={2}
          width={width + 18}
          height={height}
          rx={12}
          fill="var(--chakra-colors-halo)"
          opacity={0.25 + bees * 0.07}
        />
      )}
      {side ? (
        bandsOf(strips, brush !== null).map(({ content, from: i, tenths }) => (
          <rect
            key={i}
            x={0}
            y={i * step}
            width={width}
            height={tenths * step + 0.5}
            fill={CONTENT_FILL[content]}
            {...(brush
              ? {
                  role: 'button',
                  tabIndex: 0,
                  'aria-label': `${name}, tenth ${i + 1}: ${CONTENT_NAMES[content]}. Paint with ${CONTENT_NAMES[brush]}`,
                  onPointerDown: (e: React.PointerEvent) => {
                    // A finger captures its first target; a stroke has to reach the others.
                    (e.target as Element).releasePointerCapture?.(e.pointerId);
                    stroke.current = i;
                    onPaint(i);
                  },
                  onPointerEnter: (e: React.PointerEvent) => {
                    // The first touch enters as well: it has painted already.
                    if (e.buttons !== 1 || stroke.current === null || stroke.current === i) return;
                    stroke.current = i;
                    onPaint(i);
                  },
                  onKeyDown: (e: React.KeyboardEvent) => {
                    if (e.key === 'Enter' || e.key === ' ') {
                      e.preventDefault();
                      e.stopPropagation();
                      onPaint(i);
                    }
                  },
                }
              : {})}
          />
        ))
      ) : (
        <text
          x={width / 2}
          y={height / 2}
          textAnchor="middle"
          fontSize={60}
          fill="var(--chakra-colors-ink-soft)"
        >
          not read
        </text>
      )}
      {brush &&
        strips.map((_, i) => (
          <path key={i} d={`M0 ${i * step}h${width}`} stroke={COMB_INK} strokeOpacity={0.25} />
        ))}
      <rect
        width={width}
        height={height}
        rx={4}
        fill="none"
        stroke={COMB_INK}
        strokeWidth={1.6}
        {...(side ? {} : { strokeDasharray: '5 4', stroke: 'var(--chakra-colors-ink-soft)' })}
      />
      <path
        d={`M-12 -3h${width + 24}`}
        stroke="var(--chakra-colors-wood)"
        strokeWidth={6}
        strokeLinecap="round"
      />
    </svg>
  );
}

/** Strips of one content as one band, or each by itself where each can be painted. */
function bandsOf(
  strips: readonly ContentClass[],
  apart: boolean,
): { readonly content: ContentClass; readonly from: number; readonly tenths: number }[] {
  const bands: { content: ContentClass; from: number; tenths: number }[] = [];
  strips.forEach((content, i) => {
    const last = bands.at(-1);
    if (!apart && last?.content === content) last.tenths += 1;
    else bands.push({ content, from: i, tenths: 1 });
  });
  return bands;
}

/** What is on a side, for those who do not see it. */
export function sideInWords(name: string, side: Side | null): string {
  if (!side) return `${name}: not read yet`;
  const named = Object.entries(side.contents).map(
    ([c, n]) => `${count(n ?? 0, 'tenth')} ${CONTENT_NAMES[c as ContentClass]}`,
  );
  return `${name}: ${named.join(', ')}; bees on ${count(side.bees, 'tenth')}`;
}
