import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer as createHttp, type Server } from 'node:http';
import { createServer as createHttps } from 'node:https';
import type { AddressInfo } from 'node:net';
import { hostname } from 'node:os';
import { join } from 'node:path';
import type { Express } from 'express';
import { homeCertificates } from './authorityFolder.ts';
import { namesOfCertificate } from './givenCertificate.ts';
import { homeNames } from './homeNames.ts';
import { pairingApp } from './pairingApp.ts';

/** Where the door opens. A port of 0 is any free one. */
export interface DoorOptions {
  /** Where certificates are kept, and whether the door is to be open. */
  readonly folder: string;
  readonly securePort: number;
  readonly pairingPort: number;
  /** Names and addresses of this machine in its home network. */
  readonly names?: () => string[];
  /** A certificate that phones trust already, and its key: PEM files. Then no authority is made, and nothing is to be trusted. */
  readonly given?: { readonly certificate: string; readonly key: string };
}

/**
 * The way in from the home network: https with a certificate of its own authority, and beside it a plain page that shows a
 * phone how to trust it. Shut until somebody opens it.
 */
export class LanDoor {
  private readonly options: DoorOptions;
  private open: {
    readonly names: string[];
    readonly secure: Server;
    readonly pairing: Server | null;
  } | null = null;

  constructor(options: DoorOptions) {
    this.options = options;
  }

  /** Names under which the server answers besides those of its own machine. */
  names(): readonly string[] {
    return this.open?.names ?? [];
  }

  isOpen(): boolean {
    return this.open !== null;
  }

  /** Addresses of the application that a phone can open. */
  addresses(): string[] {
    const open = this.open;
    return open ? open.names.map((n) => `https://${n}:${portOf(open.secure)}`) : [];
  }

  /** Addresses of the page that makes a phone trust it. */
  pairingAddresses(): string[] {
    const open = this.open;
    return open?.pairing ? open.names.map((n) => `http://${n}:${portOf(open.pairing as Server)}`) : [];
  }

  /** Whether it was open when the server was stopped. */
  wasOpen(): boolean {
    return existsSync(this.note);
  }

  /** @throws Error when this machine has no address in a home network, or a port is taken */
  async openFor(app: Express): Promise<void> {
    if (this.open) return;
    if (this.options.given) {
      await this.openWith(this.options.given, app);
      return;
    }
    const [first, ...more] = (this.options.names ?? (() => homeNames(hostname())))();
    if (first === undefined) throw new Error('This machine has no address in a home network.');
    const names: [string, ...string[]] = [first, ...more];
    const { authority, server } = await homeCertificates(this.options.folder, names);
    const secure = await listening(
      createHttps({ key: server.key, cert: server.cert, minVersion: 'TLSv1.2' }, app),
      this.options.securePort,
    );
    const secureUrl = (host: string) => `https://${names.includes(host) ? host : first}:${portOf(secure)}`;
    try {
      const pairing = await listening(createHttp(pairingApp(authority, secureUrl)), this.options.pairingPort);
      this.open = { names, secure, pairing };
    } catch (error) {
      secure.close();
      throw error;
    }
    this.noteOpen();
  }

  /** The names are those of the certificate. @throws Error when it names none, is over, or is not that of the key */
  private async openWith(given: { certificate: string; key: string }, app: Express): Promise<void> {
    const [cert, key] = [readFileSync(given.certificate, 'utf8'), readFileSync(given.key, 'utf8')];
    const names = namesOfCertificate(cert, key);
    const secure = await listening(
      createHttps({ key, cert, minVersion: 'TLSv1.2' }, app),
      this.options.securePort,
    );
    this.open = { names, secure, pairing: null };
    this.noteOpen();
  }

  private noteOpen(): void {
    mkdirSync(this.options.folder, { recursive: true, mode: 0o700 });
    writeFileSync(this.note, '');
  }

  /** @param forGood - it stays shut at the next start */
  async shut(forGood: boolean): Promise<void> {
    const { open } = this;
    this.open = null;
    if (forGood) rmSync(this.note, { force: true });
    for (const server of [open?.secure, open?.pairing]) {
      if (!server) continue;
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
    }
  }

  private get note(): string {
    return join(this.options.folder, 'open');
  }
}

const portOf = (server: Server) => (server.address() as AddressInfo).port;

function listening<S extends Server>(server: S, port: number): Promise<S> {
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '0.0.0.0', () => resolve(server));
  });
}
