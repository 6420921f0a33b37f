import {
  fromDaysCalendar,
  fromICalendar,
  periodLine,
  periodOfLine,
  testSchedules,
  toDaysCalendar,
  toICalendar,
  type DaysOfYear,
  type Json,
} from '@rauta/core'
import { scheduleCodec, specialDayGroupCodec, type OnvifSchedule, type OnvifSpecialDayGroup } from '@rauta/protocols'
import { DeviceError } from '../errors'
import { set } from './entity'
import { text, type Dict } from './json'
import type { OnvifSession } from './session'

/** The schedules that a device keeps, by token, and the groups of special days that none of them uses. */
export function timesOf(
  schedules: readonly OnvifSchedule[],
  groups: readonly OnvifSpecialDayGroup[],
): { schedules: [string, Json][]; loose: [string, Json][] } {
  const byToken = new Map(groups.map((g) => [g.token, g]))
  const used = new Set<string>()
  const read = schedules.map((s): [string, Json] => {
    const weekly = fromICalendar(s.standard)
    if ('fault' in weekly) throw new DeviceError('malformed', weekly.fault)
    const special = s.specialDays
      .flatMap((d) => {
        used.add(d.group)
        const periods = d.ranges.map((r) => `${r.from.slice(0, 5)}-${r.until === '' ? '24:00' : r.until.slice(0, 5)}`)
        return fromDaysCalendar(byToken.get(d.group)?.days ?? '').map((days) => ({ ...days, periods }))
      })
      .sort((a, b) => a.date.localeCompare(b.date))
    const periods = weekly.periods.map(periodLine).sort()
    return [s.token, { name: s.name, periods, special }]
  })
  return { schedules: read, loose: groups.filter((g) => !used.has(g.token)).map((g) => [g.token, { name: g.name }]) }
}

/** A group for the same days has the same token, whichever schedules use it. */
const groupOf = (days: DaysOfYear): OnvifSpecialDayGroup => ({
  token: ['day', days.date, days.until, days.yearly ? 'yearly' : undefined].filter(Boolean).join('-'),
  name: [days.date, days.until].filter(Boolean).join(' to '),
  days: toDaysCalendar(days),
})
/** A range whose end is left out ends at midnight (ONVIF schedule specification, from memory); an xs:time has no 24:00. */
const time = (hm: string) => (hm === '24:00' ? '' : `${hm}:00`)

export async function writeSchedule(session: OnvifSession, token: string, value: Dict): Promise<void> {
  const periods = (value['periods'] as string[]).map(periodOfLine)
  const special = value['special'] as unknown as (DaysOfYear & { periods: string[] })[]
  for (const day of special) await set(session, specialDayGroupCodec, groupOf(day))
  const schedule: OnvifSchedule = {
    token,
    name: text(value['name']),
    standard: toICalendar(testSchedules[token] ?? periods),
    specialDays: special.map((d) => ({
      group: groupOf(d).token,
      ranges: d.periods.map((p) => ({ from: time(p.split('-')[0] ?? ''), until: time(p.split('-')[1] ?? '') })),
    })),
  }
  await set(session, scheduleCodec, schedule)
}
