import {
  all,
  boardOf,
  defaultBehaviour,
  drop,
  hangingOn,
  isKind,
  openingKinds,
  partOf,
  partRoles,
  proposePlacement,
  put,
  roleFacts,
  sheetOf,
  type Behaviour,
  type Cable,
  type CableType,
  type Door,
  type Facts,
  type Part,
  type PartRole,
  type Placement,
  type Sheets,
} from '@rauta/core'
import { cableType, checkCores } from './cable'
import { defineCommand, everyFitter, existing, flag, id, name, object, Refusal } from './command'
import { placeDoor } from './ownUnit'
import { withReactions } from './reactions'
import { placementSchema } from './site'

const seconds = { type: 'number', minimum: 0, maximum: 3600 } as const
const idle = { enum: ['closed', 'open'] } as const
export const behaviourProperties = {
  releaseS: { ...seconds, minimum: 0.5 },
  heldOpenS: { ...seconds, minimum: 1 },
  relockDelayS: seconds,
  contactIdle: idle,
  exitIdle: idle,
  forcedAlarm: flag,
  openerAfterS: { ...seconds, maximum: 60 },
  deskReleaseS: { ...seconds, minimum: 0.5 },
  longReleaseS: { ...seconds, minimum: 0.5 },
  longOpenS: { ...seconds, minimum: 1 },
  idle: {
    type: 'object',
    maxProperties: 40,
    propertyNames: { pattern: '^[A-Z][0-9]{1,2}$' },
    additionalProperties: idle,
  },
  preAlarmS: { ...seconds, minimum: 1 },
  unlockAfterS: { ...seconds, minimum: 1, maximum: 60 },
  relockAt: { const: 'opening' },
  freeOn: id,
  barredOn: id,
  firstPerson: { const: true },
  code: { enum: ['with', 'instead', 'alone'] },
  pairWithinS: { ...seconds, minimum: 2, maximum: 60 },
  reentryS: { ...seconds, minimum: 2, maximum: 86_400 },
  passback: { enum: ['refuse', 'tell'] },
  passbackS: { ...seconds, minimum: 60, maximum: 86_400 },
} as const
/** What every door has; the rest is left out where it has it not. */
const alwaysThere = new Set(['releaseS', 'heldOpenS', 'relockDelayS', 'contactIdle', 'exitIdle', 'forcedAlarm'])
const behaviour = object(
  behaviourProperties,
  (Object.keys(behaviourProperties) as (keyof typeof behaviourProperties)[]).filter((key) => !alwaysThere.has(key)),
)
const hardware = object(
  Object.fromEntries(partRoles.map((role) => [role, id])) as Record<PartRole, typeof id>,
  partRoles,
)
type Hardware = Partial<Record<PartRole, string>>
type DoorFields = Partial<
  Pick<
    Door,
    | 'ref'
    | 'name'
    | 'from'
    | 'to'
    | 'escapeRoute'
    | 'passagesPerDay'
    | 'walk'
    | 'handle'
    | 'otherWayOut'
    | 'behaviour'
    | 'opening'
    | 'decides'
    | 'outdoor'
    | 'distances'
    | 'at'
    | 'pinned'
    | 'drive'
    | 'ends'
  >
> & { hardware?: Hardware }

