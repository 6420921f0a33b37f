import {
  all,
  difference,
  isTestPart,
  type Config,
  type Difference,
  digestOf,
  handWords,
  waitingForHands,
  operationsFor,
  put,
  readKey,
  wantedConfig,
  type Load,
  type Operation,
} from '@rauta/core'
import { ability, severalAtOnce, type Driver } from '@rauta/drivers'
import { sheetsFor } from '@rauta/contracts'
import type { Context } from '../context'
import { provenDriver } from '../reach/inService'
import { readWhole, type Watcher } from '../reach/watch'
import { StoreFullError } from '../store/room'
import { failureWords, maybeBack } from '../words'

const retryMs = 5000
/** Times a load writes what still differs before it says so. */
const passes = 2
/** Progress is told this often. */
const progressMs = 400

/** Pushes configuration: read, compare, write the differences, read back. One load for each controller at a time. */
export class LoadEngine {
  private readonly running = new Map<string, AbortController>()
  constructor(
    private readonly context: Context,
    private readonly watcher: Watcher,
  ) {
    context.log.onCommit((entry) => {
      for (const change of entry.changes) {
        const state = change.kind === 'load' ? (change.after as Load | null)?.state : undefined
        if (state === 'queued') this.kick(change.id)
        if (state === 'stopped') this.running.get(change.id)?.abort()
      }
    })
  }

  /** After a start: loads that were under way begin again; what was written already no longer differs. */
  resume(): void {
    for (const load of all(this.context.log.facts, 'load'))
      if (load.state === 'queued' || load.state === 'running' || load.state === 'waits') this.kick(load.id)
  }

  private kick(id: string): void {
    if (this.running.has(id)) return
    const stopped = new AbortController()
    this.running.set(id, stopped)
    void this.run(id, AbortSignal.any([stopped.signal, this.context.ending]))
      .catch((error: Error) => {
        this.context.logger.error(error)
        if (error instanceof StoreFullError) this.context.clock.after(retryMs, () => this.kick(id))
      })
      .finally(() => {
        this.running.delete(id)
        this.context.loadProgress(id, null)
      })
  }

  private async run(id: string, stopped: AbortSignal): Promise<void> {
    const { clock, log } = this.context
    while (!stopped.aborted) {
      const load = log.facts.load[id]
      if (!load || load.state === 'stopped') return
      const ref = log.facts.controller[load.controller]?.ref ?? ''
      try {
        return await this.push(load, ref, stopped)
      } catch (error) {
        if (stopped.aborted) return
        const says = failureWords(error, ref)
        if (!maybeBack(error))
          return await this.end(id, 'failed', `${says} Nothing is lost: load again when it is mended.`)
        await this.set(id, says, (l) => ({
          ...l,
          state: 'waits',
          says: `${says} The load waits and goes on when it answers.`,
        }))
        await clock.sleep(retryMs, stopped)
      }
    }
  }

  private async push(load: Load, ref: string, stopped: AbortSignal): Promise<void> {
    const { log } = this.context
    const driver = await provenDriver(this.context, load.controller, stopped)
    const controller = log.facts.controller[load.controller]
    if (!driver || !controller) return await this.end(load.id, 'failed', `${ref} is not in service.`)
    const wanted = wantedConfig(log.facts, controller, sheetsFor(log.facts)).config
    let read = await readWhole(driver)
    let sent = 0
    // What one write leaves loose on the device (a special day that no schedule uses any more) shows only when it is read again.
    for (let pass = 0; pass < passes; pass++) {
      const operations = operationsFor(asked(read.config, wanted, load))
      if (pass > 0 && operations.length === 0) break
      await this.set(load.id, `Loads ${ref}`, (l) => ({
        ...l,
        state: 'running',
        total: sent + operations.length,
        done: sent,
        says: `${sent} of ${sent + operations.length} sent`,
        digest: digestOf(wanted),
      }))
      if (operations.length === 0) break
      await this.write(load.id, driver, operations, sent)
      if (log.facts.load[load.id]?.state === 'stopped') return
      sent += operations.length
      read = await readWhole(driver)
    }
    await this.watcher.remember(load.controller, read)
    const left = asked(read.config, wanted, load)
    const hands = waitingForHands(left)
    if (hands) return await this.end(load.id, 'atDoors', `${sent} sent. ${handWords(log.facts, hands)}`, sent)
    if (left.length)
      return await this.end(
        load.id,
        'differs',
        `${left.length} parts still differ after reading back: ${left
          .slice(0, 3)
          .map((d) => d.key)
          .join(', ')}.`,
        sent,
      )
    await this.end(
      load.id,
      'held',
      sent ? `${sent} sent, read back equal.` : `Nothing to send: ${ref} holds what the job wants.`,
      sent,
    )
  }

  /** Operations of one kind go several at once; a kind is finished before the next, since that may refer to it. `before` were sent by an earlier pass. */
  private async write(id: string, driver: Driver, operations: readonly Operation[], before: number): Promise<void> {
    const { clock, log } = this.context
    const total = before + operations.length
    let done = before
    let told = clock.now()
    for (const batch of inKinds(operations)) {
      await severalAtOnce(batch, async (operation) => {
        if (log.facts.load[id]?.state === 'stopped') return
        await ability(driver, 'write')(operation)
        done += 1
        if (clock.now() - told < progressMs) return
        told = clock.now()
        const sent = done
        this.context.loadProgress(id, { total, done: sent })
      })
    }
  }

  private set(id: string, says: string, change: (load: Load) => Load): Promise<number> {
    return this.context.log.patch('load', id, says, (l) => (l.state === 'stopped' ? null : change(l)))
  }

  private async end(id: string, state: Load['state'], says: string, done?: number): Promise<void> {
    await this.context.log.append('load.end', says, (facts, at) => {
      const load = facts.load[id]
      return load && load.state !== 'stopped'
        ? [
            put(facts, 'load', {
              ...load,
              state,
              says,
              endedAt: at,
              ...(done === undefined ? {} : { done, total: done }),
            }),
          ]
        : []
    })
  }
}

/** What differs, of what this load is to bring. */
const asked = (held: Config, wanted: Config, { only }: Load): Difference[] =>
  difference(held, wanted).filter((d) => only !== 'testCards' || isTestPart(d.key))

/** Neighbours of the same kind (and the same act) together; the order of kinds is kept. */
function inKinds(operations: readonly Operation[]): Operation[][] {
  const batches: Operation[][] = []
  let last = ''
  for (const operation of operations) {
    const kind = `${operation.do} ${readKey(operation.key).name}`
    if (kind === last) batches.at(-1)?.push(operation)
    else batches.push([operation])
    last = kind
  }
  return batches
}
