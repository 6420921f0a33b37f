import {
  applyChanges,
  emptyFacts,
  heldConfig,
  judge,
  put,
  readingChanges,
  usualLimits,
  wantedConfig,
  type Change,
  type Config,
  type DeviceEvent,
  type Door,
  type Facts,
  type Judgement,
  type Reach,
  type RecordKind,
  type RecordTypes,
  type Sheets,
  type Test,
} from '@rauta/core'
import { commands, shippedSheets, type Role } from '../src'

export const sheets = shippedSheets

/** A job in memory, changed by the same commands as everywhere. */
export class World {
  facts: Facts = emptyFacts()
  now = Date.parse('2026-11-24T09:00:00Z')
  private count = 0

  do(name: string, payload: unknown, role: Role = 'lead', by = 'vesa', known: Sheets = sheets): Change[] {
    const command = commands[name]
    if (!command) throw new Error(`no command ${name}`)
    const changes = command.apply(this.facts, payload as never, {
      id: `c${++this.count}`,
      by,
      role,
      at: this.now,
      sheets: known,
    })
    this.take(changes)
    return changes
  }
  take(changes: Change[]): void {
    this.facts = applyChanges(this.facts, changes, this.facts.rev + 1)
  }
  put<K extends RecordKind>(kind: K, record: RecordTypes[K]): void {
    this.take([put(this.facts, kind, record)])
  }
  door(id = 'D-01'): Door {
    const door = this.facts.door[id]
    if (!door) throw new Error(`no door ${id}`)
    return door
  }
  wanted(controller = 'a1'): Config {
    const c = this.facts.controller[controller]
    return c ? wantedConfig(this.facts, c, sheets).config : {}
  }
  roundings(controller: string): { door: string; says: string }[] {
    const c = this.facts.controller[controller]
    return c ? wantedConfig(this.facts, c, sheets).roundings : []
  }
  /** As if the device had just been read to hold this. */
  holds(config: Config, controller = 'a1'): void {
    this.take(readingChanges(this.facts, controller, config, this.now))
  }
  held(controller = 'a1'): Config {
    return heldConfig(this.facts, controller)
  }
  /** As if a load had just been read back equal. */
  loaded(controller = 'a1', state: 'held' | 'atDoors' = 'held'): void {
    this.holds(this.wanted(controller), controller)
    this.put('load', {
      id: `l${++this.count}`,
      controller,
      state,
      total: 1,
      done: 1,
      says: '',
      by: 'vesa',
      startedAt: this.now,
      endedAt: this.now,
      digest: '',
    })
  }
  /** A controller in the riser, on a supply of its own, with nothing else known of it. */
  controller(id: string, sheet: string, over: Record<string, unknown> = {}): void {
    const known = { cabinet: 'Riser', supply: 'supply-5', address: '', serial: '', mac: '' }
    this.do('controller.put', { id, ref: id.toUpperCase(), sheet, ...known, ...over })
  }
  reached(controller = 'a1', over: Partial<Reach> = {}): void {
    this.put('reach', {
      id: controller,
      address: '10.1.1.21',
      serial: 'S1',
      mac: 'M1',
      firmware: '1.0',
      firmwareAccepted: { by: 'vesa', at: this.now },
      owned: true,
      erasedAt: this.now,
      clockOffsetMs: 0,
      clockCheckedAt: this.now,
      zoneHeld: '',
      boot: 'b1',
      lastAnswerAt: this.now,
      silentMs: 0,
      says: '',
      ...over,
    })
  }
}

