import type { BusDevice } from '@rauta/core'
import { DeviceError } from '@rauta/drivers'
import type { Context } from '../../context'
import { checkSerial } from './identity'
import { openUnderAny, renewKey, tellKey } from './keys'
import { busOf } from './through'

/** Gives a reader in service another key, and tells its controller. @throws DeviceError */
export async function rekeyOnBus(context: Context, device: BusDevice, signal: AbortSignal): Promise<void> {
  const at = context.log.facts.claim[device.id]?.onBus
  if (!at) throw new DeviceError('refused', `${device.ref} is not in service.`)
  const bus = await busOf(context, device, signal)
  const driver = bus.at(at)
  await checkSerial(context, driver, at, device)
  if ((await openUnderAny(context, device.id, driver)) !== 'ours')
    throw new DeviceError('notAuthorized', `${device.ref} does not open under this job’s key.`)
  await renewKey(context, device.id, driver, bus.protocol.keyBytes)
  await tellKey(context, device.id, { port: device.port, address: at.address }, bus.controller)
}
