import {
  accessPlaces,
  addressFault,
  all,
  boardOf,
  drop,
  hangingOn,
  isKind,
  jobOf,
  proposePlacement,
  put,
  radioHubs,
  inNameOrder,
  sheetOf,
  type BusRun,
  type CabinetPlace,
  type Change,
  type Controller,
  type Door,
  type Facts,
  type Part,
  type Placement,
  type PowerPlan,
  type Unit,
  type UnitFeed,
} from '@rauta/core'
import { controllerSchema, putController } from './devices'
import { placeDoor } from './ownUnit'
import { offTheAir } from './radio'
import { defineCommand, everyFitter, existing, id, name, object, Refusal, text } from './command'

const metres = { type: 'number', minimum: -100000, maximum: 100000 } as const
const terminals = {
  type: 'object',
  additionalProperties: { type: 'string', maxLength: 20 },
  maxProperties: 60,
} as const
export const placementSchema = object({
  controller: id,
  portGroup: { type: 'string', minLength: 1, maxLength: 80 },
  terminals,
})

export const cabinetPlacePut = defineCommand<CabinetPlace>()({
  name: 'cabinetPlace.put',
  roles: everyFitter,
  schema: object({ id: name, x: metres, y: metres }),
  apply: (facts, p) => [put(facts, 'cabinetPlace', p)],
  words: (_f, p) => `${p.id} hangs at ${p.x}, ${p.y} m`,
})

export const cabinetPlaceRemove = defineCommand<{ id: string }>()({
  name: 'cabinetPlace.remove',
  roles: everyFitter,
  schema: object({ id: name }),
  apply(facts, p) {
    if (!cabinetsOf(facts).includes(p.id)) throw new Refusal(`There is no cabinet ${p.id} in this job any more.`)
    const { first } = hangingOn(facts, 'cabinetPlace', p.id)
    if (first) throw new Refusal(`${p.id} stays: ${first}`)
    return [...distancesTo(facts, p.id, null), ...drop(facts, 'cabinetPlace', p.id)]
  },
  words: (_f, p) => `Removed cabinet ${p.id}`,
})

/** Distances that doors have to a cabinet, under another name or taken away. */
function distancesTo(facts: Facts, name: string, other: string | null): Change[] {
  return all(facts, 'door').flatMap((door) => {
    if (!door.distances || !Object.hasOwn(door.distances, name)) return []
    const { [name]: metres, ...rest } = door.distances
    const distances = other === null || metres === undefined ? rest : { ...rest, [other]: metres }
    return [put(facts, 'door', { ...door, distances })]
  })
}

/** A cabinet is known by its name: everything that names it is told the new one. */
export const cabinetRename = defineCommand<{ id: string; name: string }>()({
  name: 'cabinet.rename',
  roles: everyFitter,
  schema: object({ id: name, name }),
  apply(facts, p) {
    const to = p.name.trim()
    const known = cabinetsOf(facts)
    if (!known.includes(p.id)) throw new Refusal(`There is no cabinet ${p.id} in this job any more.`)
    if (!to) throw new Refusal('A cabinet needs a name.', 'name')
    if (to === p.id) return []
    if (known.includes(to)) throw new Refusal(`There is a cabinet ${to} already.`, 'name')
    const place = facts.cabinetPlace[p.id]
    return [
      ...(place ? [...drop(facts, 'cabinetPlace', p.id), put(facts, 'cabinetPlace', { ...place, id: to })] : []),
      ...(['controller', 'unit'] as const).flatMap((kind) =>
        Object.values(facts[kind])
          .filter((x) => x.cabinet === p.id)
          .map((x) => put(facts, kind, { ...x, cabinet: to })),
      ),
      ...distancesTo(facts, p.id, to),
    ]
  },
  words: (_f, p) => `Cabinet ${p.id} is called ${p.name.trim()}`,
})

