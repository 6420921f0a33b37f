import { put, type Claim, type Controller, type Facts, type Found, type Reach, type Secured } from '@rauta/core'
import { hasCode, type Driver, type Secret } from '@rauta/drivers'
import { driverAt, factorySecret, protocolOf, type Context } from '../context'
import { enteredSecret, forgetEntered } from './entered'
import { checkIdentity } from './inService'
import { ownSecret, ownSecrets, settle } from './secrets'

export interface StepInput {
  context: Context
  controller: Controller
  claim: Claim
  found: Found
  signal: AbortSignal
}
/** A driver of the device at one of its addresses: over HTTPS once it was told apart, and at the port by which it was heard. */
export function driverFor(
  { context, controller, found, claim, signal }: StepInput,
  at: string,
  secret: Secret | null,
  options: { secured?: Secured | undefined; timeoutMs?: number } = {},
): Driver {
  return driverAt(context, protocolOf(context, controller), at, secret, {
    signal,
    secured: claim.secured,
    ...(at === found.address ? { port: found.port } : {}),
    ...options,
  })
}

/** A device as it opened, and to what. */
export interface Opened {
  driver: Driver
  whose: 'ours' | 'factory' | 'entered'
  at: string
}
/** Nothing opens it; `closed` says so. */
export interface Closed {
  closed: string
}

const closedWords =
  'Its password is not known to this job. It cannot be counted or erased from here: enter the password, where somebody knows it, or reset the device by hand.'

/** Opens the device by this job's secret, the factory's, or the one that somebody entered, wherever it is now. */
export async function open(
  input: StepInput,
  secured: Secured | null | undefined = input.claim.secured,
): Promise<Opened | Closed> {
  const { context, controller, found } = input
  const own = (await ownSecrets(context, controller)).map((secret) => [secret, 'ours'] as [Secret, 'ours'])
  const factory: [Secret, 'factory'] = [factorySecret(context.log.facts, controller), 'factory']
  const entered = await enteredSecret(context, controller)
  const secrets: [Secret, Opened['whose']][] = [
    ...(entered ? [[entered, 'entered'] as [Secret, 'entered']] : []),
    ...(found.ownership === 'factory' ? [factory, ...own] : [...own, factory]),
  ]
  const places = [...new Set([found.address, controller.address])]
  let silence: unknown = null
  let answered = false
  let refused: Secret | null = null
  for (const at of places) {
    // What opened it last comes first: each wrong one brings a device nearer to shutting itself.
    const last = context.sparing.opens(at)
    for (const [secret, whose] of [...secrets].sort(
      ([a], [b]) => Number(b.password === last) - Number(a.password === last),
    )) {
      // Somebody waits for the word on it: it is asked, not left out because others were refused just now.
      if (whose === 'entered' && secret.password !== last)
        await context.clock.sleep(context.sparing.restMs(at), input.signal)
      const driver = driverFor(input, at, secret, { secured: secured ?? undefined })
      try {
        const identity = await driver.identify()
        checkIdentity(identity, meantBy(input), at)
        if (whose === 'ours') await settle(context, controller, secret)
        else await openedBy(input, whose === 'entered' ? secret.user : null)
        return { driver, whose, at }
      } catch (error) {
        if (hasCode(error, 'notAuthorized')) {
          answered = true
          if (whose === 'entered') refused = secret
          continue
        }
        // Somebody else at the address says more than silence at another one.
        if (!silence || hasCode(error, 'another')) silence = error
        break
      }
    }
  }
  if (silence && !answered) throw silence
  if (refused) await forgetEntered(context, controller)
  return {
    closed: refused
      ? `It refuses the password that was entered for ${refused.user}. Look at the account’s name and at capital letters, and enter it again, or reset the device by hand.`
      : closedWords,
  }
}

/** The account under which the device is this job's from now on. @param user null for the one of its sheet */
async function openedBy({ context, controller, claim }: StepInput, user: string | null): Promise<void> {
  const own = user === factorySecret(context.log.facts, controller).user ? null : user
  const known = ({ claim: claims, reach }: Facts) => [claims[claim.id], reach[controller.id]]
  if (known(context.log.facts).every((r) => !r || (r.user ?? null) === own)) return
  const under = <R extends { user?: string }>({ user: _before, ...rest }: R) =>
    own === null ? rest : { ...rest, user: own }
  await context.log.append('claim.account', `${controller.ref} opens by ${user ?? 'its own account'}`, (facts) => {
    const [taking, reach] = [facts.claim[claim.id], facts.reach[controller.id]]
    return [
      ...(taking ? [put(facts, 'claim', under(taking) as Claim)] : []),
      ...(reach ? [put(facts, 'reach', under(reach) as Reach)] : []),
    ]
  })
}

/** Who is meant: the device that the first step told apart; before it, the one that somebody chose, as it announced itself. */
const meantBy = ({ claim, controller, found }: StepInput): { serial: string; mac: string } =>
  claim.only === 'network' || claim.steps.some((s) => s.name === 'identity' && s.state === 'done') ? controller : found

/** The device at its planned address, under this job's secret, after it has said who it is. @throws DeviceError `another` */
export async function placed(input: StepInput): Promise<Driver> {
  const { context, controller } = input
  const driver = driverFor(input, controller.address, await ownSecret(context, controller))
  checkIdentity(await driver.identify(), meantBy(input), controller.address)
  return driver
}
