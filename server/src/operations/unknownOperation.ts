import type { EntityManager } from '@mikro-orm/postgresql';
import { OperationEntity } from '../db/entities.ts';
import { ProblemError } from '../problems/ProblemError.ts';

/** What is answered when an address holds the id of no operation. */
export function unknownOperation(operationId: string): ProblemError {
  return new ProblemError(404, 'unknown-operation', 'There is no such operation.', [
    {
      code: 'unknown-operation',
      path: [],
      message: `No operation has the id ${operationId}.`,
      remedy: 'Reload the list of operations.',
    },
  ]);
}

/** @throws ProblemError 404 when there is no such operation */
export async function needOperation(em: EntityManager, operationId: string): Promise<void> {
  if ((await em.count(OperationEntity, { id: operationId })) === 0) throw unknownOperation(operationId);
}
