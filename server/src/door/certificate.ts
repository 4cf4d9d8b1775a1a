import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';

export interface Certificate {
  cert: string;
  key: string;
}

const DAY_MS = 24 * 3600 * 1000;
/** As long as phones believe one which was put into them by hand: 825 days at the most. */
const DAYS = 800;
/** One that ends sooner is made anew, days. */
const LEFT = 30;

/**
 * The certificate which Kobran made, kept so that its fingerprint stays; made anew when it is about to end or lacks a name.
 *
 * @param names by which it is reached
 */
export async function keptCertificate(folder: string, names: readonly string[]): Promise<Certificate> {
  const file = join(folder, 'certificate.json');
  if (existsSync(file)) {
    const kept = JSON.parse(readFileSync(file, 'utf8')) as Certificate;
    const { validTo, subjectAltName = '' } = new X509Certificate(kept.cert);
    const said = subjectAltName.split(', ').map((one) => one.replace(/^(DNS|IP Address):/, '').toLowerCase());
    const hasAll = names.filter((name) => isIP(name) !== 6).every((name) => said.includes(name));
    if (hasAll && Date.parse(validTo) - Date.now() > LEFT * DAY_MS) return kept;
  }
  const made = await newCertificate(names);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  writeFileSync(`${file}.new`, JSON.stringify(made), { mode: 0o600 });
  renameSync(`${file}.new`, file);
  return made;
}

async function newCertificate(names: readonly string[]): Promise<Certificate> {
  // Rarely wanted, and large.
  const { generate } = await import('selfsigned');
  const from = new Date();
  const { cert, private: key } = await generate([{ name: 'commonName', value: 'Kobran' }], {
    keyType: 'ec',
    curve: 'P-256',
    algorithm: 'sha256',
    notBeforeDate: from,
    notAfterDate: new Date(from.getTime() + DAYS * DAY_MS),
    extensions: [
      // So that a phone takes it up among those which it trusts.
      { name: 'basicConstraints', cA: true, critical: true },
      { name: 'keyUsage', digitalSignature: true, keyCertSign: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: names.map((name) =>
          isIP(name) === 0 ? ({ type: 2, value: name } as const) : ({ type: 7, ip: name } as const),
        ),
      },
    ],
  });
  return { cert, key };
}

/** SHA-256 of a certificate, as a browser shows it. */
export const fingerprintOf = (cert: string | Buffer): string => new X509Certificate(cert).fingerprint256;
