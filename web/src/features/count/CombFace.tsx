import { CONTENT_NAMES, stripsOf, type ContentClass, type Side } from '@incremen/core';
import { useRef } from 'react';
import { COMB_INK, CONTENT_FILL } from '../../drawing/contentStyle.ts';

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
      aria-label={`${name}: ${side ? sideInWords(side) : 'not read yet'}`}
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
        strips.map((content, i) => (
          <rect
            key={i}
            x={0}
            y={i * step}
            width={width}
            height={step + 0.5}
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
          fontSize={15}
          fill="var(--chakra-colors-ink-soft)"
        >
          not read yet
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

function sideInWords(side: Side): string {
  const named = Object.entries(side.contents).map(
    ([c, n]) => `${n} tenths ${CONTENT_NAMES[c as ContentClass]}`,
  );
  return `${named.join(', ')}; bees on ${side.bees} tenths`;
}
