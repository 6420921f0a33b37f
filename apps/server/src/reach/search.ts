import { all, canonicalJson, put, type Controller, type Facts, type Found } from '@rauta/core'
import { listenForHello, searchSegment, UnreachableError, type Heard, type Secret } from '@rauta/drivers'
import { SoapFault } from '@rauta/protocols'
import { sheetsFor } from '@rauta/contracts'
import { driverAt, ownSecret, type Context } from '../context'
import { failureWords } from '../words'

/** Devices wait up to 500 ms before they answer (WS-Discovery), so the search never ends sooner than this in real time. */
const searchMs = 2500

/** A device that refused a secret is not asked again for so long, unless it greets: a few wrong ones shut it. Milliseconds. */
const refusedMs = 30_000

/** Searches the segment; what answers is put on the bench. Returns how many were heard. */
export async function search(context: Context): Promise<number> {
  const heard: Heard[] = []
  const stop = new AbortController()
  context.clock.after(Math.max(searchMs, 300 * context.clock.factor), () => stop.abort())
  await searchSegment(context.dialer, (device) => heard.push(device), AbortSignal.any([stop.signal, context.ending]))
  await Promise.all(heard.map((device) => remember(context, device)))
  return heard.length
}

/** Hears devices that announce themselves, for as long as the server runs. */
export function listen(context: Context, onHeard: (endpoint: string) => void): void {
  listenForHello(
    context.dialer,
    (device) => {
      remember(context, device, true)
        .then(() => onHeard(device.endpoint))
        .catch((error: Error) => context.logger.warn({ address: device.address }, `heard, but: ${error.message}`))
    },
    context.ending,
  ).catch((error: Error) => context.logger.warn(`cannot listen for announcements: ${error.message}`))
}

/** Names one address by hand: asks it who it is. @throws UnreachableError, SoapFault, MalformedError */
export async function askAddress(context: Context, address: string): Promise<string> {
  if (!context.dialer.inReach(address))
    throw new UnreachableError(
      'no address in that subnet',
      `This computer has no address in the subnet of ${address}. It has ${context.dialer
        .interfaces()
        .map((i) => `${i.address}/${i.prefix}`)
        .join(', ')}.`,
    )
  await driverAt(context, address, null, { signal: context.ending }).time()
  const known = all(context.log.facts, 'found').find((f) => f.address === address)
  const heard = known ?? { id: `at-${address}`, address, port: 80, name: '', model: '', mac: '', serial: '' }
  await remember(
    context,
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
async function remember(context: Context, heard: Heard, anew = false): Promise<void> {
  const known = context.log.facts.found[heard.endpoint]
  const routable = context.dialer.inReach(heard.address)
  const seen: Found = {
    id: heard.endpoint,
    address: heard.address,
    port: heard.port,
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
  const asked: Partial<Found> = spared
    ? { ownership: 'closed', refusedAt: known.refusedAt }
    : routable
      ? await askOwnership(context, seen)
      : {}
  await context.log.append('found.heard', `Heard ${heard.serial || heard.address}`, (facts, at) => {
    const before = facts.found[seen.id]
    const next = {
      ...seen,
      ...asked,
      controller: before?.controller ?? plannedFor(facts, { ...seen, ...asked }),
      seenAt: at,
    }
    const same = before && sameButTimes(before, next)
    return same && at - before.seenAt < 10_000 ? [] : [put(facts, 'found', next)]
  })
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
  const planned = all(context.log.facts, 'controller').find((c) => c.serial === found.serial && c.serial !== '')
  for (const { secret, ownership } of await candidates(context, planned ?? null, found.model)) {
    const driver = driverAt(context, found.address, secret, { port: found.port, signal: context.ending })
    try {
      const identity = await driver.identify()
      return {
        ownership,
        holds: await driver.holds(),
        model: identity.model,
        serial: identity.serial,
        mac: identity.mac,
        name: identity.hostname,
      }
    } catch (error) {
      if (error instanceof SoapFault && error.notAuthorized) continue
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
