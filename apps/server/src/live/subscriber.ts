import {
  all,
  bitsOfText,
  heldOfKind,
  holderOf,
  mayHaveOlder,
  pointsByPort,
  put,
  sendings,
  strangeReadWords,
  type Config,
  type DeviceEvent,
  type Facts,
  type HeldPoint,
} from '@rauta/core'
import type { Context } from '../context'
import type { Deciding } from './deciding'
import { eachInService } from '../reach/eachInService'
import { provenDriver } from '../reach/inService'
import { failureWords } from '../words'
import { ability, hasCode, type ToldEvent } from '@rauta/drivers'
import { gapEvent, Tally } from './gap'
import { Pace } from './pace'
import type { Watcher } from '../reach/watch'
import { rememberModes } from './orders'

const renewMs = 30_000
const pauseMs = 2000
/** A flood is said again every so often while it lasts, ms of this computer's time. */
const floodMs = 5_000

/**
 * Keeps a pull-point subscription on every device in service: renewed, re-made when lost. Where events may be missing that
 * is noted, unless the device's own count shows that none is.
 */
export class Subscriber {
  private readonly points = new Map<string, { config: Config; points: ReadonlyMap<string, HeldPoint> }>()
  constructor(
    private readonly context: Context,
    private readonly watcher: Watcher,
    private readonly deciding: Deciding,
  ) {}

  start(): void {
    eachInService(this.context, (id, inService) => this.loop(id, inService))
  }

  private async loop(id: string, inService: () => boolean): Promise<void> {
    const { clock, ending, log } = this.context
    let heardUntil: number | null = null
    const tally = new Tally()
    let why = ''
    while (inService()) {
      try {
        const driver = await provenDriver(this.context, id, ending)
        if (!driver) {
          await clock.sleep(pauseMs, ending)
          continue
        }
        const { offsetMs } = await driver.time()
        const watch = await ability(driver, 'watch')()
        const began = clock.now()
        let cut = heardUntil === null ? null : gapEvent(id, heardUntil, began, why)
        if (heardUntil === null && this.trialRunning(id))
          await this.keep(id, [gapEvent(id, began, began, 'the server was away')])
        heardUntil ??= began
        if ((log.facts.reach[id]?.silentMs ?? 0) > 0) void this.watcher.look(id).catch(() => undefined)
        let renewed = began
        const pace = new Pace(performance.now())
        for (;;) {
          const asked = performance.now()
          const { events, asks, boot, modes, configured, leftOut, counted } = await watch.pull(this.pointsOf(id))
          // Somebody stands at the door: they are answered before anything is written down.
          if (asks?.length) await this.deciding.answer(id, driver, asks)
          const from = heardUntil
          heardUntil = clock.now()
          const received = heardUntil
          const gaps: DeviceEvent[] = []
          if (!tally.goesOn(counted) && cut) {
            gaps.push(cut)
            tally.begin()
          }
          cut = null
          if (leftOut) gaps.push(gapEvent(id, from, received, `it told ${leftOut} more at once than are taken`))
          // What may be missing comes last: of many events the newest are kept at hand, and this must be among them.
          await this.keep(id, [
            ...events.map((told) => explained(log.facts, eventOf(told, id, received, offsetMs))),
            ...gaps,
          ])
          if (modes?.length) await rememberModes(this.context, modes)
          if (boot) await this.noteBoot(id, boot)
          if (configured) this.watcher.altered(id)
          if (ending.aborted) {
            await watch.end().catch(() => undefined)
            return
          }
          if (clock.now() - renewed > renewMs) {
            await watch.renew()
            renewed = clock.now()
          }
          await this.rest(id, pace, events.length + (leftOut ?? 0), asked)
        }
      } catch (error) {
        why = failureWords(error, log.facts.controller[id]?.ref ?? id)
        // Whoever stands at the door is told now, not when its turn to be looked at comes.
        if (!ending.aborted && !hasCode(error, 'notAuthorized')) void this.watcher.look(id).catch(() => undefined)
        if (!ending.aborted) await clock.sleep(pauseMs, ending)
      }
    }
  }

