import type { Clock } from '@rauta/protocols'
import { DeviceError, hasCode, type Driver, type Secret } from '@rauta/drivers'

/** A few wrong passwords within half a minute shut a device to everybody: one that refused is left alone for so long, ms. */
export const refusedMs = 31_000
/** So many passwords that may be wrong are sent in that time, whoever asks here; five shut it, and the one that opened it last may be refused yet. */
const mostRefusals = 3
/** Addresses that are remembered; strangers can greet from as many as they like. */
const mostAddresses = 1000

interface Standing {
  /** What it refused and when, oldest first, ms. */
  refusals: { at: number; password: string }[]
  /** Questions under way whose password has not opened it yet: each may become a refusal. */
  unsure: number
  /** The password that opened it last. */
  opens: string | null
}

/** Counts wrong passwords by device over all that ask: each alone may keep within bounds while together they shut it. */
export class Sparing {
  private readonly standings = new Map<string, Standing>()
  constructor(private readonly clock: Clock) {}

  /** The password that opened a device last, as long as it has not been refused since. */
  opens(address: string): string | null {
    return this.standings.get(address)?.opens ?? null
  }

  /** How long until a device may be asked with a password that may be wrong, ms. */
  restMs(address: string): number {
    const standing = this.standings.get(address)
    if (!standing) return 0
    const now = this.clock.now()
    standing.refusals = standing.refusals.filter(({ at }) => Math.abs(now - at) < refusedMs)
    const over = standing.refusals.length + standing.unsure - mostRefusals
    if (over < 0) return 0
    return Math.ceil((standing.refusals[over]?.at ?? now) + refusedMs - now)
  }

  /**
   * @param patient a password that was just refused is not tried again for a while: for whoever asks without end
   * @throws DeviceError `notAuthorized` without asking, where one more refusal might shut the device
   */
  async ask<T>(address: string, { password }: Secret, question: () => Promise<T>, patient = false): Promise<T> {
    const standing = this.standingOf(address)
    const sure = standing.opens === password
    const full = this.restMs(address) > 0
    if (!sure && (full || (patient && standing.refusals.some((r) => r.password === password))))
      throw new DeviceError(
        'notAuthorized',
        `It refused the password just now and is left alone for ${refusedMs / 1000} s, or it would shut itself to everybody.`,
      )
    if (!sure) standing.unsure += 1
    try {
      const answer = await question()
      standing.opens = password
      return answer
    } catch (error) {
      if (hasCode(error, 'notAuthorized')) {
        standing.refusals.push({ at: this.clock.now(), password })
        if (standing.opens === password) standing.opens = null
      }
      throw error
    } finally {
      if (!sure) standing.unsure -= 1
    }
  }

  private standingOf(address: string): Standing {
    const known = this.standings.get(address)
    if (known) return known
    if (this.standings.size >= mostAddresses) this.forgetQuiet()
    const fresh: Standing = { refusals: [], unsure: 0, opens: null }
    this.standings.set(address, fresh)
    return fresh
  }

  private forgetQuiet(): void {
    for (const [address, { unsure }] of this.standings)
      if (unsure === 0 && this.restMs(address) === 0) this.standings.delete(address)
  }
}

/** A driver whose every signed question is counted, those of its subscription too. @param patient as of `Sparing.ask` */
export function spared(driver: Driver, sparing: Sparing, address: string, secret: Secret, patient = false): Driver {
  const counted = <T extends object>(asked: T): T =>
    new Proxy(asked, {
      get(target, name) {
        const found: unknown = Reflect.get(target, name)
        if (typeof found !== 'function' || name === 'time') return found
        return async (...given: unknown[]) => {
          const answer: unknown = await sparing.ask(
            address,
            secret,
            () => found.apply(target, given) as Promise<unknown>,
            patient,
          )
          return name === 'watch' ? counted(answer as object) : answer
        }
      },
    })
  return counted(driver)
}
