import {
  all,
  jobOf,
  judge,
  mayHaveOlder,
  scriptFor,
  toldDuring,
  type DeviceEvent,
  type Facts,
  type Trial,
} from '@rauta/core'
import { proofChanges, sheetsFor } from '@rauta/contracts'
import { v7 } from 'uuid'
import type { Context } from '../context'

/** Judges running tests whenever an event arrives, and records the verdict. */
export class Judging {
  constructor(private readonly context: Context) {
    context.log.onCommit((entry, facts) => {
      if (entry.changes.some((c) => c.kind === 'event')) for (const trial of all(facts, 'trial')) this.look(trial)
    })
  }

  private look(seen: Trial): void {
    void this.judge(seen).catch((error: Error) => this.context.logger.error(error))
  }

  private async judge(seen: Trial): Promise<void> {
    const { log } = this.context
    const older = await this.olderEvents(seen)
    await log.append('proof.judged', 'A test was judged', (facts, at) => {
      const trial = facts.trial[seen.id]
      if (!trial || trial.startedAt !== seen.startedAt) return []
      const verdict = judgeTrial(facts, trial, older)
      if (!verdict || verdict.state === 'waiting') return []
      const door = facts.door[trial.id]
      if (!door) return []
      return proofChanges(
        facts,
        door,
        trial.test,
        {
          verdict: verdict.state,
          says: verdict.says,
          evidence:
            verdict.state === 'failed' ? withTold(verdict.evidence, toldDuring(facts, trial)) : verdict.evidence,
        },
        { id: v7(), by: trial.by, role: 'engineer', at, sheets: sheetsFor(facts) },
      )
    })
  }

  /** Events of the test that the facts have no more: a device that floods must not push out what another told. */
  private async olderEvents(trial: Trial): Promise<DeviceEvent[]> {
    const { facts } = this.context.log
    const oldest = Object.values(facts.event)[0]?.received ?? 0
    const began = trial.startedAt - beforeMs
    if (!mayHaveOlder(facts) || oldest < began) return []
    return this.context.log.eventsBetween(began, oldest + 1, mostOlder)
  }
}

/** What a failed verdict rests on, and what else the controller told meanwhile: it may tell why. */
const withTold = (evidence: readonly DeviceEvent[], told: readonly DeviceEvent[]): DeviceEvent[] => [
  ...evidence,
  ...told.filter((e) => !evidence.some((x) => x.id === e.id)),
]

/** Events from this long before a test began are handed to its judge, ms. */
const beforeMs = 5000
const mostOlder = 20_000

/** @param older events that the facts have no more */
export function judgeTrial(facts: Facts, trial: Trial, older: readonly DeviceEvent[] = []) {
  const door = facts.door[trial.id]
  const job = jobOf(facts)
  const test = door && scriptFor(facts, door, sheetsFor(facts)).find((t) => t.id === trial.test)
  if (!door || !job || !test) return null
  const events = [...older.filter((e) => !facts.event[e.id]), ...all(facts, 'event')].filter(
    (e) => e.received >= trial.startedAt - beforeMs,
  )
  return judge({
    test,
    trial,
    door: door.id,
    controller: door.placement?.controller ?? '',
    events,
    limits: job.limits,
    refOf: (id) => facts.door[id]?.ref ?? 'another door',
  })
}
