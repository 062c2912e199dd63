// The certificate library needs it, and before itself.
import 'reflect-metadata';
import { webcrypto } from 'node:crypto';
import { isIP } from 'node:net';
import * as x509 from '@peculiar/x509';

/** A certificate and its private key, in PEM. */
export interface KeyAndCertificate {
  readonly cert: string;
  readonly key: string;
}

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const DAY_MS = 86_400_000;
/** Browsers take a certificate of a server for at most so long (CA/Browser Forum, Baseline Requirements 6.3.2). */
const SERVER_DAYS = 397;
const AUTHORITY_DAYS = 3650;

const { subtle } = webcrypto;
const makeKeys = () => subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);
const pemOf = async (key: webcrypto.CryptoKey) =>
  `${x509.PemConverter.encode(await subtle.exportKey('pkcs8', key), 'PRIVATE KEY')}\n`;
const lasting = (days: number) => ({
  notBefore: new Date(Date.now() - DAY_MS),
  notAfter: new Date(Date.now() + days * DAY_MS),
});

function serialNumber(): string {
  const bytes = webcrypto.getRandomValues(new Uint8Array(16));
  // Positive, and of full length (RFC 5280, 4.1.2.2).
  bytes[0] = ((bytes[0] ?? 0) & 0x3f) | 0x40;
  return Buffer.from(bytes).toString('hex');
}

/**
 * A certificate authority for one home. It is good for names and addresses of a home network only (RFC 5280, 4.2.1.10): a
 * stolen key opens nothing else.
 */
export async function makeAuthority(name: string): Promise<KeyAndCertificate> {
  const keys = await makeKeys();
  const { KeyUsageFlags: use } = x509;
  const cert = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serialNumber(),
    name: [{ CN: [name] }, { O: ['Incremen'] }],
    signingAlgorithm: ALGORITHM,
    keys,
    ...lasting(AUTHORITY_DAYS),
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(use.keyCertSign | use.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      homeOnly(),
    ],
  });
  return { cert: `${cert.toString('pem')}\n`, key: await pemOf(keys.privateKey) };
}

/** A certificate for a server, signed by the authority. @param names - DNS names and addresses, one at least */
export async function makeServerCertificate(
  authority: KeyAndCertificate,
  names: readonly [string, ...string[]],
): Promise<KeyAndCertificate> {
  const ca = new x509.X509Certificate(authority.cert);
  const [der] = x509.PemConverter.decode(authority.key);
  if (!der) throw new Error('the key of the authority is not PEM');
  const signingKey = await subtle.importKey('pkcs8', der, ALGORITHM, false, ['sign']);
  const keys = await makeKeys();
  const cert = await x509.X509CertificateGenerator.create({
    serialNumber: serialNumber(),
    // Not a name of a host: verifiers would hold it against the constraints as if it were one.
    subject: [{ CN: ['Incremen server'] }],
    issuer: ca.subjectName,
    signingAlgorithm: ALGORITHM,
    signingKey,
    publicKey: keys.publicKey,
    ...lasting(SERVER_DAYS),
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((value) => ({ type: isIP(value) ? ('ip' as const) : ('dns' as const), value })),
      ),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      await x509.AuthorityKeyIdentifierExtension.create(ca),
    ],
  });
  return { cert: `${cert.toString('pem')}\n`, key: await pemOf(keys.privateKey) };
}

/** Whether a certificate covers all these names and is good for a month more. */
export function isGoodFor({ cert }: KeyAndCertificate, names: readonly string[]): boolean {
  const known = new x509.X509Certificate(cert);
  const covered =
    known.getExtension(x509.SubjectAlternativeNameExtension)?.names.items.map((n) => n.value) ?? [];
  return names.every((n) => covered.includes(n)) && known.notAfter.getTime() > Date.now() + 30 * DAY_MS;
}

/** The certificate in DER, as phones take it. */
export const derOf = ({ cert }: Pick<KeyAndCertificate, 'cert'>): Buffer =>
  Buffer.from(new x509.X509Certificate(cert).rawData);

/** Private networks (RFC 1918, RFC 3927, RFC 4193, RFC 4291), as address and mask. */
const HOME_V4 = [
  '10.0.0.0/255.0.0.0',
  '172.16.0.0/255.240.0.0',
  '192.168.0.0/255.255.0.0',
  '169.254.0.0/255.255.0.0',
  '127.0.0.0/255.0.0.0',
];
const HOME_V6 = [`fc${'0'.repeat(30)}fe${'0'.repeat(30)}`, `${'0'.repeat(31)}1${'f'.repeat(32)}`];

/** Name constraints, critical: .local, localhost, home.arpa and private addresses. */
function homeOnly(): x509.Extension {
  const networks = [
    ...HOME_V4.map((n) => Buffer.from(n.split(/[./]/).map(Number))),
    ...HOME_V6.map((hex) => Buffer.from(hex, 'hex')),
  ];
  const tlv = (tag: number, body: Buffer): Buffer => {
    const n = body.length;
    const head = n < 128 ? [tag, n] : n < 256 ? [tag, 0x81, n] : [tag, 0x82, n >> 8, n & 255];
    return Buffer.concat([Buffer.from(head), body]);
  };
  const trees = [
    ...['local', 'localhost', 'home.arpa'].map((d) => tlv(0x82, Buffer.from(d))),
    ...networks.map((n) => tlv(0x87, n)),
  ].map((n) => tlv(0x30, n));
  return new x509.Extension('2.5.29.30', true, tlv(0x30, tlv(0xa0, Buffer.concat(trees))));
}
