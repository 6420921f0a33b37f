import { answerTo, askingDoors, type DeviceEvent } from '@rauta/core'
import { ability, type DecisionAsked, type Driver } from '@rauta/drivers'
import type { Context } from '../context'
import { eachInService } from '../reach/eachInService'
import { provenDriver } from '../reach/inService'

/** A controller hears of whoever decides at its doors this many times before it would take them for gone. */
const signsPerReach = 3
/** How often it is looked whether a controller asks at all, ms; between two signs of life at most, and at least. */
const lookMs = 2000
const shortestMs = 500
/** More than these ask at no controller at once; the newest are still there to be answered. */
const mostAnswers = 20

/** Decides for controllers that ask who may come in, and tells them that it is there; keeps silent at a door while a test wants it. */
export class Deciding {
  private readonly silentAt = new Set<string>()
  constructor(private readonly context: Context) {}

  start(): void {
    eachInService(this.context, (id, inService) => this.loop(id, inService))
  }

  private async loop(id: string, inService: () => boolean): Promise<void> {
    const { clock, ending } = this.context
    let driver: Driver | null = null
    while (inService()) {
      const doors = askingDoors(this.context.log.facts, id)
      try {
        if (doors.length) {
          driver ??= await provenDriver(this.context, id, ending)
          if (driver)
            for (const { door } of doors.filter((d) => !this.silentAt.has(d.door)))
              await ability(driver, 'announce')(door)
        }
      } catch (error) {
        // Another loop looks after a device that does not answer; here the next sign of life is tried in its turn.
        driver = null
        if (!ending.aborted) this.context.logger.debug(error)
      }
      const soonest = Math.min(lookMs, ...doors.map((d) => (d.reachS * 1000) / signsPerReach))
      await clock.sleep(Math.max(shortestMs, soonest), ending)
    }
  }

  /** Answers whoever waits at a controller’s doors; what can no longer be answered there is left. */
  async answer(controller: string, driver: Driver, asks: readonly DecisionAsked[]): Promise<void> {
    const { clock, log } = this.context
    for (const asked of asks.slice(-mostAnswers)) {
      const door = log.facts.door[asked.door]
      if (door?.placement?.controller !== controller || this.silentAt.has(door.id)) continue
      try {
        await ability(driver, 'decide')(asked, answerTo(log.facts, door, asked.credential, clock.now()))
      } catch (error) {
        this.context.logger.debug(error)
      }
    }
  }

  /** Says once more that it is there, and nothing from then on. @returns from when on it is silent, on the server’s clock */
  async fallSilent(driver: Driver, door: string): Promise<number> {
    this.silentAt.add(door)
    await ability(driver, 'announce')(door)
    return this.context.clock.now()
  }

  /** Is heard at a door at once, whatever was before. */
  async speak(driver: Driver, door: string): Promise<void> {
    this.speakAgain(door)
    await ability(driver, 'announce')(door)
  }

  speakAgain(door: string): void {
    this.silentAt.delete(door)
  }

  /** Resolves once the controller tells that it found nobody there to decide at a door. @throws after `ms` */
  foundAway(door: string, ms: number): Promise<void> {
    const { clock, log } = this.context
    return new Promise((done, fail) => {
      const end = log.onCommit((entry) => {
        if (!entry.changes.some(({ kind, after }) => kind === 'event' && tellsAway(after as DeviceEvent | null, door)))
          return
        end()
        over()
        done()
      })
      const over = clock.after(ms, () => {
        end()
        fail(new Error('the controller never told that the server is out of reach.'))
      })
    })
  }
}

const tellsAway = (event: DeviceEvent | null, door: string): boolean =>
  event?.kind === 'notice' && event.state === 'deciderAway' && event.door === door