export const powerPlanPut = defineCommand<PowerPlan & { supply?: string }>()({
  name: 'powerPlan.put',
  roles: everyFitter,
  schema: object(
    {
      id,
      batteryAh: { type: 'number', minimum: 0, maximum: 1000 },
      batteryCount: { type: 'integer', minimum: 0, maximum: 20 },
      wiring: { enum: ['series', 'parallel'] },
      hours: { type: 'number', minimum: 0, maximum: 200 },
      celsius: { type: 'number', minimum: -30, maximum: 60 },
      movements: { type: 'integer', minimum: 0, maximum: 100000 },
      fireRelay: { type: 'boolean' },
      queue: { type: 'integer', minimum: 0, maximum: 100 },
      supply: id,
    },
    ['supply', 'queue'],
  ),
  apply(facts, { supply, ...plan }, { sheets }) {
    const controller = existing(facts.controller[plan.id], 'controller', plan.id)
    if (supply !== undefined && !sheets[supply]?.supply)
      throw new Refusal('Choose a supply from the device sheets.', 'supply')
    return [
      put(facts, 'powerPlan', plan),
      ...(supply === undefined || supply === controller.supply
        ? []
        : [put(facts, 'controller', { ...controller, supply })]),
    ]
  },
  words: (f, p) => `Planned supply and battery of ${f.controller[p.id]?.ref ?? p.id}`,
})

export const unitPut = defineCommand<Unit>()({
  name: 'unit.put',
  roles: everyFitter,
  schema: object({
    id,
    ref: { type: 'string', pattern: '^[A-Za-z0-9-]{1,8}$' },
    sheet: id,
    cabinet: name,
    address: text,
  }),
  apply(facts, p, { sheets }) {
    if (!sheets[p.sheet]) throw new Refusal('Choose a device from the sheets.', 'sheet')
    const twin = [...all(facts, 'unit'), ...all(facts, 'controller')].find((u) => u.ref === p.ref && u.id !== p.id)
    if (twin) throw new Refusal(`${p.ref} is already used. Choose another.`, 'ref')
    const before = facts.unit[p.id]
    if (before && before.sheet !== p.sheet && radioHubs(facts, sheets).some((h) => h.unit.id === p.id && h.controller))
      throw new Refusal(
        `${before.ref} hangs on a controller as a hub. Take it off there before it becomes another type.`,
        'sheet',
      )
    return [put(facts, 'unit', p)]
  },
  words: (_f, p) => `Planned ${p.ref}`,
})

export const unitRemove = defineCommand<{ id: string }>()({
  name: 'unit.remove',
  roles: everyFitter,
  schema: object({ id }),
  apply: (facts, p) => [
    ...offTheAir(facts, p.id),
    ...all(facts, 'unitFeed')
      .filter((f) => f.unit === p.id)
      .flatMap((f) => drop(facts, 'unitFeed', f.id)),
    ...drop(facts, 'unit', p.id),
  ],
  words: (f, p) => `Removed ${f.unit[p.id]?.ref ?? p.id}`,
})

const consumer = { type: 'string', pattern: '^(controller|unit|part)/[A-Za-z0-9_.:/-]{1,120}$' } as const
export const unitFeedPut = defineCommand<UnitFeed>()({
  name: 'unitFeed.put',
  roles: everyFitter,
  schema: object({
    id: consumer,
    unit: id,
    port: { type: 'string', minLength: 1, maxLength: 20 },
    lengthM: { type: 'number', minimum: 0, maximum: 2000 },
  }),
  apply(facts, p, { sheets }) {
    const unit = existing(facts.unit[p.unit], 'network switch or midspan', p.unit)
    const source = sheets[unit.sheet]?.networkSource
    if (!source)
      throw new Refusal(`${unit.ref} gives no network power. Choose a switch or a midspan that does.`, 'unit')
    if (!source.ports.some((x) => x.id === p.port))
      throw new Refusal(
        `${unit.ref} has no port ${p.port}; its ports are ${source.ports[0]?.id} to ${source.ports.at(-1)?.id}.`,
        'port',
      )
    const other = all(facts, 'unitFeed').find((f) => f.unit === p.unit && f.port === p.port && f.id !== p.id)
    if (other)
      throw new Refusal(`Port ${p.port} of ${unit.ref} already feeds another device. Choose a free one.`, 'port')
    return [put(facts, 'unitFeed', p)]
  },
  words: (f, p) => `Fed a device from port ${p.port} of ${f.unit[p.unit]?.ref ?? p.unit}`,
})

