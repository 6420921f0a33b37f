import 'reflect-metadata'
import { createHash, webcrypto } from 'node:crypto'
import { isIP } from 'node:net'
import { AsnConvert } from '@peculiar/asn1-schema'
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  id_ce_nameConstraints,
  NameConstraints,
} from '@peculiar/asn1-x509'
import * as x509 from '@peculiar/x509'

x509.cryptoProvider.set(webcrypto as never)

/** Private key as PKCS #8 and certificate, both PEM. */
export interface KeyPair {
  key: string
  certificate: string
}

const algorithm = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const
const day = 24 * 3600_000
/** An authority lives as long as a job and its handover may take. */
const authorityDays = 10 * 365
/** Phones refuse certificates that live longer than 398 days. */
export const certificateDays = 397

/** Addresses that a site's network may have: RFC 1918, link-local, loopback. */
const privateRanges = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16', '127.0.0.0/8']

/**
 * An authority of this job's own. It can vouch only for this job's name and for private addresses (RFC 5280, 4.2.1.10, name constraints):
 * a phone that trusts it trusts it for nothing else.
 */
export async function makeAuthority(jobName: string, host: string, now: number): Promise<KeyPair> {
  const keys = await webcrypto.subtle.generateKey(algorithm, true, ['sign', 'verify'])
  const permitted = [
    new GeneralSubtree({ base: new GeneralName({ dNSName: host }) }),
    ...privateRanges.map((range) => new GeneralSubtree({ base: new GeneralName({ iPAddress: range }) })),
  ]
  const constraints = new x509.Extension(
    id_ce_nameConstraints,
    true,
    AsnConvert.serialize(new NameConstraints({ permittedSubtrees: new GeneralSubtrees(permitted) })),
  )
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: [{ O: ['Rauta'] }, { CN: [`${jobName.slice(0, 40)}: this job's authority`] }],
    notBefore: new Date(now - day),
    notAfter: new Date(now + authorityDays * day),
    signingAlgorithm: algorithm,
    keys: keys as never,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey as never),
      constraints,
    ],
  })
  return { key: await pemOf(keys.privateKey), certificate: certificate.toString('pem') }
}

/** A certificate for the names and addresses under which this computer is reached now. @throws Error where an address is none */
export async function makeCertificate(authority: KeyPair, names: readonly string[], now: number): Promise<KeyPair> {
  const keys = await webcrypto.subtle.generateKey(algorithm, true, ['sign', 'verify'])
  const issuer = new x509.X509Certificate(authority.certificate)
  const signingKey = await webcrypto.subtle.importKey(
    'pkcs8',
    x509.PemConverter.decode(authority.key)[0] as ArrayBuffer,
    algorithm,
    false,
    ['sign'],
  )
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: [{ CN: [names[0] ?? ''] }],
    issuer: issuer.subject,
    notBefore: new Date(now - day),
    notAfter: new Date(now + certificateDays * day),
    signingKey: signingKey as never,
    publicKey: keys.publicKey as never,
    signingAlgorithm: algorithm,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((n) => ({ type: isIP(n) ? ('ip' as const) : ('dns' as const), value: n })),
      ),
      await x509.AuthorityKeyIdentifierExtension.create(issuer.publicKey as never),
    ],
  })
  return { key: await pemOf(keys.privateKey), certificate: certificate.toString('pem') }
}

/** Names and addresses that a certificate speaks for, and until when. */
export function spokenFor(certificate: string): { names: string[]; until: number } {
  const parsed = new x509.X509Certificate(certificate)
  const names =
    parsed
      .getExtension(x509.SubjectAlternativeNameExtension)
      ?.names.toJSON()
      .map((n) => String(n.value)) ?? []
  return { names, until: parsed.notAfter.getTime() }
}

/** SHA-256 of a certificate in pairs, to be compared by eye. */
export function fingerprint(certificate: string): string {
  const hash = createHash('sha256')
    .update(Buffer.from(x509.PemConverter.decode(certificate)[0] as ArrayBuffer))
    .digest('hex')
    .toUpperCase()
  return hash.match(/../g)?.join(':') ?? ''
}

/** A positive serial number of 16 bytes. */
function serial(): string {
  const random = webcrypto.getRandomValues(new Uint8Array(16))
  random[0] = ((random[0] ?? 0) & 0x7f) | 0x01
  return Buffer.from(random).toString('hex')
}

async function pemOf(key: webcrypto.CryptoKey): Promise<string> {
  return x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY')
}
