import { busDevicesOn, canonicalJson, put, type BusDevice, type Facts, type Reach, type SeenOnBus } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { hasCode, type Driver } from '@rauta/drivers'
import type { BusSeen } from '@rauta/protocols'
import type { Context } from '../../context'
import { tellKey } from './keys'

/** Devices on the buses of a controller that are in service. */
const inService = (facts: Facts, controller: string): BusDevice[] =>
  busDevicesOn(facts, sheetsFor(facts), controller).filter(({ id }) => facts.reach[id]?.owned)

/**
 * What a controller says of the readers on its buses becomes what is known of them. One that has its key while the controller lost it
 * is told to the controller again: a controller that was erased or replaced asks in clear until then.
 * @param gapMs since the look before
 */
export async function lookAtBuses(context: Context, controller: string, driver: Driver, gapMs: number): Promise<void> {
  const { log } = context
  const devices = inService(log.facts, controller)
  if (devices.length === 0 || !driver.busDevices) return
  const seen = await driver.busDevices().catch((error: unknown) => {
    if (hasCode(error, 'refused') || hasCode(error, 'unsupported')) return []
    throw error
  })
  for (const device of devices) {
    const reach = log.facts.reach[device.id]
    const at = reach?.onBus
    if (!at) continue
    const there = seen.find((s) => s.port === at.port && s.address === at.address)
    if (needsKey(there) && driver.setBusKey) await tellKey(context, device.id, at, driver)
    await log.append('reach.fact', `${device.ref} was looked at`, (facts, now) => {
      const before = facts.reach[device.id]
      const next = before?.onBus && asSeen(before, before.onBus, there, now, gapMs)
      return next && !same(before, next) ? [put(facts, 'reach', next)] : []
    })
  }
}

/** A controller that asks nobody there has lost what it was told, just as one that asks without the key. */
const needsKey = (there: BusSeen | undefined): boolean => !there || there.state === 'keyWanted'

/** @param there undefined where the controller asks nobody at that address */
function asSeen(before: Reach, at: SeenOnBus, there: BusSeen | undefined, now: number, gapMs: number): Reach {
  const state = !there || there.state === 'unknown' ? 'silent' : there.state
  if (state === 'silent')
    return {
      ...before,
      onBus: { ...at, state },
      silentMs: before.silentMs + gapMs,
      says: 'Its controller hears nothing of it.',
    }
  const { tamper: _before, ...rest } = at
  return {
    ...before,
    onBus: { ...rest, state, serial: there?.identity?.serial ?? at.serial, ...(there?.tamper ? { tamper: true } : {}) },
    firmware: there?.identity?.firmware ?? before.firmware,
    firmwareAccepted: there?.identity && there.identity.firmware !== before.firmware ? null : before.firmwareAccepted,
    lastAnswerAt: now,
    silentMs: 0,
    says: '',
  }
}

/** Answering once more is no news. */
const same = (a: Reach | undefined, b: Reach): boolean =>
  a !== undefined && canonicalJson({ ...a, lastAnswerAt: 0 }) === canonicalJson({ ...b, lastAnswerAt: 0 })