export const unitFeedRemove = defineCommand<{ id: string }>()({
  name: 'unitFeed.remove',
  roles: everyFitter,
  schema: object({ id: consumer }),
  apply: (facts, p) => drop(facts, 'unitFeed', p.id),
  words: () => 'Took a device off its network port',
})

/** A part of a door that a command speaks of. @throws Refusal */
function partAt(facts: Facts, p: { door: string; part: string }): { door: Door; part: Part } {
  const door = existing(facts.door[p.door], 'door', p.door)
  return {
    door,
    part: existing(
      door.parts.find((x) => x.id === p.part),
      'part',
      p.part,
    ),
  }
}

export const partAddress = defineCommand<{ door: string; part: string; address?: number | null; ip?: string }>()({
  name: 'part.address',
  roles: everyFitter,
  schema: object(
    {
      door: id,
      part: id,
      address: { anyOf: [{ type: 'integer', minimum: 0, maximum: 126 }, { type: 'null' }] },
      ip: text,
    },
    ['address', 'ip'],
  ),
  apply(facts, p) {
    const { door, part } = partAt(facts, p)
    if (p.ip) checkAddress(facts, p.ip)
    const { address, ip, ...rest } = {
      ...part,
      ...(p.address === undefined ? {} : { address: p.address ?? undefined }),
      ...(p.ip === undefined ? {} : { ip: p.ip || undefined }),
    }
    const next = { ...rest, ...(address === undefined ? {} : { address }), ...(ip === undefined ? {} : { ip }) }
    return [put(facts, 'door', { ...door, parts: door.parts.map((x) => (x.id === p.part ? next : x)) })]
  },
  words: (f, p) => `${f.door[p.door]?.ref ?? p.door} ${p.part} gets address ${p.ip ?? p.address ?? 'none'}`,
})

function checkAddress(facts: Facts, address: string): void {
  const job = existing(jobOf(facts), 'job', '')
  const fault = addressFault(address, job.network, new Map())
  if (fault) throw new Refusal(fault, 'address')
}

export const partFeed = defineCommand<{ door: string; part: string; own: boolean }>()({
  name: 'part.feed',
  roles: everyFitter,
  schema: object({ door: id, part: id, own: { type: 'boolean' } }),
  apply(facts, p) {
    const { door, part } = partAt(facts, p)
    const { fed: _before, ...rest } = part
    const next = p.own ? { ...rest, fed: 'own' as const } : rest
    const terminals = { ...door.placement?.terminals }
    // What has a supply of its own leaves the controller's.
    if (p.own) for (const key of Object.keys(terminals)) if (key === `${p.part}.plus`) delete terminals[key]
    return [
      put(facts, 'door', {
        ...door,
        parts: door.parts.map((x) => (x.id === p.part ? next : x)),
        placement: door.placement && { ...door.placement, terminals },
      }),
    ]
  },
  words: (f, p) =>
    `${p.part} of ${f.door[p.door]?.ref ?? p.door} ${p.own ? 'gets a supply of its own' : 'is fed by its controller'}`,
})

/** Whether cards may be read in at a reader: not every door is a place for a queue of people. */
export const partEnrols = defineCommand<{ door: string; part: string; may: boolean }>()({
  name: 'part.enrols',
  roles: everyFitter,
  schema: object({ door: id, part: id, may: { type: 'boolean' } }),
  apply(facts, p, { sheets }) {
    const { door, part } = partAt(facts, p)
    if (!accessPlaces(door, sheets).some((place) => place.part.id === part.id && place.cards))
      throw new Refusal(`${part.id} reads no cards.`, 'part')
    const { enrols: _before, ...rest } = part
    const next: Part = p.may ? { ...rest, enrols: true } : rest
    return [put(facts, 'door', { ...door, parts: door.parts.map((x) => (x.id === p.part ? next : x)) })]
  },
  words: (f, p) => `Cards ${p.may ? 'may be' : 'are not'} read in at ${p.part} of ${f.door[p.door]?.ref ?? p.door}`,
})

