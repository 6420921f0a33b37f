import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto'
import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, readFileSync, writeSync } from 'node:fs'
import { dirname } from 'node:path'
import { and, eq } from 'drizzle-orm'
import { Refusal } from '@rauta/contracts'
import type { Database } from '../store/open'
import { secrets } from '../store/schema'
import { syncFolder } from '../store/synced'

/** Reads the sealing key: 32 bytes in a file of its own. Null where there is no such file, or it holds no key. */
export function readSealingKey(file: string): Buffer | null {
  if (!existsSync(file)) return null
  const key = Buffer.from(readFileSync(file, 'utf8').trim(), 'hex')
  return key.length === 32 ? key : null
}

/** Makes the sealing key, for a store that has nothing sealed yet: readable by its owner only, and on the disk before anything is sealed under it. */
export function makeSealingKey(file: string): Buffer {
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 })
  const key = randomBytes(32)
  const handle = openSync(file, 'wx', 0o600)
  try {
    writeSync(handle, key.toString('hex'))
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
  syncFolder(dirname(file))
  return key
}

/** The sealing key is not there, or is another: what is sealed cannot be opened, and nothing new is sealed. */
export class VaultClosedError extends Refusal {
  constructor() {
    super('The key file of this store is missing or is another one. Put it back, then start Rauta again.')
  }
}

/** Secrets at rest: AES-256-GCM under the sealing key, the secret's id bound in. */
export class Vault {
  constructor(
    private readonly db: Database,
    private readonly job: string,
    /** Null keeps it closed. */
    private key: Buffer | null,
  ) {}

  /** Whether anything is sealed here. */
  async any(): Promise<boolean> {
    return (await this.db.select({ id: secrets.id }).from(secrets).limit(1)).length > 0
  }

  /** @throws VaultClosedError */
  async get(id: string): Promise<string | null> {
    const row = (
      await this.db
        .select()
        .from(secrets)
        .where(and(eq(secrets.job, this.job), eq(secrets.id, id)))
    )[0]
    if (!row) return null
    const [iv, tag, data] = row.sealed.split('.').map((part) => Buffer.from(part, 'base64'))
    if (!iv || !tag || !data) throw new Error('A secret in the store is damaged.')
    if (!this.key) throw new VaultClosedError()
    const decipher = createDecipheriv('aes-256-gcm', this.key, iv)
    decipher.setAAD(Buffer.from(`${this.job}/${id}`))
    decipher.setAuthTag(tag)
    try {
      return Buffer.concat([decipher.update(data), decipher.final()]).toString('utf8')
    } catch {
      throw new VaultClosedError()
    }
  }

  /** @throws VaultClosedError */
  async put(id: string, secret: string): Promise<void> {
    await this.keep(this.db, id, secret)
  }

  /** What is sealed under one id takes the place of what is under another, in one step. @throws VaultClosedError */
  async move(from: string, to: string): Promise<void> {
    const secret = await this.get(from)
    if (secret === null) return
    await this.db.transaction(async (within) => {
      await this.keep(within, to, secret)
      await within.delete(secrets).where(and(eq(secrets.job, this.job), eq(secrets.id, from)))
    })
  }

  /** Seals all that is here under another key, in one step. @throws VaultClosedError, and then nothing is altered */
  async reseal(key: Buffer): Promise<void> {
    const rows = await this.db.select({ id: secrets.id }).from(secrets).where(eq(secrets.job, this.job))
    const opened = await Promise.all(rows.map(async ({ id }) => ({ id, secret: (await this.get(id)) ?? '' })))
    await this.db.transaction(async (within) => {
      for (const { id, secret } of opened)
        await within
          .update(secrets)
          .set({ sealed: seal(key, this.job, id, secret) })
          .where(and(eq(secrets.job, this.job), eq(secrets.id, id)))
    })
    this.key = key
  }

  async drop(id: string): Promise<void> {
    await this.db.delete(secrets).where(and(eq(secrets.job, this.job), eq(secrets.id, id)))
  }

  private async keep(db: Pick<Database, 'insert'>, id: string, secret: string): Promise<void> {
    if (!this.key) throw new VaultClosedError()
    const sealed = seal(this.key, this.job, id, secret)
    await db
      .insert(secrets)
      .values({ job: this.job, id, sealed })
      .onConflictDoUpdate({ target: [secrets.job, secrets.id], set: { sealed } })
  }
}

/** AES-256-GCM with what it is for bound in. */
function seal(key: Buffer, job: string, id: string, secret: string): string {
  const iv = randomBytes(12)
  const cipher = createCipheriv('aes-256-gcm', key, iv)
  cipher.setAAD(Buffer.from(`${job}/${id}`))
  const data = Buffer.concat([cipher.update(secret, 'utf8'), cipher.final()])
  return [iv, cipher.getAuthTag(), data].map((b) => b.toString('base64')).join('.')
}

/** A secret for a device: 20 characters that survive being read aloud, about 116 bits. */
export function strongSecret(): string {
  const letters = 'abcdefghijkmnpqrstuvwxyzABCDEFGHJKLMNPQRSTUVWXYZ23456789'
  return Array.from(randomBytes(20), (b) => letters[b % letters.length]).join('')
}
