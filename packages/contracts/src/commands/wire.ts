import {
  boardOf,
  cableName,
  canonicalJson,
  checkOff,
  endingDigest,
  jobOf,
  netOf,
  put,
  endlessKinds,
  overRange,
  readingFacts,
  readingKinds,
  wallClock,
  photoSubjects,
  type CableType,
  type Photo,
  type ReadingKind,
  type Tick,
} from '@rauta/core'
import { cableType, checkCores } from './cable'
import { defineCommand, everyFitter, existing, flag, id, name, object, Refusal, text } from './command'

export const tickSet = defineCommand<{
  door: string
  cable: string
  what: 'pulled' | 'ended' | 'tested'
  done: boolean
}>()({
  name: 'tick.set',
  roles: everyFitter,
  schema: object({ door: id, cable: id, what: { enum: ['pulled', 'ended', 'tested'] }, done: flag }),
  apply(facts, p, { by, at }) {
    const door = existing(facts.door[p.door], 'door', p.door)
    existing(
      door.cables.find((c) => c.id === p.cable),
      'cable',
      p.cable,
    )
    const tickId = `${p.door}/${p.cable}`
    const tick: Tick = facts.tick[tickId] ?? {
      id: tickId,
      door: p.door,
      cable: p.cable,
      pulled: null,
      ended: null,
      tested: null,
    }
    const on = p.what === 'ended' ? { on: endingDigest(door, p.cable) } : {}
    // Who ticked it first did it, whichever record comes first; a later tick of the same thing changes nothing.
    const before = tick[p.what]
    if (p.done && before && before.on === on.on && before.at <= at) return []
    return [put(facts, 'tick', { ...tick, [p.what]: p.done ? { by, at, ...on } : null })]
  },
  edits: (p) => ({
    kind: 'tick',
    id: `${p.door}/${p.cable}`,
    fields: { [p.what]: p.done },
    own: true,
    same: (kept, offered) => (kept !== null) === offered,
    offer: (_field, offered, by, at) => (offered ? { by, at } : null),
  }),
  words: (f, p) => `${f.door[p.door]?.ref ?? p.door} ${p.cable} ${p.done ? p.what : `not ${p.what}`}`,
})

/** One conductor ended; the cable is ended when all of its conductors are. */
export const coreTick = defineCommand<{ door: string; cable: string; core: string; done: boolean }>()({
  name: 'core.tick',
  roles: everyFitter,
  schema: object({ door: id, cable: id, core: name, done: flag }),
  apply(facts, p, { by, at, sheets }) {
    const door = existing(facts.door[p.door], 'door', p.door)
    existing(
      door.cables.find((c) => c.id === p.cable),
      'cable',
      p.cable,
    )
    const controller = existing(facts.controller[door.placement?.controller ?? ''], 'controller', door.ref)
    const cores = netOf(door, boardOf(sheets, controller), sheets)
      .conductors.filter((c) => c.cable === p.cable)
      .map((c) => c.id)
    if (!cores.includes(p.core))
      throw new Refusal(
        `${p.core} is no conductor of ${p.cable}. Its terminal may have changed: open the door anew.`,
        'core',
      )
    const tickId = `${p.door}/${p.cable}`
    const tick: Tick = facts.tick[tickId] ?? {
      id: tickId,
      door: p.door,
      cable: p.cable,
      pulled: null,
      ended: null,
      tested: null,
    }
    const on = endingDigest(door, p.cable)
    const before = Object.fromEntries(
      Object.entries(tick.cores ?? {}).filter(
        ([core, done]) => cores.includes(core) && done.on === on && core !== p.core,
      ),
    )
    const ticked = p.done ? { ...before, [p.core]: { by, at, on } } : before
    return [
      put(facts, 'tick', {
        ...tick,
        cores: ticked,
        ended: cores.every((core) => ticked[core]) ? { by, at, on } : null,
      }),
    ]
  },
  words: (f, p) => `${f.door[p.door]?.ref ?? p.door} ${p.core} ${p.done ? 'terminated' : 'not terminated'}`,
})

const readingSchema = {
  id,
  door: id,
  cable: id,
  kind: { enum: readingKinds },
  value: { type: 'number', minimum: -1000, maximum: overRange },
  disconnected: { const: true },
} as const

export const readingAdd = defineCommand<{
  id: string
  door: string
  cable: string
  kind: ReadingKind
  value: number
  disconnected?: true
}>()({
  name: 'reading.add',
  roles: everyFitter,
  schema: object(readingSchema, ['disconnected']),
  apply(facts, p, { by, at }) {
    const door = existing(facts.door[p.door], 'door', p.door)
    existing(
      door.cables.find((c) => c.id === p.cable),
      'cable',
      p.cable,
    )
    const { least, most, name: what, unit } = readingFacts[p.kind]
    const over = p.value === overRange && endlessKinds.has(p.kind)
    if (!over && (p.value < least || p.value > most))
      throw new Refusal(
        `${p.value} ${unit} cannot be ${unit === 'V' ? 'here: these circuits are fed with 12 or 24 V' : `a ${what}: it is ${least} to ${most} ${unit}`}. Look at the meter's range.`,
        'value',
      )
    if (p.kind === 'insulation' && !p.disconnected)
      throw new Refusal(
        'An insulation tester’s volts kill electronics. Take reader, lock and controller off this cable first, say so, then measure.',
        'disconnected',
      )
    const zero = facts.meter[by]
    const zone = jobOf(facts)?.zone ?? 'UTC'
    const leads =
      zero &&
      (p.kind === 'loop' || p.kind === 'endOfLine') &&
      wallClock(zero.at, zone).date === wallClock(at, zone).date
        ? { leadsOhm: zero.ohm }
        : {}
    return [put(facts, 'reading', { ...p, ...leads, by, at })]
  },
  words: (f, p) =>
    `${f.door[p.door]?.ref ?? p.door} ${p.cable}: ${readingFacts[p.kind].name} ${p.value} ${readingFacts[p.kind].unit}`,
})

