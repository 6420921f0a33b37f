import { setMaxListeners } from 'node:events'
import type { Sweep } from '@rauta/contracts'
import { severalAtOnce, DeviceError } from '@rauta/drivers'
import { v7 } from 'uuid'
import type { Context } from '../context'
import { askAddress } from './search'

/** An address that is not asleep takes a connection within this time on a site's own network, ms. */
const knockMs = 800
/** So many are knocked at together; more would fill the tables of small switches. */
const atOnce = 24
/** How long a sweep that has ended can be looked at, ms. */
const keptMs = 30 * 60_000

interface Running extends Omit<Sweep, 'done'> {
  /** Addresses of which nothing is known yet. */
  left: Set<string>
  at: number
  stop: AbortController
}

/** Searches of ranges, one at a time for all who ask. They can be stopped and go on where they were. */
export class Sweeps {
  private readonly sweeps = new Map<string, Running>()
  constructor(private readonly context: Context) {}

  /** The one that is under way, if any. */
  get running(): Sweep | null {
    const found = [...this.sweeps.values()].find((s) => s.state === 'running')
    return found ? told(found) : null
  }

  start(addresses: readonly string[], by: string): Sweep {
    const { clock } = this.context
    for (const [id, s] of this.sweeps) if (s.state !== 'running' && clock.now() - s.at > keptMs) this.sweeps.delete(id)
    const sweep: Running = {
      id: v7(),
      by,
      total: addresses.length,
      found: 0,
      strangers: 0,
      noWay: 0,
      state: 'running',
      left: new Set(addresses),
      at: clock.now(),
      stop: new AbortController(),
    }
    this.sweeps.set(sweep.id, sweep)
    void this.run(sweep)
    return told(sweep)
  }

  of(id: string): Sweep | null {
    const found = this.sweeps.get(id)
    return found ? told(found) : null
  }

  stop(id: string): Sweep | null {
    const found = this.sweeps.get(id)
    if (found?.state === 'running') {
      found.state = 'stopped'
      found.stop.abort(new Error('stopped'))
    }
    return found ? told(found) : null
  }

  goOn(id: string): Sweep | null {
    const found = this.sweeps.get(id)
    if (found?.state === 'stopped') {
      found.state = 'running'
      found.stop = new AbortController()
      void this.run(found)
    }
    return found ? told(found) : null
  }

  private async run(sweep: Running): Promise<void> {
    const signal = AbortSignal.any([sweep.stop.signal, this.context.ending])
    // Each address that is asked hears of a stop.
    setMaxListeners(0, signal)
    this.context.listen()
    await severalAtOnce(
      [...sweep.left],
      async (address) => {
        const came = await this.ask(address, signal)
        // What was broken off is left for when it goes on.
        if (came === null) return
        if (sweep.left.delete(address) && came !== 'nobody') sweep[came] += 1
      },
      atOnce,
    )
    if (sweep.state === 'running' && !signal.aborted) sweep.state = 'ended'
  }

  /** What came of one address; null where it was broken off. */
  private async ask(address: string, signal: AbortSignal): Promise<'found' | 'strangers' | 'noWay' | 'nobody' | null> {
    if (signal.aborted) return null
    try {
      const { dialer, protocols } = this.context
      const knocks = await Promise.all(protocols.all.map(({ port }) => dialer.knock(address, port, knockMs, signal)))
      if (knocks.every((k) => k.outcome === 'noWay')) return 'noWay'
      if (!knocks.some((k) => k.outcome === 'open')) return 'nobody'
      await askAddress(this.context, address, signal)
      return 'found'
    } catch (error) {
      if (signal.aborted) return null
      return error instanceof DeviceError ? 'strangers' : 'nobody'
    }
  }
}

const told = ({ id, by, total, left, found, strangers, noWay, state }: Running): Sweep => ({
  id,
  by,
  total,
  done: total - left.size,
  found,
  strangers,
  noWay,
  state,
})
