import type { BusDevice, OnBus } from '@rauta/core'
import { DeviceError, hasCode, type BusDriver, type BusIdentity } from '@rauta/drivers'
import type { Context } from '../../context'
import { openUnderAny } from './keys'

/** Who a device says it is; one that says so only under its key is opened first. @throws DeviceError */
export async function whoIs(context: Context, driver: BusDriver, device: BusDevice): Promise<BusIdentity> {
  try {
    return await driver.identify()
  } catch (error) {
    if (!hasCode(error, 'notAuthorized') || !(await openUnderAny(context, device.id, driver))) throw error
    return await driver.identify()
  }
}

/** Whether it is the device that was told apart. @throws DeviceError `another` */
export async function checkSerial(context: Context, driver: BusDriver, at: OnBus, device: BusDevice): Promise<void> {
  const { serial } = await whoIs(context, driver, device)
  if (serial !== at.serial)
    throw new DeviceError(
      'another',
      `${serial} answers at address ${at.address} of ${device.port} instead of ${at.serial}. Nothing was sent. Find out which of them belongs here.`,
    )
}