export const meterZero = defineCommand<{ ohm: number }>()({
  name: 'meter.zero',
  roles: everyFitter,
  schema: object({ ohm: { type: 'number', minimum: 0, maximum: 1000 } }),
  apply(facts, p, { by, at }) {
    if (p.ohm > 2)
      throw new Refusal(
        `${p.ohm} Ω is too much for a meter’s leads: join their tips firmly, or take other leads.`,
        'ohm',
      )
    return [put(facts, 'meter', { id: by, ohm: p.ohm, at })]
  },
  words: (_f, p) => `Meter leads measured: ${p.ohm} Ω`,
})

/** What was built in place of what was planned: it flows back into the plan, and what was planned stays beside it. */
export const cableBuilt = defineCommand<{ door: string; cable: string; type?: CableType; lengthM: number }>()({
  name: 'cable.built',
  roles: everyFitter,
  schema: object(
    { door: id, cable: id, type: cableType, lengthM: { type: 'number', exclusiveMinimum: 0, maximum: 2000 } },
    ['type'],
  ),
  apply(facts, p) {
    const door = existing(facts.door[p.door], 'door', p.door)
    const cable = existing(
      door.cables.find((c) => c.id === p.cable),
      'cable',
      p.cable,
    )
    checkCores(p.type, 'type')
    const { planned: first, ...rest } = cable
    const planned = first ?? { type: cable.type, lengthM: cable.lengthM }
    const built = { ...rest, type: p.type ?? cable.type, lengthM: p.lengthM }
    const asPlanned = built.lengthM === planned.lengthM && canonicalJson(built.type) === canonicalJson(planned.type)
    return [
      put(facts, 'door', {
        ...door,
        cables: door.cables.map((c) => (c.id === p.cable ? { ...built, ...(asPlanned ? {} : { planned }) } : c)),
      }),
    ]
  },
  words: (f, p) =>
    `${f.door[p.door]?.ref ?? p.door} ${p.cable} as built: ${p.type ? `${cableName(p.type)}, ` : ''}${p.lengthM} m`,
})

export const cabinetCheck = defineCommand<{ controller: string; item: string; done: boolean }>()({
  name: 'cabinet.check',
  roles: everyFitter,
  schema: object({ controller: id, item: id, done: flag }),
  apply(facts, p, { by, at, sheets }) {
    const controller = existing(facts.controller[p.controller], 'controller', p.controller)
    existing(
      checkOff(controller, facts, sheets).find((i) => i.id === p.item),
      'check',
      p.item,
    )
    const done = { ...(facts.cabinet[controller.id]?.done ?? {}) }
    if (p.done) done[p.item] = { by, at }
    else delete done[p.item]
    return [put(facts, 'cabinet', { id: controller.id, done })]
  },
  words: (f, p) => `Cabinet of ${f.controller[p.controller]?.ref ?? ''}: ${p.item}${p.done ? '' : ' taken back'}`,
})

/** A picture taken at a door; its bytes are sent apart. */
export const photoAdd = defineCommand<Omit<Photo, 'by' | 'at'>>()({
  name: 'photo.add',
  roles: everyFitter,
  schema: object({
    id,
    door: id,
    cable: text,
    of: { enum: photoSubjects },
    width: { type: 'integer', minimum: 1, maximum: 10000 },
    height: { type: 'integer', minimum: 1, maximum: 10000 },
    sha256: { type: 'string', pattern: '^[0-9a-f]{64}$' },
  }),
  apply(facts, p, { by, at }) {
    const door = existing(facts.door[p.door], 'door', p.door)
    if (p.cable)
      existing(
        door.cables.find((c) => c.id === p.cable),
        'cable',
        p.cable,
      )
    return [put(facts, 'photo', { ...p, by, at })]
  },
  words: (f, p) => `${f.door[p.door]?.ref ?? p.door}${p.cable ? ` ${p.cable}` : ''}: picture of the ${p.of}`,
})

/** Something on the list of what must be at hand: whether it is got, from whom, by when. */
export const procuredSet = defineCommand<{ id: string; got?: boolean; from?: string; due?: string }>()({
  name: 'procured.set',
  roles: everyFitter,
  schema: object({ id, got: flag, from: text, due: { type: 'string', pattern: '^([0-9]{4}-[0-9]{2}-[0-9]{2})?$' } }, [
    'got',
    'from',
    'due',
  ]),
  apply(facts, p, { by, at }) {
    const before = facts.procured[p.id] ?? { id: p.id, got: null, from: '', due: '' }
    if (p.due && Number.isNaN(Date.parse(p.due)))
      throw new Refusal(`${p.due} is no day. Write year, month and day, for example 2026-12-01.`, 'due')
    return [
      put(facts, 'procured', {
        ...before,
        ...(p.from === undefined ? {} : { from: p.from }),
        ...(p.due === undefined ? {} : { due: p.due }),
        ...(p.got === undefined ? {} : { got: p.got ? (before.got ?? { by, at }) : null }),
      }),
    ]
  },
  words: (_f, p) => `At hand: ${[p.id, ...(p.got === undefined ? [] : [p.got ? 'got' : 'not got'])].join(' ')}`,
})
