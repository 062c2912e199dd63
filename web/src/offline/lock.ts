/** Lines of work in this page, for browsers without locks. */
const lines = new Map<string, Promise<unknown>>();

/** Does work while no other tab of this browser, and nothing else in this one, does work of that name. */
export async function alone<T>(name: string, work: () => Promise<T>): Promise<T> {
  const { locks } = navigator as { locks?: LockManager | null };
  if (locks) return (await locks.request(`incremen.${name}`, work)) as T;
  const before = lines.get(name) ?? Promise.resolve();
  const mine = before.then(work, work);
  lines.set(
    name,
    mine.catch(() => undefined),
  );
  return mine;
}
