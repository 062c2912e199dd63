import type { CommandEnvelope, CommandResult, JournalPage, OperationSummary } from '@incremen/contract';
import {
  operationOf,
  photosIn,
  type Apiary,
  type Change,
  type Command,
  type Operation,
} from '@incremen/core/records';
import { daysToCome, decide, nearbyOf, summarise, undoChanges } from '@incremen/core/decide';
import {
  addDays,
  failure,
  statusOfProblems,
  type Day,
  type Problem,
  type Result,
} from '@incremen/core/basics';
import type { JournalEntry } from '@incremen/core/formats';
import { createHash } from 'node:crypto';
import { UniqueConstraintViolationException, type EntityManager, type MikroORM } from '@mikro-orm/postgresql';
import PQueue from 'p-queue';
import { writeChanges } from '../db/apiaryRows.ts';
import { JournalEntity, OperationEntity } from '../db/entities.ts';
import { restoreBundle, restoreFile } from '../backup/restore.ts';
import type { Restored } from '../backup/replaceOperation.ts';
import { needPhotos } from '../photos/photoContents.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import { Newsroom } from './news.ts';
import { KeptRecords, type Present } from './KeptRecords.ts';
import { CHANNEL, ProcessWire, type Word } from './processWire.ts';
import { revisionOf } from './revisionOf.ts';

/** One journal row as the database has it. */
interface JournalRow {
  id: string;
  operationId: string;
  seq: number;
  madeAt: Date;
  doneAt: Date;
  type: string;
  summary: string;
  undoneBy: string | null;
  digest: string | null;
  body: JournalEntry['body'];
}

/**
 * The operations in the database and what may be done to them.
 *
 * Commands on one operation happen one after the other: they stand in line, and each locks the operation's row against other
 * processes. The present
 * records are kept in memory with the revision that they belong to and are read again when another process
 * has raised it.
 */
export class OperationStore {
  private readonly orm: MikroORM;
  /** What is told to those who follow an operation. */
  readonly news: Newsroom;
  private readonly wire: ProcessWire;
  private readonly kept = new KeptRecords();
  private readonly lines = new Map<string, PQueue>();
  private readonly now: () => Date;

  constructor(orm: MikroORM, now: () => Date = () => new Date()) {
    this.orm = orm;
    this.now = now;
    this.wire = new ProcessWire(orm.config.get('clientUrl') ?? '', (word) => void this.heard(word));
    this.news = new Newsroom(this.wire);
  }

  /** All operations, by name. */
  async list(): Promise<OperationSummary[]> {
    const rows = await this.orm.em.fork().find(OperationEntity, {}, { disableIdentityMap: true });
    return rows
      .map((r) => ({ id: r.id, name: r.name, revision: r.revision }))
      .toSorted((a, b) => a.name.localeCompare(b.name));
  }

  /** Makes an operation without anything in it. */
  async create(operation: Operation): Promise<void> {
    await this.orm.em.fork().insert(OperationEntity, { ...operation, revision: 0 });
  }

  /** The present records. @throws ProblemError 404 when there is no such operation */
  async present(operationId: string): Promise<Present> {
    const em = this.orm.em.fork();
    const revision = await revisionOf(em, operationId, false);
    return this.kept.presentAt(em, operationId, revision);
  }

  /** Carries a command out, once: sent again, it answers as before and changes nothing. @param by - who asks, by name */
  async run(
    operationId: string,
    envelope: CommandEnvelope,
    by: string | null = null,
  ): Promise<CommandResult> {
    const who = nameOfHands(envelope.hands, by);
    return this.enter(
      operationId,
      envelope,
      envelope.command.type,
      envelope.command,
      who,
      async (apiary, em) => {
        await needPhotos(em, operationId, photosIn(envelope.command));
        const early = daysToCome(envelope.command, this.latestToday(apiary));
        return {
          result: early.length > 0 ? failure(...early) : signed(decide(apiary, envelope.command), who),
          summary: summarise(apiary, envelope.command),
        };
      },
      envelope.command,
    );
  }

  /** The last day that it can be anywhere on earth: the server and its users may live in two time zones. */
  private latestToday(apiary: Apiary): Day {
    return operationOf(apiary).fixedToday ?? addDays(this.now().toISOString().slice(0, 10), 1);
  }

