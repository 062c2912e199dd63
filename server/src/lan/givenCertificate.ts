import { createPrivateKey, X509Certificate } from 'node:crypto';

/**
 * The names and addresses that a certificate stands for (RFC 5280, subject alternative name); those with an asterisk stand for
 * no one address and are left out.
 *
 * @throws Error when it cannot be used: it names none, is over, or the key is another one's
 */
export function namesOfCertificate(pem: string, keyPem: string, now = new Date()): string[] {
  const certificate = new X509Certificate(pem);
  if (new Date(certificate.validTo) <= now)
    throw new Error(`The certificate is over since ${certificate.validTo}. Get a new one.`);
  if (!certificate.checkPrivateKey(createPrivateKey(keyPem)))
    throw new Error('The key is not that of the certificate. Give the two that belong together.');
  const names = (certificate.subjectAltName ?? '')
    .split(',')
    .map((part) => part.trim().replace(/^(DNS|IP Address):/, ''))
    .filter((name) => name !== '' && !name.includes('*'));
  if (names.length === 0) throw new Error('The certificate names no address that a phone could open.');
  return names.map((n) => n.toLowerCase());
}
