import { randomBytes } from 'node:crypto'
import { hasCode, type BusDriver } from '@rauta/drivers'
import type { Context } from '../../context'

const keyId = (device: string) => `device/${device}`
/** One that was sent, or is about to be, and has not opened the device yet. */
const nextId = (device: string) => `device/${device}/next`

const bytesOf = (hex: string): Uint8Array => new Uint8Array(Buffer.from(hex, 'hex'))

/** This job's key of a device on a bus, where it has one that opened it. */
export async function busKeyOf(context: Context, device: string): Promise<Uint8Array | null> {
  const hex = await context.vault.get(keyId(device))
  return hex ? bytesOf(hex) : null
}

/** Opens a device under this job's key or the factory's. Null where neither does. @throws DeviceError */
export async function openUnderAny(
  context: Context,
  device: string,
  driver: BusDriver,
): Promise<'ours' | 'factory' | null> {
  for (const id of [keyId, nextId]) {
    const hex = await context.vault.get(id(device))
    if (hex === null || !(await opens(driver, bytesOf(hex)))) continue
    if (id === nextId) await context.vault.move(nextId(device), keyId(device))
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

/**
 * Gives a device a key that nothing else ever had. It is kept before it is sent: wherever this breaks off, either the one before or this opens it.
 * @param driver open under the one before @throws DeviceError
 */
export async function renewKey(context: Context, device: string, driver: BusDriver, bytes: number): Promise<void> {
  const hex = randomBytes(bytes).toString('hex')
  await context.vault.put(nextId(device), hex)
  await driver.setKey(bytesOf(hex))
  await driver.open(bytesOf(hex))
  await context.vault.move(nextId(device), keyId(device))
}
