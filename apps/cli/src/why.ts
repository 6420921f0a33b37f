import {
  applyChanges,
  decide,
  emptyFacts,
  groupFault,
  isDate,
  nextChange,
  periodFault,
  scheduleActive,
  specialDayFault,
  specialDayOn,
  validityFault,
  wallClock,
  wallText,
  type Change,
  type Facts,
  type Group,
  type Period,
  type Person,
  type Rule,
  type Schedule,
  type SpecialDay,
} from '@rauta/core'
import { refuseTwins } from './input'
import { Bad, type Outcome } from './outcome'

export interface WhyInput {
  zone: string
  at: string
  door: string
  person: Omit<Person, 'id' | 'number'>
  /** One without a group is the person's own. */
  rules: Omit<Rule, 'person' | 'sets'>[]
  schedules: Schedule[]
  specialDays?: SpecialDay[]
  groups?: Group[]
}

/** Whether somebody passes a door at a moment, which rule decides, and what the clock at the door shows then. */
export function why(input: WhyInput): Outcome {
  const atMs = momentOf(input.at)
  checkZone(input.zone, atMs)
  checkTimes(input)
  checkNames(input)
  const facts = factsFrom(input)
  const door = { id: input.door, ref: input.door, behaviour: {} } as Parameters<typeof decide>[2]
  const decision = decide(facts, whoOf(input), door, atMs)
  const schedule = input.schedules.find((s) => s.id === input.rules.find((r) => r.id === decision.rule)?.schedule)
  const special = schedule && specialDayOn(schedule, input.specialDays ?? [], wallClock(atMs, input.zone).date)
  const answer = {
    ...decision,
    localTime: wallText(atMs, input.zone),
    period: decision.passes && schedule ? periodThen(schedule, input.specialDays ?? [], atMs, input.zone) : null,
    specialDay: special ? { date: special.date, name: special.name } : null,
    next: nextOf(facts, input, door, atMs),
  }
  return { code: decision.passes ? 0 : 1, out: JSON.stringify(answer) }
}

const whoOf = ({ person }: WhyInput): Person => ({ ...person, id: 'who', number: '' })

/** When the answer changes, and what it is from then on. */
function nextOf(facts: Facts, input: WhyInput, door: Parameters<typeof decide>[2], atMs: number): object | null {
  const next = nextChange(facts, whoOf(input), door, atMs)
  if (!next) return null
  const { passes, reason } = next.decision
  return { at: new Date(next.at).toISOString(), localTime: wallText(next.at, input.zone), passes, reason }
}

/** A moment with its offset, so that it is the same wherever this runs. @throws Bad */
function momentOf(text: string): number {
  const match = /^(\d{4}-\d{2}-\d{2})T(\d{2}):(\d{2})(:\d{2}(\.\d{1,3})?)?(Z|[+-]\d{2}:\d{2})$/.exec(text)
  const ms = match ? Date.parse(text) : NaN
  if (!match || Number.isNaN(ms) || !isDate(match[1] ?? '') || Number(match[2]) > 23)
    throw new Bad(`at: “${text}” is not a moment. Write it with its offset, 2027-01-04T06:15:00+02:00, or with Z.`)
  return ms
}

function checkZone(zone: string, atMs: number): void {
  try {
    wallClock(atMs, zone)
  } catch {
    throw new Bad(`zone: “${zone}” is no time zone. Write one as Europe/Helsinki.`)
  }
}

function checkTimes({ schedules, specialDays = [] }: WhyInput): void {
  for (const s of schedules)
    s.periods.forEach((p, i) => {
      const fault = periodFault(p)
      if (fault) throw new Bad(`schedules: ${s.id}, period ${i + 1}: ${fault}`)
    })
  for (const d of specialDays) {
    const wrong = specialDayFault(
      { ...d, id: d.id ?? d.date },
      specialDays.map((o) => ({ ...o, id: o.id ?? o.date })),
    )
    if (wrong) throw new Bad(`specialDays: ${wrong.field}: ${wrong.says}`)
    const lost = d.schedules?.find((id) => !schedules.some((s) => s.id === id))
    if (lost !== undefined)
      throw new Bad(`specialDays: ${d.date} names schedule ${lost}, which is not among the schedules.`)
    d.periods.forEach((p, i) => {
      const fault = periodFault(p)
      if (fault) throw new Bad(`specialDays: ${d.date}, period ${i + 1}: ${fault}`)
    })
  }
}

function checkNames({ person, rules, schedules, specialDays = [], groups }: WhyInput): void {
  refuseTwins(rules.map((r) => r.id), 'rules') // prettier-ignore
  refuseTwins(schedules.map((s) => s.id), 'schedules') // prettier-ignore
  refuseTwins(specialDays.map((d) => d.date), 'specialDays') // prettier-ignore
  refuseTwins(groups?.map((g) => g.id) ?? [], 'groups')
  const known = new Set(schedules.map((s) => s.id))
  const lost = rules.find((r) => !known.has(r.schedule))
  if (lost) throw new Bad(`rules: ${lost.id} is on schedule ${lost.schedule}, which is not among the schedules.`)
  for (const rule of rules) {
    const fault = validityFault(rule)
    if (fault) throw new Bad(`rules: ${rule.id}: ${fault.field}: ${fault.says}`)
  }
  const validity = validityFault(person)
  if (validity) throw new Bad(`person: ${validity.field}: ${validity.says}`)
  if (!groups) return
  const named = new Set(groups.map((g) => g.id))
  const stray = rules.find((r) => r.group !== undefined && !named.has(r.group))
  if (stray) throw new Bad(`rules: ${stray.id} is for group ${stray.group}, which is not among the groups.`)
  const circle = groups.map((g) => groupFault(Object.fromEntries(groups.map((x) => [x.id, x])), g)).find(Boolean)
  if (circle) throw new Bad(`groups: ${circle}`)
  const alone = person.groups.find((g) => !named.has(g))
  if (alone) throw new Bad(`person: group ${alone} is not among the groups.`)
}

/** The period of a schedule that is in force then, alone enough to say so. */
function periodThen(schedule: Schedule, specialDays: readonly SpecialDay[], atMs: number, zone: string): object | null {
  const alone = (periods: Period[], days: readonly SpecialDay[]) =>
    scheduleActive({ ...schedule, periods }, days, atMs, zone)
  const closed = specialDays.map((d) => ({ ...d, periods: [] }))
  const weekly = schedule.periods.find((p) => alone([p], closed))
  if (weekly) return { schedule: schedule.id, ...weekly }
  for (const day of specialDays)
    for (const p of day.periods)
      if (
        alone(
          [],
          closed.map((d) => (d === closed[specialDays.indexOf(day)] ? { ...d, periods: [p] } : d)),
        )
      )
        return { schedule: schedule.id, specialDay: day.date, ...p }
  return null
}

const ownOf = (rule: WhyInput['rules'][number]): Rule => (rule.group === undefined ? { ...rule, person: 'who' } : rule)

function factsFrom(input: WhyInput): Facts {
  const put = (kind: string, record: { id: string }) => ({ kind, id: record.id, before: null, after: record }) as Change
  return applyChanges(
    emptyFacts(),
    [
      put('job', { id: 'job', zone: input.zone } as { id: string }),
      ...input.rules.map((r) => put('rule', ownOf(r))),
      ...input.schedules.map((s) => put('schedule', s)),
      ...(input.specialDays ?? []).map((d) => put('specialDay', { ...d, id: d.id ?? d.date })),
      ...(input.groups ?? []).map((g) => put('group', g)),
    ],
    1,
  )
}