  /** Waits before the next look where a device tells more than can happen at its doors; a flood is summed up on the tape. */
  private async rest(id: string, pace: Pace, events: number, asked: number): Promise<void> {
    const { clock, ending } = this.context
    const now = performance.now()
    const waitMs = pace.after(events, now - asked, now)
    const flood = pace.flood(now, floodMs)
    if (flood)
      await this.keep(id, [
        gapEvent(
          id,
          clock.now() - flood.ms * clock.factor,
          clock.now(),
          `it tells ${Math.round((flood.told / flood.ms) * 1000)} events a second, more than can happen at its doors. It is asked less often; look for what makes them`,
        ),
      ])
    if (waitMs > 0) await clock.sleep(waitMs * clock.factor, ending)
  }

  /** What the device was last read to hold of its wiring; worked out anew only when it was read again. */
  private pointsOf(id: string): ReadonlyMap<string, HeldPoint> {
    const config = heldOfKind(this.context.log.facts, id, 'terminals')
    const kept = this.points.get(id)
    if (kept?.config === config) return kept.points
    const points = pointsByPort(config)
    this.points.set(id, { config, points })
    return points
  }

  private trialRunning(id: string): boolean {
    return all(this.context.log.facts, 'trial').some(
      (t) => this.context.log.facts.door[t.id]?.placement?.controller === id,
    )
  }

  /** An event that is there already is left alone: delivering it twice changes nothing. */
  private async keep(id: string, events: readonly DeviceEvent[]): Promise<void> {
    const unseen = events.filter((e) => !this.context.log.facts.event[e.id])
    if (unseen.length === 0) return
    const older = await this.olderOf(unseen)
    const fresh = unseen.filter((e) => !older.has(e.id))
    if (fresh.length === 0) return
    await this.context.log.append(
      'event',
      fresh
        .map((e) => e.says)
        .join('; ')
        .slice(0, 190),
      (facts) =>
        [...new Map(fresh.map((e) => [e.id, e])).values()]
          .filter((e) => !facts.event[e.id])
          .map((e) => put(facts, 'event', e)),
      this.context.log.facts.controller[id]?.ref ?? id,
    )
  }

  /** Those that are known and stand in the facts no more. */
  private async olderOf(events: readonly DeviceEvent[]): Promise<ReadonlySet<string>> {
    const { log } = this.context
    return mayHaveOlder(log.facts) ? log.knownEvents(events.map((e) => e.id)) : new Set()
  }

  private async noteBoot(id: string, boot: string): Promise<void> {
    if (this.context.log.facts.reach[id]?.boot !== boot)
      await this.context.log.patch('reach', id, 'A device told its boot', (r) => ({ ...r, boot }))
  }
}

/** A read that the controller could not place, with what came and what it would be. */
export function explained(facts: Facts, event: DeviceEvent): DeviceEvent {
  const bits = event.kind === 'refused' && event.state === 'unknown' ? bitsOfText(event.bits ?? '') : null
  if (!bits) return event
  const reader = facts.door[event.door]?.parts.find((p) => p.id === event.reader)
  const says = strangeReadWords(bits, reader ?? {}, sendings(facts), (reading) => holderOf(facts, reading))
  return says ? { ...event, says: `${event.says}. ${says}` } : event
}

/** An event of the job: its identity is the device, its boot and its sequence, so that delivering it twice changes nothing. */
export function eventOf(told: ToldEvent, controller: string, received: number, offsetMs: number): DeviceEvent {
  return {
    ...told,
    id: `${controller}:${told.boot}:${told.seq}`,
    controller,
    received: Math.round(received),
    offsetMs: Math.round(offsetMs),
  }
}
