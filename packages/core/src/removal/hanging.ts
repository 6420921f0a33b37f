import { doorsOfRule, rulesAt, whoWords } from '../access/rights'
import { all, type Facts } from '../job/facts'
import { refsOf } from '../job/order'
import { doorsOn } from '../devices/records'
import { specialDayWords } from '../time/specialDays'
import type { Door } from '../doors/door'
import type { Reaction } from '../reactions/records'
import { doorsRunning } from '../doors/hours'

/** What can be taken out of a job by itself. */
export const removables = [
  'person',
  'group',
  'rule',
  'reaction',
  'doorSet',
  'schedule',
  'specialDay',
  'area',
  'cabinetPlace',
  'controller',
  'door',
] as const
export type Removable = (typeof removables)[number]

/** What hangs on a thing that is to be taken away. */
export interface Hanging {
  /** Why it can't go yet, with what to do first; empty where it can. */
  first: string
  /** What goes or changes with it, each in a sentence. */
  goes: string[]
}

const count = (n: number, one: string, more: string): string => `${n} ${n === 1 ? one : more}`
const refs = (doors: readonly (Door | undefined)[]): string => refsOf(doors.flatMap((d) => d ?? []))

const free = (...goes: string[]): Hanging => ({ first: '', goes: goes.filter(Boolean) })
const held = (first: string): Hanging => ({ first, goes: [] })

function rulesGo(facts: Facts, which: (rule: Facts['rule'][string]) => boolean): string {
  const rules = all(facts, 'rule').filter(which)
  const doors = [...new Set(rules.flatMap((r) => doorsOfRule(facts, r)))].map((d) => facts.door[d])
  return rules.length
    ? `${count(rules.length, 'rule goes', 'rules go')} with it: nobody passes ${refs(doors)} by ${rules.length === 1 ? 'it' : 'them'} any more.`
    : ''
}

function reactionsGo(facts: Facts, which: (reaction: Reaction) => boolean): string {
  const found = all(facts, 'reaction').filter(which)
  const doors = [...new Set(found.map((r) => r.door))].map((d) => facts.door[d])
  return found.length ? `${count(found.length, 'reaction goes', 'reactions go')} with it, at ${refs(doors)}.` : ''
}

