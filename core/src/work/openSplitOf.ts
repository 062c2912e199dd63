import { isOpenWork, type Apiary, type Work } from '../records/index.ts';

/** The split of a colony that is planned or under way; there is one at most. */
export function openSplitOf(apiary: Pick<Apiary, 'work'>, colonyId: string): Work | undefined {
  return Object.values(apiary.work).find(
    ({ status, body: { asked } }) =>
      isOpenWork({ status }) && asked.source === 'split' && asked.colonyId === colonyId,
  );
}
