import { canonicalJson, put, radioDevicesOn, type RadioDevice, type Reach, type SeenByRadio } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { hasCode, type Driver } from '@rauta/drivers'
import type { HubSeen } from '@rauta/protocols'
import type { Context } from '../../context'
import { siteRadioKey } from './key'

/**
 * What a controller says of its hubs and of the locks at them becomes what is known of them.
 * @param gapMs since the look before
 */
export async function lookAtRadio(context: Context, controller: string, driver: Driver, gapMs: number): Promise<void> {
  const { log } = context
  const devices = radioDevicesOn(log.facts, sheetsFor(log.facts), controller).filter(
    ({ id }) => log.facts.reach[id]?.owned,
  )
  if (devices.length === 0 || !driver.hubs) return
  const hubs = await driver.hubs().catch((error: unknown) => {
    if (hasCode(error, 'refused') || hasCode(error, 'unsupported')) return []
    throw error
  })
  const { check } = await siteRadioKey(context)
  for (const device of devices)
    await log.append('reach.fact', `${device.ref} was looked at`, (facts, now) => {
      const before = facts.reach[device.id]
      const next = before?.byRadio && asSeen(before, before.byRadio, device, hubs, check, { now, gapMs })
      return next && !same(before, next) ? [put(facts, 'reach', next)] : []
    })
}

interface Heard {
  serial: string
  firmware: string
  state: SeenByRadio['state']
  signal?: number
  batteryLow?: true
}

function keyState({ keyCheck }: HubSeen, check: string): 'joined' | 'noKey' | 'otherKey' {
  if (keyCheck === '') return 'noKey'
  return keyCheck === check ? 'joined' : 'otherKey'
}

/** Null where nobody is in its place. */
function heardOf(device: RadioDevice, at: SeenByRadio, hubs: readonly HubSeen[], check: string): Heard | null {
  const hub = hubs.find((h) => h.address === at.hub)
  if (!hub) return null
  const keyed = keyState(hub, check)
  if (device.kind === 'hub') return { serial: hub.serial, firmware: hub.firmware, state: keyed }
  const lock = hub.locks.find((l) => l.place === at.place)
  if (!lock) return null
  const { serial, firmware, signal, batteryLow } = lock
  const state = keyed === 'joined' && !lock.joined ? 'silent' : keyed
  return { serial, firmware, state, signal, ...(batteryLow ? { batteryLow } : {}) }
}

function asSeen(
  before: Reach,
  at: SeenByRadio,
  device: RadioDevice,
  hubs: readonly HubSeen[],
  check: string,
  { now, gapMs }: { now: number; gapMs: number },
): Reach {
  const heard = heardOf(device, at, hubs, check)
  if (!heard || heard.state === 'silent')
    return {
      ...before,
      byRadio: { ...at, state: 'silent' },
      silentMs: before.silentMs + gapMs,
      says: device.kind === 'hub' ? 'Its controller hears nothing of it.' : 'Its hub hears nothing of it.',
    }
  const { firmware, ...seen } = heard
  const { batteryLow: _before, ...rest } = at
  return {
    ...before,
    byRadio: { ...rest, ...seen },
    firmware,
    firmwareAccepted: firmware === before.firmware ? before.firmwareAccepted : null,
    lastAnswerAt: now,
    silentMs: 0,
    says: '',
  }
}

/** Answering once more is no news, and neither is a signal that sways. */
const same = (a: Reach, b: Reach): boolean => calm(a) === calm(b)
const calm = (reach: Reach): string =>
  canonicalJson({
    ...reach,
    lastAnswerAt: 0,
    byRadio: { ...reach.byRadio, signal: Math.round((reach.byRadio?.signal ?? 0) / 5) },
  })
