import { createHash } from 'node:crypto';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { derOf, type KeyAndCertificate } from './certificates.ts';

/** A name of its own for this authority: installed again it takes the place of what was there. */
function uuidOf(what: string, der: Buffer): string {
  const hex = createHash('sha256').update(what).update(der).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-5${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** A profile by which an iPhone takes the authority in. */
function profileOf(der: Buffer): string {
  const dict = (entries: string) => `<dict>${entries}</dict>`;
  const pair = (key: string, value: string) => `<key>${key}</key>${value}`;
  const text = (value: string) => `<string>${value}</string>`;
  const payload = dict(
    pair('PayloadType', text('com.apple.security.root')) +
      pair('PayloadVersion', '<integer>1</integer>') +
      pair('PayloadIdentifier', text('app.incremen.authority')) +
      pair('PayloadUUID', text(uuidOf('certificate', der))) +
      pair('PayloadDisplayName', text('Incremen in this home')) +
      pair('PayloadContent', `<data>${der.toString('base64')}</data>`),
  );
  return `<?xml version="1.0" encoding="UTF-8"?><!DOCTYPE plist PUBLIC "-//Apple//DTD PLIST 1.0//EN" "http://www.apple.com/DTDs/PropertyList-1.0.dtd"><plist version="1.0">${dict(
    pair('PayloadType', text('Configuration')) +
      pair('PayloadVersion', '<integer>1</integer>') +
      pair('PayloadIdentifier', text('app.incremen')) +
      pair('PayloadUUID', text(uuidOf('profile', der))) +
      pair('PayloadDisplayName', text('Incremen')) +
      pair('PayloadContent', `<array>${payload}</array>`),
  )}</plist>`;
}

/** Drawings of what is tapped, in our own strokes: settings, the name of the switch, done. */
const screen = (lines: readonly string[]) =>
  `<svg viewBox="0 0 120 190" width="150" role="img" aria-label="${lines.join(', then ')}"><rect x="3" y="3" width="114" height="184" rx="14" fill="#fff" stroke="#17313a" stroke-width="3"/>${lines
    .map(
      (line, i) =>
        `<rect x="12" y="${22 + i * 40}" width="96" height="30" rx="6" fill="${i === lines.length - 1 ? '#0d6b5f' : '#eef2ee'}"/><text x="60" y="${41 + i * 40}" text-anchor="middle" font-size="9.5" font-family="sans-serif" fill="${i === lines.length - 1 ? '#fff' : '#17313a'}">${line}</text>`,
    )
    .join('')}</svg>`;

const page = (secureUrl: string) => `<!doctype html><html lang="en"><head><meta charset="utf-8">
<meta name="viewport" content="width=device-width,initial-scale=1"><title>Incremen on this phone</title>
<style>body{font:1.1rem/1.5 system-ui,sans-serif;margin:0 auto;max-width:34rem;padding:1.2rem;color:#17313a;background:#f4f5f1}
h1{font-size:1.6rem}h2{font-size:1.2rem;margin-top:2rem}a.key{display:block;text-align:center;background:#0d6b5f;color:#fff;padding:1rem;border-radius:.5rem;text-decoration:none;font-weight:700;margin:.6rem 0}
.row{display:flex;gap:1rem;flex-wrap:wrap}li{margin:.4rem 0}</style></head><body>
<h1>Incremen on this phone</h1>
<p>Once only: this phone has to know the certificate of your own server. It is good for addresses of a home network and for nothing else.</p>
<h2>iPhone</h2><a class="key" href="/incremen.mobileconfig">1. Load the profile</a>
<ol start="2"><li>Settings: “Profile downloaded”, Install.</li><li>Settings, General, About, Certificate Trust Settings: switch it on.</li></ol>
<div class="row">${screen(['Settings', 'Profile downloaded', 'Install'])}${screen(['General, About', 'Certificate Trust', 'Switch on'])}</div>
<h2>Android</h2><a class="key" href="/ca.crt">1. Load the certificate</a>
<ol start="2"><li>Settings, Security, More: “Install a certificate”, “CA certificate”.</li><li>Choose the file that was loaded. A warning is shown; the phone needs a screen lock.</li></ol>
<div class="row">${screen(['Security', 'Install a certificate', 'CA certificate'])}</div>
<h2>Then</h2><a class="key" href="${secureUrl}">Open Incremen</a>
<p>Sign in, and install it from the menu of the browser: “Add to home screen”. It then works without signal.</p>
</body></html>`;

/**
 * What a phone is shown before it trusts the certificate, over plain http: how that is done, and the certificate. Nothing else
 * is there, and no record.
 *
 * @param secureUrl - the address to go on to
 */
export function pairingApp(
  authority: Pick<KeyAndCertificate, 'cert'>,
  secureUrl: (host: string) => string,
): Express {
  const app = express();
  const der = derOf(authority);
  app.disable('x-powered-by');
  app.use(
    helmet({
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        directives: {
          'default-src': ["'none'"],
          'style-src': ["'unsafe-inline'"],
          'upgrade-insecure-requests': null,
        },
      },
    }),
  );
  const hostOf = (host: string | undefined) => (host ?? '').replace(/:\d+$/, '');
  app.get('/', (req, res) => {
    res.type('html').send(page(secureUrl(hostOf(req.headers.host))));
  });
  app.get('/ca.crt', (_req, res) => {
    res.type('application/x-x509-ca-cert').attachment('incremen.crt').send(der);
  });
  app.get('/incremen.mobileconfig', (_req, res) => {
    res.type('application/x-apple-aspen-config').attachment('incremen.mobileconfig').send(profileOf(der));
  });
  app.use((req, res) => {
    res.redirect(308, `${secureUrl(hostOf(req.headers.host))}${req.originalUrl}`);
  });
  return app;
}
