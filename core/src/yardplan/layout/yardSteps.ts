import { listInWords } from '../../basics/index.ts';
import type { StepDraft } from '../../records/index.ts';
import { inWords } from '../../split/index.ts';
import type { Evaluation } from '../search/evaluate.ts';
import { fillStep, hiveVisit, type HiveVisit, type NameOf } from './hiveVisit.ts';
import { isHivedUp, type LaidOut } from './layOutYard.ts';
import { AT } from '../rules/measures.ts';
import { STORE, wholeGoal, type Assignment, type YardProblem, type YardUnit } from '../problem/problem.ts';

/**
 * The work at the hives, one step after the other, yard by yard: boxes ready, then hive by hive what comes out of
 * it, then what each unit that was filled still needs. Givers come before the units that they fill, so that a frame
 * is lifted once.
 */
export function yardSteps(
  problem: YardProblem,
  plan: Assignment,
  seen: Evaluation,
  laid: LaidOut,
  nameOf: NameOf,
  yardName: (yardId: string) => string,
): StepDraft[] {
  const round: Round = { opened: new Set(), waiting: [] };
  const steps = problem.request.yardIds.map((yardId) => ({
    yardId,
    own: stepsInYard(problem, plan, seen, laid, nameOf, yardId, round),
  }));
  // A hive that gets combs from a yard that is visited later is built up on the way back.
  for (const yardId of problem.request.yardIds) {
    const own = round.waiting
      .filter((v) => problem.units[v.unit]?.yardId === yardId)
      .flatMap((v) => v.finish);
    if (own.length > 0) steps.push({ yardId, own });
  }
  const busy = steps.filter((s) => s.own.length > 0);
  if (busy.length === 0) {
    return [{ kind: 'check', text: 'Nothing is to be done', detail: 'What was wished is there already.' }];
  }
  return busy.flatMap(({ yardId, own }, i) => [
    ...(busy.length > 1 ? [routeStep(yardName(yardId), own, i)] : []),
    ...own,
    {
      kind: 'check' as const,
      text: `${busy.length > 1 ? `${yardName(yardId)}: every` : 'Every'} entrance is open again, every lid is on${shutOnes(problem, seen, nameOf, yardId)}`,
      detail: 'A shut entrance suffocates a nuc within hours.',
    },
  ]);
}

/** Who is carried away in the evening stays shut until then. */
function shutOnes(problem: YardProblem, seen: Evaluation, nameOf: NameOf, yardId: string): string {
  const names = problem.units
    .filter((u) => u.yardId === yardId && u.recipe?.distance === 'away' && seen.present[u.index])
    .map((u) => nameOf(u.index));
  return names.length === 0 ? '' : `; ${listInWords(names)} shut, with air, until dusk`;
}

/** What was done on the way through the yards. */
interface Round {
  /** Hives from which everything has been taken that leaves them. */
  readonly opened: Set<number>;
  /** Hives that stand open, covered, until they have what they get. */
  waiting: HiveVisit[];
}

function routeStep(name: string, own: readonly StepDraft[], at: number): StepDraft {
  const hives = own.filter((s) => s.kind === 'open').length;
  return {
    kind: 'prepare',
    text: at === 0 ? `Begin at ${name}` : `Go on to ${name}`,
    detail: `${hives} ${hives === 1 ? 'hive' : 'hives'} to open. ${at === 0 ? 'Load for all yards before you leave.' : 'Straps, lids and entrances checked before you drive; tools and gloves cleaned between yards.'}`,
  };
}

