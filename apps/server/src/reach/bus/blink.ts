import type { BusDevice } from '@rauta/core'
import { DeviceError } from '@rauta/drivers'
import type { Context } from '../../context'
import { openUnderAny } from './keys'
import { busOf } from './through'

/** Has a device on a bus show itself, where it is known by now. @throws DeviceError */
export async function blinkOnBus(context: Context, device: BusDevice, signal: AbortSignal): Promise<void> {
  const { facts } = context.log
  const bus = await busOf(context, device, signal)
  const at = facts.claim[device.id]?.onBus
  if (!at) throw new DeviceError('refused', `${device.ref} was not found on its bus yet. Take it into service first.`)
  const driver = bus.at(at)
  await openUnderAny(context, device.id, driver)
  await driver.blink()
}
