import { randomUUID } from 'node:crypto';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { toBundle } from '@incremen/core/formats';
import { demoScenario } from '@incremen/core/demo';
import type { Command } from '@incremen/core/records';
import type { CommandResult, ProblemDocument, Snapshot } from '@incremen/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import { inject } from 'vitest';
import { createApp } from '../app.ts';
import { BackupKeeper } from '../backup/BackupKeeper.ts';
import { bringUpToDate } from '../db/bringUpToDate.ts';
import { openOrm } from '../db/orm.ts';
import { OperationStore } from '../operations/OperationStore.ts';

/** A server on a database of its own that holds the demonstration. */
export class TestServer {
  readonly orm: MikroORM;
  readonly url: string;
  readonly op: string;
  private readonly http: Server;

  /** Where its backups lie. */
  readonly backups: string;

  private constructor(orm: MikroORM, http: Server, op: string, backups: string) {
    this.backups = backups;
    this.orm = orm;
    this.http = http;
    this.op = op;
    this.url = `http://127.0.0.1:${(http.address() as AddressInfo).port}`;
  }

  static async start(stationUrl: string | null = null): Promise<TestServer> {
    const url = new URL(inject('postgresUrl'));
    const database = `test_${randomUUID().replaceAll('-', '')}`;
    const admin = await openOrm(url.toString());
    await admin.em.getConnection().execute(`create database ${database}`);
    await admin.close(true);
    url.pathname = `/${database}`;
    const orm = await openOrm(url.toString());
    await bringUpToDate(orm);
    const { apiary, journal } = demoScenario();
    const op = await new OperationStore(orm).importBundle(toBundle(apiary, journal), null);
    return TestServer.serving(orm, op, stationUrl);
  }

  /** Another process on the same database, as far as the database can tell. */
  static async beside(other: TestServer): Promise<TestServer> {
    return TestServer.serving(await openOrm(other.orm.config.get('clientUrl') ?? ''), other.op, null);
  }

  private static async serving(orm: MikroORM, op: string, stationUrl: string | null): Promise<TestServer> {
    const folder = await mkdtemp(join(tmpdir(), 'incremen-backups-'));
    const app = createApp(orm, { stationUrl, keeper: new BackupKeeper(orm, folder) });
    const http = await new Promise<Server>((resolve) => {
      const server = app.listen(0, '127.0.0.1', () => resolve(server));
    });
    return new TestServer(orm, http, op, folder);
  }

  async stop(): Promise<void> {
    // Whoever still listens for news is sent away.
    this.http.closeAllConnections();
    await new Promise((resolve) => this.http.close(resolve));
    await this.orm.close(true);
    await rm(this.backups, { recursive: true, force: true });
  }

  /** Sends a request and reads the answer, whatever its status. */
  async ask<T>(
    method: string,
    path: string,
    body?: unknown,
  ): Promise<{ status: number; type: string; body: T }> {
    const res = await fetch(this.url + path, {
      method,
      ...(body === undefined
        ? {}
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    });
    return { status: res.status, type: res.headers.get('content-type') ?? '', body: (await res.json()) as T };
  }

  /** Sends a picture, or what passes for one. */
  async putPhoto(id: string, content: Uint8Array): Promise<{ status: number; body: ProblemDocument | null }> {
    const res = await fetch(`${this.url}/api/operations/${this.op}/photos/${id}`, {
      method: 'PUT',
      body: Buffer.from(content),
      headers: { 'content-type': 'image/jpeg' },
    });
    return { status: res.status, body: res.status === 204 ? null : ((await res.json()) as ProblemDocument) };
  }

  async snapshot(): Promise<Snapshot> {
    return (await this.ask<Snapshot>('GET', `/api/operations/${this.op}/snapshot`)).body;
  }

  send(command: Command, id: string = randomUUID()) {
    return this.ask<CommandResult & ProblemDocument>('POST', `/api/operations/${this.op}/commands`, {
      id,
      madeAt: '2026-05-15T10:00:00.000Z',
      command,
    });
  }
}
