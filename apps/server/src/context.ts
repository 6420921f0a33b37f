import type { Clock } from '@rauta/protocols'
import { onvifDriver, type Dialer, type Driver, type Secret } from '@rauta/drivers'
import { sheetOf, type Controller, type Facts } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import type { JobLog } from './changes/log'
import type { Vault } from './security/vault'
import type { Logger } from 'pino'

/** What every part of the server works with. */
export interface Context {
  log: JobLog
  vault: Vault
  clock: Clock
  dialer: Dialer
  logger: Logger
  /** Aborted when the server ends; loops stop at it. */
  ending: AbortSignal
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

export function driverAt(
  context: Context,
  address: string,
  secret: Secret | null,
  options: { port?: number; signal?: AbortSignal; timeoutMs?: number } = {},
): Driver {
  const { port = 80, ...rest } = options
  return onvifDriver({ dialer: context.dialer, clock: context.clock, address, port, secret, ...rest })
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
  return reach?.owned && secret ? driverAt(context, reach.address, secret, signal ? { signal } : {}) : null
}
