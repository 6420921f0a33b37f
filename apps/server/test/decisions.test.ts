import { Temporal } from 'temporal-polyfill'
import {
  addDays,
  bitsOfText,
  bitsText,
  cardBits,
  decide,
  specialDayFault,
  type Facts,
  type Group,
  type Period,
  type Person,
  type Rule,
  type SpecialDay,
} from '@rauta/core'
import { topics } from '@rauta/protocols'
import { DoorFirmware, type Board } from '../../../packages/standins/src/device/doors'
import { Site, siteFile } from './site'

const zone = 'Europe/Helsinki'

/** The same numbers each time, so that what differs once differs again. */
function seeded(seed: number) {
  let state = seed * 2654435761 + 1
  const next = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 4294967296
  }
  const below = (n: number) => Math.floor(next() * n)
  return {
    below,
    one: <T>(list: readonly T[]): T => list[below(list.length)] as T,
    some: <T>(list: readonly T[], share: number): T[] => list.filter(() => next() < share),
    chance: (share: number) => next() < share,
  }
}
type Random = ReturnType<typeof seeded>

const clock = (minute: number) =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
/** Times at which something may begin or end: the edges of days and of the hour that clocks leave out or say twice. */
const edges = [0, 60, 170, 180, 200, 240, 480, 720, 1020, 1320, 1439]

function periodOf(random: Random): { from: string; to: string } {
  const from = random.one(edges.filter((m) => m < 1440))
  const to = random.one([...edges.slice(1), 1440].filter((m) => m !== from))
  return { from: clock(from), to: clock(to) }
}

/** Days about which people, special days and moments are thrown: an ordinary week, and both nights on which clocks change. */
const days = [
  '2027-01-30',
  '2027-01-31',
  '2027-02-01',
  '2027-03-27',
  '2027-03-28',
  '2027-03-29',
  '2027-10-30',
  '2027-10-31',
  '2027-11-01',
]

const groupIds = ['g0', 'g1', 'g2', 'g3', 'g4']
const doorIds = ['D-01', 'D-02', 'D-03', 'D-04']
const scheduleIds = ['s0', 's1', 's2']
const setIds = ['set0', 'set1']