function stepsInYard(
  problem: YardProblem,
  plan: Assignment,
  seen: Evaluation,
  laid: LaidOut,
  nameOf: NameOf,
  yardId: string,
  round: Round,
): StepDraft[] {
  const steps: StepDraft[] = [];
  const units = problem.units.filter((u) => u.yardId === yardId);
  const made = units.filter((u) => u.kind === 'nuc' && seen.present[u.index]);
  for (const u of problem.unions) {
    const into = problem.units[indexOf(problem, u.intoId)];
    if (into?.yardId !== yardId) continue;
    steps.push({
      kind: 'lift',
      units: [u.fromId, u.intoId],
      text: `Set ${u.fromName} on ${nameOf(into.index)} over one sheet of paper`,
      detail:
        'At dusk, when all are at home. Choose the better queen and take the other out first. Paper unless one side is queenless and there is flow.',
    });
  }
  for (const n of made) steps.push(prepareNuc(n, nameOf(n.index)));
  for (const u of units.filter(isHivedUp)) {
    steps.push(
      wholeGoal(problem, u)
        ? {
            kind: 'prepare',
            units: [u.key],
            text: `Set out a ${u.slots}-frame box for the old queen of ${nameOf(u.index)}, an excluder between floor and box`,
            detail:
              'Midday, while many are out: all boxes stand round the old stand until dusk and share its bees.',
          }
        : {
            kind: 'prepare',
            units: [u.key],
            text: `Set the box of ${u.boxes[0]?.slots ?? u.slots} on the stand of ${nameOf(u.index)}`,
            detail:
              'The nuc box stands beside it; one that was bought rests there for some hours first. A warm hour of the day; small entrance.',
          },
    );
  }
  const touched = units.filter((u) => u.kind === 'colony' && (seen.after[u.index]?.[AT.touched] ?? 0) > 0);
  // Who only gets nurses is not opened: they walk in.
  const getsBeesOnly = (u: YardUnit) =>
    plan.shakenFor.includes(u.index) &&
    !laid.moves.some((m) => m.fromUnit === u.index || m.toUnit === u.index) &&
    !plan.shakenFor.some((s, i) => s !== null && problem.frames[i]?.home === u.index);
  const givers = touched.filter((u) => !getsBeesOnly(u));
  // Those from which frames leave come first; then those that only receive.
  const out = (u: YardUnit) =>
    laid.moves.filter((m) => m.fromUnit === u.index && m.toUnit !== u.index).length +
    plan.shakenFor.filter((s, i) => s !== null && problem.frames[i]?.home === u.index).length;
  // A hive with cells cannot wait: it is the first, while nothing has delayed the day yet.
  const cells = (u: YardUnit) => problem.frames.some((f) => f.home === u.index && f.liveCells > 0);
  const order = (a: YardUnit, b: YardUnit) =>
    Number(cells(b)) - Number(cells(a)) || out(b) - out(a) || a.index - b.index;
  const hived = units.filter((v) => isHivedUp(v) && !givers.includes(v));
  for (const u of [...givers.toSorted(order), ...hived]) {
    const visit = hiveVisit(problem, plan, laid, u, nameOf);
    steps.push(...visit.out);
    round.opened.add(u.index);
    round.waiting.push(visit);
    const isReady = (v: HiveVisit) => [...v.givers].every((g) => round.opened.has(g));
    if (!isReady(visit)) steps.push(coverStep(u, nameOf(u.index)));
    steps.push(...round.waiting.filter(isReady).flatMap((v) => v.finish));
    round.waiting = round.waiting.filter((v) => !isReady(v));
  }
  for (const u of touched.filter(getsBeesOnly)) {
    steps.push({
      kind: 'check',
      units: [u.key],
      text: `Pour the nurse bees before the entrance of ${nameOf(u.index)}`,
      detail: 'When the field bees among them have flown home, 5 to 10 minutes after the last was shaken.',
    });
  }
  for (const n of made) steps.push(...finishNuc(problem, seen, laid, n, nameOf(n.index)));
  return steps;
}

const indexOf = (problem: YardProblem, key: string) => problem.units.findIndex((u) => u.key === key);

const coverStep = (u: YardUnit, name: string): StepDraft => ({
  kind: 'check',
  units: [u.key],
  text: `Cover ${name} with a cloth; it is built up when what it gets has come`,
  detail: 'No comb stands open to robbers, and no brood cools out.',
});

function prepareNuc(nuc: YardUnit, name: string): StepDraft {
  const away = nuc.recipe?.distance === 'away';
  return {
    kind: 'prepare',
    units: [nuc.key],
    text: `Set out a ${nuc.slots}-frame box for ${name}`,
    detail: away
      ? 'In the shade, entrance shut, with air. It is carried beyond 3 km (2 miles) this evening.'
      : nuc.wholeOf !== null
        ? 'Close to the old stand, entrance open: it is carried to its place at dusk, with the bees that come home to it.'
        : 'On its own stand, away from the donors, entrance shut with grass, shade.',
  };
}

function finishNuc(
  problem: YardProblem,
  seen: Evaluation,
  laid: LaidOut,
  nuc: YardUnit,
  name: string,
): StepDraft[] {
  const order = (laid.units[nuc.index] ?? []).toSorted((a, b) => a.slot - b.slot);
  const fromStore = laid.moves.filter((m) => m.toUnit === nuc.index && m.fromUnit === STORE);
  const stores = seen.after[nuc.index]?.[AT.stores] ?? 0;
  const steps: StepDraft[] = [];
  if (fromStore.length > 0) steps.push(fillStep(fromStore, nuc, name));
  steps.push({
    kind: 'check',
    units: [nuc.key],
    text: `${name}: frames in order, brood together, honey outside`,
    detail: order
      .map((l) => `${l.slot}: ${inWords(l.frame)}`)
      .join('; ')
      .slice(0, 1500),
  });
  steps.push({
    kind: 'close',
    units: [nuc.key],
    text: `Close ${name}; entrance to a finger’s width`,
    detail: QUEEN_STEP[nuc.recipe?.queen ?? 'raises'],
  });
  if (nuc.recipe?.distance === 'away') {
    steps.push({
      kind: 'lift',
      units: [nuc.key],
      text: `Strap ${name}, shut its entrance, in the shade and with air`,
      detail: 'It is carried beyond 3 km (2 miles) at dusk, and opened there. Lift in pairs.',
    });
  }
  if (stores < problem.rules.minStoresNoField + 0.25 || problem.request.season === 'dearth') {
    steps.push({
      kind: 'check',
      units: [nuc.key],
      text: `Set a feeder on ${name}: it is fed 1:1 this evening`,
      detail: 'It has no field bees for days. No syrup spilt: robbing kills a nuc in a day.',
    });
  }
  return steps;
}

const QUEEN_STEP = {
  raises: 'It raises its queen from its own eggs. Tag it: date, mother, hands off.',
  cell: 'The cell goes between its brood frames in one to three days, upright, warm, not jarred. Tag it.',
  mated: 'The cage goes beside the brood, candy end up. Look after her release in four to five days. Tag it.',
  'old-queen': 'The old queen is in it. Tag it: her year, the date.',
} as const;
