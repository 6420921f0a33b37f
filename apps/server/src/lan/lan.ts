import { randomBytes } from 'node:crypto'
import { createServer as createHttp, type Server } from 'node:http'
import { createServer as createHttps, type Server as SecureServer } from 'node:https'
import { networkInterfaces } from 'node:os'
import type { Express } from 'express'
import { jobOf } from '@rauta/core'
import type { Context } from '../context'
import { StartError } from '../store/startError'
import { announce } from './announce'
import { fingerprint, makeAuthority, makeCertificate, spokenFor, type KeyPair } from './authority'
import type { LanFacts } from './facts'
import { trustApp } from './trust'

export interface LanOptions {
  /** The one address to bind; null for every address that this computer has. */ address: string | null
  port: number
  trustPort: number
  announce: boolean
}
export interface Lan {
  facts(): LanFacts
  /** Another authority takes the place of this one: every phone has to be told to trust it. */
  renewAuthority(): Promise<LanFacts>
  close(): Promise<void>
}

const day = 24 * 3600_000
/** A certificate is made anew when it has fewer days than this. */
const renewDays = 30
const lookEveryMs = 20_000
const hostId = 'lan/host'
const authorityId = 'lan/authority'
const certificateId = 'lan/certificate'

/** The name under which a job is reached: it belongs to the job, so that an installed application and what waits in it stay reachable. */
export const hostOf = (publicKey: string): string => `rauta-${publicKey.slice(0, 6)}.local`

/** IPv4 addresses of this computer that a phone could reach. */
function ownAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flat()
    .filter((i) => i?.family === 'IPv4' && !i.internal)
    .map((i) => i?.address ?? '')
    .sort()
}

/** Serves the application over HTTPS on the local network, under an authority of this job's own. @throws StartError */
export async function openLan(app: Express, context: Context, publicKey: string, options: LanOptions): Promise<Lan> {
  // The name outlives the key that it was made from: the installed application belongs to it.
  const host = (await context.vault.get(hostId)) ?? hostOf(publicKey)
  await context.vault.put(hostId, host)
  const newAuthority = () => makeAuthority(jobOf(context.log.facts)?.name ?? 'Rauta', host, context.clock.now())
  let authority = await kept(context, authorityId, newAuthority)
  const addresses = () => (options.address ? [options.address] : ownAddresses())
  if (addresses().length === 0)
    throw new StartError(
      'This computer is on no network: there is nothing for --lan to bind. Join the site’s network, or name an address: --lan 10.0.0.5',
    )
  let bound = addresses()
  const certificate = async (): Promise<KeyPair> => {
    const before = await context.vault.get(certificateId)
    const names = [host, ...bound]
    if (before) {
      const pair = JSON.parse(before) as KeyPair
      const { names: spoken, until } = spokenFor(pair.certificate)
      if (until - context.clock.now() > renewDays * day && names.every((n) => spoken.includes(n))) return pair
    }
    const pair = await makeCertificate(authority, names, context.clock.now())
    await context.vault.put(certificateId, JSON.stringify(pair))
    return pair
  }
  const chain = (pair: KeyPair) => ({ key: pair.key, cert: `${pair.certificate}\n${authority.certificate}` })
  const facts = (): LanFacts => ({
    origin: `https://${host}:${options.port}`,
    trust: `http://${bound[0] ?? ''}:${options.trustPort}/trust`,
    fingerprint: fingerprint(authority.certificate),
    addresses: bound,
  })
  const bind = options.address ?? '0.0.0.0'
  const secure = await listening(createHttps(chain(await certificate()), app), bind, options.port)
  const plain = await listening(
    createHttp(trustApp(facts, () => authority.certificate)),
    bind,
    options.trustPort,
  ).catch(async (error: unknown) => {
    await closed(secure)
    throw error
  })
  const names = options.announce ? announce(host, () => bound, options.address) : null
  // A new address of this computer strands nobody: the name stays, and the certificate speaks for the new address too.
  const watch = setInterval(() => {
    const now = addresses()
    if (now.join() === bound.join() || now.length === 0) return
    bound = now
    certificate().then(
      (pair) => (secure as SecureServer).setSecureContext(chain(pair)),
      (error: unknown) => context.logger.error(error),
    )
  }, lookEveryMs)
  return {
    facts,
    async renewAuthority() {
      // Broken off here, the next start makes a certificate under whichever authority it finds.
      await context.vault.drop(certificateId)
      const next = await newAuthority()
      await context.vault.put(authorityId, JSON.stringify(next))
      authority = next
      const server = secure as SecureServer
      server.setSecureContext(chain(await certificate()))
      // A session or connection of before is not taken up again under the authority that has gone.
      server.setTicketKeys(randomBytes(48))
      server.closeIdleConnections()
      return facts()
    },
    async close() {
      clearInterval(watch)
      names?.close()
      await Promise.all([closed(secure), closed(plain)])
    },
  }
}

async function kept(context: Context, id: string, make: () => Promise<KeyPair>): Promise<KeyPair> {
  const before = await context.vault.get(id)
  if (before) return JSON.parse(before) as KeyPair
  const pair = await make()
  await context.vault.put(id, JSON.stringify(pair))
  return pair
}

function listening<S extends Server | SecureServer>(server: S, address: string, port: number): Promise<S> {
  return new Promise((done, fail) => {
    server.once('listening', () => done(server))
    server.once('error', (error: { code?: string; message: string }) =>
      fail(new StartError(whyNot(error, address, port))),
    )
    server.listen(port, address)
  })
}

function closed(server: Server | SecureServer): Promise<void> {
  return new Promise((done) => {
    server.close(() => done())
    server.closeAllConnections()
  })
}

function whyNot(error: { code?: string; message: string }, address: string, port: number): string {
  switch (error.code) {
    case 'EADDRINUSE':
      return `Port ${port} is in use at ${address}. Choose others with LAN_PORT and LAN_TRUST_PORT.`
    case 'EADDRNOTAVAIL':
      return `This computer has no address ${address}.`
    default:
      return `${address} port ${port} cannot be used: ${error.message}`
  }
}
