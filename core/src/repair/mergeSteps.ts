import type { AnyStep } from '../records/index.ts';

/**
 * The steps of work that was planned anew while it was under way: what was done stays as it was done, then comes
 * what is left of the new steps. A hive that was closed is opened again where something is left to do in it.
 *
 * @param settled - frames that need no step any more
 */
export function mergeSteps(
  done: readonly AnyStep[],
  anew: readonly AnyStep[],
  settled: ReadonlySet<string>,
  left: readonly AnyStep[] = [],
): AnyStep[] {
  const isDone = (s: AnyStep) =>
    (s.frameIds.length > 0 && s.frameIds.every((f) => settled.has(f))) ||
    done.some((d) => d.kind === s.kind && d.text === s.text);
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
  // Steps that are the same keep their identifier.
  const kept = anew
    .filter((_, i) => open[i])
    .map((s) => {
      const same = left.find((l) => l.kind === s.kind && l.text === s.text);
      return same ? { ...s, id: same.id } : s;
    });
  return [...done, ...kept].map((s, order) => ({ ...s, order }));
}

/**
 * The done steps with a report among them: the step that was about its frame tells what was really done, or the
 * report is a step of its own.
 */
export function withReport(
  steps: readonly AnyStep[],
  told: Pick<AnyStep, 'id' | 'kind' | 'text'> & { readonly day: string; readonly frameId: string | null },
): AnyStep[] {
  const { id, kind, text, day, frameId } = told;
  const about =
    kind === 'move' ? steps.find((s) => s.kind === 'move' && s.frameIds.join() === frameId) : undefined;
  const line: AnyStep = {
    id: about?.id ?? id,
    order: 0,
    kind,
    text,
    detail: about ? `Planned: ${about.text}`.slice(0, 800) : '',
    doneOn: day,
    frameIds: frameId === null ? [] : [frameId],
  };
  const done = steps.filter((s) => s.doneOn !== null);
  return done.some((s) => s.id === line.id)
    ? done.map((s) => (s.id === line.id ? line : s))
    : [...done, line];
}
