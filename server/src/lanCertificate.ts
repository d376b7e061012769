import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { generate } from 'selfsigned';

/** What a server needs to speak HTTPS in the house, and what a phone needs to trust it. */
export interface LanCertificate {
  key: string;
  /** Of this server, followed by the authority that signed it. */
  chain: string;
  /** The authority's own certificate: this is what is installed on the phone. */
  authority: string;
}

/** Phones refuse certificates that are valid for longer than 825 days. */
const DAYS = 820;
const FILES = { key: 'server.key', chain: 'server.pem', authority: 'authority.crt' } as const;

const inDays = (days: number) => new Date(Date.now() + days * 86_400_000);

/**
 * A certificate for some addresses of this machine, signed by an authority of its own. The authority's key is forgotten at once:
 * nobody, not even this machine, can ever sign anything else that the phone would trust.
 */
async function makeCertificate(addresses: readonly string[]): Promise<LanCertificate> {
  const usual = { keyType: 'ec', algorithm: 'sha256', notAfterDate: inDays(DAYS) } as const;
  const name = `Inner Hum ${addresses[0]}`;
  const authority = await generate([{ name: 'commonName', value: `${name} (authority)` }], {
    ...usual,
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
  const server = await generate([{ name: 'commonName', value: name }], {
    ...usual,
    ca: { key: authority.private, cert: authority.cert },
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: addresses.map((ip) => ({ type: 7, ip })) },
    ],
  });
  return { key: server.private, chain: `${server.cert}\n${authority.cert}`, authority: authority.cert };
}

/** Whether a stored certificate still serves all these addresses for another week. */
function serves(chain: string, addresses: readonly string[]): boolean {
  try {
    const certificate = new X509Certificate(chain);
    return (
      new Date(certificate.validTo) > inDays(7) &&
      addresses.every((address) => certificate.checkIP(address) !== undefined)
    );
  } catch {
    return false;
  }
}

/** The certificate kept in a folder, or a new one where there is none that serves these addresses. */
export async function lanCertificate(folder: string, addresses: readonly string[]): Promise<LanCertificate> {
  const path = (name: keyof typeof FILES) => join(folder, FILES[name]);
  if (existsSync(path('chain')) && serves(readFileSync(path('chain'), 'utf8'), addresses))
    return {
      key: readFileSync(path('key'), 'utf8'),
      chain: readFileSync(path('chain'), 'utf8'),
      authority: readFileSync(path('authority'), 'utf8'),
    };
  const made = await makeCertificate(addresses);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  for (const name of ['key', 'chain', 'authority'] as const)
    writeFileSync(path(name), made[name], { mode: 0o600 });
  return made;
}