/** A job of people, groups, rules and times, by commands. */
async function throwJob(site: Site, seed: number): Promise<void> {
  const random = seeded(seed)
  for (const id of scheduleIds)
    await site.command('schedule.put', {
      id,
      name: id,
      periods: Array.from({ length: random.below(4) }, (): Period => ({
        days: [1, 2, 3, 4, 5, 6, 7]
          .filter(() => random.chance(0.5))
          .concat(7)
          .filter((d, i, l) => l.indexOf(d) === i),
        ...periodOf(random),
      })),
      ...(random.chance(0.2) ? { everyDay: true } : {}),
    })
  for (const id of Object.keys(site.facts.specialDay)) await site.command('specialDay.remove', { id })
  for (const [i, date] of random.some(days, 0.4).slice(0, 4).entries()) {
    const named = random.some(scheduleIds, 0.5)
    const day = {
      id: `d${i}`,
      date: random.chance(0.3) ? `2026${date.slice(4)}` : date,
      name: `Day ${i}`,
      periods: random.chance(0.4) ? [] : [periodOf(random)],
      ...(random.chance(0.3) ? { yearly: true as const } : {}),
      ...(named.length ? { schedules: named } : {}),
    }
    const until = random.chance(0.4) ? { until: addDays(day.date, 1 + random.below(2)) } : {}
    if (!specialDayFault({ ...day, ...until }, Object.values(site.facts.specialDay)))
      await site.command('specialDay.put', { ...day, ...until })
  }
  for (const id of doorIds) {
    const [free, barred] = random.chance(0.5) ? ['s0', 's1'] : ['s2', 's0']
    const { freeOn: _f, barredOn: _b, code: _c, ...behaviour } = site.facts.door[id]?.behaviour ?? {}
    await site.command('door.edit', {
      id,
      fields: {
        behaviour: {
          ...behaviour,
          ...(random.chance(0.3) ? { freeOn: free } : {}),
          ...(random.chance(0.3) ? { barredOn: barred } : {}),
          ...(random.chance(0.6) ? { code: random.one(['with', 'instead'] as const) } : {}),
        },
      },
    })
  }
  for (const [i, id] of groupIds.entries()) {
    const parent = i > 0 && random.chance(0.6) ? groupIds[random.below(i)] : undefined
    await site.command('group.put', { id, name: `Group ${i}`, ...(parent ? { parent } : {}) })
  }
  for (let i = 0; i < 8; i++) {
    const from = random.chance(0.3) ? random.one(days) : undefined
    const until = random.chance(0.3) ? random.one(days.filter((d) => !from || d >= from)) : undefined
    await site.command('person.put', {
      id: `p${i}`,
      number: `10${i}`,
      name: `Person ${i}`,
      cards: Array.from({ length: random.below(3) }, (_, n) => ({
        id: `c${i}-${n}`,
        facility: 7,
        number: i * 10 + n,
        state: random.one(['in use', 'in use', 'in use', 'lost', 'withdrawn']),
      })),
      groups: random.some(groupIds, 0.3),
      ...(from
        ? {
            validFrom: random.chance(0.5)
              ? from
              : `${from}T${clock(random.one(edges.filter((m) => m < 180 || m > 240)))}`,
          }
        : {}),
      ...(until ? { validUntil: until } : {}),
      ...(random.chance(0.6) ? { code: `7390${i}` } : {}),
    })
  }
  for (const id of setIds)
    await site.command('doorSet.put', { id, name: id, doors: [random.one(doorIds), ...random.some(doorIds, 0.3)].filter((d, i, l) => l.indexOf(d) === i) }) // prettier-ignore
  for (let i = 0; i < 8; i++) {
    const doors = random.some(doorIds, 0.4)
    const sets = random.some(setIds, 0.2)
    const from = random.chance(0.45) ? random.one(days) : undefined
    const until = random.chance(0.3) ? random.one(days.filter((d) => !from || d >= from)) : undefined
    if (doors.length + sets.length)
      await site.command('rule.put', {
        id: `r${i}`,
        ...(random.chance(0.35) ? { person: `p${random.below(8)}` } : { group: random.one(groupIds) }),
        doors,
        ...(sets.length ? { sets } : {}),
        schedule: random.one(scheduleIds),
        ...(from ? { validFrom: from } : {}),
        ...(until ? { validUntil: until } : {}),
      })
    else if (site.facts.rule[`r${i}`]) await site.command('rule.remove', { id: `r${i}` })
  }
}

/** Who passes, written as slowly and plainly as it can be, apart from the product: every minute of a day is looked at. */
function slowly(facts: Facts, person: Person, state: string, door: string, atMs: number): boolean {
  if (!roughly(facts, person, state, door, atMs)) return false
  const { freeOn, code } = facts.door[door]?.behaviour ?? {}
  return code !== 'with' || person.code !== undefined || onAt(facts, freeOn, atMs)
}
function onAt(facts: Facts, schedule: string | undefined, atMs: number): boolean {
  if (schedule === undefined) return false
  const then = Temporal.Instant.fromEpochMilliseconds(atMs).toZonedDateTimeISO(zone)
  return minutesOf(facts, schedule, then.toPlainDate()).has(
    `${then.toPlainDate().toString()} ${then.hour * 60 + then.minute}`,
  )
}

