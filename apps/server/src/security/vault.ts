import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto'
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { and, eq } from 'drizzle-orm'
import type { Database } from '../store/open'
import { secrets } from '../store/schema'

/** Reads the sealing key, or makes it: 32 bytes in a file of its own, readable by its owner only. */
export function sealingKey(file: string): Buffer {
  if (!existsSync(file)) {
    mkdirSync(dirname(file), { recursive: true, mode: 0o700 })
    writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 })
    chmodSync(file, 0o600)
  }
  const key = Buffer.from(readFileSync(file, 'utf8').trim(), 'hex')
  if (key.length !== 32) throw new Error(`${file} does not hold a key of 32 bytes.`)
  return key
}

/** Secrets at rest: AES-256-GCM under the sealing key, the secret's id bound in. */
export class Vault {
  constructor(
    private readonly db: Database,
    private readonly job: string,
    private readonly key: Buffer,
  ) {}

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
    const decipher = createDecipheriv('aes-256-gcm', this.key, iv)
    decipher.setAAD(Buffer.from(`${this.job}/${id}`))
    decipher.setAuthTag(tag)
    return Buffer.concat([decipher.update(data), decipher.final()]).toString('utf8')
  }

  async put(id: string, secret: string): Promise<void> {
    const iv = randomBytes(12)
    const cipher = createCipheriv('aes-256-gcm', this.key, iv)
    cipher.setAAD(Buffer.from(`${this.job}/${id}`))
    const data = Buffer.concat([cipher.update(secret, 'utf8'), cipher.final()])
    const sealed = [iv, cipher.getAuthTag(), data].map((b) => b.toString('base64')).join('.')
    await this.db
      .insert(secrets)
      .values({ job: this.job, id, sealed })
      .onConflictDoUpdate({ target: [secrets.job, secrets.id], set: { sealed } })
  }
}

/** A secret for a device: 20 characters that survive being read aloud, about 116 bits. */
export function strongSecret(): string {
  const letters = 'abcdefghijkmnpqrstuvwxyzABCDEFGHJKLMNPQRSTUVWXYZ23456789'
  return Array.from(randomBytes(20), (b) => letters[b % letters.length]).join('')
}
