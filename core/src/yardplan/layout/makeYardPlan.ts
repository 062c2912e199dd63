import { carriedTo } from '../../colony/index.ts';
import {
  cellsCutBy,
  type CommandOf,
  type Apiary,
  framesInStore,
  type KitLine,
  STORE_KEY,
  workSteps,
  type NucQueen,
  type Parting,
  type Work,
  type WorkBody,
  type WorkEffect,
  type WorkUnit,
} from '../../records/index.ts';
import type { Day } from '../../basics/index.ts';
import { ripeCellEmergence } from '../../followup/index.ts';
import { frameSize } from '../../comb/index.ts';
import { otherSizeCautions, COMMON_CAUTIONS, droneCautions, liftsInWords } from '../../split/index.ts';
import { evaluate, ledgerOf, type Evaluation } from '../search/evaluate.ts';
import { droneFrameOf, isHivedUp, layOutYard, type LaidOut, type Slot } from './layOutYard.ts';
import { AT, type Measured } from '../rules/measures.ts';
import { reasonOfMove, reasonOfShake } from './moveReasons.ts';
import { getsDroneComb } from '../problem/newBoxes.ts';
import { STORE, wholeGoal, type Assignment, type YardProblem, type YardUnit } from '../problem/problem.ts';
import { tidy } from '../rules/unitRule.ts';
import { yardLooks } from './yardLooks.ts';
import { yardSteps } from './yardSteps.ts';

/** Names for nucs by their keys, and what was proven of the plan. */
export interface Finish {
  readonly names: Readonly<Record<string, string>>;
  readonly bound: number | null;
  /** What the plan is called in lists. */
  readonly name: string;
  /** The plan that this takes the place of: what it sets up keeps its identifiers. */
  readonly instead?: Work;
}

