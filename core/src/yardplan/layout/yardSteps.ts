import { STORE_KEY, type StepDraft } from '../../records/index.ts';
import { inWords } from '../../split/index.ts';
import type { Evaluation } from '../search/evaluate.ts';
import { isHivedUp, type LaidMove, type LaidOut } from './layOutYard.ts';
import { AT } from '../rules/measures.ts';
import { STORE, type Assignment, type YardProblem, type YardUnit } from '../problem/problem.ts';
import { capital, listInWords } from '../../basics/index.ts';
import { boxOf, slidesInWords, slotsInWords } from './stepPlaces.ts';

/** Names of the units that are there afterwards, by index: nucs are called what the beekeeper calls them. */
export type NameOf = (unit: number) => string;

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
  const steps = problem.request.yardIds.map((yardId) => ({
    yardId,
    own: stepsInYard(problem, plan, seen, laid, nameOf, yardId),
  }));
  const busy = steps.filter((s) => s.own.length > 0);
  if (busy.length === 0) {
    return [{ kind: 'check', text: 'Nothing is to be done', detail: 'What was wished is there already.' }];
  }
  return busy.flatMap(({ yardId, own }, i) => [
    ...(busy.length > 1 ? [routeStep(yardName(yardId), own, i)] : []),
    ...own,
    {
      kind: 'check' as const,
      text:
        busy.length > 1
          ? `${yardName(yardId)}: every entrance is open again, every lid is on`
          : 'Every entrance is open again, every lid is on',
      detail: 'A shut entrance suffocates a nuc within hours.',
    },
  ]);
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
    steps.push({
      kind: 'prepare',
      units: [u.key],
      text: `Set the box of ${u.slots} on the stand of ${nameOf(u.index)}`,
      detail:
        'The nuc box stands beside it; one that was bought rests there for some hours first. A warm hour of the day; small entrance.',
    });
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
  for (const g of givers.toSorted(order)) {
    steps.push(...stepsAt(problem, plan, laid, g, nameOf));
  }
  for (const u of units.filter((v) => isHivedUp(v) && !givers.includes(v))) {
    steps.push(...stepsAt(problem, plan, laid, u, nameOf));
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

function prepareNuc(nuc: YardUnit, name: string): StepDraft {
  const away = nuc.recipe?.distance === 'away';
  return {
    kind: 'prepare',
    units: [nuc.key],
    text: `Set out a ${nuc.slots}-frame box for ${name}`,
    detail: away
      ? 'In the shade, entrance shut, with air. It is carried beyond 3 km this evening.'
      : 'On its own stand, away from the givers, entrance shut with grass, shade.',
  };
}

function stepsAt(
  problem: YardProblem,
  plan: Assignment,
  laid: LaidOut,
  unit: YardUnit,
  nameOf: NameOf,
): StepDraft[] {
  const name = nameOf(unit.index);
  const leaving = laid.moves.filter((m) => m.fromUnit === unit.index && m.toUnit !== unit.index);
  const shakes = problem.frames.flatMap((f, i) => {
    const target = plan.shakenFor[i];
    return f.home === unit.index && typeof target === 'number' ? [{ frame: f, target }] : [];
  });
  const arriving = laid.moves.filter((m) => m.toUnit === unit.index && m.fromUnit !== unit.index);
  const within = laid.moves.filter((m) => m.fromUnit === unit.index && m.toUnit === unit.index);
  const withBees = leaving.filter((m) => problem.units[m.toUnit]?.kind === 'nuc');
  const bare = leaving.filter((m) => !withBees.includes(m));
  const queenFrame = problem.frames.find((f) => f.home === unit.index && f.hasQueen);
  const queenGoes = queenFrame && plan.to[queenFrame.index] !== unit.index;
  const steps: StepDraft[] = [
    {
      kind: 'open',
      units: [unit.key],
      text: `Open ${name}`,
      detail: 'Little smoke. Begin at an outer frame.',
    },
  ];
  if (!queenGoes && (withBees.length > 0 || shakes.length > 0)) {
    steps.push({
      kind: 'find',
      task: 'find-queen',
      units: [unit.key],
      text: queenFrame
        ? `Find the queen of ${name}; she was on ${short(queenFrame.label, unit.name)}`
        : `Make sure where the queen of ${name} is`,
      detail:
        'Cage her or set her frame aside. Not found in ten minutes: read each frame on both sides before it goes, and shake none that you are not sure of.',
    });
  }
  if (!queenGoes && withBees.length > 0) steps.push(...cellsBesideQueen(problem, plan, unit, name));
  const step = (m: LaidMove, how: string) => moveStep(m, unit, problem.units[m.toUnit], nameOf, how);
  for (const m of withBees) steps.push(step(m, 'Bees stay on it.'));
  for (const m of bare) {
    steps.push(step(m, 'Shake or brush its bees off here first: no queen travels, no bees fight.'));
  }
  for (const s of shakes) {
    const colony = problem.units[s.target]?.kind === 'colony';
    steps.push({
      kind: 'shake',
      units: [unit.key, problem.units[s.target]?.key ?? STORE_KEY],
      text: `Shake the bees of ${short(s.frame.label, unit.name)} into ${colony ? `a box for ${nameOf(s.target)}` : nameOf(s.target)}`,
      detail: colony
        ? 'In the shade for 5 to 10 minutes, so that field bees fly home; then pour the nurses before its entrance.'
        : 'Nurses off open brood. Then hang the frame back.',
      frameIds: [s.frame.id],
    });
  }
  if (within.length > 0 && !isHivedUp(unit)) {
    steps.push({
      kind: 'move',
      task: 'slide',
      units: [unit.key],
      text: `Push ${name} together: ${within.length === 1 ? 'one frame slides' : `${within.length} frames slide`}`,
      detail: slidesInWords(within, unit),
      frameIds: within.map((m) => m.frame.id),
    });
  }
  if (isHivedUp(unit)) {
    steps.push({
      kind: 'move',
      units: [unit.key],
      text: `Hang the ${within.length} frames of ${name} into the new box, in the same order`,
      detail: within
        .map((m) => `Frame ${m.from?.slot ?? '?'} → slot ${m.to?.slot ?? '?'}`)
        .join('; ')
        .slice(0, 1500),
      frameIds: within.map((m) => m.frame.id),
    });
  }
  const emptied = unit.boxes.filter((b) => laid.emptied.includes(b.id));
  if (emptied.length > 0) {
    steps.push({
      kind: 'lift',
      units: [unit.key],
      text: `Take ${listInWords(emptied.map((b) => `the ${b.name}`))} off ${name}: no frame is left in it`,
      detail:
        'Look for the queen on its walls first. It goes to the store; the inner cover goes on what stays.',
    });
  }
  const fromStore = arriving.filter((m) => m.fromUnit === STORE);
  if (fromStore.length > 0) steps.push(fillStep(fromStore, unit, name));
  steps.push({
    kind: 'close',
    units: [unit.key],
    text: `Close ${name}`,
    detail: queenGoes
      ? 'It raises a queen now: leave it its eggs or its best cells, and tag it.'
      : isHivedUp(unit)
        ? 'Shake or tap in the stragglers. Small entrance, feed 1:1 this evening.'
        : '',
  });
  return steps;
}

/** What is to be done about live queen cells where the queen stays: a colony that raises one takes no part in plans. */
function cellsBesideQueen(problem: YardProblem, plan: Assignment, unit: YardUnit, name: string): StepDraft[] {
  const frames = problem.frames.filter((f) => plan.to[f.index] === unit.index && f.liveCells > 0);
  if (frames.length === 0) return [];
  return [
    {
      kind: 'check',
      task: 'cut-cells',
      units: [unit.key],
      text: `Take the queen cells out of ${name}, where the queen stays`,
      detail: `${capital(frames.map((f) => short(f.label, unit.name)).join('; '))}. Beside a queen that stays they end in a swarm: cut out the best with a margin of comb for a nuc that raises, break the others, and look at the frames beside. Only one or two, in the middle of a comb, may be there to replace her: then leave them.`,
      frameIds: frames.map((f) => f.id),
    },
  ];
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
      text: `Carry ${name} beyond 3 km`,
      detail: 'Strapped, with air, in the shade.',
    });
  }
  if (stores < problem.rules.minStoresNoField + 0.25 || problem.request.season === 'dearth') {
    steps.push({
      kind: 'check',
      units: [nuc.key],
      text: `Feed ${name} this evening, inside`,
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

function moveStep(
  m: LaidMove,
  unit: YardUnit,
  target: YardUnit | undefined,
  nameOf: NameOf,
  how: string,
): StepDraft {
  const to = target ? nameOf(target.index) : 'the store';
  const where = m.to && target ? `, ${boxOf(target, m.to)}slot ${m.to.slot}` : '';
  return {
    kind: 'move',
    task: 'carry',
    units: [unit.key, target?.key ?? STORE_KEY],
    text: `${capital(short(m.frame.label, unit.name))} → ${to}${where}`,
    detail: `${capital(inWords(m.frame))}. ${how}`,
    frameIds: [m.frame.id],
  };
}

function fillStep(moves: readonly LaidMove[], unit: YardUnit, name: string): StepDraft {
  const drawn = moves.filter((m) => m.frame.drawn > 0.5).length;
  const rest = moves.length - drawn;
  const parts = [...(drawn > 0 ? [`${drawn} drawn`] : []), ...(rest > 0 ? [`${rest} foundation`] : [])];
  return {
    kind: 'fill',
    units: [unit.key],
    text: `Fill ${name} from the store: ${parts.join(', ')}`,
    detail: slotsInWords(moves, unit),
    frameIds: moves.map((m) => m.frame.id),
  };
}

/** "Tansy, lower box, frame 4" at Tansy is "lower box, frame 4". */
const short = (label: string, unitName: string) =>
  label.startsWith(`${unitName}, `) ? label.slice(unitName.length + 2) : label;
