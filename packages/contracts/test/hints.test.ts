import {
  boardOf,
  checkOff,
  coresOf,
  coreWords,
  emptyTerminals,
  netOf,
  stillBefore,
  wireHints,
  type CableType,
  type Controller,
  type DeviceSheet,
  type Sheets,
} from '@rauta/core'
import fc from 'fast-check'
import { magnetHardware, sheets, smallJob, strikeHardware, type World } from './world'

const controller = (w: World, id = 'a1') => w.facts.controller[id] as Controller
const says = (w: World, known: Sheets = sheets, id = 'D-01') =>
  wireHints(w.door(id), controller(w, w.door(id).placement?.controller), known).map((h) => `${h.kind}: ${h.says}`)
const cableOf = (w: World, part: string) => w.door().cables.find((c) => c.part === part)?.id ?? ''

describe('what the hand at the door must know besides the conductors', () => {
  it('spare cores by their number, doubled ones, the screen at one end', () => {
    const w = smallJob(strikeHardware)
    expect(says(w)).toContain(
      `spareCore: ${cableOf(w, 'R1')} core 6 is spare: leave it as long as the rest, insulated at both ends.`,
    )
    w.do('cable.set', {
      door: 'D-01',
      cable: cableOf(w, 'K1'),
      lengthM: 20,
      type: { kind: 'iec', conductorClass: 2, mm2: 1, cores: 4, perConductor: 2 },
    })
    expect(says(w)).toContain(`spareCore: ${cableOf(w, 'K1')}: 2 cores side by side for each conductor, both ends.`)
    expect(says(w)).toContain(`screen: Screen of ${cableOf(w, 'R1')}: on earth at the cabinet only, insulated at R1.`)
    expect(says(w).some((s) => s.startsWith('screen') && s.includes(cableOf(w, 'K1')))).toBe(false)
  })
  it('suppression with its polarity, unless the lock brings its own', () => {
    expect(says(smallJob(strikeHardware)).find((s) => s.startsWith('suppression'))).toContain('its ring on + (orange)')
    const own = {
      ...sheets,
      'strike-secure': {
        ...sheets['strike-secure'],
        lock: { ...sheets['strike-secure']?.lock, suppressionMs: 15 },
      } as DeviceSheet,
    }
    expect(says(smallJob(strikeHardware), own).find((s) => s.startsWith('suppression'))).toContain('add none')
  })
  it('leads without colours are metered first', () => {
    const bare = {
      ...sheets,
      'strike-secure': {
        ...sheets['strike-secure'],
        leads: (sheets['strike-secure']?.leads ?? []).map((l) => ({ ...l, colour: '' })),
      } as DeviceSheet,
    }
    expect(
      says(smallJob(strikeHardware), bare).some((s) => s.startsWith('noColour: K1 has leads without colours')),
    ).toBe(true)
  })
  it('jumpers with their factory position, switches for the address, and a lead of its own supply that goes nowhere', () => {
    const w = smallJob(strikeHardware)
    w.controller('a8', 'controller-8', { cabinet: 'Loft', supply: 'supply-10' })
    w.do('door.add', {
      id: 'D-07',
      fields: {
        ref: 'D-07',
        name: 'Bus',
        from: 'out',
        to: 'in',
        handle: true,
        hardware: { ...strikeHardware, entryReader: 'reader-bus' },
      },
    })
    w.do('door.placeProposed', { id: 'D-07', controller: 'a8' })
    w.do('part.address', { door: 'D-07', part: 'R1', address: 3 })
    w.do('part.feed', { door: 'D-07', part: 'R1', own: true })
    w.do('door.edit', { id: 'D-07', fields: { ends: { seriesOhm: 1000, parallelOhm: 2200, at: 'device' } } })
    const told = says(w, sheets, 'D-07')
    expect(told.find((s) => s.startsWith('jumper'))).toMatch(/J1, Terminator 120 Ω: off or on\. From the factory: off/)
    expect(told.find((s) => s.startsWith('switches'))).toContain('R1 address 3: ')
    expect(told.find((s) => s.startsWith('spareLead'))).toBe('spareLead: R1 supply + (red) goes nowhere: insulate it.')
    expect(told.find((s) => s.startsWith('ends'))).toContain('1000 Ω in series with the contact, 2200 Ω across it')
  })
  it('screws of the door’s ports that stay empty, and at which end terminal 1 is', () => {
    const w = smallJob(magnetHardware)
    const net = netOf(w.door(), boardOf(sheets, controller(w)), sheets)
    const empty = emptyTerminals(net, boardOf(sheets, controller(w)))
    const used = new Set(net.conductors.map((c) => c.terminal.id))
    expect(empty.length).toBeGreaterThan(0)
    for (const t of empty) expect(used.has(t.id)).toBe(false)
    expect(says(w).find((s) => s.startsWith('strip'))).toMatch(/A1: terminal 1 is at the (left|right)/)
  })
})

