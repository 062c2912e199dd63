import type { ContentClass } from '@incremen/core/comb';
import { COMB_INK, combColour, CONTENT_COLOUR, dotColour } from './contentStyle.ts';
import { WAY_SKETCHES, type SketchFill, type SketchHive } from './waySketches.ts';

const COMBS: Readonly<Record<SketchFill, readonly ContentClass[]>> = {
  mixed: ['honey', 'capped', 'open', 'capped', 'honey'],
  open: ['honey', 'open', 'open', 'open', 'drawn'],
  capped: ['honey', 'capped', 'capped', 'beeBread', 'drawn'],
  honey: ['honey', 'honey', 'honey', 'honey', 'honey'],
  empty: ['drawn', 'drawn', 'drawn', 'drawn', 'drawn'],
  cells: ['honey', 'capped', 'capped', 'open', 'honey'],
};

const WIDE = 50;
const HIGH = 26;
const GAP = 12;
const LEAST_HEIGHT = 2;

/** How hives stand when the work is done: boxes with what fills them, queens, cells, an excluder. */
export function WaySketch({ id, scale = 1 }: { readonly id: string; readonly scale?: number }) {
  const hives = WAY_SKETCHES[id] ?? [];
  const width = hives.length * (WIDE + GAP);
  const boxes = Math.max(LEAST_HEIGHT, ...hives.map((h) => h.boxes.length));
  const height = boxes * (HIGH + 2) + 16;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden
      style={{ width: width * scale, maxWidth: '100%', height: 'auto' }}
    >
      {hives.map((hive, h) => (
        <Hive key={h} hive={hive} x={h * (WIDE + GAP) + GAP / 2} ground={height - 8} />
      ))}
    </svg>
  );
}

function Hive({
  hive,
  x,
  ground,
}: {
  readonly hive: SketchHive;
  readonly x: number;
  readonly ground: number;
}) {
  const top = (box: number) => ground - (box + 1) * (HIGH + 2);
  return (
    <g>
      <rect
        x={x - 3}
        y={ground}
        width={WIDE + 6}
        height={3}
        fill="currentColor"
        opacity={hive.isOld ? 0.9 : 0.4}
      />
      {hive.boxes.map((fill, b) => (
        <g key={b}>
          <rect
            x={x}
            y={top(b)}
            width={WIDE}
            height={HIGH}
            rx={2}
            fill={combColour('timber')}
            stroke="currentColor"
          />
          {COMBS[fill].map((content, c) => (
            <rect
              key={c}
              x={x + 4 + c * 9}
              y={top(b) + 4}
              width={6}
              height={HIGH - 8}
              fill={CONTENT_COLOUR[content]}
              stroke={COMB_INK}
              strokeWidth={0.6}
            />
          ))}
          {fill === 'cells' &&
            [1, 3].map((c) => (
              <path
                key={c}
                d={`M${x + 4 + c * 9} ${top(b) + HIGH - 9} q3 13 6 0`}
                fill={CONTENT_COLOUR.emerging}
                stroke={COMB_INK}
                strokeWidth={0.7}
              />
            ))}
          {hive.excluderOn === b && (
            <line
              x1={x - 2}
              x2={x + WIDE + 2}
              y1={top(b) - 1}
              y2={top(b) - 1}
              stroke="currentColor"
              strokeDasharray="3 2"
              strokeWidth={2}
            />
          )}
        </g>
      ))}
      {hive.queen && (
        <g transform={`translate(${x + WIDE / 2} ${top(hive.queen.box) + HIGH / 2})`}>
          {hive.queen.kind === 'caged' && (
            <rect x={-8} y={-8} width={16} height={16} rx={2} fill={combColour('timber')} stroke={COMB_INK} />
          )}
          <circle r={5} fill={dotColour('yellow')} stroke={COMB_INK} strokeWidth={1.2} />
        </g>
      )}
    </g>
  );
}
