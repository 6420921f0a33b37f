import 'reflect-metadata'
import { webcrypto } from 'node:crypto'
import * as x509 from '@peculiar/x509'

x509.cryptoProvider.set(webcrypto as never)

const algorithm = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const
const year = 365 * 24 * 3600_000

/** Private key as PKCS #8 and certificate, both PEM. */
export interface OwnCertificate {
  key: string
  certificate: string
}

/** A certificate as devices make it for themselves at their first start: signed by nobody else, and good for very long. */
export async function ownCertificate(serial: string): Promise<OwnCertificate> {
  const keys = await webcrypto.subtle.generateKey(algorithm, true, ['sign', 'verify'])
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: Buffer.from(webcrypto.getRandomValues(new Uint8Array(8)).fill(1, 0, 1)).toString('hex'),
    name: [{ CN: [serial] }],
    notBefore: new Date(0),
    notAfter: new Date(80 * year),
    signingAlgorithm: algorithm,
    keys: keys as never,
  })
  const key = x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', keys.privateKey), 'PRIVATE KEY')
  return { key, certificate: certificate.toString('pem') }
}