  /** Takes an entry of the journal back, if nothing it touched has changed since. */
  async undo(
    operationId: string,
    request: { id: string; madeAt: string; entryId: string },
    by: string | null = null,
  ): Promise<CommandResult> {
    return this.enter(operationId, request, 'undo', request.entryId, by, async (apiary, em) => {
      const entry = (await em.findOne(
        JournalEntity,
        { id: request.entryId, operationId },
        { disableIdentityMap: true },
      )) as JournalRow | null;
      if (!entry) {
        return {
          summary: '',
          result: failure({
            code: 'unknown-id',
            path: ['entryId'],
            message: 'There is no such entry in the journal.',
            remedy: 'Reload the journal.',
          }),
        };
      }
      if (entry.undoneBy !== null) {
        return {
          summary: '',
          result: failure({
            code: 'undone-already',
            path: ['entryId'],
            message: 'This was undone already.',
            remedy: 'Undo the undoing to have it again.',
          }),
        };
      }
      await em.nativeUpdate(JournalEntity, { id: entry.id }, { undoneBy: request.id });
      const touched = (kind: 'reading' | 'visit') =>
        entry.body.changes.flatMap((c) => (c.kind === kind ? [c.id] : []));
      const whole = await this.kept.withVisits(
        em,
        operationId,
        await this.kept.withReadings(em, operationId, apiary, touched('reading')),
        touched('visit'),
      );
      return { result: undoChanges(whole, entry.body.changes), summary: `Undone: ${entry.summary}` };
    });
  }

  /** A page of the journal, latest first. */
  async journal(operationId: string, before: number | null, size = 50): Promise<JournalPage> {
    const em = this.orm.em.fork();
    await revisionOf(em, operationId, false);
    const rows = await em.find(
      JournalEntity,
      { operationId, ...(before === null ? {} : { seq: { $lt: before } }) },
      { orderBy: { seq: 'desc' }, limit: size, disableIdentityMap: true, exclude: ['body'] as never },
    );
    return {
      entries: rows.map((r) => ({
        id: r.id,
        seq: r.seq,
        doneAt: r.doneAt.toISOString(),
        type: r.type,
        summary: r.summary,
        by: r.by ?? null,
        undoneBy: r.undoneBy ?? null,
      })),
      next: rows.length === size ? (rows.at(-1)?.seq ?? null) : null,
    };
  }

  /** Takes a backup in from a file on disk, as {@link restoreFile}. */
  async restore(path: string, replace: string | null): Promise<Restored> {
    return this.replaced(replace, await restoreFile(this.orm, path, replace));
  }

  /** Puts the operation of a file that is in memory in the place of the one given; returns its identifier. */
  async importBundle(file: unknown, replace: string | null): Promise<string> {
    return this.replaced(replace, await restoreBundle(this.orm, file, replace)).operationId;
  }

  /** Lets go of what was kept of an operation that another has taken the place of, and tells its followers. */
  private replaced(replace: string | null, restored: Restored): Restored {
    if (replace !== null) this.kept.forget(replace);
    this.kept.forget(restored.operationId);
    const told = { entryId: null, revision: Number.MAX_SAFE_INTEGER, changes: null };
    this.news.tell(replace ?? restored.operationId, told);
    void this.tellOthers(this.orm.em.fork(), {
      operationId: replace ?? restored.operationId,
      entryId: null,
      revision: Number.MAX_SAFE_INTEGER,
    }).catch(() => undefined);
    return restored;
  }

  /** Within a transaction others hear of it when it is committed, and not at all otherwise. */
  private async tellOthers(em: EntityManager, word: Word): Promise<void> {
    await em
      .getConnection()
      .execute(
        'select pg_notify(?, ?)',
        [CHANNEL, this.wire.textOf(word)],
        'run',
        em.getTransactionContext(),
      );
  }

  /** Another process has changed an operation: who follows it here is told, with what was changed. */
  private async heard({ operationId, entryId, revision }: Word): Promise<void> {
    const entry =
      entryId === null
        ? null
        : ((await this.orm.em
            .fork()
            .findOne(JournalEntity, { id: entryId, operationId }, { disableIdentityMap: true })
            .catch(() => null)) as JournalRow | null);
    this.news.tell(operationId, { entryId, revision, changes: entry?.body.changes ?? null });
  }

  private async enter(
    operationId: string,
    request: { readonly id: string; readonly madeAt: string },
    type: string,
    said: unknown,
    by: string | null,
    work: (apiary: Apiary, em: EntityManager) => Outcome | Promise<Outcome>,
    command: Command | null = null,
  ): Promise<CommandResult> {
    const digest = digestOf(said);
    const attempt = (near: boolean) =>
      this.orm.em.fork().transactional(async (em) => {
        const revision = await revisionOf(em, operationId, true);
        const before = (await em.findOne(
          JournalEntity,
          { id: request.id },
          { disableIdentityMap: true },
        )) as JournalRow | null;
        if (before) return { kept: null, result: replay(before, operationId, type, digest, revision) };
        const decided = await this.decided(em, operationId, revision, work, near ? command : null);
        const { result, summary } = decided.outcome;
        if (!result.ok) throw refusal(result.problems);
        const last = await em.findOne(
          JournalEntity,
          { operationId },
          { orderBy: { seq: 'desc' }, disableIdentityMap: true, exclude: ['body'] as never },
        );
        await writeChanges(em, operationId, result.value);
        await em.insert(JournalEntity, {
          id: request.id,
          operationId,
          seq: (last?.seq ?? 0) + 1,
          madeAt: new Date(request.madeAt),
          doneAt: this.now(),
          type,
          summary,
          by,
          digest,
          undoneBy: null,
          body: { v: 1, changes: result.value } as never,
        });
        await em.nativeUpdate(OperationEntity, { id: operationId }, { revision: revision + 1 });
        await this.tellOthers(em, { operationId, entryId: request.id, revision: revision + 1 });
        return {
          kept: {
            revision: revision + 1,
            ...(await this.kept.after(em, operationId, decided, result.value)),
          },
          result: {
            entryId: request.id,
            revision: revision + 1,
            summary,
            changes: result.value,
            replayed: false,
          },
        };
      });
    const done = await this.lineOf(operationId).add(async () => {
      try {
        return await attempt(command !== null);
      } catch (error) {
        // An id that is taken in another yard is known by the whole only, which says so in words.
        if (command === null || !isTaken(error)) throw error;
        return attempt(false).catch((again: unknown) => {
          // It belongs to what is in the tables only.
          throw isTaken(again) ? refusal([OF_OLDER_RECORD]) : again;
        });
      }
    });
    // Kept only once the database has committed.
    if (done.kept) {
      this.kept.keep(operationId, done.kept);
      const { entryId, revision, changes } = done.result;
      this.news.tell(operationId, { entryId, revision, changes });
    }
    return done.result;
  }

