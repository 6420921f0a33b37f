import type { BusDevice } from '@rauta/core'
import { ability, DeviceError } from '@rauta/drivers'
import type { Context } from '../../context'
import { busKeyOf, openUnderAny, renewKey } from './keys'
import { busOf } from './through'

/** Gives a reader in service another key, and tells its controller. @throws DeviceError */
export async function rekeyOnBus(context: Context, device: BusDevice, signal: AbortSignal): Promise<void> {
  const at = context.log.facts.claim[device.id]?.onBus
  if (!at) throw new DeviceError('refused', `${device.ref} is not in service.`)
  const bus = await busOf(context, device, signal)
  const driver = bus.at(at)
  if ((await driver.identify()).serial !== at.serial)
    throw new DeviceError('another', `Another reader answers where ${device.ref} is. Nothing was sent.`)
  if ((await openUnderAny(context, device.id, driver)) !== 'ours')
    throw new DeviceError('notAuthorized', `${device.ref} does not open under this job’s key.`)
  await renewKey(context, device.id, driver, bus.protocol.keyBytes)
  const key = await busKeyOf(context, device.id)
  if (key) await ability(bus.controller, 'setBusKey')(device.port, at.address, key)
}
