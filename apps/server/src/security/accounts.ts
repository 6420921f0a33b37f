import { createHash, randomBytes } from 'node:crypto'
import { hash, verify } from '@node-rs/argon2'
import { and, desc, eq, lt, ne, or } from 'drizzle-orm'
import type { Role } from '@rauta/contracts'
import type { Clock } from '@rauta/protocols'
import type { Database } from '../store/open'
import { accounts, sessions } from '../store/schema'

export interface Account {
  name: string
  role: Role
}

/** Somebody who asks for something, and in which session. */
export interface SignedIn extends Account {
  session: string
}

const lifetimeMs = 12 * 3600_000
/** OWASP's figures for argon2id: 19 MiB, two passes, one lane. */
const argon = { memoryCost: 19456, timeCost: 2, parallelism: 1 }
const tokenHash = (token: string) => createHash('sha256').update(token).digest('hex')

/** A session that nobody used for so long ends: a phone that was left somewhere. */
const idleMs = 4 * 3600_000
/** Being used is noted this often, ms. */
const noteMs = 60_000

/** Somebody who is signed in somewhere. */
export interface Session {
  id: string
  name: string
  since: number
  seen: number
  from: string
}

/** People who may sign in, and who is signed in. */
export class Accounts {
  constructor(
    private readonly db: Database,
    private readonly clock: Clock,
  ) {}

  async none(): Promise<boolean> {
    return (await this.db.select({ name: accounts.name }).from(accounts).limit(1)).length === 0
  }
  async list(): Promise<Account[]> {
    return (await this.db.select().from(accounts)).map((a) => ({ name: a.name, role: a.role as Role }))
  }
  /** False where the name is taken. */
  async add(name: string, password: string, role: Role): Promise<boolean> {
    const made = await this.db
      .insert(accounts)
      .values({ name, role, hash: await hash(password, argon), createdAt: Math.floor(this.clock.now()) })
      .onConflictDoNothing()
      .returning()
    return made.length > 0
  }
  /** Why an account may not be altered so, or null: somebody must go on leading the job. */
  private async alterFault(name: string, leads: boolean): Promise<'unknown' | 'last lead' | null> {
    const list = await this.list()
    const account = list.find((a) => a.name === name)
    if (!account) return 'unknown'
    const led = leads || account.role !== 'lead' || list.some((a) => a.role === 'lead' && a.name !== name)
    return led ? null : 'last lead'
  }
  /** Ends an account: whoever is signed in with it is signed out. What they recorded stays theirs. */
  async end(name: string): Promise<'ended' | 'unknown' | 'last lead'> {
    const fault = await this.alterFault(name, false)
    if (fault) return fault
    await this.db.delete(sessions).where(eq(sessions.account, name))
    await this.db.delete(accounts).where(eq(accounts.name, name))
    return 'ended'
  }
  async setRole(name: string, role: Role): Promise<'set' | 'unknown' | 'last lead'> {
    const fault = await this.alterFault(name, role === 'lead')
    if (fault) return fault
    await this.db.update(accounts).set({ role }).where(eq(accounts.name, name))
    return 'set'
  }
  /** Sets another password; whoever is signed in with the old one is signed out, but for the session that asked. @returns false where there is no such account */
  async setPassword(name: string, password: string, but: string | null = null): Promise<boolean> {
    const made = await hash(password, argon)
    const set = await this.db.update(accounts).set({ hash: made }).where(eq(accounts.name, name)).returning()
    await this.db
      .delete(sessions)
      .where(and(eq(sessions.account, name), ne(sessions.tokenHash, but === null ? '' : tokenHash(but))))
    return set.length > 0
  }
  /** Whether this is the password of an account; takes as long for one that is not there. */
  async isPassword(name: string, password: string): Promise<boolean> {
    const row = (await this.db.select().from(accounts).where(eq(accounts.name, name)))[0]
    return (await verify(row?.hash ?? (await this.decoy()), password)) && row !== undefined
  }
  /** A session token, or null for a wrong name or password (both take as long). @param from where it begins, in words */
  async signIn(name: string, password: string, from: string): Promise<{ token: string; account: Account } | null> {
    const row = (await this.db.select().from(accounts).where(eq(accounts.name, name)))[0]
    const right = await verify(row?.hash ?? (await this.decoy()), password)
    if (!row || !right) return null
    const token = randomBytes(32).toString('base64url')
    const now = Math.floor(this.clock.now())
    await this.db.delete(sessions).where(or(lt(sessions.expiresAt, now), lt(sessions.seenAt, now - idleMs)))
    await this.db
      .insert(sessions)
      .values({
        tokenHash: tokenHash(token),
        id: randomBytes(9).toString('base64url'),
        account: name,
        createdAt: now,
        seenAt: now,
        expiresAt: now + lifetimeMs,
        from,
      })
    return { token, account: { name, role: row.role as Role } }
  }

  /** Whose session it is; null where it ended, or nobody used it for long. Asking counts as use, unless it only looks. */
  async bySession(token: string, looks = false): Promise<SignedIn | null> {
    const hashed = tokenHash(token)
    const found = (
      await this.db
        .select({
          id: sessions.id,
          name: accounts.name,
          role: accounts.role,
          until: sessions.expiresAt,
          seen: sessions.seenAt,
        })
        .from(sessions)
        .innerJoin(accounts, eq(accounts.name, sessions.account))
        .where(eq(sessions.tokenHash, hashed))
    )[0]
    const now = this.clock.now()
    if (!found || found.until <= now || found.seen <= now - idleMs) return null
    if (!looks && now - found.seen > noteMs)
      await this.db
        .update(sessions)
        .set({ seenAt: Math.floor(now) })
        .where(eq(sessions.tokenHash, hashed))
    return { name: found.name, role: found.role as Role, session: found.id }
  }

  /** Who is signed in, latest used first. @param name of one account alone */
  async sessions(name?: string): Promise<Session[]> {
    const now = this.clock.now()
    const rows = await this.db.select().from(sessions).orderBy(desc(sessions.seenAt))
    return rows
      .filter((r) => r.expiresAt > now && r.seenAt > now - idleMs && (name === undefined || r.account === name))
      .map((r) => ({ id: r.id, name: r.account, since: r.createdAt, seen: r.seenAt, from: r.from }))
  }

  /** @returns whose it was, or null where there is none */
  async endSession(id: string): Promise<string | null> {
    const gone = await this.db.delete(sessions).where(eq(sessions.id, id)).returning()
    return gone[0]?.account ?? null
  }

  private decoyHash: Promise<string> | null = null
  private decoy(): Promise<string> {
    this.decoyHash ??= hash(randomBytes(16).toString('hex'), argon)
    return this.decoyHash
  }
}
