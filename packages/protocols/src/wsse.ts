import { createHash, timingSafeEqual } from 'node:crypto'

/** A WS-Security username token with a password digest. `nonce` is base64, `created` ISO 8601 in UTC. */
export interface UsernameToken {
  username: string
  digest: string
  nonce: string
  created: string
}

/** Base64(SHA-1(nonce + created + password)), Web Services Security UsernameToken Profile 1.0, section 3.1. */
export function passwordDigest(nonce: string, created: string, password: string): string {
  return createHash('sha1')
    .update(Buffer.concat([Buffer.from(nonce, 'base64'), Buffer.from(created), Buffer.from(password)]))
    .digest('base64')
}

/** @param deviceNow the device's own time, ms: a token made in ours would be refused by a clock that is off */
export function makeToken(
  username: string,
  password: string,
  deviceNow: number,
  nonceBytes: Uint8Array,
): UsernameToken {
  const nonce = Buffer.from(nonceBytes).toString('base64')
  const created = new Date(deviceNow).toISOString()
  return { username, nonce, created, digest: passwordDigest(nonce, created, password) }
}

export type TokenFault = 'unknown user' | 'wrong digest' | 'replayed' | 'too old'

/** Checks tokens on the device's side: digest, age, and that no nonce comes twice. */
export class TokenChecker {
  private readonly seen = new Map<string, number>()
  constructor(private readonly windowMs: number) {}

  check(token: UsernameToken, passwordOf: (user: string) => string | undefined, now: number): TokenFault | null {
    const password = passwordOf(token.username)
    if (password === undefined) return 'unknown user'
    const wanted = Buffer.from(passwordDigest(token.nonce, token.created, password))
    const given = Buffer.from(token.digest)
    if (wanted.length !== given.length || !timingSafeEqual(wanted, given)) return 'wrong digest'
    const age = now - Date.parse(token.created)
    if (!(Math.abs(age) <= this.windowMs)) return 'too old'
    this.forget(now)
    if (this.seen.has(token.nonce)) return 'replayed'
    this.seen.set(token.nonce, now)
    return null
  }

  /** The oldest come first; the first that is young enough ends it. A clock set back leaves them longer, which does no harm. */
  private forget(now: number): void {
    for (const [nonce, at] of this.seen) {
      if (now - at <= 2 * this.windowMs) return
      this.seen.delete(nonce)
    }
  }
}