export const refSchema = { type: 'string', pattern: '^[\\p{L}0-9][\\p{L}0-9 ._/-]{0,19}$' } as const
const fields = object(
  {
    ref: refSchema,
    name,
    from: id,
    to: id,
    escapeRoute: flag,
    passagesPerDay: { type: 'integer', minimum: 0, maximum: 100000 },
    walk: { type: 'integer' },
    handle: flag,
    otherWayOut: flag,
    behaviour,
    hardware,
    opening: { enum: openingKinds },
    outdoor: flag,
    pinned: flag,
    decides: object({
      by: { enum: ['reader', 'lock', 'controller', 'server'] },
      afterS: seconds,
      then: { enum: ['staysShut', 'opens', 'knownCards'] },
    }),
    ends: object({
      seriesOhm: { type: 'number', minimum: 0, maximum: 100000 },
      parallelOhm: { type: 'number', minimum: 0, maximum: 100000 },
      at: { enum: ['device', 'controller'] },
    }),
    drive: object({
      pullMs: { type: 'number', minimum: 20, maximum: 5000 },
      holdShare: { type: 'number', minimum: 0.05, maximum: 1 },
    }),
    distances: {
      type: 'object',
      maxProperties: 100,
      additionalProperties: { type: 'number', minimum: 0, maximum: 2000 },
    },
    at: object({
      x: { type: 'number', minimum: -100000, maximum: 100000 },
      y: { type: 'number', minimum: -100000, maximum: 100000 },
    }),
  },
  [
    'ref',
    'name',
    'from',
    'to',
    'escapeRoute',
    'passagesPerDay',
    'walk',
    'handle',
    'otherWayOut',
    'behaviour',
    'hardware',
    'opening',
    'outdoor',
    'pinned',
    'decides',
    'distances',
    'at',
    'drive',
    'ends',
  ],
)

export function partsFrom(wanted: Hardware, before: readonly Part[], sheets: Sheets): Part[] {
  return partRoles.flatMap((role) => {
    const sheet = wanted[role]
    if (!sheet) return []
    const found = sheets[sheet]
    const { id: partId, kind } = roleFacts[role]
    if (!found || !isKind(found, kind))
      throw new Refusal(`${found?.name ?? sheet} is not a ${kind}. Choose another.`, `hardware.${role}`)
    const was = before.find((p) => p.id === partId && p.sheet === sheet)
    return [was ?? { id: partId, role, sheet }]
  })
}

/** Keeps the cables whose part is still there and plans one for each new part. */
export function cablesFor(parts: readonly Part[], kept: readonly Cable[], sheets: Sheets): Cable[] {
  return parts
    .map(
      (part, i) =>
        kept.find((c) => c.part === part.id) ?? {
          id: `W${i + 1}`,
          part: part.id,
          type: usualCable(part, sheets),
          lengthM: 0,
        },
    )
    .map((cable, i, list) =>
      list.findIndex((c) => c.id === cable.id) === i ? cable : { ...cable, id: `W${list.length + i + 1}` },
    )
    .filter((cable) => sheetOf(sheets, parts.find((p) => p.id === cable.part)?.sheet ?? '').leads.length > 0)
}

function usualCable(part: Part, sheets: Sheets): CableType {
  const cores = sheetOf(sheets, part.sheet).leads.length
  return part.role === 'lock' || part.role === 'lock2' || part.role === 'breakGlass'
    ? { kind: 'iec', conductorClass: 2, mm2: 1, cores }
    : { kind: 'awg', gauge: 22, cores: cores > 2 ? Math.max(6, cores + (cores % 2)) : 2 }
}

function checkRef(facts: Facts, wanted: string, own: string): void {
  const twin = all(facts, 'door').find((d) => d.ref.toUpperCase() === wanted.toUpperCase() && d.id !== own)
  if (twin) throw new Refusal(`Reference ${wanted} is already used by ${twin.name}. Choose another.`, 'ref')
}

export function checkAreas(facts: Facts, from: string, to: string): void {
  if (!facts.area[from]) throw new Refusal('Choose the area the door leads from.', 'from')
  if (!facts.area[to]) throw new Refusal('Choose the area the door leads to.', 'to')
}

/** Schedules that a door is to run by itself: they are there, and are two. */
function checkHours(facts: Facts, { freeOn, barredOn }: Behaviour): void {
  for (const [key, schedule] of Object.entries({ freeOn, barredOn }))
    if (schedule !== undefined && !facts.schedule[schedule])
      throw new Refusal('This schedule is no more. Choose another.', `behaviour.${key}`)
  if (freeOn !== undefined && freeOn === barredOn)
    throw new Refusal('One schedule cannot both free and bar the door. Choose two.', 'behaviour.barredOn')
}

