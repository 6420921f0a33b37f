import {
  all,
  canonicalJson,
  drop,
  put,
  type Change,
  type Controller,
  type Facts,
  type Found,
  type Reach,
} from '@rauta/core'
import { ability, hasCode, type Heard, type Protocol, type Secret } from '@rauta/drivers'
import { sheetsFor } from '@rauta/contracts'
import { driverAt, spoken, type Context } from '../context'
import { knowsSecret } from './proof'
import { ownSecret } from './secrets'
import { refusedMs } from './sparing'
import { within } from './within'
import { failureWords } from '../words'

/** What one device is asked when it was heard is given so long, ms. */
const askMs = 20_000
/** So many devices are asked at once; whatever greets beyond what can wait is dropped: it greets again, or a search finds it. */
export const asking = { atOnce: 12, strangers: 4, most: 500 }

/**
 * Puts what was heard on the bench.
 * @param anew asks it whatever it said before: it has just started and may have been reset, or somebody named it by hand
 */
export async function remember(context: Context, protocol: Protocol, heard: Heard, anew = false): Promise<void> {
  // One that was reset and started is asked all the same, as soon as it can't shut itself over it.
  if (anew) await context.clock.sleep(context.sparing.restMs(heard.address), context.ending)
  const routable = context.dialer.inReach(heard.address)
  const ours = inServiceAs(context.log.facts, heard)
  const moved = ours !== null && heard.address !== ours.address
  const id =
    moved && !(routable && (await isOurs(context, protocol, heard, ours.id))) ? strangerAt(heard) : heard.endpoint
  const known = context.log.facts.found[id]
  const seen: Found = {
    id,
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
  const ask = async (): Promise<Partial<Found>> =>
    routable
      ? within(context, askMs, heard.serial || heard.address, (signal) =>
          askOwnership(context, seen, id !== heard.endpoint, signal),
        ).catch((error: unknown) => {
          if (hasCode(error, 'slow')) return {}
          throw error
        })
      : {}
  const asked: Partial<Found> = spared ? { ownership: 'closed', refusedAt: known.refusedAt } : await ask()
  await context.log.append('found.heard', `Heard ${heard.serial || heard.address}`, (facts, at) => {
    const before = facts.found[seen.id]
    const next: Found = {
      ...seen,
      ...asked,
      controller: before?.controller ?? plannedFor(facts, { ...seen, ...asked }),
      ...(before?.chosen ? { chosen: true } : {}),
      seenAt: at,
    }
    const same = before && sameButTimes(before, next)
    if (same && at - before.seenAt < 10_000) return []
    return [...(before ? [] : makeRoom(facts)), put(facts, 'found', next)]
  })
}

/** A device that says it is one of ours, at another address and without having proved it, stands on the bench for itself. */
const strangerAt = ({ endpoint, address }: Heard): string => `${endpoint.slice(0, 60)}-at-${address}`

/** The device in service that this one says it is. */
function inServiceAs(facts: Facts, heard: Heard): Reach | null {
  const matched = facts.found[heard.endpoint]?.controller
  const said = all(facts, 'reach').find(
    (r) => r.id === matched || (heard.serial !== '' && r.serial === heard.serial) || sameMac(r.mac, heard.mac),
  )
  return said?.owned ? said : null
}

const sameMac = (a: string, b: string): boolean => a !== '' && a.toUpperCase() === b.toUpperCase()

/** A greeting moves nothing by itself: a device of ours is believed to have moved when it proves itself under its password. */
async function isOurs(context: Context, protocol: Protocol, heard: Heard, controller: string): Promise<boolean> {
  const planned = context.log.facts.controller[controller]
  const secret = planned && (await ownSecret(context, planned))
  if (!secret) return false
  return await within(context, askMs, heard.serial || heard.address, (signal) =>
    knowsSecret(context, protocol, { ...heard, secured: context.log.facts.reach[controller]?.secured }, secret, signal),
  ).catch(() => false)
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

/** The planned controller that a device says it is. */
export const saysItIs = (facts: Facts, { serial, mac }: Pick<Heard, 'serial' | 'mac'>): Controller | undefined =>
  all(facts, 'controller').find((c) => (c.serial !== '' && c.serial === serial) || sameMac(c.mac, mac))

/** A planned controller whose serial or MAC was entered beforehand, as long as no other device says that it is that one. */
function plannedFor(facts: Facts, found: Found): string | null {
  const planned = saysItIs(facts, found)
  const taken = planned && all(facts, 'found').some((f) => f.controller === planned.id && f.id !== found.id)
  return planned && !taken ? planned.id : null
}

/**
 * Whose the device is: tries this job's secret, then the factory's, once each, so as not to shut it.
 * @param strange it did not prove that it knows this job's secret: it is not tried again, whatever it would say to it
 */
async function askOwnership(
  context: Context,
  found: Found,
  strange: boolean,
  signal: AbortSignal,
): Promise<Partial<Found>> {
  const protocol = spoken(context, found.protocol, found.serial || found.address)
  const planned = all(context.log.facts, 'controller').find((c) => c.serial === found.serial && c.serial !== '')
  for (const { secret, ownership } of await candidates(context, strange ? null : (planned ?? null), found.model)) {
    const driver = driverAt(context, protocol, found.address, secret, {
      port: found.port,
      // Before a device is ours it is asked in clear: there is nothing yet by which it could be told apart.
      secured: ownership === 'ours' ? context.log.facts.reach[planned?.id ?? '']?.secured : undefined,
      signal,
    })
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
