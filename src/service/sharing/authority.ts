import { X509Certificate } from 'node:crypto';
import { generate } from 'selfsigned';
import { readAuthority, writeAuthority } from '@/store/authority-files';

const DAY_MS = 86_400_000;
const AUTHORITY_DAYS = 3650;
const CERTIFICATE_DAYS = 390; // phones take none that lasts longer than 398

/** A key and what vouches for it, both PEM. */
export interface Certified {
  readonly key: string;
  readonly certificate: string;
}

export function hasAuthority(): boolean {
  return readAuthority() !== undefined;
}

/** What a phone is asked to trust, PEM; undefined where the garden was never shared over https. */
export function authorityCertificate(): string | undefined {
  return readAuthority()?.certificate;
}

/** A certificate for the addresses that the garden has just now, by its own authority, which is made the first time. */
export async function certificateFor(addresses: readonly string[]): Promise<Certified> {
  const authority = readAuthority() ?? (await newAuthority());
  const made = await generate([{ name: 'commonName', value: addresses[0] ?? 'localhost' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: new Date(Date.now() - DAY_MS),
    notAfterDate: new Date(Date.now() + CERTIFICATE_DAYS * DAY_MS),
    ca: { key: authority.key, cert: authority.certificate },
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, keyEncipherment: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: addresses.map(alternativeName) },
    ],
  });
  return { key: made.private, certificate: `${made.cert}\n${authority.certificate}` };
}

async function newAuthority(): Promise<Certified> {
  const made = await generate([{ name: 'commonName', value: 'Turnspit of this garden' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notBeforeDate: new Date(Date.now() - DAY_MS),
    notAfterDate: new Date(Date.now() + AUTHORITY_DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
  const authority = { key: made.private, certificate: made.cert };
  if (!new X509Certificate(made.cert).ca) throw new Error('an authority must be one');
  writeAuthority(authority);
  return authority;
}

function alternativeName(address: string) {
  return /^[\d.]+$|:/.test(address)
    ? ({ type: 7, ip: address } as const)
    : ({ type: 2, value: address } as const);
}