export const partVia = defineCommand<{ door: string; part: string; via: string | null }>()({
  name: 'part.via',
  roles: everyFitter,
  schema: object({ door: id, part: id, via: { anyOf: [id, { type: 'null' }] } }),
  apply(facts, p, { sheets }) {
    const { door, part } = partAt(facts, p)
    if (p.via !== null && (!sheets[p.via] || !isKind(sheetOf(sheets, p.via), 'converter')))
      throw new Refusal('Choose a converter from the device sheets.', 'via')
    const { via: _before, ...rest } = part
    const next: Door = {
      ...door,
      parts: door.parts.map((x) => (x.id === p.part ? { ...rest, ...(p.via === null ? {} : { via: p.via }) } : x)),
    }
    const controller = door.placement && facts.controller[door.placement.controller]
    const proposal =
      door.placement && controller
        ? proposePlacement(next, controller, sheets, all(facts, 'door'), door.placement.portGroup)
        : null
    return [put(facts, 'door', { ...next, placement: proposal?.ok ? proposal.placement : null })]
  },
  words: (f, p) =>
    `${p.part} of ${f.door[p.door]?.ref ?? p.door} ${p.via === null ? 'goes straight to its controller' : 'goes through a converter'}`,
})

const station = { type: 'string', pattern: '^[A-Za-z0-9_.:-]{1,60}/[A-Za-z0-9]{1,8}$' } as const
const runM = { type: 'number', minimum: 0, maximum: 1200 } as const

/** How a bus is run from device to device. */
export const busRunPut = defineCommand<BusRun>()({
  name: 'busRun.put',
  roles: everyFitter,
  schema: object({
    id: { type: 'string', minLength: 3, maxLength: 120 },
    order: { type: 'array', maxItems: 127, uniqueItems: true, items: station },
    stations: {
      type: 'object',
      maxProperties: 127,
      additionalProperties: object({ fromPreviousM: runM, stubM: runM, noReference: { const: true } }, [
        'fromPreviousM',
        'stubM',
        'noReference',
      ]),
    },
  }),
  apply(facts, p) {
    existing(facts.controller[p.id.split('/')[0] ?? ''], 'controller', p.id)
    for (const key of p.order) {
      const [door = '', part] = key.split('/')
      existing(
        existing(facts.door[door], 'door', door).parts.find((x) => x.id === part),
        'part',
        key,
      )
    }
    return [put(facts, 'busRun', p)]
  },
  words: (f, p) =>
    `The bus ${p.id.split('/')[1] ?? ''} of ${f.controller[p.id.split('/')[0] ?? '']?.ref ?? ''} runs ${p.order.map((k) => `${f.door[k.split('/')[0] ?? '']?.ref ?? ''} ${k.split('/')[1] ?? ''}`).join(', ')}`,
})

