import { card26Hex } from '../cards/wiegand'
import type { Controller } from '../devices/records'
import { boardOf } from '../devices/board'
import type { DeviceSheet, Sheets } from '../devices/sheet'
import { accessPlaces, accessPointToken } from '../doors/accesspoints'
import type { Door } from '../doors/door'
import { all, type Facts } from '../job/facts'
import { controllerFacts } from '../wiring/placement'
import { toldPoints, type WiredPoint } from '../wiring/points'
import type { Period } from '../time/schedule'
import type { Config, Json } from './records'

/** A value that the device cannot keep exactly, told before it is sent. */
export interface Rounding {
  door: string
  says: string
}
export interface Wanted {
  config: Config
  roundings: Rounding[]
}

/** Schedules of the test cards: always, and one minute a week that nobody stands at a door in. */
export const testSchedules: Readonly<Record<string, Period[]>> = {
  'rauta-always': [{ days: [1, 2, 3, 4, 5, 6, 7], from: '00:00', to: '24:00' }],
  'rauta-never': [{ days: [7], from: '03:00', to: '03:01' }],
}

/** Parts under this prefix are the test cards': they make nothing stale. */
export const testPrefix = 'test/'

/** What a controller shall hold, worked out from the job and brought to the form that its sheet can keep. */
export function wantedConfig(facts: Facts, controller: Controller, sheets: Sheets): Wanted {
  const board = boardOf(sheets, controller)
  const doors = all(facts, 'door')
    .filter((d) => d.placement?.controller === controller.id)
    .sort((a, b) => a.ref.localeCompare(b.ref))
  const roundings: Rounding[] = []
  const config: Record<string, Json> = {}
  for (const door of doors) {
    const kept = timersOf(board, door, roundings)
    config[`door/${door.id}`] = doorPart(door, kept)
    config[`terminals/${door.id}`] = terminalPart(toldPoints(door, board, sheets), kept)
    for (const place of accessPlaces(door, sheets))
      config[`accessPoint/${accessPointToken(door, place.part.id)}`] = accessPointPart(
        door,
        place.part.id,
        place.leaving,
      )
  }
  Object.assign(config, peopleParts(facts, doors, sheets), testParts(facts, doors, sheets))
  return { config, roundings }
}

/** A time in seconds as the device can keep it: in its steps, at least one of them, at most `longest`. */
type Timers = (name: string, seconds: number, longest?: number) => number

/** Every time of a door goes through here, so that what is wanted is what can be held, and what is rounded is told. */
function timersOf(board: DeviceSheet, door: Door, roundings: Rounding[]): Timers {
  const { releaseStepS: step, longestReleaseS } = controllerFacts(board)
  return (name, wanted, longest = longestReleaseS) => {
    const value = Number(Math.min(longest, Math.max(step, Math.round(wanted / step) * step)).toFixed(3))
    if (value !== wanted)
      roundings.push({ door: door.ref, says: `${name} ${wanted} s becomes ${value} s on this device.` })
    return value
  }
}

const longestOpenS = 3600

function doorPart(door: Door, kept: Timers): Json {
  const b = door.behaviour
  return {
    name: `${door.ref} ${door.name}`,
    release: kept('Release time', b.releaseS),
    heldOpen: kept('Open time', b.heldOpenS, longestOpenS),
    relockDelay: b.relockDelayS === 0 ? 0 : kept('Delay before relock', b.relockDelayS),
    forcedAlarm: b.forcedAlarm,
  }
}

/** Every point that is wired to the controller, with all that it must know of it. */
function terminalPart(points: readonly WiredPoint[], kept: Timers): Json {
  return Object.fromEntries(
    points.map((p) => [
      p.key,
      {
        part: p.part.id,
        function: p.function,
        port: p.port,
        ...(p.idle === undefined ? {} : { idle: p.idle }),
        ...(p.address === undefined ? {} : { address: p.address }),
        ...(p.afterS === undefined ? {} : { after: p.afterS === 0 ? 0 : kept('Opener’s delay', p.afterS) }),
        ...(p.releaseS === undefined ? {} : { release: kept('Release by the desk button', p.releaseS) }),
      },
    ]),
  )
}

