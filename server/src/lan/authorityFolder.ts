import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { isGoodFor, makeAuthority, makeServerCertificate, type KeyAndCertificate } from './certificates.ts';

/** Keeps a certificate and its key; only the owner of the process may read the key. */
function keep(folder: string, name: string, { cert, key }: KeyAndCertificate): void {
  writeFileSync(join(folder, `${name}.key`), key, { mode: 0o600 });
  writeFileSync(join(folder, `${name}.crt`), cert, { mode: 0o644 });
}

function kept(folder: string, name: string): KeyAndCertificate | null {
  const paths = [join(folder, `${name}.crt`), join(folder, `${name}.key`)] as const;
  if (!paths.every((p) => existsSync(p))) return null;
  return { cert: readFileSync(paths[0], 'utf8'), key: readFileSync(paths[1], 'utf8') };
}

/**
 * The authority of this home, made once, and a certificate for the names of this machine, made anew when they change or it
 * runs out.
 *
 * @param folder - where both are kept
 */
export async function homeCertificates(
  folder: string,
  names: readonly [string, ...string[]],
): Promise<{ readonly authority: KeyAndCertificate; readonly server: KeyAndCertificate }> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  let authority = kept(folder, 'authority');
  if (!authority) {
    authority = await makeAuthority('Incremen in this home');
    keep(folder, 'authority', authority);
  }
  let server = kept(folder, 'server');
  if (!server || !isGoodFor(server, names)) {
    server = await makeServerCertificate(authority, names);
    keep(folder, 'server', server);
  }
  return { authority, server };
}
