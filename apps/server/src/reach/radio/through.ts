import type { RadioDevice } from '@rauta/core'
import { ability, DeviceError, type Driver } from '@rauta/drivers'
import type { HubSeen } from '@rauta/protocols'
import type { Context } from '../../context'
import { provenDriver } from '../inService'

/** The controller behind which a hub or a lock is, after it has said who it is. @throws DeviceError where it is not in service */
export async function controllerOf(context: Context, device: RadioDevice, signal?: AbortSignal): Promise<Driver> {
  const controller = device.controller
  const driver = controller && (await provenDriver(context, controller.id, signal))
  if (driver) return driver
  throw new DeviceError('silent', `${controller?.ref ?? `The controller of ${device.ref}`} is not in service.`)
}

/** Address of the hub of a device: its own, or that of the hub that joins it. @throws DeviceError while it is planned at none */
export function hubAddress(device: RadioDevice): number {
  const address = device.kind === 'hub' ? device.address : (device.hub?.address ?? null)
  if (address === null)
    throw new DeviceError('refused', `${device.ref} is planned at no hub address. Give it one under Radio, then go on.`)
  return address
}

/** The hub of a device as its controller hears it now, and all that it hears. @throws DeviceError */
export async function heardFor(driver: Driver, device: RadioDevice): Promise<{ hub: HubSeen | null; all: HubSeen[] }> {
  const all = await ability(driver, 'hubs')()
  const address = hubAddress(device)
  return { hub: all.find((h) => h.address === address) ?? null, all }
}
