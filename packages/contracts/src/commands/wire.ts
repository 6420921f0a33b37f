import { endingDigest, put, sheetOf, type ReadingKind, type Tick } from '@rauta/core'
import { defineCommand, everyFitter, existing, flag, id, object, Refusal } from './command'

export const tickSet = defineCommand<{ door: string; cable: string; what: 'pulled' | 'ended' | 'tested'; done: boolean }>({
  name: 'tick.set', roles: everyFitter, schema: object({ door: id, cable: id, what: { enum: ['pulled', 'ended', 'tested'] }, done: flag }),
  apply(facts, p, { by, at }) {
    const door = existing(facts.door[p.door], 'door', p.door)
    existing(door.cables.find((c) => c.id === p.cable), 'cable', p.cable)
    const tickId = `${p.door}/${p.cable}`
    const tick: Tick = facts.tick[tickId] ?? { id: tickId, door: p.door, cable: p.cable, pulled: null, ended: null, tested: null }
    const done = p.done ? { by, at, ...(p.what === 'ended' ? { on: endingDigest(door, p.cable) } : {}) } : null
    return [put(facts, 'tick', { ...tick, [p.what]: done })]
  },
  words: (f, p) => `${f.door[p.door]?.ref ?? p.door} ${p.cable} ${p.done ? p.what : `not ${p.what}`}`,
})

export const readingAdd = defineCommand<{ id: string; door: string; cable: string; kind: ReadingKind; value: number }>({
  name: 'reading.add', roles: everyFitter,
  schema: object({ id, door: id, cable: id, kind: { enum: ['loop', 'voltsRest', 'voltsDriven'] }, value: { type: 'number', minimum: 0, maximum: 1000000 } }),
  apply(facts, p, { by, at }) {
    const door = existing(facts.door[p.door], 'door', p.door)
    existing(door.cables.find((c) => c.id === p.cable), 'cable', p.cable)
    if (p.kind !== 'loop' && p.value > 60) throw new Refusal(`${p.value} V cannot be: these circuits are fed with 12 or 24 V. Look at the meter's range.`, 'value')
    return [put(facts, 'reading', { ...p, by, at })]
  },
  words: (f, p) => `${f.door[p.door]?.ref ?? p.door} ${p.cable}: ${p.value} ${p.kind === 'loop' ? 'Ω' : 'V'}`,
})

export const cabinetCheck = defineCommand<{ controller: string; item: string; done: boolean }>({
  name: 'cabinet.check', roles: everyFitter, schema: object({ controller: id, item: id, done: flag }),
  apply(facts, p, { by, at, sheets }) {
    const controller = existing(facts.controller[p.controller], 'controller', p.controller)
    existing(sheetOf(sheets, controller.sheet).controller?.cabinet.find((i) => i.id === p.item), 'check', p.item)
    const done = { ...(facts.cabinet[controller.id]?.done ?? {}) }
    if (p.done) done[p.item] = { by, at }
    else delete done[p.item]
    return [put(facts, 'cabinet', { id: controller.id, done })]
  },
  words: (f, p) => `Cabinet of ${f.controller[p.controller]?.ref ?? ''}: ${p.item}${p.done ? '' : ' taken back'}`,
})
