import type { Arrow } from './importGraph.ts';

/** The rooms of a workspace, lowest floor first: a room imports rooms of its own floor and of those below it. */
export interface HouseMap {
  /** The folder that the rooms are in, as `core/src`. */
  readonly folder: string;
  readonly floors: readonly (readonly string[])[];
  /** Rooms that are entered only by their `index.ts`. */
  readonly oneDoor: boolean;
  /** Wings whose rooms know nothing of each other: what two of them need has a room of its own. */
  readonly apart?: readonly string[];
  /** Rooms inside of a room, lowest first. They have no doors of their own. */
  readonly inside?: Readonly<Record<string, readonly string[]>>;
}

export const CORE_MAP: HouseMap = {
  folder: 'core/src',
  oneDoor: true,
  floors: [
    ['basics', 'odds'],
    ['comb', 'weather'],
    ['brood', 'glossary', 'handling', 'nest', 'shorthand', 'season'],
    ['rules', 'clock'],
    ['records'],
    ['forecast', 'wintering'],
    ['cells', 'queen-odds'],
    ['followup'],
    ['colony'],
    ['queen-verdict', 'feed', 'work'],
    ['assessment'],
    ['split'],
    ['yardplan', 'callout'],
    ['decide'],
    ['remedies', 'repair', 'formats'],
    ['demo', 'seasonplan'],
  ],
  inside: {
    split: ['base', 'methods', 'plan'],
    yardplan: ['rules', 'problem', 'search', 'model', 'columns', 'bound', 'layout'],
    remedies: ['unit', 'actions'],
    seasonplan: ['year', 'course', 'start', 'search', 'report', 'trial'],
  },
};

export const WEB_MAP: HouseMap = {
  folder: 'web/src',
  oneDoor: false,
  apart: ['features'],
  floors: [
    ['ui', 'workers', 'offline', 'server'],
    ['state'],
    ['mirror'],
    ['drawing'],
    ['shared/*'],
    ['features/*'],
    ['app'],
    ['.'],
  ],
};

/** The room that a file is in, as the map names it; the files beside all rooms are in `.`. */
function roomOf({ folder, floors }: HouseMap, path: string): string {
  const parts = path.slice(folder.length + 1).split('/');
  if (parts.length === 1) return '.';
  const wing = floors.flat().find((room) => room === `${parts[0]}/*`);
  return wing ? `${parts[0]}/${parts[1]}` : (parts[0] as string);
}

const floorOf = ({ floors }: HouseMap, room: string) =>
  floors.findIndex((floor) => floor.some((r) => r === room || r === `${room.split('/')[0]}/*`));

/** What is wrong with the imports of a workspace, each in one line; empty when the map holds. */
export function faultsOf(map: HouseMap, arrows: readonly Arrow[]): string[] {
  const inFolder = arrows.filter((a) => a.to.startsWith(`${map.folder}/`));
  const between = inFolder.flatMap((arrow) => {
    const from = roomOf(map, arrow.from);
    const to = roomOf(map, arrow.to);
    return from === to ? [] : [{ ...arrow, room: from, target: to }];
  });
  const unknown = [...new Set(between.flatMap((a) => [a.room, a.target]))].filter(
    (room) => floorOf(map, room) < 0,
  );
  return [
    ...unknown.map((room) => `${room} is on no floor: put it on the map in scripts/structure/floors.ts`),
    ...between.flatMap(({ from, to, room, target }) =>
      floorOf(map, room) >= 0 && floorOf(map, target) > floorOf(map, room)
        ? [`${from} imports ${to}: ${target} is above ${room}`]
        : [],
    ),
    ...circlesOf(between.map((a) => [a.room, a.target])).map(
      (circle) => `rooms that import each other: ${circle.join(' → ')}`,
    ),
    ...between.flatMap(({ from, to, room, target }) =>
      (map.apart ?? []).some((wing) => room.startsWith(`${wing}/`) && target.startsWith(`${wing}/`))
        ? [`${from} imports ${to}: ${room} and ${target} are apart; what they share has a room of its own`]
        : [],
    ),
    ...(map.oneDoor
      ? between.flatMap(({ from, to, target }) =>
          to === `${map.folder}/${target}/index.ts`
            ? []
            : [`${from} imports ${to}: ${target} is entered by its index.ts`],
        )
      : []),
    ...insideFaults(map, inFolder),
  ];
}

function insideFaults({ folder, inside = {} }: HouseMap, arrows: readonly Arrow[]): string[] {
  return Object.entries(inside).flatMap(([room, order]) => {
    const at = `${folder}/${room}/`;
    const rankOf = (path: string) => order.indexOf(path.slice(at.length).split('/')[0] ?? '');
    return arrows
      .filter((a) => a.from.startsWith(at) && a.to.startsWith(at))
      .filter((a) => rankOf(a.from) >= 0 && (rankOf(a.to) < 0 || rankOf(a.to) > rankOf(a.from)))
      .map((a) => `${a.from} imports ${a.to}, which is above it inside of ${room}`);
  });
}

/** The circles among rooms, each once, with its first room again at the end. */
function circlesOf(pairs: readonly (readonly [string, string])[]): string[][] {
  const next = new Map<string, Set<string>>();
  for (const [from, to] of pairs) next.set(from, (next.get(from) ?? new Set()).add(to));
  const circles: string[][] = [];
  const done = new Set<string>();
  const walk = (room: string, trail: readonly string[]): void => {
    const at = trail.indexOf(room);
    if (at >= 0) {
      circles.push([...trail.slice(at), room]);
      return;
    }
    if (done.has(room)) return;
    for (const to of next.get(room) ?? []) walk(to, [...trail, room]);
    done.add(room);
  };
  for (const room of next.keys()) walk(room, []);
  return circles;
}