export const doorAdd = defineCommand<{
  id: string
  fields: DoorFields & { ref: string; name: string; from: string; to: string }
}>()({
  name: 'door.add',
  roles: everyFitter,
  schema: object({ id, fields: { ...fields, required: ['ref', 'name', 'from', 'to'] } }),
  apply(facts, p, { sheets }) {
    checkRef(facts, p.fields.ref, '')
    if (facts.door[p.id]) throw new Refusal('This door exists already.')
    checkAreas(facts, p.fields.from, p.fields.to)
    const { hardware: wanted, ...rest } = p.fields
    if (rest.behaviour) checkHours(facts, rest.behaviour)
    const parts = partsFrom(wanted ?? {}, [], sheets)
    const door: Door = {
      escapeRoute: false,
      passagesPerDay: 0,
      walk: all(facts, 'door').length + 1,
      handle: false,
      behaviour: defaultBehaviour,
      ...rest,
      id: p.id,
      parts,
      cables: cablesFor(parts, [], sheets),
      placement: null,
      testCardsOff: false,
    }
    return [put(facts, 'door', door)]
  },
  words: (_f, p) => `Added ${p.fields.ref} ${p.fields.name}`,
})

export const doorEdit = defineCommand<{ id: string; fields: DoorFields }>()({
  name: 'door.edit',
  roles: everyFitter,
  schema: object({ id, fields }),
  apply(facts, p, { sheets }) {
    const door = existing(facts.door[p.id], 'door', p.id)
    const { hardware: wanted, ...rest } = p.fields
    if (rest.ref) checkRef(facts, rest.ref, door.id)
    if (rest.behaviour) checkHours(facts, rest.behaviour)
    const next: Door = { ...door, ...rest }
    checkAreas(facts, next.from, next.to)
    if (wanted) {
      next.parts = partsFrom(wanted, door.parts, sheets)
      next.cables = cablesFor(next.parts, door.cables, sheets)
      next.placement = replace(facts, next, sheets)
    }
    return [put(facts, 'door', next)]
  },
  words: (f, p) => `Changed ${Object.keys(p.fields).join(', ')} of ${f.door[p.id]?.ref ?? p.id}`,
  edits: (p) => ({ kind: 'door', id: p.id, fields: p.fields }),
  keepFields: (p, names) => ({
    id: p.id,
    fields: Object.fromEntries(Object.entries(p.fields).filter(([k]) => names.includes(k))),
  }),
})

/** After a change of hardware the door keeps its port group; where it no longer fits there it loses its place. */
function replace(facts: Facts, door: Door, sheets: Sheets): Placement | null {
  const controller = door.placement && facts.controller[door.placement.controller]
  if (!door.placement || !controller) return null
  const proposal = proposePlacement(door, controller, sheets, all(facts, 'door'), door.placement.portGroup)
  return proposal.ok ? proposal.placement : null
}

export const doorPlace = defineCommand<{ id: string; placement: Placement | null }>()({
  name: 'door.place',
  roles: everyFitter,
  schema: object({ id, placement: { anyOf: [{ type: 'null' }, placementSchema] } }),
  apply(facts, p, { sheets }) {
    const door = existing(facts.door[p.id], 'door', p.id)
    if (p.placement) {
      const controller = existing(facts.controller[p.placement.controller], 'controller', p.placement.controller)
      const known = new Set(boardOf(sheets, controller).terminals.map((t) => t.id))
      const unknown = Object.values(p.placement.terminals).find((t) => !known.has(t))
      if (unknown) throw new Refusal(`${controller.ref} has no terminal ${unknown}.`)
    }
    return placeDoor(facts, { ...door, placement: p.placement }, facts.controller, sheets)
  },
  words: (f, p) =>
    p.placement
      ? `Placed ${f.door[p.id]?.ref ?? p.id} on ${f.controller[p.placement.controller]?.ref ?? ''}`
      : `Took ${f.door[p.id]?.ref ?? p.id} off its controller`,
})