/** The same without regard to codes. */
function roughly(facts: Facts, person: Person, state: string, door: string, atMs: number): boolean {
  const on = (schedule: string | undefined) => onAt(facts, schedule, atMs)
  const { freeOn, barredOn } = facts.door[door]?.behaviour ?? {}
  if (on(barredOn)) return false
  if (on(freeOn)) return true
  if (state !== 'in use') return false
  const now = Temporal.Instant.fromEpochMilliseconds(atMs).toZonedDateTimeISO(zone)
  if (!counts(person, now)) return false
  const groups = new Set<string>()
  const climb = (group: Group | undefined): void => {
    if (!group || groups.has(group.id)) return
    groups.add(group.id)
    climb(group.parent === undefined ? undefined : facts.group[group.parent])
  }
  for (const id of person.groups) climb(facts.group[id])
  const passes = (r: Rule) =>
    [...r.doors, ...(r.sets ?? []).flatMap((set) => facts.doorSet[set]?.doors ?? [])].includes(door)
  const theirs = (r: Rule) => (r.person ? r.person === person.id : groups.has(r.group ?? ''))
  const rules = Object.values(facts.rule).filter((r: Rule) => theirs(r) && passes(r) && counts(r, now))
  return rules.some((rule) =>
    minutesOf(facts, rule.schedule, now.toPlainDate()).has(
      `${now.toPlainDate().toString()} ${now.hour * 60 + now.minute}`,
    ),
  )
}

/** Whether a moment lies between two days, or moments, by the clock at the door. */
function counts({ validFrom, validUntil }: Pick<Person, 'validFrom' | 'validUntil'>, now: Temporal.ZonedDateTime) {
  const dayOf = (text: string) => Temporal.PlainDate.from(text.slice(0, 10))
  if (validFrom) {
    const from = validFrom.includes('T')
      ? Temporal.PlainDateTime.from(validFrom).toZonedDateTime(zone)
      : dayOf(validFrom).toZonedDateTime(zone)
    if (Temporal.ZonedDateTime.compare(now, from) < 0) return false
  }
  return !validUntil || Temporal.PlainDate.compare(now.toPlainDate(), dayOf(validUntil)) <= 0
}

/** Every minute that a schedule opens about a day, each by its date and its count within it. */
function minutesOf(facts: Facts, schedule: string, about: Temporal.PlainDate): Set<string> {
  const open = new Set<string>()
  for (const day of [about.subtract({ days: 1 }), about]) {
    const [today, tomorrow] = [day.toString(), day.add({ days: 1 }).toString()]
    const special = Object.values(facts.specialDay).find((d) => replaces(facts, d, schedule, day))
    const periods = special
      ? special.periods
      : (facts.schedule[schedule]?.periods ?? []).filter((p) => p.days.includes(day.dayOfWeek))
    for (const { from, to } of periods) {
      const minute = (text: string) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3))
      const last = minute(to) > minute(from) ? minute(to) : minute(to) + 1440
      for (let m = minute(from); m < last; m++) open.add(m < 1440 ? `${today} ${m}` : `${tomorrow} ${m - 1440}`)
    }
  }
  return open
}

/** Whether a special day replaces a schedule's week on a day: counted on, day by day, from each of its beginnings. */
function replaces(facts: Facts, special: SpecialDay, schedule: string, day: Temporal.PlainDate): boolean {
  if (facts.schedule[schedule]?.everyDay || (special.schedules && !special.schedules.includes(schedule))) return false
  const first = Temporal.PlainDate.from(special.date)
  const length = special.until ? first.until(Temporal.PlainDate.from(special.until)).days + 1 : 1
  for (let years = 0; years < (special.yearly ? 4 : 1); years++)
    for (let n = 0; n < length; n++) if (first.add({ years }).add({ days: n }).equals(day)) return true
  return false
}

