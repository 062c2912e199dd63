import { spawnSync } from 'node:child_process';
import { chmodSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext } from '@playwright/test';

/** Runs a program to its end. @returns what it said @throws Error with what went wrong */
function run(program: string, ...args: string[]): string {
  const { status, stdout, stderr, error } = spawnSync(program, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(`${program} ${args.join(' ')}: ${error?.message ?? stderr}`);
  return stdout;
}

/** Whether this machine lets us lay a network of our own, and tell a browser whom to trust. */
export function canLayNetworks(): boolean {
  const name = `may-${process.pid}`;
  if (spawnSync('certutil', ['-H']).error) return false;
  if (spawnSync('ip', ['netns', 'add', name]).status !== 0) return false;
  return spawnSync('ip', ['netns', 'del', name]).status === 0;
}

/**
 * A home network of two: this machine, and a phone in a network namespace of its own, which reaches this machine by one wire and
 * nothing else. The phone has a home of its own, with the certificates that its owner has told it to trust.
 */
export class HomeNetwork {
  private readonly name = `hn${process.pid}`;
  private readonly home = mkdtempSync(join(tmpdir(), 'incremen-phone-'));
  private readonly net = `10.203.${process.pid % 250}`;
  /** This machine's address on the wire. */
  readonly address = `${this.net}.1`;

  constructor() {
    const { name, net } = this;
    const inside = (...args: string[]) => run('ip', 'netns', 'exec', name, 'ip', ...args);
    run('ip', 'netns', 'add', name);
    run('ip', 'link', 'add', `${name}a`, 'type', 'veth', 'peer', 'name', `${name}b`, 'netns', name);
    run('ip', 'addr', 'add', `${net}.1/24`, 'dev', `${name}a`);
    inside('addr', 'add', `${net}.2/24`, 'dev', `${name}b`);
    inside('link', 'set', `${name}b`, 'up');
    inside('link', 'set', 'lo', 'up');
    this.plug(true);
    mkdirSync(this.store, { recursive: true });
    run('certutil', '-N', '-d', `sql:${this.store}`, '--empty-password');
  }

  /** The wire is pulled, or plugged in again. */
  plug(up: boolean): void {
    run('ip', 'link', 'set', `${this.name}a`, up ? 'up' : 'down');
  }

  /** The phone's owner installs a certificate authority. @param der - as it was loaded from the server */
  trust(der: Uint8Array): void {
    const file = join(this.home, 'authority.crt');
    writeFileSync(file, der);
    run('certutil', '-A', '-d', `sql:${this.store}`, '-n', 'home', '-t', 'C,,', '-i', file);
  }

  /** The phone's browser, with what it has kept; nothing of its checks is switched off. */
  async browser(): Promise<BrowserContext> {
    const start = join(this.home, 'browser.sh');
    const chrome = process.env['CHROMIUM'] ?? '/usr/bin/chromium';
    writeFileSync(
      start,
      `#!/bin/sh\nexport HOME='${this.home}'\nexec ip netns exec ${this.name} ${chrome} "$@"\n`,
    );
    chmodSync(start, 0o755);
    return chromium.launchPersistentContext(join(this.home, 'profile'), {
      executablePath: start,
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run'],
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
      serviceWorkers: 'allow',
      locale: 'en-GB',
    });
  }

  /** Takes the network away. */
  remove(): void {
    spawnSync('ip', ['link', 'del', `${this.name}a`]);
    spawnSync('ip', ['netns', 'del', this.name]);
    rmSync(this.home, { recursive: true, force: true });
  }

  private get store(): string {
    return join(this.home, '.pki/nssdb');
  }
}
