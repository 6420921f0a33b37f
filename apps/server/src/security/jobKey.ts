import { randomBytes } from 'node:crypto'
import { jobOf } from '@rauta/core'
import { publicKeyOf } from '@rauta/core/chain'
import type { JobLog } from '../changes/log'
import { nextSigningKey, signingKey } from './openVault'
import type { Vault } from './vault'

/** A change of the job's key that was broken off: once it is said in the log it holds, before that it is as if it had never begun. */
export async function settleJobKey(log: JobLog, vault: Vault, next: string | null): Promise<void> {
  if (next === null) return
  if (jobOf(log.facts)?.publicKey !== publicKeyOf(next)) {
    await vault.drop(nextSigningKey)
    return
  }
  log.useKey(next)
  await vault.move(nextSigningKey, signingKey)
}

/** The job signs with a new key, which the one until now hands over to in every door's chain. @returns the new public key @throws VaultClosedError */
export async function changeJobKey(log: JobLog, vault: Vault, by: string): Promise<string> {
  const next = randomBytes(32).toString('hex')
  await vault.put(nextSigningKey, next)
  await log.changeKey(next, by)
  await vault.move(nextSigningKey, signingKey)
  return publicKeyOf(next)
}
