import {
  all,
  hubClaimSteps,
  lockClaimSteps,
  radioDeviceOf,
  sheetOf,
  type Claim,
  type RadioDevice,
  type RadioHub,
  type RadioLock,
  type SeenByRadio,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { ability, DeviceError, type Driver } from '@rauta/drivers'
import type { HubSeen, LockHeard } from '@rauta/protocols'
import type { Context } from '../../context'
import { done, failed, waits, stepCalled, type StepResult, type Taking } from '../step'
import { answersBehind, inService } from '../behind'
import { siteRadioKey } from './key'
import { controllerOf, heardFor, hubAddress } from './through'

interface StepInput<D extends RadioDevice> {
  context: Context
  device: D
  claim: Claim
  signal: AbortSignal
  tell: (says: string) => Promise<unknown>
}
type Step<D extends RadioDevice> = (input: StepInput<D>) => Promise<StepResult>

/** How long a hub waits for one lock, ms, and how often it is asked meanwhile. */
const pairingMs = 170_000
const askEveryMs = 500

const nobodyWords = ({ ref, controller, address }: RadioHub, all: readonly HubSeen[]): string => {
  const others = all.map((h) => `${h.serial} at address ${h.address}`)
  return others.length
    ? `Nobody answers at address ${address} behind ${controller?.ref}; ${others.join(', ')} ${others.length === 1 ? 'does' : 'do'}. Set the switches of ${ref}, or look for two hubs at one address.`
    : `No hub answers behind ${controller?.ref}. Has ${ref} its power, and is its bus on the right screws at both ends?`
}

/** Another type than the one that is planned; what does not tell its type is believed. */
function otherType(
  context: Context,
  device: RadioDevice,
  { serial, model }: { serial: string; model: string },
): string | null {
  if (model === '' || model === device.sheet.id) return null
  const sheets = sheetsFor(context.log.facts)
  const is = Object.hasOwn(sheets, model) ? sheetOf(sheets, model).name : model
  return `${serial} is another type: ${is}. ${device.ref} is planned as ${device.sheet.name}.`
}

/** The other lock of the job that has this serial: its place was given to another door meanwhile. */
function ownerOf(context: Context, device: RadioDevice, serial: string): string | null {
  const { facts } = context.log
  const other = all(facts, 'reach').find((r) => r.id !== device.id && r.owned && r.byRadio && r.serial === serial)
  return other ? (radioDeviceOf(facts, sheetsFor(facts), other.id)?.ref ?? null) : null
}

const another = (device: RadioDevice, is: string, was: string): DeviceError =>
  new DeviceError(
    'another',
    `${is} is in the place of ${device.ref} instead of ${was}. Nothing was sent. Find out which of them belongs here.`,
  )

const pinned = (context: Context, device: RadioDevice, serial: string): Promise<unknown> =>
  context.log.patch('claim', device.id, `${device.ref} is ${serial}`, (c) => ({ ...c, byRadio: { serial } }))

/** The hub, after it has said again that it is the one that was told apart. @throws DeviceError `another`, `silent` */
async function knownHub(input: StepInput<RadioHub>): Promise<{ driver: Driver; hub: HubSeen }> {
  const { context, device, claim, signal } = input
  const driver = await controllerOf(context, device, signal)
  const { hub, all } = await heardFor(driver, device)
  if (!hub) throw new DeviceError('silent', nobodyWords(device, all))
  if (claim.byRadio && hub.serial !== claim.byRadio.serial) throw another(device, hub.serial, claim.byRadio.serial)
  return { driver, hub }
}

const hubSteps: Record<(typeof hubClaimSteps)[number], Step<RadioHub>> = {
  async identity(input) {
    const { context, device, signal } = input
    const driver = await controllerOf(context, device, signal)
    const { hub, all } = await heardFor(driver, device)
    if (!hub) return waits(nobodyWords(device, all))
    const wrong = otherType(context, device, hub)
    if (wrong) return failed(wrong)
    await pinned(context, device, hub.serial)
    return done(`${hub.serial}, firmware ${hub.firmware}, at address ${hub.address}`)
  },
  async secret(input) {
    const { driver, hub } = await knownHub(input)
    const { key, check } = await siteRadioKey(input.context)
    if (hub.keyCheck === check) return done('It has the radio key of this job.')
    if (hub.keyCheck !== '')
      return waits(
        `It has the radio key of somebody else (${hub.keyCheck}). Bring it back to its factory state as its maker says, then go on.`,
      )
    await ability(driver, 'setRadioKey')(hub.address, key)
    const { hub: after } = await knownHub(input)
    return after.keyCheck === check
      ? done('It has the radio key of this job, read back by its check value.')
      : failed('It was given the radio key of this job and has another one. Try it again.')
  },
  async firmware(input) {
    const { hub } = await knownHub(input)
    return await firmwareOf(input, hub, { hub: hub.address, serial: hub.serial, state: 'joined' })
  },
  ready: ({ context, device }) => inService(context, device),
}

/** What is heard of a lock in its place, or null where nobody is there. @throws DeviceError */
async function knownLock(
  input: StepInput<RadioLock>,
): Promise<{ driver: Driver; hub: HubSeen; lock: LockHeard | null }> {
  const { context, device, signal } = input
  const driver = await controllerOf(context, device, signal)
  const { hub } = await heardFor(driver, device)
  if (!hub) throw new DeviceError('silent', `${device.hub?.ref ?? 'Its hub'} does not answer.`)
  return { driver, hub, lock: hub.locks.find((l) => l.place === device.place) ?? null }
}

async function pairedLock(input: StepInput<RadioLock>): Promise<LockHeard> {
  const { lock } = await knownLock(input)
  const { device, claim } = input
  if (!lock)
    throw new DeviceError(
      'refused',
      `No lock is in place ${device.place} of ${device.hub?.ref} any more. Take it into service again.`,
    )
  if (claim.byRadio && lock.serial !== claim.byRadio.serial) throw another(device, lock.serial, claim.byRadio.serial)
  return lock
}

const lockSteps: Record<(typeof lockClaimSteps)[number], Step<RadioLock>> = {
  async paired(input) {
    const { context, device } = input
    const { driver, hub, lock } = await knownLock(input)
    const found = lock ?? (await waitForHand(input, driver))
    if (!found)
      return waits(
        `No lock showed itself to ${device.hub?.ref} within ${pairingMs / 60_000} minutes. Has the lock its cells? If it showed red, it is somebody else’s: bring it back to its factory state as its maker says. Go on to wait for it again.`,
      )
    const owner = ownerOf(context, device, found.serial)
    if (owner)
      return waits(
        `Place ${found.place} of ${device.hub?.ref} still has ${found.serial}, which is ${owner}. Take ${owner} into service in its own place first, then go on.`,
      )
    const wrong = otherType(context, device, found)
    if (wrong) {
      await ability(driver, 'removeLock')(hub.address, found.place)
      return failed(`${wrong} It was let go of again.`)
    }
    await pinned(context, device, found.serial)
    return done(`${found.serial}, firmware ${found.firmware}, in place ${found.place} of ${device.hub?.ref}`)
  },
  async joined(input) {
    const lock = await pairedLock(input)
    if (!lock.joined)
      return waits(
        `${input.device.hub?.ref} has it on its list and does not hear it under the radio key of this job. Is it near enough, and are its cells good? Present any card at it, then go on.`,
      )
    return done(`${lock.signal} dBm at ${input.device.hub?.ref}, battery ${lock.batteryLow ? 'low' : 'good'}`)
  },
  async firmware(input) {
    const lock = await pairedLock(input)
    return await firmwareOf(input, lock, {
      hub: hubAddress(input.device),
      place: lock.place,
      serial: lock.serial,
      state: 'joined',
      signal: lock.signal,
      ...(lock.batteryLow ? { batteryLow: true } : {}),
    })
  },
  ready: ({ context, device }) => inService(context, device),
}

/** Has the hub wait for the lock, until a set-up card was presented at it. A hub waits for one at a time: another's turn is waited out. */
async function waitForHand(input: StepInput<RadioLock>, driver: Driver): Promise<LockHeard | null> {
  const { context, device, signal, tell } = input
  const address = hubAddress(device)
  const place = device.place ?? 0
  const pair = ability(driver, 'pairLock')
  let until: number | null = null
  while (!signal.aborted && (until === null || context.clock.now() < until)) {
    const { hub, lock } = await knownLock(input)
    if (lock) return lock
    if (hub.pairing === undefined && until === null) {
      await pair(address, place)
      until = context.clock.now() + pairingMs
      await tell(`Now present the set-up card at ${device.ref}: ${device.hub?.ref} waits for it. Its lamp shows green.`)
    } else if (hub.pairing !== place) {
      // Somebody else's turn, or one that took this one's: it begins anew afterwards.
      until = null
      await tell(
        `${device.hub?.ref} waits for the lock of its place ${hub.pairing ?? 'none'} now. This one comes after it.`,
      )
    }
    await context.clock.sleep(askEveryMs, signal)
  }
  await pair(address, null)
  return null
}

function firmwareOf<D extends RadioDevice>(
  { context, device }: StepInput<D>,
  { serial, firmware }: { serial: string; firmware: string },
  seen: Omit<SeenByRadio, 'controller'>,
): Promise<StepResult> {
  const { controller } = device
  const at = seen.place === undefined ? `address ${seen.hub}` : `hub ${seen.hub}, place ${seen.place}`
  return answersBehind(
    context,
    device,
    `${device.ref} answers by radio`,
    {
      address: `${controller?.ref ?? ''} ${at}`,
      serial,
      firmware,
      byRadio: { controller: controller?.id ?? '', ...seen },
    },
    (sheets, id) => radioDeviceOf(context.log.facts, sheets, id)?.sheet.id,
  )
}

/** How a hub or a wireless lock is taken, or null where the job has it no more. */
export function radioTakingOf(context: Context, claim: Claim): Taking | null {
  const { facts } = context.log
  const device = radioDeviceOf(facts, sheetsFor(facts), claim.id)
  if (!device) return null
  const goesOn = 'It is tried again by itself.'
  const { ref } = device
  return device.kind === 'hub'
    ? {
        ref,
        goesOn,
        steps: hubClaimSteps,
        do: (step, now, signal, tell) =>
          stepCalled<Step<RadioHub>>(hubSteps, step, ref)({ context, device, claim: now, signal, tell }),
      }
    : {
        ref,
        goesOn,
        steps: lockClaimSteps,
        do: (step, now, signal, tell) =>
          stepCalled<Step<RadioLock>>(lockSteps, step, ref)({ context, device, claim: now, signal, tell }),
      }
}
