import { randomBytes } from 'node:crypto'
import type { BusDevice } from '@rauta/core'
import { ability, hasCode, type BusDriver, type Driver } from '@rauta/drivers'
import type { Context } from '../../context'
import { openerOf, openersOf, renewOpener, settleOpener } from '../opener'

const bytesOf = (hex: string): Uint8Array => new Uint8Array(Buffer.from(hex, 'hex'))

/** Opens a device under this job's key or the factory's. Null where neither does. @throws DeviceError */
export async function openUnderAny(
  { vault }: Context,
  device: string,
  driver: BusDriver,
): Promise<'ours' | 'factory' | null> {
  for (const hex of await openersOf(vault, device)) {
    if (!(await opens(driver, bytesOf(hex)))) continue
    await settleOpener(vault, device, hex)
    return 'ours'
  }
  return (await opens(driver, null)) ? 'factory' : null
}

async function opens(driver: BusDriver, key: Uint8Array | null): Promise<boolean> {
  try {
    await driver.open(key)
    return true
  } catch (error) {
    if (hasCode(error, 'notAuthorized') || hasCode(error, 'refused')) return false
    throw error
  }
}

/** Gives a device a key that nothing else ever had. @param driver open under the one before @throws DeviceError */
export async function renewKey({ vault }: Context, device: string, driver: BusDriver, bytes: number): Promise<void> {
  const hex = randomBytes(bytes).toString('hex')
  const key = bytesOf(hex)
  await renewOpener(
    vault,
    device,
    hex,
    () => driver.setKey(key),
    () => driver.open(key),
  )
}

/** Tells a controller the key of a device on its bus. @returns false where this job has none @throws DeviceError */
export async function tellKey(
  { vault }: Context,
  device: BusDevice['id'],
  at: { port: string; address: number },
  controller: Driver,
): Promise<boolean> {
  const hex = await openerOf(vault, device)
  if (hex === null) return false
  await ability(controller, 'setBusKey')(at.port, at.address, bytesOf(hex))
  return true
}
