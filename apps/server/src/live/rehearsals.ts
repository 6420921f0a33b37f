import { heldOfKind, put, readKey, scriptFor, type Facts, type Rehearsal, type Test, type Trial } from '@rauta/core'
import { proofChanges, sheetsFor } from '@rauta/contracts'
import { ability, DeviceError, type Driver } from '@rauta/drivers'
import { v7 } from 'uuid'
import type { Context } from '../context'
import type { Deciding } from './deciding'
import { provenDriver } from '../reach/inService'

/** A door goes back by itself after this long, also if this server is gone by then, s. */
const longestTestS = 900
/** A controller may find the server gone so much later than it is set to, s. */
const awaySlackS = 10
/** The next test at a door may begin within this; until then it stays as it stands, ms. */
const lingerMs = 3000

/** Makes a door stand as its running test wants it, and brings it back when none runs there any more. */
export class Rehearsals {
  private readonly standing = new Set<string>()
  constructor(
    private readonly context: Context,
    private readonly deciding: Deciding,
  ) {
    context.log.onCommit((entry, facts) => {
      for (const { kind, id } of entry.changes) {
        if (kind !== 'trial') continue
        const trial = facts.trial[id]
        if (trial?.waits) void this.begin(trial, facts).catch((error: Error) => this.context.logger.error(error))
        else if (!trial) this.later(id)
      }
    })
  }

  private async begin(trial: Trial, facts: Facts): Promise<void> {
    const door = facts.door[trial.id]
    const test = door && scriptFor(facts, door, sheetsFor(facts)).find((t) => t.id === trial.test)
    const controller = door?.placement?.controller
    if (!test || !controller) return
    try {
      const driver = await provenDriver(this.context, controller, this.context.ending)
      if (!driver) throw new DeviceError('unsupported', 'its controller is not in service.')
      await this.ready(trial, await this.prepare(driver, controller, trial.id, test))
    } catch (error) {
      await this.notJudged(trial, error instanceof Error ? error.message : String(error))
    }
  }

  /** @returns from when on what happens counts, on the server's clock */
  private async prepare(driver: Driver, controller: string, door: string, test: Test): Promise<number> {
    if (test.forget) await ability(driver, 'forget')(this.testCredentials(controller))
    // What follows from hearing the server again is over before the test begins.
    if (test.silence === 'never') await this.deciding.speak(driver, door)
    const before = test.rehearse ? await this.stand(driver, door, test.rehearse) : this.context.clock.now()
    return test.silence === 'begins' || test.silence === 'lasts'
      ? await this.silence(driver, door, test.silence)
      : before
  }

  /** The server is as though it were away, from now on or since the controller found that. */
  private async silence(driver: Driver, door: string, how: 'begins' | 'lasts'): Promise<number> {
    const away = how === 'lasts' ? this.deciding.foundAway(door, this.awayWithinMs(door)) : null
    // What fails before it is waited for is thrown below.
    away?.catch(() => undefined)
    const from = await this.deciding.fallSilent(driver, door)
    await away
    return away ? this.context.clock.now() : from
  }

  private awayWithinMs(door: string): number {
    return ((this.context.log.facts.door[door]?.decides?.afterS ?? 0) + awaySlackS) * 1000
  }

  private async stand(driver: Driver, door: string, as: Rehearsal): Promise<number> {
    this.standing.add(door)
    const rehearse = ability(driver, 'rehearse')
    // What it stands as already by its own hours would not be told anew, and nothing could be judged.
    await rehearse(door, 'controlled', longestTestS)
    const from = this.context.clock.now()
    if (as !== 'controlled') await rehearse(door, as, longestTestS)
    return from
  }

  private async ready(seen: Trial, from: number): Promise<void> {
    await this.context.log.append('trial.ready', 'The controller is ready for the test', (facts) => {
      const trial = facts.trial[seen.id]
      if (trial?.startedAt !== seen.startedAt) return []
      const { waits: _waits, ...ready } = trial
      return [put(facts, 'trial', { ...ready, startedAt: from })]
    })
  }

  /** Tokens of the test cards on a controller, as it holds them. */
  private testCredentials(controller: string): string[] {
    const held = heldOfKind(this.context.log.facts, controller, 'test')
    return Object.keys(held).flatMap((key) => {
      const { name, token } = readKey(key)
      return name === 'credential' ? [token] : []
    })
  }

  /** What could not be prepared proves nothing, and says why at once instead of leaving somebody to wait. */
  private async notJudged(seen: Trial, why: string): Promise<void> {
    await this.context.log.append('proof.judged', 'A test could not be prepared', (facts, at) => {
      const trial = facts.trial[seen.id]
      const door = facts.door[seen.id]
      if (!trial || !door || trial.startedAt !== seen.startedAt) return []
      const says = `The door could not be made ready for this test: ${why}`
      return proofChanges(
        facts,
        door,
        trial.test,
        { verdict: 'not judged', says, evidence: [] },
        { id: v7(), by: trial.by, role: 'engineer', at, sheets: sheetsFor(facts) },
      )
    })
  }

  private later(door: string): void {
    this.context.clock.after(lingerMs, () => {
      if (this.context.log.facts.trial[door]) return
      this.deciding.speakAgain(door)
      if (this.standing.delete(door)) void this.back(door).catch((error: Error) => this.context.logger.warn(error))
    })
  }

  private async back(door: string): Promise<void> {
    const controller = this.context.log.facts.door[door]?.placement?.controller ?? ''
    const driver = await provenDriver(this.context, controller, this.context.ending)
    if (driver) await ability(driver, 'rehearse')(door, null, 0)
  }
}