  /**
   * What a command comes to: on what is near to it, where that will do; on the whole where it may reach further, or where
   * something is wrong, so that it is said of the whole.
   */
  private async decided(
    em: EntityManager,
    operationId: string,
    revision: number,
    work: (apiary: Apiary, em: EntityManager) => Outcome | Promise<Outcome>,
    command: Command | null,
  ): Promise<Decided> {
    const kept = command === null ? null : await this.kept.at(em, operationId, revision);
    const near = kept && command && nearbyOf(kept.apiary, kept.later, command);
    if (kept && near) {
      const outcome = await work(near, em);
      if (outcome.result.ok) return { outcome, ...kept };
    }
    const { apiary } = await this.kept.presentAt(em, operationId, revision);
    return { outcome: await work(apiary, em), apiary, later: null };
  }

  /** Commands on one operation wait here for each other, and not each with a connection at the lock of its row. */
  private lineOf(operationId: string): PQueue {
    const line = this.lines.get(operationId) ?? new PQueue({ concurrency: 1 });
    this.lines.set(operationId, line);
    return line;
  }
}

interface Outcome {
  readonly result: Result<readonly Change[]>;
  readonly summary: string;
}

/** What a command comes to, and on which records; `later` is null where all changes are in them. */
interface Decided {
  readonly outcome: Outcome;
  readonly apiary: Apiary;
  readonly later: readonly Change[] | null;
}

/** Who did it: of several at one device whoever said so, with whose device it is. */
const nameOfHands = (hands: string | undefined, by: string | null): string | null =>
  hands === undefined || hands === by ? by : by === null ? hands : `${hands} (${by})`;

/** Visits and calls that a command makes bear the name of who was there. */
const signed = (decided: Result<readonly Change[]>, by: string | null): Result<readonly Change[]> =>
  decided.ok && by !== null ? { ...decided, value: decided.value.map((c) => signedChange(c, by)) } : decided;

function signedChange(change: Change, by: string): Change {
  if (change.kind === 'visit' && change.before === null && change.after !== null)
    return { ...change, after: { ...change.after, by } };
  if (change.kind === 'callOut' && change.before !== null && change.after !== null) {
    const known = new Set(change.before.body.calls.map((c) => c.id));
    const { body } = change.after;
    const calls = body.calls.map((c) => (known.has(c.id) ? c : { ...c, by }));
    return { ...change, after: { ...change.after, body: { ...body, calls } } };
  }
  return change;
}

/** What was asked for, as a number: the same again has the same, whatever the order of its fields. */
const digestOf = (said: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(inOrder(said)))
    .digest('hex');

const inOrder = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(inOrder);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value)
      .toSorted(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, v]) => [key, inOrder(v)]),
  );
};

function replay(
  row: JournalRow,
  operationId: string,
  type: string,
  digest: string,
  revision: number,
): CommandResult {
  const isSame = row.digest === null || row.digest === digest;
  if (row.operationId !== operationId || row.type !== type || !isSame) {
    throw new ProblemError(409, 'id-taken', 'This id belongs to another command.', [
      {
        code: 'id-taken',
        path: ['id'],
        message: 'Another command was sent under this id.',
        remedy: 'Make a new id for each command.',
      },
    ]);
  }
  return { entryId: row.id, revision, summary: row.summary, changes: row.body.changes, replayed: true };
}

const isTaken = (error: unknown) => error instanceof UniqueConstraintViolationException;

const OF_OLDER_RECORD: Problem = {
  code: 'id-taken',
  path: ['command'],
  message: 'An id of this command belongs to an older record.',
  remedy: 'Make a new id for each record.',
};

function refusal(problems: readonly Problem[]): ProblemError {
  const codes = problems.map((p) => p.code);
  return new ProblemError(
    statusOfProblems(codes),
    codes[0] ?? 'refused',
    'This cannot be done. Nothing was changed.',
    problems,
  );
}