/** Turns a plan that was found into one that is kept and worked: slots, steps, kit, looks. */
export function makeYardPlan(
  apiary: Apiary,
  problem: YardProblem,
  plan: Assignment,
  finish: Finish,
  newId: () => string,
): CommandOf<'saveWork'> {
  const seen = evaluate(problem, plan);
  const laid = layOutYard(problem, plan, seen, framesInStore(apiary));
  const ids = idsFor(problem, seen, finish.instead, newId);
  const nameOf = (unit: number) => {
    const u = problem.units[unit];
    return u ? (finish.names[u.key] ?? u.name) : 'the store';
  };
  const keyOf = (unit: number) => problem.units[unit]?.key ?? STORE_KEY;
  const slotOf = (s: Slot | null) => s && { boxId: ids.box(s.boxId), slot: s.slot };
  const made = problem.units.filter((u) => u.kind === 'nuc' && seen.present[u.index]);
  const hived = problem.units.filter(isHivedUp);
  const parentOf = (nuc: YardUnit) => problem.units[mainGiver(problem, plan, nuc)]?.key ?? '';
  // Old queens go with the nuc that takes them; their colonies raise others.
  const leaving = problem.units.flatMap((u) => {
    const leaves =
      u.kind === 'colony' && (u.before[AT.queens] ?? 0) > 0 && (seen.after[u.index]?.[AT.queens] ?? 0) < 0.5;
    const home = leaves && made.find((n) => n.recipe?.queen === 'old-queen' && parentOf(n) === u.key);
    return home ? [{ colonyId: u.key, home: ids.colony(home) }] : [];
  });
  /** What is left of a colony that was broken up goes where its nucs go. */
  const recipeOfUnit = (u: YardUnit) => u.recipe ?? wholeGoal(problem, u)?.recipe;
  const wholes = problem.units.filter((u) => wholeGoal(problem, u) !== undefined);
  const partingOf = (u: YardUnit): Parting | null => {
    if (u.kind === 'nuc')
      return partingOfNuc(u.recipe?.queen ?? 'raises', [parentOf(u), ids.colony(u)], problem.day);
    const home = leaving.find((l) => l.colonyId === u.key)?.home;
    return home === undefined ? null : { queen: 'elsewhere', emergence: null, partIds: [u.key, home] };
  };
  const units = problem.units
    .filter((u) => seen.present[u.index])
    .map((u): WorkUnit => ({
      key: u.key,
      colonyId: ids.colony(u),
      name: nameOf(u.index),
      state: u.kind === 'nuc' ? 'new' : 'stays',
      distance: recipeOfUnit(u)?.distance ?? null,
      ...(recipeOfUnit(u)?.distance === 'away' && {
        toYardId: carriedTo(apiary, u.yardId, recipeOfUnit(u)?.toYardId)?.id,
      }),
      gets: u.recipe?.queen ?? null,
      parted: partingOf(u),
      before: u.kind === 'nuc' ? null : strength(u.before),
      after: strength(seen.after[u.index] as Measured),
    }));
  const steps = yardSteps(problem, plan, seen, laid, nameOf, (id) => apiary.yard[id]?.name ?? '');
  const body: WorkBody = {
    v: 2,
    asked: {
      source: 'yard',
      request: problem.request,
      cost: tidy(seen.cost),
      bound: finish.bound === null ? null : tidy(finish.bound),
      shortfalls: [...seen.shortfalls.map((s) => s.text), ...dronesMissing(problem, laid)],
    },
    countedOn: problem.countedOn,
    units,
    newHives: made.map((u) => ({
      colonyId: ids.colony(u),
      ...ids.hive(u),
      yardId: u.yardId,
      fromColonyId: parentOf(u),
      boxes: [{ from: 'kit', boxId: ids.box(u.boxes[0]?.id ?? ''), sizeId: u.sizeId, slots: u.slots }],
    })),
    newBoxes: hived.flatMap((u) =>
      u.boxes.map((b, storey) => ({
        colonyId: u.key,
        boxId: ids.box(b.id),
        sizeId: b.sizeId,
        slots: b.slots,
        place:
          storey === 0 ? ('in-place' as const) : b.role === 'super' ? ('top' as const) : ('over' as const),
        ...(b.excluderBelow && { excluderBelow: true }),
      })),
    ),
    unions: problem.unions.map(({ fromId, intoId }) => ({ fromId, intoId })),
    emptiedBoxIds: [...laid.emptied],
    moves: laid.moves.map((m) => ({
      frameId: m.frame.id,
      from: slotOf(m.from),
      to: slotOf(m.to),
      fromKey: keyOf(m.fromUnit),
      toKey: keyOf(m.toUnit),
      reason: reasonOfMove(problem, plan, seen, m).slice(0, 400),
    })),
    shakes: problem.frames.flatMap((f, i) => {
      const target = plan.shakenFor[i];
      return typeof target === 'number'
        ? [
            {
              frameId: f.id,
              fromKey: keyOf(f.home),
              toKey: keyOf(target),
              reason: reasonOfShake(problem, seen, i, target),
            },
          ]
        : [];
    }),
    // What is met with room to spare need not be kept: of a large yard that is thousands of lines.
    ledger: ledgerOf(problem, seen).flatMap((l) => l.lines.filter((line) => line.state !== 'met')),
    effects: [
      ...leaving.map(({ colonyId, home }): WorkEffect => ({ kind: 'queen-over', colonyId, intoId: home })),
      ...wholes.flatMap((u): WorkEffect[] =>
        recipeOfUnit(u)?.distance === 'away'
          ? []
          : [{ kind: 'new-stand', colonyId: u.key, standId: ids.stand(u) }],
      ),
      ...cellsCutBy(steps, (key) => key, newId),
    ],
    kit: kitOf(problem, laid, made, hived, wholes),
    cautions: [
      ...COMMON_CAUTIONS,
      ...(made.some((u) => u.recipe?.queen === 'raises' || u.recipe?.queen === 'cell')
        ? droneCautions(problem.frames)
        : []),
      ...otherSizeCautions(problem.frames.filter((f) => laid.moves.some((m) => m.index === f.index))),
      liftsInWords(steps) ??
        'Lifting: a full deep box may exceed 35 kg (80 lb). Take frames out, or lift in pairs.',
      ...(made.some((u) => u.recipe?.distance === 'away')
        ? ['Transport: strap, ventilate, shade; open every entrance on arrival.']
        : []),
    ],
    looks: yardLooks(problem, seen, laid, ids.colony, (u) => nameOf(u.index)).map((l) => ({
      id: newId(),
      ...l,
    })),
  };
  const workId = finish.instead?.id ?? newId();
  return {
    type: 'saveWork',
    work: { id: workId, name: finish.name, day: problem.day, status: 'draft', body },
    steps: workSteps(workId, steps, newId),
  };
}

/** Real identifiers for what is only named so far. */
function idsFor(problem: YardProblem, seen: Evaluation, instead: Work | undefined, newId: () => string) {
  const colonies = new Map<string, string>();
  const boxes = new Map<string, string>();
  const old = instead?.body;
  const oldHive = (u: YardUnit) => {
    const colonyId = old?.units.find((o) => o.key === u.key)?.colonyId;
    return old?.newHives.find((h) => h.colonyId === colonyId);
  };
  for (const u of problem.units) {
    if (!seen.present[u.index]) continue;
    const before = oldHive(u);
    if (u.kind === 'nuc') colonies.set(u.key, before?.colonyId ?? newId());
    for (const [at, b] of u.boxes.entries()) {
      if (u.kind === 'nuc') boxes.set(b.id, before?.boxes[0]?.boxId ?? newId());
      else if (isHivedUp(u))
        boxes.set(b.id, old?.newBoxes.filter((n) => n.colonyId === u.key)[at]?.boxId ?? newId());
    }
  }
  return {
    colony: (u: YardUnit) => colonies.get(u.key) ?? u.key,
    box: (key: string) => boxes.get(key) ?? key,
    stand(u: YardUnit) {
      const before = (old?.effects ?? []).flatMap((e) =>
        e.kind === 'new-stand' && e.colonyId === u.key ? [e.standId] : [],
      );
      return before[0] ?? newId();
    },
    hive(u: YardUnit) {
      const before = oldHive(u);
      return { hiveId: before?.hiveId ?? newId(), standId: before?.standId ?? newId() };
    },
  };
}