describe('cores of a cable', () => {
  it('each goes to one conductor, what is left is spare, and none is lost', () => {
    const w = smallJob(strikeHardware)
    const net = netOf(w.door(), boardOf(sheets, controller(w)), sheets)
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 24 }), fc.integer({ min: 1, max: 4 }), (cores, perConductor) => {
        const type: CableType = { kind: 'awg', gauge: 22, cores, perConductor }
        const use = coresOf({ id: cableOf(w, 'R1'), part: 'R1', type, lengthM: 1 }, net.conductors)
        const given = Object.values(use.of).flat()
        expect([...given, ...use.spare].sort((a, b) => a - b)).toEqual(Array.from({ length: cores }, (_, i) => i + 1))
        expect(Object.keys(use.of).length + use.short.length).toBe(5)
        for (const list of Object.values(use.of)) expect(list).toHaveLength(perConductor)
      }),
    )
    expect([coreWords([3]), coreWords([1, 2, 3]), coreWords([])]).toEqual(['core 3', 'cores 1, 2 and 3', 'no core'])
  })
})

describe('the check-off of a cabinet', () => {
  it('comes from what goes in, each thing after what must be before it', () => {
    const w = smallJob(strikeHardware)
    w.do('powerPlan.put', {
      id: 'a1',
      batteryAh: 7,
      batteryCount: 2,
      wiring: 'series',
      hours: 4,
      celsius: 20,
      movements: 10,
      fireRelay: false,
    })
    const items = checkOff(controller(w), w.facts, sheets)
    expect(items.find((i) => i.id === 'bank')?.says).toBe(
      '2 batteries of 7 Ah in series: 24 V, 7 Ah; measure before they are joined',
    )
    for (const [n, item] of items.entries())
      for (const before of item.after) expect(items.findIndex((i) => i.id === before)).toBeLessThan(n)
    const battery = items.find((i) => i.id === 'battery')
    if (!battery) throw new Error('no battery')
    expect(stillBefore(battery, items, {}).map((i) => i.id)).toEqual(['supply', 'bank'])
    expect(stillBefore(battery, items, { supply: true, bank: true })).toEqual([])
  })
  it('an expander is linked behind the one before it, its switches said; a board that is fed on says from where', () => {
    const w = smallJob(strikeHardware)
    w.do('controller.put', {
      id: 'a8',
      ref: 'A8',
      sheet: 'controller-8',
      cabinet: 'Loft',
      supply: '',
      address: '',
      serial: '',
      mac: '',
      expanders: [
        { id: 'E1', sheet: 'expander-io' },
        { id: 'E2', sheet: 'expander-io' },
      ],
      fedFrom: { controller: 'a1', lengthM: 9, type: { kind: 'iec', conductorClass: 2, mm2: 1.5, cores: 2 } },
    })
    const told = checkOff(controller(w, 'a8'), w.facts, sheets)
      .map((i) => i.says)
      .join('\n')
    expect(told).toMatch(/E1 .*: linked to A8 with its link to the controller, 0\.3 m; address 1: /)
    expect(told).toMatch(/E2 .*: linked to E1 .*; address 2: /)
    expect(told).toContain('Fed on from A1 in Riser: 9 m of 2 × 1.5 mm², class 2, plus on plus')
    expect(told).not.toContain('batter' + 'ies of')
  })
  it('a sheet that asks for a circle still gives a list', () => {
    const odd = {
      ...sheets,
      'controller-2': {
        ...sheets['controller-2'],
        controller: {
          ...sheets['controller-2']?.controller,
          cabinet: [
            { id: 'a', says: 'A', after: ['b'] },
            { id: 'b', says: 'B', after: ['a'] },
          ],
        },
      } as DeviceSheet,
    }
    expect(
      checkOff(controller(smallJob()), smallJob().facts, odd)
        .map((i) => i.id)
        .filter((i) => i === 'a' || i === 'b'),
    ).toHaveLength(2)
  })
})
