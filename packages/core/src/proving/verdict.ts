import type { JobLimits } from '../job/records'
import type { DeviceEvent } from './events'
import type { Trial } from './records'
import type { Test } from './test'

export interface Judgement {
  state: 'waiting' | 'passed' | 'failed' | 'not judged'
  says: string
  evidence: DeviceEvent[]
  /** Something that is being timed now: since when (server clock) and the window in seconds. */
  timing?: { label: string; since: number; from: number; to: number }
}

export interface JudgeInput {
  test: Test
  trial: Trial
  door: string
  controller: string
  /** All events of the job that may belong to the trial, any order. */
  events: readonly DeviceEvent[]
  limits: JobLimits
  /** Reference of a door by its id, for words. */
  refOf: (door: string) => string
}

export const waiting = (says: string, evidence: DeviceEvent[] = []): Judgement => ({ state: 'waiting', says, evidence })
export const passed = (says: string, evidence: DeviceEvent[]): Judgement => ({ state: 'passed', says, evidence })
export const failed = (says: string, evidence: DeviceEvent[]): Judgement => ({ state: 'failed', says, evidence })
export const notJudged = (says: string, evidence: DeviceEvent[]): Judgement => ({ state: 'not judged', says, evidence })
export const seconds = (from: DeviceEvent, to: DeviceEvent): number => (to.at - from.at) / 1000
export const one = (n: number): string => n.toFixed(1)

/** Between what, in seconds, something timed has to come. */
export const windowOf = (kind: { seconds: number; toleranceS: number }): { from: number; to: number } => ({
  from: kind.seconds - kind.toleranceS,
  to: kind.seconds + kind.toleranceS,
})

/** Whether an event came after another one, by the device's own stamps. */
export const cameAfter = (event: DeviceEvent, than: DeviceEvent): boolean =>
  event.at > than.at || (event.at === than.at && event.seq > than.seq)

/** The first event of a kind and state that came after another one, by the device's own stamps. */
export const after = (
  events: readonly DeviceEvent[],
  than: DeviceEvent,
  kind: DeviceEvent['kind'],
  state: string,
  part?: string,
): DeviceEvent | undefined =>
  events.find(
    (e) => e.kind === kind && e.state === state && (part === undefined || e.part === part) && cameAfter(e, than),
  )

export const find = (
  events: readonly DeviceEvent[],
  kind: DeviceEvent['kind'],
  state: string,
  part?: string,
): DeviceEvent | undefined =>
  events.find((e) => e.kind === kind && e.state === state && (part === undefined || e.part === part))

export function within(
  value: number,
  window: { from: number; to: number },
  wanted: number,
  what: string,
  evidence: DeviceEvent[],
): Judgement {
  const said = `${what} after ${one(value)} s; ${wanted} s was wanted`
  return value >= window.from && value <= window.to
    ? passed(`${said}, within ${one(window.from)} to ${one(window.to)} s.`, evidence)
    : failed(`${said} (${one(window.from)} to ${one(window.to)} s).`, evidence)
}
