import type { EntityManager } from '@mikro-orm/postgresql';
import { unknownOperation } from './unknownOperation.ts';

/**
 * The revision of an operation; `lock` keeps others from changing it until the transaction ends.
 *
 * @throws ProblemError 404 when there is no such operation
 */
export async function revisionOf(em: EntityManager, operationId: string, lock: boolean): Promise<number> {
  const rows: { revision: number }[] = await em
    .getConnection()
    .execute(
      `select revision from operation where id = ?${lock ? ' for update' : ''}`,
      [operationId],
      'all',
      em.getTransactionContext(),
    );
  const [row] = rows;
  if (!row) throw unknownOperation(operationId);
  return row.revision;
}
