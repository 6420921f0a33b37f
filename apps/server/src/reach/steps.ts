import {
  addressFault,
  jobOf,
  labelWanted,
  offsetText,
  outOfReachWords,
  put,
  takenAddresses,
  wrongTypeWords,
  type claimSteps,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { ability, DeviceError, hasCode, type Driver, type Secret } from '@rauta/drivers'
import { forgetEntered } from './entered'
import { ownSecret, renewSecret } from './secrets'
import { done, failed, waits, type StepResult } from './step'
import { driverFor, open, placed, type StepInput } from './opening'
import { zoneOf } from './zone'

type Step = (input: StepInput) => Promise<StepResult>

const waitsForReset = (says: string): StepResult => ({ state: 'waits', says, forReset: true })

/** Accounts that are not this job's would open the device as well: they go. @returns what is to be said of them */
async function withoutOthers(input: StepInput, driver: Driver, user: string): Promise<string> {
  if (!driver.accounts) return ''
  const others = (await driver.accounts()).filter((name) => name !== user)
  if (others.length === 0) return ''
  await ability(driver, 'removeAccounts')(others)
  const left = (await driver.accounts()).filter((name) => name !== user)
  if (left.length)
    throw new DeviceError(
      'refused',
      `${input.controller.ref} keeps accounts of somebody else: ${shortened(left)}. Whoever knows their passwords gets in. Reset it by hand.`,
    )
  return ` ${others.length === 1 ? 'An account' : `${others.length} accounts`} of somebody else ${others.length === 1 ? 'is' : 'are'} gone: ${shortened(others)}.`
}
const shortened = (names: readonly string[]): string =>
  names
    .slice(0, 5)
    .map((n) => n.slice(0, 40))
    .join(', ') + (names.length > 5 ? ` and ${names.length - 5} more` : '')

/** Steps by which a device with an address on the network is taken into service. */
export const steps: Record<(typeof claimSteps)[number], Step> = {
  async identity(input) {
    if (!input.context.dialer.inReach(input.found.address))
      return waitsForReset(
        `${outOfReachWords(input.context.log.facts, input.found.address, input.controller)} Or reset the device by hand.`,
      )
    // In clear: who it is comes first, and with it how it is talked to from then on.
    const opened = await open(input, null)
    if ('closed' in opened) return waitsForReset(opened.closed)
    const identity = await opened.driver.identify()
    const secured = (await opened.driver.secured?.()) ?? null
    if (identity.model !== input.controller.sheet)
      return failed(
        wrongTypeWords(identity.model, input.controller, sheetsFor(input.context.log.facts)) ??
          'It does not say what type it is. Look at its label, and at who else may answer at this address.',
      )
    await input.context.log.append('claim.identity', `${input.controller.ref} is ${identity.serial}`, (facts) => {
      const c = facts.controller[input.controller.id]
      return c ? [put(facts, 'controller', { ...c, serial: identity.serial, mac: identity.mac })] : []
    })
    await input.context.log.patch(
      'claim',
      input.claim.id,
      `${input.controller.ref} was told apart`,
      ({ secured: _before, ...c }) => (secured ? { ...c, secured } : c),
    )
    return done(
      `${identity.serial}, ${identity.mac}, firmware ${identity.firmware}${secured ? `; over HTTPS from now on, certificate ${secured.fingerprint.slice(0, 16)}` : ''}`,
    )
  },
  async holds(input) {
    const opened = await open(input)
    if ('closed' in opened) return waitsForReset(opened.closed)
    const holds = await ability(opened.driver, 'holds')()
    await input.context.log.patch('found', input.found.id, `${input.controller.ref} was counted`, (f) => ({
      ...f,
      holds,
      ...(opened.whose === 'entered' ? {} : { ownership: opened.whose }),
    }))
    const total = holds.doors + holds.people + holds.rules + holds.schedules
    if (total === 0) return done('It holds nothing.')
    const agreed = input.claim.eraseAgreed
    const words = `It holds ${holds.doors} doors, ${holds.people} people, ${holds.rules} rules and ${holds.schedules} schedules`
    return agreed ? done(`${words}; ${agreed.by} agreed to erase them.`) : waits(`${words}. All of it will be erased.`)
  },
  async secret(input) {
    const { context, controller, found, claim } = input
    const opened = await open(input)
    if ('closed' in opened) return waitsForReset(opened.closed)
    const rid = async (driver: Driver) =>
      withoutOthers(input, driver, (await ownSecret(context, controller))?.user ?? '')
    if (opened.whose === 'ours') {
      await forgetEntered(context, controller)
      return done(`It has a password of this job.${await rid(opened.driver)}`)
    }
    // The new password is told to it: whoever only says that it is this device must not be given it.
    if (labelWanted(found, claim))
      return waits(
        `It says its serial is ${found.serial}. Look at the label on the device: anybody on this network can say a serial, and the next step hands over a password.`,
      )
    const under = (secret: Secret | null) => driverFor(input, opened.at, secret)
    // The new one is asked for at once, and nobody knows yet that it opens the device: there must be room for it.
    await context.clock.sleep(context.sparing.restMs(opened.at), input.signal)
    await renewSecret(context, controller, opened.driver, under)
    await forgetEntered(context, controller)
    const gone = await rid(under(await ownSecret(context, controller)))
    return done(
      `${opened.whose === 'entered' ? 'The password that was entered' : 'The factory password'} is gone; a strong one of this job is in its place, and opens it.${gone}`,
    )
  },
  async erase(input) {
    const opened = await open(input)
    if ('closed' in opened) return waitsForReset(opened.closed)
    await ability(opened.driver, 'erase')()
    const left = await ability(opened.driver, 'holds')()
    return left.doors + left.people + left.rules + left.schedules === 0
      ? done('Erased, and counted empty.')
      : failed('It still holds something after it was erased.')
  },
  async network(input) {
    const { context, controller } = input
    const job = jobOf(context.log.facts)
    if (!job) return failed('There is no job.')
    const fault = addressFault(controller.address, job.network, takenAddresses(context.log.facts, controller.id))
    if (fault) return failed(fault)
    const opened = await open(input)
    if ('closed' in opened) return waitsForReset(opened.closed)
    if (opened.at !== controller.address && (await answers(input, controller.address)))
      return failed(`Something answers at ${controller.address} already. Find out what it is, or plan another address.`)
    await ability(
      opened.driver,
      'setNetwork',
    )({
      hostname: `${controller.ref.toLowerCase()}-${controller.cabinet.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`,
      address: controller.address,
      prefix: job.network.prefix,
      gateway: job.network.gateway,
      timeServer: job.network.timeServer,
    })
    return done(`${controller.address}/${job.network.prefix}, gateway ${job.network.gateway}`)
  },
  async restart(input) {
    const { context, controller, found, signal } = input
    const own = await ownSecret(context, controller)
    if (found.address !== controller.address) {
      const opened = await open(input).catch(() => null)
      if (opened && 'at' in opened && opened.at !== controller.address) await ability(opened.driver, 'restart')()
    }
    const driver = driverFor(input, controller.address, own, { timeoutMs: 3000 })
    const until = context.clock.now() + 90_000
    while (context.clock.now() < until && !signal.aborted) {
      const identity = await driver.identify().catch(() => null)
      if (identity && (!found.serial || identity.serial === found.serial)) {
        await context.log.patch('found', found.id, `${controller.ref} is back`, (f) => ({
          ...f,
          address: controller.address,
          routable: true,
          ownership: 'ours',
        }))
        const astray = await networkFault(input, driver)
        if (astray) return failed(astray)
        if (input.claim.only === 'network')
          await context.log.patch(
            'reach',
            controller.id,
            `${controller.ref} answers at ${controller.address}`,
            (r) => ({
              ...r,
              address: controller.address,
              silentMs: 0,
              lastAnswerAt: Math.floor(context.clock.now()),
              says: '',
            }),
          )
        return done(`Back at ${controller.address}.`)
      }
      await context.clock.sleep(1000, signal)
    }
    return failed(`It did not come back at ${controller.address} within 90 s. Look at its RUN lamp.`)
  },
  async clock(input) {
    const { context } = input
    const job = jobOf(context.log.facts)
    const zone = zoneOf(context.log.facts, context.clock.now())
    const driver = await placed(input)
    await ability(driver, 'setClock')({ zone, daylightSaving: zone.includes(',') })
    const read = await driver.time()
    const limit = (job?.limits.clockS ?? 2) * 1000
    if (read.zone !== zone) return failed(`It keeps the zone ${read.zone}, wanted was ${zone}.`)
    if (Math.abs(read.offsetMs) > limit)
      return failed(`Its clock is ${offsetText(read.offsetMs)} s off after it was set.`)
    return done(`${job?.zone} (${zone}), ${offsetText(read.offsetMs)} s off`)
  },
  async firmware(input) {
    const { context, controller, claim } = input
    const driver = await placed(input)
    const identity = await driver.identify()
    const time = await driver.time()
    await context.log.append('reach.fact', `${controller.ref} answers at ${controller.address}`, (facts, at) => {
      const before = facts.reach[controller.id]
      const user = facts.claim[claim.id]?.user
      const erasedAt = claim.steps.find((s) => s.name === 'erase')?.at ?? at
      return [
        put(facts, 'reach', {
          id: controller.id,
          address: controller.address,
          serial: identity.serial,
          mac: identity.mac,
          firmware: identity.firmware,
          firmwareAccepted: before?.firmware === identity.firmware ? before.firmwareAccepted : null,
          owned: false,
          ...(claim.secured ? { secured: claim.secured } : {}),
          ...(user === undefined ? {} : { user }),
          erasedAt,
          clockOffsetMs: Math.round(time.offsetMs),
          clockCheckedAt: at,
          zoneHeld: time.zone,
          zoneWanted: zoneOf(facts, at),
          boot: before?.boot ?? '',
          lastAnswerAt: at,
          silentMs: 0,
          says: '',
        }),
      ]
    })
    return context.log.facts.reach[controller.id]?.firmwareAccepted
      ? done(`${identity.firmware}, accepted`)
      : waits(`Firmware ${identity.firmware}. Accept it, or update it first.`)
  },
  async ready({ context, controller }) {
    await context.log.patch('reach', controller.id, `${controller.ref} is in service`, (r) => ({ ...r, owned: true }))
    return done('In service.')
  },
}

/** How the device keeps its network otherwise than it was told, in words; null where it does not, or can't say. */
async function networkFault({ context, controller }: StepInput, driver: Driver): Promise<string | null> {
  const wanted = jobOf(context.log.facts)?.network
  const held = await driver.network?.()
  if (!wanted || !held) return null
  const said = [
    held.prefix === wanted.prefix ? null : `the mask /${held.prefix} instead of /${wanted.prefix}`,
    held.gateway === wanted.gateway ? null : `the gateway ${held.gateway || 'none'} instead of ${wanted.gateway}`,
  ].filter((s) => s !== null)
  return said.length ? `${controller.ref} keeps ${said.join(' and ')}. Try it again, or look at its own page.` : null
}

async function answers(input: StepInput, address: string): Promise<boolean> {
  try {
    await driverFor(input, address, null, { secured: undefined, timeoutMs: 1500 }).time()
    return true
  } catch (error) {
    // Whatever closes or answers the connection stands at that address, whoever it is.
    return hasCode(error, 'notAuthorized') || hasCode(error, 'refused') || hasCode(error, 'malformed')
  }
}