/** What is known of the old queen in a nuc, by how it comes by its own. */
const partingOfNuc = (queen: NucQueen, partIds: string[], day: Day): Parting => ({
  queen: queen === 'raises' || queen === 'cell' ? 'elsewhere' : 'here',
  emergence: queen === 'cell' ? { window: ripeCellEmergence(day), anchor: 'work' } : null,
  partIds,
});

function mainGiver(problem: YardProblem, plan: Assignment, nuc: YardUnit): number {
  const brood = new Map<number, number>();
  problem.frames.forEach((f, i) => {
    if (plan.to[i] === nuc.index && f.home !== STORE) {
      // Where the old queen goes along, it is her colony that is split.
      brood.set(f.home, (brood.get(f.home) ?? 0) + f.brood + 0.01 + (f.hasQueen ? 100 : 0));
    }
  });
  const [most] = [...brood].toSorted((a, b) => b[1] - a[1] || a[0] - b[0]);
  return most?.[0] ?? STORE;
}

const strength = (m: Measured) => ({
  frames: tidy(m[AT.frames] ?? 0),
  bees: tidy(m[AT.bees] ?? 0),
  brood: tidy(m[AT.brood] ?? 0),
  capped: tidy(m[AT.capped] ?? 0),
  stores: tidy(m[AT.stores] ?? 0),
});

/** The store has no frame for the drones that were wished. */
const dronesMissing = ({ units, request }: YardProblem, laid: LaidOut): string[] =>
  units
    .filter((u) => getsDroneComb(request, u.key) && !droneFrameOf(laid, u.index))
    .map(
      (u) =>
        `${u.name}, drone comb: the store has no frame of its size. Bring one, and hang it in the free slot.`,
    );

/** Combs go from one colony to another. */
const between = ({ moves }: LaidOut, { units }: YardProblem): boolean =>
  moves.some((m) => m.fromUnit !== STORE && m.fromUnit !== m.toUnit && units[m.toUnit]?.kind === 'colony');

/** What has to fit the frames of the hives. */
const FITS_FRAMES = /^(box|nuc box|frames|dummy board)/;

function kitOf(
  problem: YardProblem,
  laid: LaidOut,
  made: readonly YardUnit[],
  hived: readonly YardUnit[],
  wholes: readonly YardUnit[],
): KitLine[] {
  const kit: KitLine[] = [];
  const bring = (what: string, count: number, shortBy: number | null = null) => {
    const [size] = new Set(problem.units.map((u) => u.sizeId));
    const fits = FITS_FRAMES.test(what) && size ? { size: frameSize(size).name } : {};
    if (count > 0) kit.push({ what, count, shortBy, ...fits });
  };
  for (const slots of [...new Set(made.map((u) => u.slots))].toSorted((a, b) => a - b)) {
    bring(`nuc box, ${slots} frames, with floor and lid`, made.filter((u) => u.slots === slots).length);
  }
  for (const u of hived) {
    const what = wholes.includes(u) ? `nuc box, ${u.slots} frames` : `box of ${u.slots}`;
    bring(`${what}, with floor, inner cover and roof`, 1);
    for (const b of u.boxes.slice(1))
      bring(`box of ${b.slots}${b.role === 'super' ? ', as a super' : ''}`, 1);
  }
  bring('queen excluder', hived.flatMap((u) => u.boxes).filter((b) => b.excluderBelow).length);
  bring('stand', made.length + wholes.length);
  bring('entrance block', made.length + hived.length);
  bring('hive tag', made.length);
  bring('queen cage or clip', made.length > 0 ? 1 : 0);
  bring('ripe queen cell', made.filter((u) => u.recipe?.queen === 'cell').length);
  bring('mated queen in her cage', made.filter((u) => u.recipe?.queen === 'mated').length);
  bring('feeder', made.length + hived.length);
  bring('sheet of newspaper', problem.unions.length);
  bring('dummy board', laid.unfilled.filter((n) => n > 0).length);
  const away = [...made, ...wholes].filter(
    (u) => (u.recipe ?? wholeGoal(problem, u)?.recipe)?.distance === 'away',
  ).length;
  bring('strap', away);
  bring('tape or foam for the entrance', away);
  bring('carrying box for combs, with a lid', between(laid, problem) ? 1 : 0);
  const store = laid.moves.filter((m) => m.fromUnit === STORE);
  bring('frame of drawn comb from the store', store.filter((m) => m.frame.drawn > 0.5).length, 0);
  bring('frame of foundation from the store', store.filter((m) => m.frame.drawn <= 0.5).length, 0);
  const unfilled = laid.unfilled.reduce((a, b) => a + b, 0);
  bring('frame for a free slot', unfilled, unfilled);
  return kit;
}
