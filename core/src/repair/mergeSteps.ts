import type { StepTask, WorkReport, WorkStep } from '../records/index.ts';

/** What tells a step from others: what is done, at which units, with which frames. Never its words. */
const kindOfStep = ({ kind, task, unitKeys, frameIds }: WorkStep): string =>
  [kind, task ?? '', unitKeys.toSorted().join(), frameIds.toSorted().join()].join('|');

/** The same for a list: of several that are alike, the first is the first. */
function marksOf(steps: readonly WorkStep[]): ReadonlyMap<WorkStep, string> {
  const seen = new Map<string, number>();
  return new Map(
    steps.map((s) => {
      const kind = kindOfStep(s);
      const n = seen.get(kind) ?? 0;
      seen.set(kind, n + 1);
      return [s, `${kind}#${n}`];
    }),
  );
}

/**
 * The steps of work that was planned anew while it was under way: what was done stays as it was done, then comes
 * what is left of the new steps. A hive that was closed is opened again where something is left to do in it.
 *
 * @param settled - frames that need no step any more
 */
export function mergeSteps(
  done: readonly WorkStep[],
  anew: readonly WorkStep[],
  settled: ReadonlySet<string>,
  left: readonly WorkStep[] = [],
): WorkStep[] {
  const marks = marksOf(anew);
  const doneMarks = new Set(marksOf(done).values());
  const markOf = (s: WorkStep) => marks.get(s) ?? '';
  const isDone = (s: WorkStep) =>
    (s.frameIds.length > 0 && s.frameIds.every((f) => settled.has(f))) || doneMarks.has(markOf(s));
  const open = anew.map((s) => !isDone(s));
  // From each opening to its closing: all of it is done, or it is opened and closed once more.
  let from = -1;
  anew.forEach((s, i) => {
    if (s.kind === 'open') from = i;
    if (s.kind !== 'close' || from < 0) return;
    const isLeft = open.slice(from + 1, i).includes(true);
    const wasClosed = open[i] === false;
    if (isLeft && wasClosed) {
      open[i] = true;
      open[from] = true;
    }
    from = -1;
  });
  // Steps that are the same keep their identifier. What was done before them counts, so that the second stays the second.
  const before = marksOf([...done, ...left]);
  const idsLeft = new Map(left.map((s) => [before.get(s), s.id]));
  const kept = anew
    .filter((_, i) => open[i])
    .map((s) => {
      const id = idsLeft.get(markOf(s));
      return id === undefined ? s : { ...s, id };
    });
  return [...done, ...kept].map((s, order) => ({ ...s, order }));
}

const TASK_OF_REPORT: Partial<Record<WorkReport['what'], StepTask>> = {
  'frame-went': 'carry',
  'queen-found': 'find-queen',
  'cell-reserved': 'keep-cell',
};

/** What was told, as a step that is done. */
export interface Told {
  readonly id: string;
  readonly day: string;
  readonly words: string;
  readonly report: WorkReport;
  readonly unitKeys: readonly string[];
}

/**
 * The done steps with a report among them: the step that was about its frame tells what was really done, or the
 * report is a step of its own.
 */
export function withReport(workId: string, steps: readonly WorkStep[], told: Told): WorkStep[] {
  const { id, report, words, day, unitKeys } = told;
  const kind = report.what === 'frame-went' || report.what === 'unit-added' ? 'move' : 'find';
  const frameId = 'frameId' in report ? report.frameId : null;
  const about =
    kind === 'move'
      ? steps.find((s) => s.kind === 'move' && s.task !== 'aside' && s.frameIds.join() === frameId)
      : undefined;
  const line: WorkStep = {
    id: about?.id ?? id,
    workId,
    order: 0,
    kind,
    task: TASK_OF_REPORT[report.what] ?? 'told',
    text: words,
    detail: about ? `Planned: ${about.text}`.slice(0, 800) : '',
    doneOn: day,
    unitKeys: [...unitKeys],
    frameIds: frameId === null ? [] : [frameId],
  };
  const done = steps.filter((s) => s.doneOn !== null);
  return done.some((s) => s.id === line.id)
    ? done.map((s) => (s.id === line.id ? line : s))
    : [...done, line];
}
