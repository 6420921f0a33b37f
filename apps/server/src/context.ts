import type { Clock } from '@rauta/protocols'
import {
  DeviceError,
  type Dialer,
  type Driver,
  type Identity,
  type Protocol,
  type Protocols,
  type Secret,
} from '@rauta/drivers'
import { sheetOf, type Controller, type Facts } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import type { JobLog } from './changes/log'
import type { Vault } from './security/vault'
import type { SetAside } from './store/facts'
import type { Room } from './store/room'
import type { Workshop } from './workshop/workshop'
import type { Logger } from 'pino'

/** What every part of the server works with. */
export interface Context {
  log: JobLog
  vault: Vault
  clock: Clock
  dialer: Dialer
  protocols: Protocols
  logger: Logger
  /** What everybody should know of the store: what could not be read, was made anew, or is missing. */
  notices: readonly SetAside[]
  /** Room on the disk of the store; null where it is kept in memory. */
  room: Room | null
  /** Where papers are drawn. */
  workshop: Workshop
  /** Aborted when the server ends; loops stop at it. */
  ending: AbortSignal
  /** Tells every screen how far a load is; null when it has ended. */
  loadProgress(id: string, progress: { total: number; done: number } | null): void
}

export const secretId = (controller: string) => `device/${controller}`

export function factorySecret(facts: Facts, controller: Controller): Secret {
  const factory = sheetOf(sheetsFor(facts), controller.sheet).controller?.factory
  return { user: factory?.user ?? '', password: factory?.password ?? '' }
}

/** This job's secret for a device, where it has one. */
export async function ownSecret(context: Context, controller: Controller): Promise<Secret | null> {
  const password = await context.vault.get(secretId(controller.id))
  return password ? { user: factorySecret(context.log.facts, controller).user, password } : null
}

/** What a planned controller speaks. @throws DeviceError where nobody here speaks it */
export function protocolOf(context: Context, controller: Controller): Protocol {
  const { name, protocol } = sheetOf(sheetsFor(context.log.facts), controller.sheet)
  return spoken(context, protocol, name)
}

/** A protocol by its name. @throws DeviceError where nobody here speaks it */
export function spoken(context: Context, protocol: string | undefined, who: string): Protocol {
  const found = context.protocols.of(protocol)
  if (!found) throw new DeviceError('unsupported', `${who} speaks ${protocol}, and this version of Rauta does not.`)
  return found
}

export function driverAt(
  context: Context,
  protocol: Protocol,
  address: string,
  secret: Secret | null,
  options: { port?: number; signal?: AbortSignal; timeoutMs?: number } = {},
): Driver {
  const { port = protocol.port, ...rest } = options
  return protocol.driver({ dialer: context.dialer, clock: context.clock, address, port, secret, ...rest })
}

/** Whether it is the device that was meant: by its serial and its MAC, as far as they are known. @throws DeviceError `another` */
export function checkIdentity(
  identity: Pick<Identity, 'serial' | 'mac'>,
  meant: { serial: string; mac: string },
  address: string,
): void {
  const same = (a: string, b: string) => !b || a.toUpperCase() === b.toUpperCase()
  if (same(identity.serial, meant.serial) && same(identity.mac, meant.mac)) return
  throw new DeviceError(
    'another',
    `Somebody else answers at ${address}: ${identity.serial} (${identity.mac}) instead of ${meant.serial} (${meant.mac}). Nothing was sent. If the device was replaced, take the new one into service.`,
  )
}

/** Driver of a device in service after it has said who it is: what goes to it, and what is believed of it, is that device's. Null while it is not in service. @throws DeviceError `another` */
export async function provenDriver(
  context: Context,
  controllerId: string,
  signal?: AbortSignal,
): Promise<Driver | null> {
  const driver = await serviceDriver(context, controllerId, signal)
  const reach = context.log.facts.reach[controllerId]
  if (driver && reach) checkIdentity(await driver.identify(), reach, reach.address)
  return driver
}

/** Driver of a device that is in service, or null while it is not. */
export async function serviceDriver(
  context: Context,
  controllerId: string,
  signal?: AbortSignal,
): Promise<Driver | null> {
  const controller = context.log.facts.controller[controllerId]
  const reach = context.log.facts.reach[controllerId]
  const secret = controller && (await ownSecret(context, controller))
  return reach?.owned && secret
    ? driverAt(context, protocolOf(context, controller), reach.address, secret, signal ? { signal } : {})
    : null
}
