import type { Controller, Reach } from '@rauta/core'
import { DeviceError, hasCode, type Driver, type Identity, type Secret } from '@rauta/drivers'
import { driverAt, protocolOf, type Context } from '../context'
import { ownSecret, settledBy } from './secrets'

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

/**
 * Driver of a device in service after it has said who it is: what goes to it, and what is believed of it, is that device's. One that refuses
 * its password may have taken another that was on its way to it when something broke. Null while it is not in service.
 * @throws DeviceError `another`
 */
export async function proven(
  context: Context,
  controllerId: string,
  signal?: AbortSignal,
): Promise<{ driver: Driver; identity: Identity } | null> {
  const driver = await serviceDriver(context, controllerId, signal)
  const reach = context.log.facts.reach[controllerId]
  if (!driver || !reach) return null
  const identity = await driver.identify().catch(async (error: unknown) => {
    if (hasCode(error, 'notAuthorized') && (await settles(context, reach, signal))) return null
    throw error
  })
  if (!identity) return await proven(context, controllerId, signal)
  checkIdentity(identity, reach, reach.address)
  return { driver, identity }
}

/** The driver alone. @throws DeviceError `another` */
export const provenDriver = async (
  context: Context,
  controllerId: string,
  signal?: AbortSignal,
): Promise<Driver | null> => (await proven(context, controllerId, signal))?.driver ?? null

async function settles(context: Context, reach: Reach, signal?: AbortSignal): Promise<boolean> {
  const controller = context.log.facts.controller[reach.id]
  return !!controller && (await settledBy(context, controller, driversOf(context, controller, reach, signal)))
}

/** Drivers of a device where it is in service, by the password that they are given. */
export const driversOf =
  (context: Context, controller: Controller, { address, secured }: Reach, signal?: AbortSignal) =>
  (secret: Secret): Driver =>
    driverAt(context, protocolOf(context, controller), address, secret, {
      secured,
      patient: true,
      ...(signal ? { signal } : {}),
    })

/** Driver of a device that is in service, or null while it is not. */
export async function serviceDriver(
  context: Context,
  controllerId: string,
  signal?: AbortSignal,
): Promise<Driver | null> {
  const controller = context.log.facts.controller[controllerId]
  const reach = context.log.facts.reach[controllerId]
  const secret = controller && (await ownSecret(context, controller))
  return reach?.owned && secret ? driversOf(context, controller, reach, signal)(secret) : null
}
