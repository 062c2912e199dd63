import { addDays, type Day } from '@incremen/core/basics';
import { flowsByScale } from '@incremen/core/forecast';
import type { ScaleHour } from '@incremen/core/weather';
import type { MikroORM } from '@mikro-orm/postgresql';
import { v5 as uuidOf } from 'uuid';
import type { OperationStore } from '../operations/OperationStore.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import { hoursFrom } from './measurements.ts';

/** So many days of weights tell what a flow brings. */
const DAYS_OF_WEIGHTS = 15;

/**
 * Puts on record what the scales of an operation say about flows, in the journal like all else. What was taken back is
 * not noted again: a command is known by what it says.
 */
export async function noteFlowsByScale(
  orm: MikroORM,
  store: OperationStore,
  operationId: string,
  day: Day,
): Promise<void> {
  const hours = await hoursFrom<ScaleHour>(
    orm.em.fork(),
    operationId,
    'scale',
    addDays(day, -DAYS_OF_WEIGHTS),
    day,
  );
  const { apiary } = await store.present(operationId);
  const said = flowsByScale(
    apiary,
    hours.map((h) => h.hour),
    day,
  );
  for (const command of said) {
    const id = uuidOf(JSON.stringify(command), operationId);
    await store
      .run(operationId, { id, madeAt: new Date().toISOString(), command })
      .catch((error: unknown) => {
        // The records have moved on meanwhile, or this was said before with other words: the next weights tell again.
        if (!(error instanceof ProblemError)) throw error;
      });
  }
}