describe('who passes', () => {
  let site: Site
  beforeAll(async () => {
    site = await new Site(siteFile()).start()
    await site.plan(4)
    await site.command('person.remove', { id: 'p' })
    const hardware = { entryReader: 'reader-card-keypad', lock: 'strike-secure', contact: 'contact-frame' }
    for (const id of doorIds) {
      await site.command('door.edit', { id, fields: { hardware } })
      await site.command('door.placeProposed', { id, controller: 'a1' })
    }
    await site.take()
  })
  afterAll(() => site.stop())

  it('a slow model, the core and what was loaded into a device agree: 10,000 decisions on eight random jobs', async () => {
    let passed = 0
    let decided = 0
    const reasons = new Map<string, number>()
    const answers = new Map<string, number>()
    for (let seed = 1; seed <= 8; seed++) {
      await throwJob(site, seed)
      await site.load()
      const { facts } = site
      // The device's own firmware on what was loaded, at any moment: only its clock is turned by hand.
      let at = 0
      const heard = { said: '' }
      const board: Board = {
        memory: site.unit().memory,
        world: { after: () => () => undefined } as unknown as Board['world'],
        faults: { timerFactor: 1 },
        inputs: new Map(),
        emit: (topic, _source, data) => {
          if (topic === topics.granted) heard.said = 'granted'
          if (topic === topics.denied || topic === topics.unknownCard || topic === topics.unknownCode)
            heard.said = data['Reason'] ?? ''
        },
        setRelay: () => undefined,
        energised: () => false,
        deviceNow: () => at,
      }
      const random = seeded(seed + 1000)
      const people = Object.values(facts.person).filter((p) => p.cards.length > 0)
      for (let n = 0; n < 1250; n++) {
        // Whatever else goes on in this process has its turn.
        if (n % 50 === 0) await new Promise((turn) => setImmediate(turn))
        const person = random.one(people)
        const card = random.one(person.cards)
        const door = facts.door[random.one(doorIds)]
        if (!door) throw new Error('no door')
        // Near an edge, to the second; on nights when clocks change also in the hour that comes twice.
        const day = Temporal.PlainDate.from(random.one(days)).toZonedDateTime(zone).epochMilliseconds
        at = day + (random.one(edges) + random.one([-60, -1, 0, 0, 1, 30, 60])) * 60_000 + random.one([0, 1000, 59_000])
        const byCode = door.behaviour.code === 'instead' && person.code !== undefined && random.chance(0.4)
        const slow = slowly(facts, person, byCode ? 'in use' : card.state, door.id, at)
        const core = byCode ? decide(facts, { ...person, cards: [] }, door, at) : decide(facts, person, door, at, card)
        const reader = site.unit().memory.entities.DoorWiring[door.id]?.readers[0]
        heard.said = ''
        const firmware = new DoorFirmware(board)
        if (!byCode) firmware.cardRead(reader?.port ?? '', bitsOfText(bitsText(cardBits(card))) ?? [])
        if (byCode || door.behaviour.code === 'with') firmware.typed(reader?.port ?? '', `${person.code ?? '73909'}#`)
        const wiring = site.unit().memory.entities.DoorWiring[door.id]
        const free = wiring !== undefined && firmware.hoursOf(wiring) === 'free'
        const told = {
          seed,
          n,
          person: person.id,
          card: card.id,
          state: card.state,
          door: door.id,
          byCode,
          at: new Date(at).toISOString(),
        }
        expect({ ...told, core: core.passes, device: free || heard.said === 'granted' }).toEqual({
          ...told,
          core: slow,
          device: slow,
        })
        decided += 1
        if (slow) passed += 1
        answers.set(core.reason, (answers.get(core.reason) ?? 0) + 1)
        reasons.set(heard.said, (reasons.get(heard.said) ?? 0) + 1)
      }
    }
    expect(decided).toBe(10_000)
    // Not all alike: each answer that there is was given, and often.
    expect(passed).toBeGreaterThan(500)
    for (const reason of ['right ended', 'right not yet', 'rule', 'no rule', 'out of hours', 'no code'])
      expect([reason, (answers.get(reason) ?? 0) > 20]).toEqual([reason, true])
    for (const reason of [
      'granted',
      'CredentialNotEnabled',
      'CredentialNotActive',
      'CredentialExpired',
      'NotPermitted',
      'NotPermittedAtThisTime',
      'CredentialNotFound',
      'DoorBarred',
      'CodeMissing',
    ])
      expect([reason, (reasons.get(reason) ?? 0) > 20]).toEqual([reason, true])
  }, 120_000)
})