/** Addresses for many devices at once, as one change. */
export const addressesPut = defineCommand<{
  controllers: { id: string; address: string }[]
  units: { id: string; address: string }[]
  parts: { door: string; part: string; address?: number; ip?: string }[]
}>()({
  name: 'addresses.put',
  roles: everyFitter,
  schema: object({
    controllers: { type: 'array', maxItems: 2000, items: object({ id, address: text }) },
    units: { type: 'array', maxItems: 2000, items: object({ id, address: text }) },
    parts: {
      type: 'array',
      maxItems: 5000,
      items: object({ door: id, part: id, address: { type: 'integer', minimum: 0, maximum: 126 }, ip: text }, [
        'address',
        'ip',
      ]),
    },
  }),
  apply(facts, p) {
    const wanted = [...p.controllers, ...p.units]
      .map((x) => x.address)
      .concat(p.parts.flatMap((x) => (x.ip ? [x.ip] : [])))
    for (const address of wanted) checkAddress(facts, address)
    const twice = wanted.find((a, i) => wanted.indexOf(a) !== i)
    if (twice) throw new Refusal(`${twice} would be given twice.`)
    const doors = new Map<string, Door>()
    for (const { door: doorId, part, ...given } of p.parts) {
      const door = doors.get(doorId) ?? existing(facts.door[doorId], 'door', doorId)
      doors.set(doorId, { ...door, parts: door.parts.map((x) => (x.id === part ? { ...x, ...given } : x)) })
    }
    return [
      ...p.controllers.map((c) =>
        put(facts, 'controller', { ...existing(facts.controller[c.id], 'controller', c.id), address: c.address }),
      ),
      ...p.units.map((u) => put(facts, 'unit', { ...existing(facts.unit[u.id], 'device', u.id), address: u.address })),
      ...[...doors.values()].map((d) => put(facts, 'door', d)),
    ]
  },
  words: (_f, p) => `Gave ${p.controllers.length + p.units.length + p.parts.length} addresses`,
})

export interface SitePlacement {
  controllers: Controller[]
  doors: { door: string; placement: Placement; lengthM: number | null }[]
  addresses?: { door: string; part: string; address: number }[]
}

/** Takes a whole proposal over: controllers planned anew, every door's terminals, and lengths where none was given. */
export const sitePlace = defineCommand<SitePlacement>()({
  name: 'site.place',
  roles: everyFitter,
  schema: object(
    {
      controllers: { type: 'array', maxItems: 1000, items: controllerSchema },
      doors: {
        type: 'array',
        maxItems: 5000,
        items: object({
          door: id,
          placement: placementSchema,
          lengthM: { anyOf: [{ type: 'number', minimum: 0, maximum: 5000 }, { type: 'null' }] },
        }),
      },
      addresses: {
        type: 'array',
        maxItems: 5000,
        items: object({ door: id, part: id, address: { type: 'integer', minimum: 0, maximum: 126 } }),
      },
    },
    ['addresses'],
  ),
  apply(facts, p, context) {
    const changes = p.controllers.map((c) => putController(facts, c, context.sheets))
    const controllers = { ...facts.controller, ...Object.fromEntries(p.controllers.map((c) => [c.id, c])) }
    for (const { door: doorId, placement, lengthM } of p.doors) {
      const door = existing(facts.door[doorId], 'door', doorId)
      const controller = existing(controllers[placement.controller], 'controller', placement.controller)
      const screws = new Set(boardOf(context.sheets, controller).terminals.map((t) => t.id))
      const unknown = Object.values(placement.terminals).find((t) => !screws.has(t))
      if (unknown) throw new Refusal(`${controller.ref} has no terminal ${unknown}.`)
      const cables = door.cables.map((c) =>
        c.lengthM > 0 || lengthM === null ? c : { ...c, lengthM: Math.round(lengthM * 10) / 10 },
      )
      const parts = door.parts.map((part) => {
        const given = p.addresses?.find((a) => a.door === doorId && a.part === part.id)
        return given ? { ...part, address: given.address } : part
      })
      changes.push(...placeDoor(facts, { ...door, placement, cables, parts }, controllers, context.sheets))
    }
    return changes
  },
  words: (_f, p) =>
    `Placed ${p.doors.length} doors${p.controllers.length ? `, ${p.controllers.length} controllers planned or altered` : ''}`,
})

/** Cabinets that this job speaks of: those with a place, those that controllers hang in, and those that lengths are given to. */
export function cabinetsOf(facts: Facts): string[] {
  const names = [
    ...all(facts, 'cabinetPlace').map((c) => c.id),
    ...all(facts, 'controller').map((c) => c.cabinet),
    ...all(facts, 'unit').map((u) => u.cabinet),
    ...all(facts, 'door').flatMap((d) => Object.keys(d.distances ?? {})),
  ]
  return [...new Set(names.filter(Boolean))].sort(inNameOrder)
}
