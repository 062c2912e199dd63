import { BACKUP_KINDS, type BackupKind, type KeptBackup } from '@incremen/contract';
import { bundleItem } from '@incremen/core/formats';
import type { MikroORM } from '@mikro-orm/postgresql';
import { mkdir, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { z } from 'zod';
import { OperationEntity } from '../db/entities.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import { openBackup } from './archive.ts';
import { bundleItems } from './bundleItems.ts';
import { keepByRule } from './keepByRule.ts';
import { writeBackup } from './writeBackup.ts';

/** `2026-05-15T06-30-00-123Z.daily.zip`: sorts by time, and is a name on every file system. */
const NAME = new RegExp(
  `^(\\d{4}-\\d{2}-\\d{2})T(\\d{2})-(\\d{2})-(\\d{2})-(\\d{3})Z\\.(${BACKUP_KINDS.join('|')})\\.zip$`,
);
const uuid = z.uuid();

/**
 * Keeps backups of every operation in a folder: one each day, one before records are replaced, and those that are asked for.
 * Each is read back whole before it gets its name, so that what bears one can be restored.
 */
export class BackupKeeper {
  readonly folder: string;
  private readonly orm: MikroORM;
  private readonly now: () => Date;

  constructor(orm: MikroORM, folder: string, now: () => Date = () => new Date()) {
    this.orm = orm;
    this.folder = folder;
    this.now = now;
  }

  /** The backups of an operation, newest first. */
  async list(operationId: string): Promise<KeptBackup[]> {
    const folder = this.folderOf(operationId);
    const names = await readdir(folder).catch(() => [] as string[]);
    const found = await Promise.all(
      names.map(async (name): Promise<KeptBackup[]> => {
        const [, day, h, m, s, ms, kind] = NAME.exec(name) ?? [];
        if (day === undefined) return [];
        const { size } = await stat(join(folder, name));
        return [{ name, at: `${day}T${h}:${m}:${s}.${ms}Z`, kind: kind as BackupKind, bytes: size }];
      }),
    );
    return found.flat().toSorted((a, b) => b.at.localeCompare(a.at));
  }

  /** Makes a backup and lets go of those that the rule does not keep. @throws Error when it cannot be read back */
  async make(operationId: string, kind: BackupKind): Promise<KeptBackup> {
    const folder = this.folderOf(operationId);
    await mkdir(folder, { recursive: true, mode: 0o700 });
    const at = this.now().toISOString();
    const name = `${at.replaceAll(':', '-').replace('.', '-')}.${kind}.zip`;
    const half = join(folder, `${name}.half`);
    try {
      await writeBackup(this.orm, operationId, half);
      await readThrough(half);
      await rename(half, join(folder, name));
    } finally {
      await rm(half, { force: true });
    }
    const all = await this.list(operationId);
    const stays = new Set(keepByRule(all).map((b) => b.name));
    for (const b of all) if (!stays.has(b.name)) await rm(join(folder, b.name), { force: true });
    return { name, at, kind, bytes: (await stat(join(folder, name))).size };
  }

  /** Makes the backups of the day, for every operation that has none yet. @returns how many were made */
  async daily(): Promise<number> {
    const today = this.now().toISOString().slice(0, 10);
    const operations = await this.orm.em.fork().find(OperationEntity, {}, { disableIdentityMap: true });
    let made = 0;
    for (const { id } of operations) {
      const has = (await this.list(id)).some((b) => b.kind === 'daily' && b.at.startsWith(today));
      if (has) continue;
      await this.make(id, 'daily');
      made++;
    }
    return made;
  }

  /** Where a backup lies. @throws ProblemError 404 when there is none of that name */
  async pathOf(operationId: string, name: string): Promise<string> {
    const there = (await this.list(operationId)).find((b) => b.name === name);
    if (there) return join(this.folderOf(operationId), there.name);
    throw new ProblemError(404, 'unknown-id', 'There is no such backup.', [
      {
        code: 'unknown-id',
        path: ['name'],
        message: `No backup is called ${name}.`,
        remedy: 'Look at the list again.',
      },
    ]);
  }

  /** What was kept of an operation goes over to the one that a file has put in its place. */
  async passOn(from: string, to: string): Promise<void> {
    if (from === to) return;
    const target = this.folderOf(to);
    await mkdir(target, { recursive: true, mode: 0o700 });
    for (const { name } of await this.list(from))
      await rename(join(this.folderOf(from), name), join(target, name));
  }

  private folderOf(operationId: string): string {
    // It becomes part of a path: nothing but an identifier may.
    return join(this.folder, uuid.parse(operationId));
  }
}

/** Reads a backup to its end: the archive whole, each record as its schema has it, each picture. @throws Error with what is wrong */
export async function readThrough(path: string): Promise<{ records: number; pictures: number }> {
  const file = await openBackup(path);
  let records = 0;
  let pictures = 0;
  try {
    for await (const found of bundleItems(await file.json()))
      for (const { place, value } of found) {
        if (place.section === 'format' || place.section === 'version') continue;
        const item = bundleItem(place, value);
        if (!item.ok)
          throw new Error(
            `The backup cannot be read back: ${item.problems[0]?.message ?? 'a record is broken'}`,
          );
        records++;
      }
    for await (const picture of file.pictures()) if (picture.content.length > 0) pictures++;
  } finally {
    file.close();
  }
  return { records, pictures };
}
