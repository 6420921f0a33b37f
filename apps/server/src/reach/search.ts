import { all, canonicalJson, drop, put, type Change, type Controller, type Facts, type Found } from '@rauta/core'
import { ability, DeviceError, hasCode, type Heard, type Protocol, type Secret } from '@rauta/drivers'
import { sheetsFor } from '@rauta/contracts'
import { driverAt, ownSecret, spoken, type Context } from '../context'
import { failureWords } from '../words'

/** Devices wait up to 500 ms before they answer (WS-Discovery), so the search never ends sooner than this in real time. */
const searchMs = 2500

/** A device that refused a secret is not asked again for so long, unless it greets: a few wrong ones shut it. Milliseconds. */
const refusedMs = 30_000

/** Searches the segment in every protocol that can; what answers is put on the bench. Returns how many were heard. */
export async function search(context: Context): Promise<number> {
  const heard: { device: Heard; protocol: Protocol }[] = []
  const stop = new AbortController()
  context.clock.after(Math.max(searchMs, 300 * context.clock.factor), () => stop.abort())
  const until = AbortSignal.any([stop.signal, context.ending])
  await Promise.all(
    context.protocols.all.map((protocol) =>
      protocol.search?.(context.dialer, (device) => heard.push({ device, protocol }), until),
    ),
  )
  await Promise.all(heard.map(({ device, protocol }) => remember(context, protocol, device)))
  return heard.length
}

/** Hears devices that announce themselves, for as long as the server runs. */
export function listen(context: Context, onHeard: (endpoint: string) => void): void {
  for (const protocol of context.protocols.all) {
    const hear = (device: Heard) => {
      remember(context, protocol, device, true)
        .then(() => onHeard(device.endpoint))
        .catch((error: Error) => context.logger.warn({ address: device.address }, `heard, but: ${error.message}`))
    }
    protocol
      .listen?.(context.dialer, hear, context.ending)
      .catch((error: Error) => context.logger.warn(`cannot listen for announcements: ${error.message}`))
  }
}

/** The protocol in which something answers at an address. @throws DeviceError of the first where none does */
async function answersIn(context: Context, address: string): Promise<Protocol> {
  let first: unknown = null
  for (const protocol of context.protocols.all) {
    try {
      await driverAt(context, protocol, address, null, { signal: context.ending }).time()
      return protocol
    } catch (error) {
      first ??= error
    }
  }
  throw first
}

/** Names one address by hand: asks it who it is. @throws DeviceError */
export async function askAddress(context: Context, address: string): Promise<string> {
  if (!context.dialer.inReach(address))
    throw new DeviceError(
      'noAddress',
      `This computer has no address in the subnet of ${address}. It has ${context.dialer
        .interfaces()
        .map((i) => `${i.address}/${i.prefix}`)
        .join(', ')}.`,
    )
  const protocol = await answersIn(context, address)
  const known = all(context.log.facts, 'found').find((f) => f.address === address)
  const heard = known ?? { id: `at-${address}`, address, port: protocol.port, name: '', model: '', mac: '', serial: '' }
  await remember(
    context,
    protocol,
    {
      endpoint: heard.id,
      address,
      port: heard.port,
      name: heard.name,
      model: heard.model,
      mac: heard.mac,
      serial: heard.serial,
    },
    true,
  )
  return heard.id
}

