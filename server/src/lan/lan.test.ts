import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { connect } from 'node:tls';
import { join } from 'node:path';
import express from 'express';
import { afterEach, describe, expect, it } from 'vitest';
import { homeCertificates } from './authorityFolder.ts';
import { isGoodFor, makeAuthority, makeServerCertificate } from './certificates.ts';
import { namesOfCertificate } from './givenCertificate.ts';
import { homeNames, isHomeAddress } from './homeNames.ts';
import { LanDoor } from './LanDoor.ts';

const folders: string[] = [];
const folder = () => {
  const made = mkdtempSync(join(tmpdir(), 'home-network-'));
  folders.push(made);
  return made;
};
afterEach(() => folders.splice(0).forEach((f) => rmSync(f, { recursive: true, force: true })));

/** Asks over https and trusts this authority only. @returns the status, or why the certificate was refused */
function get(port: number, ca: string | undefined, servername?: string): Promise<number | string> {
  return new Promise((resolve) => {
    const socket = connect({
      host: '127.0.0.1',
      port,
      ...(ca !== undefined && { ca }),
      ...(servername !== undefined && { servername }),
    });
    let heard = '';
    socket.on('secureConnect', () => socket.write('GET / HTTP/1.0\r\nHost: 127.0.0.1\r\n\r\n'));
    socket.on('data', (piece) => (heard += String(piece)));
    socket.on('end', () => resolve(Number(/^HTTP\/1\.\d (\d+)/.exec(heard)?.[1])));
    socket.on('error', (error: NodeJS.ErrnoException) => resolve(error.code ?? error.message));
  });
}

describe('the authority of a home', () => {
  it('is trusted for names of the home network, and opens nothing else (RFC 5280, 4.2.1.10)', async () => {
    const authority = await makeAuthority('Test');
    const statusFor = async (name: string) => {
      const { cert, key } = await makeServerCertificate(authority, [name]);
      const server = createServer({ cert, key }, (_req, res) => res.end('here')).listen(0);
      const { port } = server.address() as AddressInfo;
      const answer = await get(port, authority.cert, name);
      server.close();
      return answer;
    };
    expect(await statusFor('localhost')).toBe(200);
    expect(await statusFor('hives.local')).toBe(200);
    // The same key, a name out in the world: refused, although the authority is trusted.
    expect(await statusFor('bank.example')).toMatch(/PERMITTED_VIOLATION|UNSPECIFIED/);
  });

  it('is made once; the certificate of the server is made anew when its names change', async () => {
    const at = folder();
    const one = await homeCertificates(at, ['127.0.0.1']);
    const two = await homeCertificates(at, ['127.0.0.1']);
    const three = await homeCertificates(at, ['127.0.0.1', 'hives.local']);
    expect(two).toEqual(one);
    expect(three.authority).toEqual(one.authority);
    expect(three.server.cert).not.toBe(one.server.cert);
    expect(isGoodFor(three.server, ['127.0.0.1', 'hives.local'])).toBe(true);
    expect(isGoodFor(one.server, ['hives.local'])).toBe(false);
    // Nobody else on this machine reads the keys.
    for (const name of ['authority.key', 'server.key']) expect(statSync(join(at, name)).mode & 0o077).toBe(0);
  });
});

describe('names in the home network', () => {
  const iface = (address: string, internal = false) => [{ address, internal } as never];
  it('are private addresses and the name of the machine', () => {
    const found = homeNames('Bee-House', {
      lo: iface('127.0.0.1', true),
      eth: iface('192.168.1.20'),
      out: iface('192.0.2.2'),
    });
    expect(found).toEqual(['192.168.1.20', 'bee-house.local']);
    expect(['10.1.2.3', '172.16.0.1', '172.32.0.1', '8.8.8.8', 'fe80::1'].map(isHomeAddress)).toEqual([
      true,
      true,
      false,
      false,
      false,
    ]);
  });
});

describe('the way in', () => {
  it('serves the application over https, and over plain http only how to trust it', async () => {
    const at = folder();
    const app = express().get('/', (_req, res) => void res.send('hives'));
    const door = new LanDoor({ folder: at, securePort: 0, pairingPort: 0, names: () => ['127.0.0.1'] });
    expect([door.isOpen(), door.wasOpen(), door.addresses()]).toEqual([false, false, []]);
    await door.openFor(app);
    const ca = readFileSync(join(at, 'authority.crt'), 'utf8');
    const secure = new URL(door.addresses()[0] ?? '');
    expect(secure.protocol).toBe('https:');
    expect(await get(Number(secure.port), ca, 'localhost')).toBe('ERR_TLS_CERT_ALTNAME_INVALID');
    expect(await get(Number(secure.port), ca)).toBe(200);
    expect(await get(Number(secure.port), undefined)).not.toBe(200);
    const [pairing = ''] = door.pairingAddresses();
    const page = await fetch(pairing);
    expect(await page.text()).toContain(door.addresses()[0]);
    const der = Buffer.from(await (await fetch(`${pairing}/ca.crt`)).arrayBuffer());
    expect(der.equals(Buffer.from(ca.replace(/-----[^-]+-----|\s/g, ''), 'base64'))).toBe(true);
    const profile = await (await fetch(`${pairing}/incremen.mobileconfig`)).text();
    expect(profile).toContain(`<data>${der.toString('base64')}</data>`);
    // Anything else is over there, where it is not read by the way.
    const elsewhere = await fetch(`${pairing}/api/operations`, { redirect: 'manual' });
    expect([elsewhere.status, elsewhere.headers.get('location')]).toEqual([
      308,
      `${door.addresses()[0]}/api/operations`,
    ]);
    await door.shut(false);
    expect([door.isOpen(), door.wasOpen()]).toEqual([false, true]);
    await door.openFor(app);
    await door.shut(true);
    expect(door.wasOpen()).toBe(false);
  });

  it('stays shut where this machine has no address in a home network', async () => {
    const door = new LanDoor({ folder: folder(), securePort: 0, pairingPort: 0, names: () => [] });
    await expect(door.openFor(express())).rejects.toThrow(/no address in a home network/);
    expect(door.isOpen()).toBe(false);
  });
});

describe('a certificate that is given', () => {
  it('opens the door under its own names, with nothing for a phone to trust first', async () => {
    const at = folder();
    const authority = await makeAuthority('Given');
    const { cert, key } = await makeServerCertificate(authority, ['localhost', 'hives.local']);
    const [certificate, keyFile] = [join(at, 'cert.pem'), join(at, 'key.pem')];
    writeFileSync(certificate, cert);
    writeFileSync(keyFile, key);
    const given = { certificate, key: keyFile };
    const door = new LanDoor({ folder: at, securePort: 0, pairingPort: 0, given });
    await door.openFor(express().get('/', (_req, res) => void res.send('here')));
    expect(door.pairingAddresses()).toEqual([]);
    const [first] = door.addresses();
    expect(first).toMatch(/^https:\/\/localhost:\d+$/);
    expect(await get(Number(new URL(first ?? '').port), authority.cert, 'localhost')).toBe(200);
    await door.shut(true);
  });

  it('is refused when the key is another one’s, or it is over', async () => {
    const authority = await makeAuthority('Given');
    const one = await makeServerCertificate(authority, ['hives.local']);
    const two = await makeServerCertificate(authority, ['hives.local']);
    expect(() => namesOfCertificate(one.cert, two.key)).toThrow(/not that of the certificate/);
    expect(() => namesOfCertificate(one.cert, one.key, new Date('2099-01-01'))).toThrow(/is over/);
    expect(namesOfCertificate(one.cert, one.key)).toEqual(['hives.local']);
  });
});
