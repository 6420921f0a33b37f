import { all, jobOf, put, readingChanges, usualLimits, type Config } from '@rauta/core'
import { ability, DeviceError, type Driver } from '@rauta/drivers'
import type { Context } from '../context'
import { lookAtBuses } from './bus/look'
import { lookAtRadio } from './radio/look'
import { eachInService } from './eachInService'
import { proven } from './inService'
import { StoreFullError } from '../store/room'
import { within } from './within'
import { zoneOf } from './zone'
import { failureWords } from '../words'

/** What a device that can say whether it was altered held when it was last read whole. */
interface Glimpse {
  mark: string
  /** Looks since it was read whole. */
  looks: number
}

/** A device that says that nothing was altered is read whole all the same, every so many looks. */
const wholeEvery = 15
/** A device that tells of alterations is read when it has been quiet for so long. */
const settleMs = 500
/** A look at one device is given so long, with all that it holds, ms. */
const lookMs = 120_000

/** Looks at every device in service at the job's interval: does it answer, is its clock right, does it hold what it held. */
export class Watcher {
  private readonly glimpses = new Map<string, Glimpse>()
  private readonly altering = new Set<string>()
  private readonly busy = new Set<string>()
  constructor(private readonly context: Context) {}

  start(): void {
    const { clock, ending, logger } = this.context
    eachInService(this.context, async (id, inService) => {
      while (inService()) {
        await this.look(id).catch((error: Error) => logger.error(error))
        await clock.sleep(this.gapMs(), ending)
      }
    })
  }

  /** One look at one device. Loads look away while they write. */
  async look(id: string): Promise<void> {
    if (this.busy.has(id)) return
    this.busy.add(id)
    const { clock, ending, log } = this.context
    const began = clock.now()
    const ref = log.facts.controller[id]?.ref ?? id
    try {
      await within(this.context, lookMs, ref, (signal) => this.ask(id, signal))
    } catch (error) {
      // A full disk says nothing of the device.
      if (!ending.aborted && !(error instanceof StoreFullError)) await this.silent(id, began, failureWords(error, ref))
    } finally {
      this.busy.delete(id)
    }
  }

  private async ask(id: string, signal: AbortSignal): Promise<void> {
    const reached = await proven(this.context, id, signal)
    if (!reached) return
    const { driver, identity } = reached
    const time = await driver.time()
    await this.answered(id, time.offsetMs, time.zone, identity.firmware)
    await lookAtBuses(this.context, id, driver, this.gapMs())
    await lookAtRadio(this.context, id, driver, this.gapMs())
    if (!this.beingLoaded(id)) await this.compare(id, driver)
  }

  /** Reads the configuration, unless the device says that it is as it was read last. */
  private async compare(id: string, driver: Driver): Promise<void> {
    const mark = await glance(driver)
    const known = this.glimpses.get(id)
    if (mark !== null && known?.mark === mark && known.looks < wholeEvery && this.understood(id)) {
      known.looks += 1
      return
    }
    await this.remember(id, { mark, config: await ability(driver, 'read')() })
  }

  private understood(id: string): boolean {
    return this.context.log.facts.held[id]?.fault === ''
  }

  /** A device told that its configuration was altered: it is looked at without waiting for its turn. */
  altered(id: string): void {
    const { clock, ending } = this.context
    if (this.altering.has(id)) return
    this.altering.add(id)
    void clock.sleep(settleMs, ending).then(() => {
      this.altering.delete(id)
      if (!ending.aborted && !this.beingLoaded(id)) void this.look(id)
    })
  }

  private beingLoaded(id: string): boolean {
    return all(this.context.log.facts, 'load').some((l) => l.controller === id && l.state === 'running')
  }

  private async answered(id: string, offsetMs: number, zone: string, firmware: string): Promise<void> {
    await this.context.log.append('reach.fact', 'A device answered', (facts, at) => {
      const reach = facts.reach[id]
      if (!reach) return []
      const moved = Math.abs(reach.clockOffsetMs - offsetMs) > 300
      const zoneWanted = zoneOf(facts, at)
      if (
        reach.silentMs === 0 &&
        !moved &&
        reach.zoneHeld === zone &&
        reach.zoneWanted === zoneWanted &&
        reach.firmware === firmware &&
        !reach.says
      )
        return []
      return [
        put(facts, 'reach', {
          ...reach,
          firmware,
          firmwareAccepted: reach.firmware === firmware ? reach.firmwareAccepted : null,
          clockOffsetMs: Math.round(offsetMs),
          clockCheckedAt: at,
          zoneHeld: zone,
          zoneWanted,
          lastAnswerAt: at,
          silentMs: 0,
          says: '',
        }),
      ]
    })
  }

  /** What was read back; a reading that differs from the last is a fact. */
  async remember(id: string, { mark, config }: Whole): Promise<void> {
    const { log } = this.context
    await log.append('held.read', `${log.facts.controller[id]?.ref} was read back`, (facts, at) =>
      readingChanges(facts, id, config, at),
    )
    if (mark !== null) this.glimpses.set(id, { mark, looks: 0 })
  }

  /** Only time in which the server was trying counts. */
  private async silent(id: string, began: number, says: string): Promise<void> {
    const trying = Math.max(0, this.context.clock.now() - began)
    await this.context.log.patch('reach', id, says, (reach) => ({
      ...reach,
      silentMs: reach.silentMs + Math.round(trying) + this.gapMs(),
      says,
    }))
  }

  /** How long until its next look. */
  private gapMs(): number {
    return (jobOf(this.context.log.facts)?.limits.watchS ?? usualLimits.watchS) * 1000
  }
}

/** A whole reading; what was altered meanwhile shows at the next look, since the mark is from before. */
export interface Whole {
  mark: string | null
  config: Config
}
export const readWhole = async (driver: Driver): Promise<Whole> => ({
  mark: await glance(driver),
  config: await ability(driver, 'read')(),
})

/** Null for a device that cannot say. */
async function glance(driver: Driver): Promise<string | null> {
  if (!driver.glance) return null
  try {
    return await driver.glance()
  } catch (error) {
    if (error instanceof DeviceError && (error.code === 'refused' || error.code === 'unsupported')) return null
    throw error
  }
}