const by: { readonly [K in Removable]: (facts: Facts, id: string) => Hanging } = {
  person(facts, id) {
    const cards = facts.person[id]?.cards.length ?? 0
    return free(
      cards
        ? `${count(cards, 'card', 'cards')} of theirs no longer ${cards === 1 ? 'opens' : 'open'} anything, once the devices are loaded.`
        : '',
      rulesGo(facts, (r) => r.person === id),
    )
  },
  group(facts, id) {
    const inside = all(facts, 'group').find((g) => g.parent === id)
    if (inside) return held(`${inside.name} is in it: take that away first, or put it elsewhere.`)
    const members = all(facts, 'person').filter((p) => p.groups.includes(id)).length
    return free(
      members ? `${count(members, 'person loses', 'people lose')} it.` : '',
      rulesGo(facts, (r) => r.group === id),
      reactionsGo(facts, (r) => r.group === id),
    )
  },
  rule(facts, id) {
    const rule = facts.rule[id]
    if (!rule) return free()
    const doors = doorsOfRule(facts, rule).map((d) => facts.door[d])
    return free(`${whoWords(facts, rule)} no longer passes ${refs(doors)} by it.`)
  },
  reaction: () => free('Nothing follows by itself any more, once the device is loaded.'),
  doorSet(facts, id) {
    const users = all(facts, 'rule').filter((r) => r.sets?.includes(id))
    return users.length
      ? held(
          `${count(users.length, 'rule names', 'rules name')} it, of ${[...new Set(users.map((r) => whoWords(facts, r)))].join(', ')}. Take it out of ${users.length === 1 ? 'that' : 'those'} first.`,
        )
      : free()
  },
  schedule(facts, id) {
    const freed = doorsRunning(facts, id).filter((d) => d.behaviour.freeOn === id)
    const alone = all(facts, 'specialDay').filter((d) => d.schedules?.length === 1 && d.schedules[0] === id)
    const barred = doorsRunning(facts, id).filter((d) => d.behaviour.barredOn === id)
    return free(
      rulesGo(facts, (r) => r.schedule === id),
      reactionsGo(facts, (r) => r.schedule === id),
      freed.length ? `${refs(freed)} ${freed.length === 1 ? 'is' : 'are'} free at no time any more.` : '',
      alone.length
        ? `${count(alone.length, 'special day', 'special days')} of it alone ${alone.length === 1 ? 'goes' : 'go'} with it.`
        : '',
      barred.length ? `${refs(barred)} ${barred.length === 1 ? 'is' : 'are'} barred at no time any more.` : '',
    )
  },
  specialDay(facts, id) {
    const day = facts.specialDay[id]
    const named = day?.schedules?.map((s) => facts.schedule[s]?.name ?? s).join(', ')
    const when = day ? specialDayWords(day) : 'that day'
    return free(
      `On ${when} ${named ?? 'every schedule'} ${named?.includes(', ') ? 'run' : 'runs'} as on any such weekday.`,
    )
  },
  area(facts, id) {
    const doors = all(facts, 'door').filter((d) => d.from === id || d.to === id)
    const inside = all(facts, 'area').filter((a) => a.parent === id)
    if (doors.length)
      return held(
        `${refs(doors)} ${doors.length === 1 ? 'leads' : 'lead'} to or from it. Let ${doors.length === 1 ? 'it' : 'them'} lead elsewhere first.`,
      )
    if (inside.length)
      return held(
        `${inside.map((a) => a.name).join(', ')} ${inside.length === 1 ? 'is' : 'are'} part of it. Move ${inside.length === 1 ? 'it' : 'them'} first.`,
      )
    return free()
  },
  cabinetPlace(facts, id) {
    const inside = [...all(facts, 'controller'), ...all(facts, 'unit')].filter((x) => x.cabinet === id)
    const away = all(facts, 'door').filter((d) => d.distances && Object.hasOwn(d.distances, id)).length
    if (inside.length)
      return held(
        `${inside.map((x) => x.ref).join(', ')} ${inside.length === 1 ? 'hangs' : 'hang'} in it. Plan ${inside.length === 1 ? 'it' : 'them'} elsewhere first.`,
      )
    return free(away ? `How far ${count(away, 'door is', 'doors are')} from it is forgotten.` : '')
  },
  controller(facts, id) {
    const fed = all(facts, 'controller').filter((c) => c.fedFrom?.controller === id)
    const doors = doorsOn(facts, id)
    if (facts.reach[id]?.owned)
      return held(
        'It is in service and holds this job’s password: a device that is taken away now could not be opened by anybody. Plan another in its place instead.',
      )
    if (fed.length)
      return held(
        `${fed.map((c) => c.ref).join(', ')} ${fed.length === 1 ? 'is' : 'are'} fed on from it. Feed ${fed.length === 1 ? 'it' : 'them'} from elsewhere first.`,
      )
    const proved = doors.filter((d) => all(facts, 'proof').some((p) => p.door === d.id))
    if (proved.length) return held(`${refs(proved)} ${proved.length === 1 ? 'has' : 'have'} recorded tests on it.`)
    return free(
      doors.length ? `${refs(doors)} ${doors.length === 1 ? 'loses its place' : 'lose their places'} on it.` : '',
      facts.cabinet[id] ? 'What was checked off in its cabinet goes.' : '',
    )
  },
  door(facts, id) {
    if (all(facts, 'proof').some((p) => p.door === id))
      return held('It has recorded tests, and its record cannot be removed.')
    const ticked = Object.values(facts.tick).filter((t) => t.door === id).length
    const readings = Object.values(facts.reading).filter((r) => r.door === id).length
    const rules = rulesAt(facts, id).length
    return free(
      facts.door[id]?.placement ? 'Its terminals become free.' : '',
      ticked || readings
        ? `${count(ticked, 'cable that was worked on', 'cables that were worked on')} and ${count(readings, 'reading', 'readings')} are no longer shown.`
        : '',
      rules ? `${count(rules, 'rule no longer names', 'rules no longer name')} it.` : '',
      reactionsGo(facts, (r) => r.door === id || r.lets === id),
    )
  },
}

/** What hangs on something, told before it is taken away. */
export const hangingOn = (facts: Facts, kind: Removable, id: string): Hanging => by[kind](facts, id)
