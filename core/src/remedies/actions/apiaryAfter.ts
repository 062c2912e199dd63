import { carryOutWork, Draft } from '../../decide/index.ts';
import { type Apiary, type Work, framesOfColony } from '../../records/index.ts';

/** The apiary as it will be when work is done: for a picture of it beforehand. */
export function apiaryAfter(apiary: Apiary, work: Work): Apiary {
  const draft = new Draft(apiary);
  draft.put('work', work);
  carryOutWork(draft, work, work.day, []);
  // Where a queen was seen that is taken out, nobody will see her.
  for (const effect of work.body.effects) {
    const colony = effect.kind === 'queen-out' ? apiary.colony[effect.colonyId] : undefined;
    for (const { frame } of colony ? framesOfColony(apiary, colony) : []) {
      const seen = draft.apiary.reading[frame.readingId ?? ''];
      if (seen?.body.queenSeen) draft.put('reading', { ...seen, body: { ...seen.body, queenSeen: false } });
    }
  }
  return draft.apiary;
}
