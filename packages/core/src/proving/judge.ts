import { onServerClock, type DeviceEvent } from './events'
import { rules } from './rules'
import { waiting, type JudgeInput, type Judgement } from './verdict'

export type { JudgeInput, Judgement } from './verdict'

/** Stamps may lie this much before the start of a trial, ms: the measured clock offset is no finer. */
const startSlackMs = 500

/** What was heard before a trial began is of the one before it, however near; what was stamped before is of nothing that was done in it. */
const countsFor = (event: DeviceEvent, startedAt: number): boolean =>
  event.received >= startedAt && onServerClock(event) >= startedAt - startSlackMs

/**
 * Verdict of a running test from the devices' own events. Times are differences of one device's stamps; the server's
 * receipt serves as plausibility only.
 */
export function judge(input: JudgeInput): Judgement {
  if (input.trial.waits) return waiting('The controller is made ready. Wait.')
  const since = input.trial.startedAt - startSlackMs
  const events = input.events
    .filter((e) => (e.kind === 'gap' ? e.received >= since : countsFor(e, input.trial.startedAt)))
    .sort((a, b) => a.at - b.at || a.seq - b.seq)
  const own = events.filter((e) => e.controller === input.controller)
  const gap = own.find((e) => e.kind === 'gap')
  if (gap) return { state: 'not judged', says: 'Events were missing while the test ran. Do it again.', evidence: [gap] }
  const reboot = own.find((e) => e.boot !== input.trial.boot)
  if (reboot && input.trial.boot)
    return { state: 'not judged', says: 'The controller restarted during the test. Do it again.', evidence: [reboot] }
  const rule = rules[input.test.judge.kind] as (
    kind: typeof input.test.judge,
    own: DeviceEvent[],
    events: DeviceEvent[],
    input: JudgeInput,
  ) => Judgement
  const verdict = rule(
    input.test.judge,
    own.filter((e) => e.door === input.door),
    events,
    input,
  )
  const late = verdict.evidence.find((e) => Math.abs(e.received - onServerClock(e)) > input.limits.receiptS * 1000)
  if (late && verdict.state !== 'waiting') {
    return {
      ...verdict,
      state: 'not judged',
      says: `An event came ${Math.round(Math.abs(late.received - onServerClock(late)) / 1000)} s away from its own stamp; the job allows ${input.limits.receiptS} s.`,
    }
  }
  return verdict
}
