import type { Vault } from '../security/vault'

// What opens a device is kept twice: what does, and what was sent, or is about to be, and has not opened it yet. Wherever a change breaks off,
// one of the two opens the device.
const ownId = (device: string) => `device/${device}`
const nextId = (device: string) => `device/${device}/next`

/** What opens a device, where this job has it. */
export const openerOf = (vault: Vault, device: string): Promise<string | null> => vault.get(ownId(device))

/** All of this job that may open a device: what does, and what was on its way when something broke. */
export async function openersOf(vault: Vault, device: string): Promise<string[]> {
  const kept = await Promise.all([ownId, nextId].map((id) => vault.get(id(device))))
  return kept.filter((opener) => opener !== null)
}

/** What was on its way has opened the device: it is the device's from now on. */
export async function settleOpener(vault: Vault, device: string, opened: string): Promise<void> {
  if ((await vault.get(nextId(device))) === opened) await vault.move(nextId(device), ownId(device))
}

/**
 * Gives a device something else that opens it, kept before it is sent, beside what did before; only when the device has opened to it
 * does it take the other's place.
 */
export async function renewOpener(
  vault: Vault,
  device: string,
  fresh: string,
  send: () => Promise<unknown>,
  open: () => Promise<unknown>,
): Promise<void> {
  await vault.put(nextId(device), fresh)
  await send()
  await open()
  await settleOpener(vault, device, fresh)
}
