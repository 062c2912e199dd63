import type { ReactNode } from 'react';
import styles from './Gear.module.css';

/** A box from the front, so many of its sides drawn as frames. */
const BOX = (
  <>
    <rect x="4" y="9" width="32" height="16" />
    <path d="M16 15h8" />
  </>
);

/** Equipment from the front, on a ground of 40 by 30; the first that a name fits is taken. */
const DRAWN: readonly (readonly [name: RegExp, picture: ReactNode])[] = [
  [
    /^nuc box/,
    <>
      <rect x="10" y="8" width="20" height="14" />
      <path d="M8 8h24M8 22h24M13 25h14" />
      <path data-fill d="M18 20h4v2h-4z" />
    </>,
  ],
  [/^(inner cover|crown board)/, <path key="c" d="M3 14h34v4H3zM17 14v4M23 14v4" />],
  [/^roof/, <path key="r" d="M4 12h32v9h-3v-5H7v5H4zM4 12l4-3h24l4 3" />],
  [/^floor/, <path key="f" d="M4 17h32v4H4zM4 13v4M36 13v4M1 21h38" />],
  [/^stand/, <path key="s" d="M4 9h32v4H4zM9 13v13M31 13v13M9 20h22" />],
  [
    /^entrance block/,
    <>
      <path d="M3 13h34v6H3z" />
      <path data-fill d="M17 16h6v3h-6z" />
    </>,
  ],
  [
    /feeder/,
    <>
      <path d="M11 8h18l-2 15H13z" />
      <path data-syrup d="M12 13h16l-1.300 9H13.300z" />
    </>,
  ],
  [/excluder/, <path key="e" d="M4 7h32v16H4zM9 7v16M14 7v16M19 7v16M24 7v16M29 7v16" />],
  [
    /tag/,
    <>
      <path d="M8 8h18l6 7-6 7H8z" />
      <circle cx="26" cy="15" r="1.600" />
    </>,
  ],
  [/board|sheet|partition/, <path key="p" d="M6 7h28v16H6z" />],
  [/cage|clip/, <path key="q" d="M11 11h18v9H11zM15 11v9M19 11v9M23 11v9M27 11v9" />],
  [/frame/, <path key="x" d="M4 8h32v3H4zM8 11v13h24V11" />],
  [/syrup|sugar|fondant|patty/, <path key="y" d="M12 10h16l3 14H9zM15 10V6h10v4" />],
  [/box|super/, BOX],
];

/** A piece of equipment, drawn; its name stands beside it. */
export function Gear({ what }: { readonly what: string }) {
  const picture = DRAWN.find(([name]) => name.test(what))?.[1] ?? <circle cx="20" cy="15" r="5" />;
  return (
    <svg className={styles.gear} viewBox="0 0 40 30" width="40" height="30" aria-hidden="true">
      {picture}
    </svg>
  );
}