export const cableSet = defineCommand<{ door: string; cable: string; type?: CableType; lengthM: number }>()({
  name: 'cable.set',
  roles: everyFitter,
  schema: object({ door: id, cable: id, type: cableType, lengthM: { type: 'number', minimum: 0, maximum: 2000 } }, [
    'type',
  ]),
  apply(facts, p) {
    const door = existing(facts.door[p.door], 'door', p.door)
    checkCores(p.type, 'type')
    const cable = existing(
      door.cables.find((c) => c.id === p.cable),
      'cable',
      p.cable,
    )
    const { planned: _built, ...rest } = cable
    const next = { ...rest, lengthM: p.lengthM, ...(p.type ? { type: p.type } : {}) }
    return [put(facts, 'door', { ...door, cables: door.cables.map((c) => (c.id === p.cable ? next : c)) })]
  },
  words: (f, p) => `${p.cable} of ${f.door[p.door]?.ref ?? p.door} is ${p.lengthM} m`,
})

export const doorRemove = defineCommand<{ id: string }>()({
  name: 'door.remove',
  roles: ['lead'],
  schema: object({ id }),
  apply(facts, p) {
    const door = existing(facts.door[p.id], 'door', p.id)
    const { first } = hangingOn(facts, 'door', p.id)
    if (first) throw new Refusal(`${door.ref} stays: ${first}`)
    const rules = all(facts, 'rule')
      .filter((r) => r.doors.includes(p.id))
      .map((r) => put(facts, 'rule', { ...r, doors: r.doors.filter((d) => d !== p.id) }))
    const sets = all(facts, 'doorSet')
      .filter((s) => s.doors.includes(p.id))
      .map((s) => put(facts, 'doorSet', { ...s, doors: s.doors.filter((d) => d !== p.id) }))
    const reactions = withReactions(facts, (r) => r.door === p.id || r.lets === p.id)
    return [...rules, ...sets, ...reactions, ...drop(facts, 'door', p.id)]
  },
  words: (f, p) => `Removed ${f.door[p.id]?.ref ?? p.id}`,
})

export const testCardsOff = defineCommand<{ door: string; off: boolean }>()({
  name: 'door.testCardsOff',
  roles: everyFitter,
  schema: object({ door: id, off: flag }),
  apply(facts, p) {
    const door = existing(facts.door[p.door], 'door', p.door)
    return [put(facts, 'door', { ...door, testCardsOff: p.off })]
  },
  words: (f, p) =>
    p.off
      ? `Took the test cards off ${f.door[p.door]?.ref ?? ''}`
      : `Put the test cards on ${f.door[p.door]?.ref ?? ''} again`,
})

export type { Behaviour, DoorFields, Hardware }
export { partOf }

/** Places a door where Rauta proposes it on this controller: the free port group that fits, or the one named. */
export const doorPlaceProposed = defineCommand<{ id: string; controller: string; portGroup?: string }>()({
  name: 'door.placeProposed',
  roles: everyFitter,
  schema: object({ id, controller: id, portGroup: id }, ['portGroup']),
  apply(facts, p, { sheets }) {
    const door = existing(facts.door[p.id], 'door', p.id)
    const controller = existing(facts.controller[p.controller], 'controller', p.controller)
    const proposal = proposePlacement(door, controller, sheets, all(facts, 'door'), p.portGroup)
    if (!proposal.ok) throw new Refusal(proposal.says)
    return placeDoor(facts, { ...door, placement: proposal.placement }, facts.controller, sheets)
  },
  words: (f, p) => `Placed ${f.door[p.id]?.ref ?? p.id} on ${f.controller[p.controller]?.ref ?? ''}`,
})