function accessPointPart(door: Door, reader: string, leaving: boolean): Json {
  return {
    door: door.id,
    name: `${door.ref} ${reader}`,
    from: leaving ? door.to : door.from,
    to: leaving ? door.from : door.to,
  }
}

function peopleParts(facts: Facts, doors: readonly Door[], sheets: Sheets): Record<string, Json> {
  const parts: Record<string, Json> = {}
  const here = new Set(doors.map((d) => d.id))
  const rules = all(facts, 'rule')
    .map((rule) => ({ ...rule, doors: rule.doors.filter((d) => here.has(d)) }))
    .filter((rule) => rule.doors.length > 0)
  for (const id of new Set(rules.map((r) => r.schedule))) {
    const schedule = facts.schedule[id]
    if (schedule)
      parts[`schedule/${id}`] = {
        name: schedule.name,
        periods: periodsJson(schedule.periods),
        special: rules.length > 0 ? specialJson(facts) : [],
      }
  }
  for (const group of new Set(rules.map((r) => r.group))) {
    const policies = rules
      .filter((r) => r.group === group)
      .flatMap((rule) =>
        doors
          .filter((d) => rule.doors.includes(d.id))
          .flatMap((door) =>
            accessPlaces(door, sheets).map((place) => ({
              at: accessPointToken(door, place.part.id),
              schedule: rule.schedule,
            })),
          ),
      )
    parts[`profile/${group}`] = { name: facts.group[group]?.name ?? group, policies: sorted(policies) }
  }
  for (const person of all(facts, 'person')) {
    const profiles = person.groups.filter((g) => parts[`profile/${g}`]).sort()
    if (profiles.length === 0) continue
    for (const card of person.cards) {
      parts[`credential/${card.id}`] = {
        holder: `${person.number} ${person.name}`,
        card: card26Hex(card),
        enabled: card.state === 'in use',
        profiles,
      }
    }
  }
  return parts
}

function specialJson(facts: Facts): Json {
  return all(facts, 'specialDay')
    .sort((a, b) => a.date.localeCompare(b.date))
    .map((day) => ({ date: day.date, periods: day.periods.map((p) => `${p.from}-${p.to}`) }))
}

function periodsJson(periods: readonly Period[]): Json {
  return periods.map((p) => `${[...p.days].sort((a, b) => a - b).join('')} ${p.from}-${p.to}`).sort()
}

const sorted = (policies: { at: string; schedule: string }[]): Json =>
  [...policies].sort((a, b) => a.at.localeCompare(b.at) || a.schedule.localeCompare(b.schedule))

/** The test cards' own parts: there while a door of this controller is still to be proved. */
function testParts(facts: Facts, doors: readonly Door[], sheets: Sheets): Record<string, Json> {
  const kit = facts.testCards['kit']
  const open = doors.filter((d) => !d.testCardsOff)
  if (!kit || open.length === 0) return {}
  const at = open.flatMap((d) =>
    accessPlaces(d, sheets)
      .filter((a) => a.cards)
      .map((a) => accessPointToken(d, a.part.id)),
  )
  const profile = (schedule: string): Json => ({
    name: schedule,
    policies: sorted(at.map((a) => ({ at: a, schedule }))),
  })
  const credential = (card: { facility: number; number: number }, enabled: boolean, p: string): Json => ({
    holder: 'Test card',
    card: card26Hex(card),
    enabled,
    profiles: [p],
  })
  return {
    [`${testPrefix}schedule/rauta-always`]: {
      name: 'Test cards, always',
      periods: periodsJson(testSchedules['rauta-always'] ?? []),
      special: [],
    },
    [`${testPrefix}schedule/rauta-never`]: {
      name: 'Test cards, never',
      periods: periodsJson(testSchedules['rauta-never'] ?? []),
      special: [],
    },
    [`${testPrefix}profile/rauta-good`]: profile('rauta-always'),
    [`${testPrefix}profile/rauta-hours`]: profile('rauta-never'),
    [`${testPrefix}credential/rauta-good`]: credential(kit.good, true, 'rauta-good'),
    [`${testPrefix}credential/rauta-lost`]: credential(kit.lost, false, 'rauta-good'),
    [`${testPrefix}credential/rauta-hours`]: credential(kit.outOfHours, true, 'rauta-hours'),
  }
}
