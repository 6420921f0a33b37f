import { all, jobOf, judge, scriptFor, type Facts, type Trial } from '@rauta/core'
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
    void this.context.log
      .append('proof.judged', 'A test was judged', (facts, at) => {
        const trial = facts.trial[seen.id]
        if (!trial || trial.startedAt !== seen.startedAt) return []
        const verdict = judgeTrial(facts, trial)
        if (!verdict || verdict.state === 'waiting') return []
        const door = facts.door[trial.id]
        if (!door) return []
        return proofChanges(
          facts,
          door,
          trial.test,
          { verdict: verdict.state, says: verdict.says, evidence: verdict.evidence },
          { id: v7(), by: trial.by, role: 'engineer', at, sheets: sheetsFor(facts) },
        )
      })
      .catch((error: Error) => this.context.logger.error(error))
  }
}

export function judgeTrial(facts: Facts, trial: Trial) {
  const door = facts.door[trial.id]
  const job = jobOf(facts)
  const test = door && scriptFor(facts, door, sheetsFor(facts)).find((t) => t.id === trial.test)
  if (!door || !job || !test) return null
  const events = all(facts, 'event').filter((e) => e.received >= trial.startedAt - 5000)
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
