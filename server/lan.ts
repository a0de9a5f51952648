import { X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { networkInterfaces } from 'node:os'
import { dirname } from 'node:path'
import { generate } from 'selfsigned'

/** The key and the certificate that a server shows to the own network. */
export interface Credentials {
  key: string
  cert: string
}

/** Addresses of this machine in its own network, IPv4. */
export function ownAddresses(interfaces = networkInterfaces()): string[] {
  return Object.values(interfaces).flatMap((all) =>
    (all ?? [])
      .filter(({ family, internal }) => family === 'IPv4' && !internal)
      .map(({ address }) => address),
  )
}

interface Kept extends Credentials {
  addresses: string[]
  /** UTC milliseconds. */
  until: number
}

const DAY_MS = 86_400_000
/** Browsers on phones refuse a certificate that is valid for longer than this. */
const VALID_DAYS = 397
/** A new one is made before the old one runs out. */
const LEAST_DAYS = 30

/**
 * The certificate for these addresses: the one that was kept, so that a phone which has accepted it asks no more, or a new
 * one where there is none, it runs out, or the addresses are others.
 * @param file where it is kept, readable by its owner only @param now UTC milliseconds
 */
export async function credentialsFor(
  addresses: readonly string[],
  file: string,
  now: number,
): Promise<Credentials> {
  const kept = read(file)
  if (
    kept &&
    !isAuthority(kept) &&
    kept.addresses.join() === addresses.join() &&
    kept.until - now > LEAST_DAYS * DAY_MS
  )
    return kept
  const until = now + VALID_DAYS * DAY_MS
  const { private: key, cert } = await generate([{ name: 'commonName', value: 'Dry Count' }], {
    algorithm: 'sha256',
    keyType: 'ec',
    curve: 'P-256',
    notBeforeDate: new Date(now),
    notAfterDate: new Date(until),
    extensions: [
      // Of this server alone: a phone that trusts it trusts nothing else by it.
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: [
          { type: DNS_NAME, value: 'localhost' },
          ...addresses.map((ip) => ({ type: IP_ADDRESS, ip }) as const),
        ],
      },
    ],
  })
  mkdirSync(dirname(file), { recursive: true })
  writeFileSync(file, JSON.stringify({ key, cert, addresses: [...addresses], until } satisfies Kept), {
    mode: 0o600,
  })
  return { key, cert }
}

/** Kinds of alternative names of a certificate (RFC 5280, section 4.2.1.6). */
const DNS_NAME = 2
const IP_ADDRESS = 7

/** Made before, it could have vouched for any address there is. */
function isAuthority({ cert }: Credentials): boolean {
  return new X509Certificate(cert).ca
}

function read(file: string): Kept | null {
  if (!existsSync(file)) return null
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as Kept
  } catch {
    return null
  }
}

/** What somebody reads who wants it on the phone. @param code the address as a QR code, in characters */
export function lanWords(address: string, code: string): string {
  return [
    code,
    `On a phone in the same network: ${address}`,
    'The phone will warn that it does not know who vouches for this address: this machine made the certificate itself.',
    'Choose “Advanced” and go on, or put it off and use a host with a certificate of its own (README).',
    'Only over HTTPS, and only once the certificate is trusted: works without a network, stays awake, may use the camera.',
  ].join('\n')
}
