import type { Operation } from '@incremen/core/records';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { insertRecords } from '../db/apiaryRows.ts';
import { OperationEntity } from '../db/entities.ts';
import { revisionOf } from '../operations/revisionOf.ts';
import { ProblemError } from '../problems/ProblemError.ts';

/** What came of taking a file in. */
export interface Restored {
  readonly operationId: string;
  /** Photos whose pictures are neither in the file nor here. */
  readonly picturesMissing: number;
}

/**
 * Puts an operation in the place of the one given, or beside all others when none is given: all or nothing.
 * Pictures that are here and that the file speaks of without bringing them stay.
 *
 * @param fill - writes all that belongs to the operation except its own row
 * @throws ProblemError 409 when the operation is here and is not the one to be replaced
 */
export async function replaceOperation(
  orm: MikroORM,
  operation: Operation,
  replace: string | null,
  fill: (em: EntityManager) => Promise<void>,
): Promise<Restored> {
  const replaced = orm.em.fork().transactional(async (em) => {
    const there = await em.findOne(OperationEntity, { id: operation.id }, { disableIdentityMap: true });
    if (there && operation.id !== replace) {
      throw new ProblemError(409, 'operation-exists', 'The operation of this file is here already.', [
        {
          code: 'operation-exists',
          path: ['records', 'operation', 0, 'id'],
          message: `${there.name} is here already.`,
          remedy: 'Open it and import there, which replaces it.',
        },
      ]);
    }
    const run = (sql: string, parameters: readonly unknown[]): Promise<{ n: string }[]> =>
      em.getConnection().execute(sql, [...parameters], 'all', em.getTransactionContext());
    const revision = replace === null ? 0 : (await revisionOf(em, replace, true)) + 1;
    await run(
      'create temporary table kept_picture on commit drop as select * from photo_content where operation_id = ?',
      [replace],
    );
    if (replace !== null) await em.nativeDelete(OperationEntity, { id: replace });
    await insertRecords(em, operation.id, 'operation', [operation]);
    await em.nativeUpdate(OperationEntity, { id: operation.id }, { revision });
    await fill(em);
    await run(
      `insert into photo_content (id, operation_id, media_type, content)
       select k.id, ?, k.media_type, k.content from kept_picture k join photo p on p.id = k.id
       where p.operation_id = ? and not exists (select from photo_content c where c.id = k.id)`,
      [operation.id, operation.id],
    );
    const [missing] = await run(
      `select count(*) as n from photo p where p.operation_id = ?
       and not exists (select from photo_content c where c.id = p.id)`,
      [operation.id],
    );
    return { operationId: operation.id, picturesMissing: Number(missing?.n ?? 0) };
  });
  return replaced.catch((error: unknown) => {
    throw asRefusal(error);
  });
}

/** What the database finds wrong with the rows of a file, by its own codes for it. */
const REFUSALS: Readonly<Record<string, string>> = {
  '23505': 'Something stands in it twice, or belongs to another operation here.',
  '23503': 'Something in it refers to what is not in it.',
  '22P05': 'A text in it holds the character U+0000.',
};

function asRefusal(error: unknown): unknown {
  const { code, detail } = error as { code?: string; detail?: string };
  const message = REFUSALS[code ?? ''];
  if (message === undefined) return error;
  return new ProblemError(422, 'unsound-file', 'This file cannot be taken in. Nothing was changed.', [
    {
      code: 'bundle-unsound',
      path: ['records'],
      message: `${message} ${detail ?? ''}`.trim(),
      remedy: 'Make the backup again; if the file was edited by hand, correct this place.',
    },
  ]);
}