/** @param anew asks it whatever it said before: it has just started and may have been reset, or somebody named it by hand */
async function remember(context: Context, protocol: Protocol, heard: Heard, anew = false): Promise<void> {
  const known = context.log.facts.found[heard.endpoint]
  const routable = context.dialer.inReach(heard.address)
  const seen: Found = {
    id: heard.endpoint,
    address: heard.address,
    port: heard.port,
    protocol: protocol.name,
    name: heard.name,
    model: heard.model,
    serial: heard.serial,
    mac: heard.mac,
    routable,
    ownership: 'unknown',
    holds: null,
    seenAt: Math.floor(context.clock.now()),
    controller: null,
  }
  const spared =
    !anew &&
    known?.refusedAt !== undefined &&
    known.address === heard.address &&
    context.clock.now() - known.refusedAt < refusedMs
  const ask = async (): Promise<Partial<Found>> => (routable ? askOwnership(context, seen) : {})
  const asked: Partial<Found> = spared ? { ownership: 'closed', refusedAt: known.refusedAt } : await ask()
  await context.log.append('found.heard', `Heard ${heard.serial || heard.address}`, (facts, at) => {
    const before = facts.found[seen.id]
    const next = {
      ...seen,
      ...asked,
      controller: before?.controller ?? plannedFor(facts, { ...seen, ...asked }),
      seenAt: at,
    }
    const same = before && sameButTimes(before, next)
    if (same && at - before.seenAt < 10_000) return []
    return [...(before ? [] : makeRoom(facts)), put(facts, 'found', next)]
  })
}

/** Of devices that no plan knows so many are kept: whoever can send a datagram can greet under any name. */
const mostStrangers = 200

/** Those that were heard longest ago give way. */
function makeRoom(facts: Facts): Change[] {
  const inHand = new Set(all(facts, 'claim').map((claim) => claim.found))
  const strangers = all(facts, 'found')
    .filter((f) => f.controller === null && !inHand.has(f.id))
    .sort((a, b) => a.seenAt - b.seenAt)
  return strangers
    .slice(0, Math.max(0, strangers.length - mostStrangers + 1))
    .flatMap((f) => drop(facts, 'found', f.id))
}

const sameButTimes = (a: Found, b: Found): boolean =>
  canonicalJson({ ...a, seenAt: 0, refusedAt: 0 }) === canonicalJson({ ...b, seenAt: 0, refusedAt: 0 })

/** A planned controller whose serial or MAC was entered beforehand. */
function plannedFor(facts: Facts, found: Found): string | null {
  return (
    all(facts, 'controller').find(
      (c) => (c.serial && c.serial === found.serial) || (c.mac && c.mac.toUpperCase() === found.mac.toUpperCase()),
    )?.id ?? null
  )
}

/** Whose the device is: tries this job's secret, then the factory's, once each, so as not to shut it. */
async function askOwnership(context: Context, found: Found): Promise<Partial<Found>> {
  const protocol = spoken(context, found.protocol, found.serial || found.address)
  const planned = all(context.log.facts, 'controller').find((c) => c.serial === found.serial && c.serial !== '')
  for (const { secret, ownership } of await candidates(context, planned ?? null, found.model)) {
    const driver = driverAt(context, protocol, found.address, secret, { port: found.port, signal: context.ending })
    try {
      const identity = await driver.identify()
      return {
        ownership,
        holds: await ability(driver, 'holds')(),
        model: identity.model,
        serial: identity.serial,
        mac: identity.mac,
        name: identity.hostname,
      }
    } catch (error) {
      if (hasCode(error, 'notAuthorized')) continue
      context.logger.info({ address: found.address }, failureWords(error, found.address))
      return {}
    }
  }
  return { ownership: 'closed', refusedAt: Math.floor(context.clock.now()) }
}

async function candidates(
  context: Context,
  planned: Controller | null,
  model: string,
): Promise<{ secret: Secret; ownership: Found['ownership'] }[]> {
  const own = planned && (await ownSecret(context, planned))
  const factories = Object.values(sheetsFor(context.log.facts)).flatMap((s) =>
    s.controller && (!model || s.id === model) ? [s.controller.factory] : [],
  )
  const distinct = factories.filter(
    (f, i) => factories.findIndex((g) => g.user === f.user && g.password === f.password) === i,
  )
  return [
    ...(own ? [{ secret: own, ownership: 'ours' as const }] : []),
    ...distinct.map((f) => ({ secret: { user: f.user, password: f.password }, ownership: 'factory' as const })),
  ]
}