export const magnetHardware = {
  entryReader: 'reader-wall',
  lock: 'magnet-300',
  contact: 'contact-frame',
  exit: 'button-exit',
  breakGlass: 'break-glass',
}
export const strikeHardware = { entryReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame' }

/** A job with one placed door D-01 on a two-door controller, a group, a rule, a person, and test cards. */
export function smallJob(hardware: Record<string, string> = magnetHardware, over: Record<string, unknown> = {}): World {
  const w = new World()
  w.do('job.create', {
    name: 'J',
    client: 'C',
    site: 'S',
    zone: 'Europe/Helsinki',
    network: { address: '10.1.1.0', prefix: 24, gateway: '10.1.1.1', timeServer: '10.1.1.2' },
    publicKey: '',
  })
  w.do('area.put', { id: 'out', code: 'O', name: 'Outside' })
  w.do('area.put', { id: 'in', code: 'I', name: 'Inside' })
  w.controller('a1', 'controller-2', { address: '10.1.1.21' })
  w.do('door.add', { id: 'D-01', fields: { ref: 'D-01', name: 'Front', from: 'out', to: 'in', hardware, ...over } })
  if (Object.keys(hardware).length) w.do('door.placeProposed', { id: 'D-01', controller: 'a1' })
  for (const cable of w.door().cables) w.do('cable.set', { door: 'D-01', cable: cable.id, lengthM: 20 })
  w.do('schedule.put', { id: 'day', name: 'Day', periods: [{ days: [1, 2, 3, 4, 5], from: '08:00', to: '17:00' }] })
  w.do('group.put', { id: 'g', name: 'Staff' })
  w.do('rule.put', { id: 'r', group: 'g', doors: ['D-01'], schedule: 'day' })
  w.do('person.put', {
    id: 'p',
    number: '1',
    name: 'Somebody',
    cards: [{ id: 'c', facility: 5, number: 77, state: 'in use' }],
    groups: ['g'],
  })
  w.do('testCards.put', {
    id: 'kit',
    good: { facility: 9, number: 1 },
    lost: { facility: 9, number: 2 },
    outOfHours: { facility: 9, number: 3 },
    unknown: { facility: 9, number: 4 },
  })
  return w
}

/** The changes that take these back, last first. */
export const reversed = (changes: readonly Change[]): Change[] =>
  changes.map((c) => ({ ...c, before: c.after, after: c.before })).reverse() as Change[]

let sequence = 0
/** An event of controller a1 at door D-01, `s` seconds after a base time. */
export function event(
  base: number,
  s: number,
  kind: DeviceEvent['kind'],
  state: string,
  over: Partial<DeviceEvent> = {},
): DeviceEvent {
  const at = base + s * 1000
  const seq = ++sequence
  return {
    id: `a1:b1:${seq}`,
    controller: 'a1',
    boot: 'b1',
    seq,
    at,
    received: at + 40,
    offsetMs: 0,
    kind,
    door: 'D-01',
    reader: kind === 'granted' || kind === 'refused' ? 'R1' : '',
    card: '',
    state,
    says: `${kind} ${state}`,
    ...over,
  }
}

/** What is made of these events in a test at D-01 that began at a base time, ms. */
export const judged = (test: Test, base: number, events: readonly DeviceEvent[], ready = true): Judgement =>
  judge({
    test,
    trial: { id: 'D-01', test: test.id, startedAt: base, by: 'vesa', boot: 'b1', ...(ready ? {} : { waits: true }) },
    door: 'D-01',
    controller: 'a1',
    events,
    limits: { ...usualLimits, receiptS: 30 },
    refOf: (door) => door,
  })

/** D-01 on an eight-door controller with an expander, so that there is room for everything. */
export function roomy(
  hardware: Record<string, string>,
  over: Record<string, unknown> = {},
  sheet = 'controller-8',
): World {
  const w = smallJob({}, { handle: true, ...over })
  w.do('controller.put', {
    id: 'a8',
    ref: 'A8',
    sheet,
    cabinet: 'Riser',
    supply: 'supply-5',
    address: '',
    serial: '',
    mac: '',
    expanders: [
      { id: 'E1', sheet: 'expander-io' },
      { id: 'E2', sheet: 'expander-reader' },
    ],
  })
  w.do('door.edit', { id: 'D-01', fields: { hardware } })
  w.do('door.placeProposed', { id: 'D-01', controller: 'a8' })
  return w
}
