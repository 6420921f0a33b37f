import {
  busClaimSteps,
  busDeviceOf,
  sheetOf,
  type BusDevice,
  type Claim,
  type OnBus,
  type SeenOnBus,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { ability, DeviceError, hasCode, type BusDriver } from '@rauta/drivers'
import type { BusSeen } from '@rauta/protocols'
import type { Context } from '../../context'
import { done, failed, waits, stepCalled, type StepResult, type Taking } from '../step'
import { answersBehind, inService } from '../behind'
import { findOnBus, garbledWords, othersHurt } from './finding'
import { checkSerial, whoIs } from './identity'
import { openUnderAny, renewKey, tellKey } from './keys'
import { busOf, switchesOf, wantedAt, type Bus } from './through'

interface StepInput {
  context: Context
  device: BusDevice
  claim: Claim
  signal: AbortSignal
  tell: (says: string) => Promise<unknown>
}
type Step = (input: StepInput) => Promise<StepResult>

/** How a controller sees a reader, in words. */
const busStateWords: Readonly<Record<BusSeen['state'], string>> = {
  unknown: 'not asked',
  silent: 'silent',
  garbled: 'what comes is hurt',
  clear: 'in clear',
  secured: 'another reader',
  wrongKey: 'another key',
  keyWanted: 'no key',
}
/** How long the controller has to hear a reader under its key, ms. */
const joinMs = 30_000
const joinEveryMs = 500

/**
 * The device where it was told apart, after it has said again that it is that one; one that hands have set otherwise since is looked for.
 * @throws DeviceError `another`
 */
async function known(input: StepInput): Promise<{ bus: Bus; driver: BusDriver; at: OnBus }> {
  const { context, device, claim, signal, tell } = input
  const was = claim.onBus
  if (!was) throw new DeviceError('malformed', `${device.ref} was not told apart yet.`)
  const bus = await busOf(context, device, signal)
  const here = async (at: OnBus) => {
    const driver = bus.at(at)
    await checkSerial(context, driver, at, device)
    return { bus, driver, at }
  }
  try {
    return await here(was)
  } catch (error) {
    if (!hasCode(error, 'silent')) throw error
    const found = await findOnBus(context, device, bus, tell)
    if ('why' in found) throw new DeviceError('silent', found.why, { cause: error })
    const now = await here({ ...found.at, serial: was.serial })
    await context.log.patch('claim', claim.id, `${device.ref} is at address ${now.at.address}`, (c) => ({
      ...c,
      onBus: now.at,
    }))
    return now
  }
}

const otherKeyWords = (ref: string) =>
  `${ref} has a key that is neither this job’s nor the factory’s. Bring it back to its factory state as its maker says, then go on.`

export const busSteps: Record<(typeof busClaimSteps)[number], Step> = {
  async identity({ context, device, claim, signal, tell }) {
    const bus = await busOf(context, device, signal)
    const found = await findOnBus(context, device, bus, tell)
    if ('why' in found) return waits(found.why)
    const { serial, firmware, type, readsCards, secures } = await whoIs(context, bus.at(found.at), device)
    const sheets = sheetsFor(context.log.facts)
    if (!readsCards && sheetOf(sheets, device.part.sheet).reading)
      return failed(
        `${serial} (${type}) says that it reads no cards, and ${device.sheet.name} does. It is another type.`,
      )
    if (!secures)
      return failed(
        `${serial} (${type}) says that it cannot be encrypted: whoever is on the bus could send cards of their own. Plan another type.`,
      )
    const onBus: OnBus = { ...found.at, serial }
    await context.log.patch('claim', claim.id, `${device.ref} is ${serial}`, (c) => ({ ...c, onBus }))
    return done(
      `${serial}, type ${type}, firmware ${firmware}, at address ${found.at.address}, ${found.at.speed} bit/s`,
    )
  },
  async network(input) {
    const { context, device, claim } = input
    const { bus, driver, at } = await known(input)
    const wanted = wantedAt(device, bus.protocol)
    if (at.address === wanted.address && at.speed === wanted.speed)
      return done(`Address ${at.address}, ${at.speed} bit/s`)
    const switches = switchesOf(device)
    if (switches !== null && at.address !== wanted.address)
      return waits(
        `Its switches stand for address ${at.address}; it is planned at ${wanted.address}. ${switches} Then take it off its supply for a moment, and go on.`,
      )
    // One with a key is set under it only.
    if (!(await openUnderAny(context, device.id, driver))) return waits(otherKeyWords(device.ref))
    const uses = await driver.setAt(wanted)
    if (uses.address !== wanted.address || uses.speed !== wanted.speed)
      return failed(
        `It was given address ${wanted.address} at ${wanted.speed} bit/s, and says it will use ${uses.address} at ${uses.speed}.`,
      )
    const moved: OnBus = { ...wanted, serial: at.serial }
    await context.log.patch('claim', claim.id, `${device.ref} has address ${wanted.address}`, (c) => ({
      ...c,
      onBus: moved,
    }))
    await checkSerial(context, bus.at(moved), moved, device)
    return done(`Address ${wanted.address}, ${wanted.speed} bit/s; it answers there`)
  },
  async secret(input) {
    const { context, device } = input
    const { bus, driver } = await known(input)
    const whose = await openUnderAny(context, device.id, driver)
    if (whose === 'ours') return done('It has a key of this job.')
    if (whose === null) return waits(otherKeyWords(device.ref))
    await renewKey(context, device.id, driver, bus.protocol.keyBytes)
    return done('The key that everybody knows is gone; one of this job is in its place, and opens it.')
  },
  async joined(input) {
    const { context, device, signal } = input
    const { bus, at } = await known(input)
    if (!(await tellKey(context, device.id, { port: device.port, address: at.address }, bus.controller)))
      return failed('This job has no key of it. Take it into service again.')
    const ref = context.log.facts.controller[device.controller]?.ref ?? ''
    const until = context.clock.now() + joinMs
    let state: BusSeen['state'] = 'unknown'
    while (context.clock.now() < until && !signal.aborted) {
      const seen = (await ability(bus.controller, 'busDevices')()).find(
        (s) => s.port === device.port && s.address === at.address,
      )
      if (seen?.state === 'secured' && seen.identity?.serial === at.serial)
        return done(`${ref} hears it under its key.`)
      state = seen?.state ?? 'unknown'
      await context.clock.sleep(joinEveryMs, signal)
    }
    return failed(`${ref} does not hear it under its key within ${joinMs / 1000} s (${busStateWords[state]}).`)
  },
  async firmware(input) {
    const { context, device } = input
    const { driver, at } = await known(input)
    const { firmware } = await whoIs(context, driver, device)
    const onBus: SeenOnBus = {
      controller: device.controller,
      port: device.port,
      address: at.address,
      serial: at.serial,
      state: 'secured',
    }
    const ref = context.log.facts.controller[device.controller]?.ref ?? ''
    return await answersBehind(
      context,
      device,
      `${device.ref} answers at address ${at.address}`,
      { address: `${ref} ${device.port}, address ${at.address}`, serial: at.serial, firmware, onBus },
      (sheets, id) => busDeviceOf(context.log.facts, sheets, id)?.sheet.id,
    )
  },
  ready: ({ context, device }) => inService(context, device),
}

/** How a device on a bus is taken, or null where the job has it no more. */
export function busTakingOf(context: Context, claim: Claim): Taking | null {
  const { facts } = context.log
  const device = busDeviceOf(facts, sheetsFor(facts), claim.id)
  return (
    device && {
      ref: device.ref,
      steps: busClaimSteps,
      goesOn: 'It is tried again by itself.',
      do: (step, now, signal, tell) =>
        stepCalled(
          busSteps,
          step,
          device.ref,
        )({ context, device, claim: now, signal, tell }).catch(async (error: unknown) => {
          if (!hasCode(error, 'garbled')) throw error
          const bus = await busOf(context, device, signal)
          const at = now.onBus ?? wantedAt(device, bus.protocol)
          throw new DeviceError('garbled', garbledWords(await othersHurt(bus, device), at), { cause: error })
        }),
    }
  )
}
