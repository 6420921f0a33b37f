import type { DeviceSheet } from '../devices/sheet'
import { stop, type Finding } from '../job/finding'
import { drawnDays } from '../time/drawing'
import { periodOfLine } from '../time/schedule'
import { oncePerConfig } from './oncePer'
import { asObject, plainWords } from './parts/kind'
import type { Config, Json } from './records'

/** What of time is wanted of one device: the figures that its limits are of. */
export interface TimesWanted {
  schedules: number
  /** Of the fullest day of the fullest schedule, what reaches in from the evening before counted too. */
  periodsADay: number
  /** Name of that schedule. */
  fullest: string
  /** Groups of special days. */
  specialDays: number
}

export const timesWanted = oncePerConfig(count)

const lines = (value: Json | undefined): string[] => (Array.isArray(value) ? value.map(plainWords) : [])

function count(wanted: Config): TimesWanted {
  const found: TimesWanted = { schedules: 0, periodsADay: 0, fullest: '', specialDays: 0 }
  const groups = new Set<string>()
  for (const [key, value] of Object.entries(wanted)) {
    if (!/^(test\/)?schedule\//.test(key)) continue
    const { name, periods, special } = asObject(value)
    const specials = Array.isArray(special) ? special.map(asObject) : []
    found.schedules += 1
    for (const s of specials)
      groups.add(`${plainWords(s['date'])} ${plainWords(s['until'])} ${plainWords(s['yearly'])}`)
    const most = Math.max(
      ...drawnDays(lines(periods).map(periodOfLine)).map((spans) => spans.length),
      ...specials.map((s) => lines(s['periods']).length),
    )
    if (most > found.periodsADay) Object.assign(found, { periodsADay: most, fullest: plainWords(name) })
  }
  found.specialDays = groups.size
  return found
}

/** What a device of this type cannot hold of the times that are wanted of it. */
export function timeLimitFindings(ref: string, board: DeviceSheet, wanted: Config): Finding[] {
  const limits = board.controller?.times
  if (!limits) return []
  const { schedules, periodsADay, fullest, specialDays } = timesWanted(wanted)
  const full = (rule: string, has: number, most: number, says: string) => (has > most ? [stop('load', rule, says)] : [])
  return [
    ...full(
      'schedules-full',
      schedules,
      limits.schedules,
      `${ref} holds ${limits.schedules} schedules, those of the test cards among them, and ${schedules} are wanted of it. Let its doors use fewer.`,
    ),
    ...full(
      'periods-full',
      periodsADay,
      limits.periodsADay,
      `${ref} holds ${limits.periodsADay} periods a day, and ${fullest} has ${periodsADay} on one. Join some of them.`,
    ),
    ...full(
      'special-days-full',
      specialDays,
      limits.specialDays,
      `${ref} holds ${limits.specialDays} special days, and ${specialDays} are wanted of it. Join days that follow each other into one with an end, or let some of its schedules run every week alike.`,
    ),
  ]
}
