import { randomBytes } from 'node:crypto'
import { existsSync, renameSync, rmSync } from 'node:fs'
import { dirname } from 'node:path'
import type { Database } from '../store/open'
import { syncFolder } from '../store/synced'
import { makeSealingKey, readSealingKey, Vault, VaultClosedError } from './vault'

/** Under which the job's signing key is sealed, and one that is about to take its place. */
export const signingKey = 'job/signing-key'
export const nextSigningKey = `${signingKey}/next`

/** A new sealing key lies here until all is sealed under it. */
export const nextFile = (keyFile: string): string => `${keyFile}.next`

export interface Opened {
  vault: Vault
  /** Null where the sealing key is gone. */
  chainKey: string | null
  /** One whose taking over was broken off, before or after it was said. */
  nextChainKey: string | null
}

/** The vault under its key, and the key that seals the job's records. A missing key is made only where nothing is sealed. */
export async function openVault(db: Database, job: string, keyFile: string): Promise<Opened> {
  await settleChange(db, job, keyFile)
  let key = readSealingKey(keyFile)
  if (!key && !(await new Vault(db, job, null).any())) key = makeSealingKey(keyFile)
  const vault = new Vault(db, job, key)
  try {
    let chainKey = await vault.get(signingKey)
    if (!chainKey) await vault.put(signingKey, (chainKey = randomBytes(32).toString('hex')))
    return { vault, chainKey, nextChainKey: await vault.get(nextSigningKey) }
  } catch (error) {
    if (error instanceof VaultClosedError)
      return { vault: new Vault(db, job, null), chainKey: null, nextChainKey: null }
    throw error
  }
}

/** A change of the sealing key that was broken off: whichever of the two opens what is sealed is the key. */
async function settleChange(db: Database, job: string, keyFile: string): Promise<void> {
  const next = readSealingKey(nextFile(keyFile))
  if (!next) return
  if (await opens(new Vault(db, job, next))) {
    if (existsSync(keyFile)) putAside(keyFile, Date.now())
    renameSync(nextFile(keyFile), keyFile)
    syncFolder(dirname(keyFile))
    return
  }
  const key = readSealingKey(keyFile)
  if (key && (await opens(new Vault(db, job, key)))) rmSync(nextFile(keyFile))
}

async function opens(vault: Vault): Promise<boolean> {
  try {
    return (await vault.get(signingKey)) !== null
  } catch (error) {
    if (error instanceof VaultClosedError) return false
    throw error
  }
}

/** The key until now is kept beside the new one: backups from before open with it alone. @returns where */
function putAside(keyFile: string, now: number): string {
  const aside = `${keyFile}.until-${new Date(now).toISOString().replace(/[:.]/g, '-')}`
  renameSync(keyFile, aside)
  return aside
}

/**
 * Seals everything under a new key, in one step: wherever it is broken off, one of the two keys is there and opens all of it.
 * @returns where the key until now lies
 * @throws VaultClosedError
 */
export async function changeSealingKey(vault: Vault, keyFile: string, now: number): Promise<string> {
  rmSync(nextFile(keyFile), { force: true })
  const key = makeSealingKey(nextFile(keyFile))
  await vault.reseal(key)
  const aside = putAside(keyFile, now)
  renameSync(nextFile(keyFile), keyFile)
  syncFolder(dirname(keyFile))
  return aside
}
