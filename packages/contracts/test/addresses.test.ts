import {
  addressPlan,
  all,
  areaLinks,
  areaTree,
  busPlans,
  demandsOf,
  effectOf,
  networkFed,
  sheetLines,
  sheetOf,
  withLeadAt,
  type DeviceSheet,
  type Facts,
} from '@rauta/core'
import { siteDoors as site } from '@rauta/core/siting'
import { sheets, smallJob, strikeHardware, World } from './world'

/** Two doors with readers on one bus each, a switch, and a face reader on the network. */
function busJob(): World {
  const w = smallJob(strikeHardware)
  w.controller('a8', 'controller-8', { supply: 'supply-10' })
  w.do('door.edit', {
    id: 'D-01',
    fields: { hardware: { ...strikeHardware, entryReader: 'reader-bus', exitReader: 'reader-bus-keypad' } },
  })
  w.do('door.placeProposed', { id: 'D-01', controller: 'a8' })
  w.do('unit.put', { id: 'n1', ref: 'N1', sheet: 'switch-8', cabinet: 'Riser', address: '' })
  w.do('door.add', {
    id: 'D-02',
    fields: {
      ref: 'D-02',
      name: 'Count',
      from: 'in',
      to: 'in',
      hardware: { ...strikeHardware, entryReader: 'reader-face' },
    },
  })
  return w
}
const network = (w: World) =>
  w.do('job.edit', {
    fields: {
      network: {
        address: '10.1.1.0',
        prefix: 27,
        gateway: '10.1.1.1',
        timeServer: '10.1.1.2',
        reserved: '10.1.1.22-24',
      },
    },
  })

describe('the address plan of a job', () => {
  it('lists controllers, units and parts on the network, and proposes what is free and ours', () => {
    const w = busJob()
    network(w)
    const plan = addressPlan(w.facts, sheets)
    expect(plan.lines.map((l) => [l.ref, l.address, l.proposed, l.fault])).toEqual([
      ['A1', '10.1.1.21', '10.1.1.21', null],
      ['A8', '', '10.1.1.25', 'It has no address yet.'],
      ['N1', '', '10.1.1.26', 'It has no address yet.'],
      ['D-02 R1', '', '10.1.1.27', 'It has no address yet.'],
    ])
    expect(plan.faults).toEqual([])
  })
  it('tells an address that is planned twice, one that is reserved, and one outside the subnet', () => {
    const w = busJob()
    w.put('controller', { ...(w.facts.controller['a8'] as Facts['controller'][string]), address: '10.1.1.21' })
    w.put('unit', { ...(w.facts.unit['n1'] as Facts['unit'][string]), address: '10.1.1.23' })
    network(w)
    const faults = Object.fromEntries(addressPlan(w.facts, sheets).lines.map((l) => [l.ref, l.fault]))
    expect(faults['A8']).toBe('10.1.1.21 is planned for A1 as well.')
    expect(faults['N1']).toBe('10.1.1.23 is reserved by the client.')
    w.put('unit', { ...(w.facts.unit['n1'] as Facts['unit'][string]), address: '10.2.0.5' })
    expect(addressPlan(w.facts, sheets).lines.find((l) => l.ref === 'N1')?.fault).toContain('outside 10.1.1.0/27')
  })
  it('tells devices that leave the factory on one address', () => {
    const w = busJob()
    w.controller('a9', 'controller-2')
    expect(addressPlan(w.facts, sheets).collisions).toEqual([
      { address: sheetOf(sheets, 'controller-2').controller?.factory.address, refs: ['A1', 'A9'] },
    ])
  })
})

describe('the bus plan of a job', () => {
  it('gives addresses in order within what each device’s switches can show, and says how they stand', () => {
    const [plan] = busPlans(busJob().facts, sheets)
    expect(plan?.unitLoads).toBe(0.5)
    expect(plan?.lines.map((l) => [l.ref, l.proposed, l.words])).toEqual([
      ['D-01 R1', 0, 'All off.'],
      ['D-01 R2', 1, 'Turn to 0 1'],
    ])
  })
  it('says which terminator is set against how it comes: on at the end of the chain and nowhere else', () => {
    const [plan] = busPlans(busJob().facts, sheets)
    expect(plan?.lines.map((l) => l.terminator)).toEqual([
      { jumper: 'J1', position: 'off', factory: 'off' },
      { jumper: 'J2', position: 'on', factory: 'on' },
    ])
  })
  it('keeps addresses that are right, and tells two of one address and one that the switches cannot show', () => {
    const w = busJob()
    w.do('part.address', { door: 'D-01', part: 'R1', address: 7 })
    w.do('part.address', { door: 'D-01', part: 'R2', address: 7 })
    let [plan] = busPlans(w.facts, sheets)
    expect(plan?.lines.map((l) => [l.address, l.fault, l.proposed])).toEqual([
      [7, null, 7],
      [7, 'D-01 R1 has address 7 as well.', 0],
    ])
    w.do('part.address', { door: 'D-01', part: 'R1', address: 60 })
    ;[plan] = busPlans(w.facts, sheets)
    expect(plan?.lines[0]?.fault).toBe('Its switches stand for 0 to 31; 60 is not among them.')
  })
  it('tells more unit loads than a segment carries', () => {
    const heavy = {
      ...sheets,
      'reader-bus': {
        ...sheetOf(sheets, 'reader-bus'),
        reading: { by: 'osdp', technologies: [], keypad: false, reachM: 0.1, unitLoad: 32 },
      } as DeviceSheet,
    }
    expect(busPlans(busJob().facts, heavy)[0]?.faults.join(' ')).toMatch(/32\.25 unit loads on .*32/)
  })
})

describe('what asks for network power', () => {
  it('is every planned device that takes it, but for those with a supply of their own; a switch is asked by what is plugged in', () => {
    const w = busJob()
    w.controller('a3', 'controller-1-net')
    expect(networkFed(w.facts, sheets).map((f) => [f.id, f.draw.class])).toEqual([
      ['controller/a3', 4],
      ['part/D-02/R1', 4],
    ])
    w.do('unitFeed.put', { id: 'part/D-02/R1', unit: 'n1', port: '4', lengthM: 33 })
    expect(demandsOf(w.facts, w.facts.unit['n1'] as Facts['unit'][string], sheets)).toEqual([
      { consumer: 'D-02 R1', port: '4', lengthM: 33, draw: sheetOf(sheets, 'reader-face').network },
    ])
    w.do('part.feed', { door: 'D-02', part: 'R1', own: true })
    expect(networkFed(w.facts, sheets).map((f) => f.id)).toEqual(['controller/a3'])
  })
})

describe('areas', () => {
  it('stand inside their parents by code, and one whose parent is gone stands at the top', () => {
    const areas = [
      { id: 'b', code: 'B', name: 'B' },
      { id: 'a2', code: 'A2', name: 'A two', parent: 'a' },
      { id: 'a', code: 'A', name: 'A' },
      { id: 'x', code: 'X', name: 'X', parent: 'gone' },
    ]
    expect(areaTree(areas).map((l) => [l.area.id, l.depth])).toEqual([
      ['a', 0],
      ['a2', 1],
      ['b', 0],
      ['x', 0],
    ])
  })
  it('are joined by their doors, whichever way these lead', () => {
    const w = smallJob()
    w.do('door.add', { id: 'D-02', fields: { ref: 'D-02', name: 'Back', from: 'in', to: 'out' } })
    w.do('door.add', { id: 'D-03', fields: { ref: 'D-03', name: 'Inner', from: 'in', to: 'in' } })
    expect(areaLinks(areaTree(all(w.facts, 'area')), all(w.facts, 'door'))).toEqual([
      { a: 'in', b: 'out', doors: ['D-01', 'D-02'] },
      { a: 'in', b: 'in', doors: ['D-03'] },
    ])
  })
})

describe('what a move of a lead would do', () => {
  it('is told as findings that come and go, and changes nothing', () => {
    const w = smallJob(strikeHardware)
    const door = w.door()
    const moved = withLeadAt(door, 'C1.a', '1')
    const there = effectOf(door, moved, w.facts.controller, sheets, all(w.facts, 'door'))
    expect(there.comes.map((f) => f.rule)).toContain('wrong-kind')
    const back = effectOf(moved, door, w.facts.controller, sheets, all(w.facts, 'door'))
    expect(back.goes.map((f) => f.rule)).toEqual(there.comes.map((f) => f.rule))
    expect(w.door()).toBe(door)
  })
})

describe('a device sheet in words', () => {
  const words = (id: string) => Object.fromEntries(sheetLines(sheetOf(sheets, id)))
  it('says when a lock is energised, what it needs and how long it may be driven', () => {
    expect(words('strike-fast')).toMatchObject({
      'Without power': expect.stringContaining('energised to release'),
      'Pulls in': '0.9 A at 12 V, 120 ms; needs 10.5 V',
      Held: '0.22 A',
      'May be driven': '25 % of the time',
    })
    expect(words('magnet-300')['Without power']).toContain('energised while locked')
  })
  it('says what a switch gives and what a controller may carry', () => {
    expect(words('switch-8')['Gives network power']).toBe('8 ports up to class 4, 120 W in all')
    expect(words('controller-radio')['May carry']).toBe('4 radio hubs, 20 wireless locks')
  })
})

describe('an expander that siting adds', () => {
  it('stands behind those that are there already, which stay what they are', () => {
    const w = new World()
    w.do('job.create', {
      name: 'J',
      client: '',
      site: '',
      zone: 'UTC',
      network: { address: '10.1.1.0', prefix: 24, gateway: '10.1.1.1', timeServer: '10.1.1.2' },
      publicKey: '',
    })
    w.do('area.put', { id: 'in', code: 'I', name: 'Inside' })
    w.put('cabinetPlace', { id: 'Riser', x: 0, y: 0 })
    w.controller('a8', 'controller-8', { supply: 'supply-10', expanders: [{ id: 'E1', sheet: 'expander-reader' }] })
    const many = {
      entryReader: 'reader-bus',
      lock: 'strike-secure',
      contact: 'contact-frame',
      contact2: 'contact-frame',
      boltContact: 'contact-bolt',
      exit: 'button-exit',
      exitSensor: 'sensor-exit',
      deskButton: 'button-desk',
    }
    w.do('door.add', {
      id: 'D-1',
      fields: { ref: 'D-1', name: 'One', from: 'in', to: 'in', handle: true, hardware: many, at: { x: 3, y: 0 } },
    })
    const s = site({
      doors: all(w.facts, 'door'),
      controllers: all(w.facts, 'controller'),
      cabinets: ['Riser'],
      places: w.facts.cabinetPlace,
      sheets,
      fixed: new Set(),
      anew: false,
      spare: 0,
      allowed: ['controller-8'],
      makeId: (n) => `n${n}`,
    })
    expect(s.left).toEqual([])
    expect(s.controllers).toEqual([
      expect.objectContaining({
        id: 'a8',
        expanders: [
          { id: 'E1', sheet: 'expander-reader' },
          { id: 'E2', sheet: 'expander-io' },
        ],
      }),
    ])
  })
})

describe('how a bus is really run', () => {
  const bus = () => {
    const w = smallJob({ ...strikeHardware })
    w.controller('a8', 'controller-8', { supply: 'supply-10' })
    w.do('door.add', {
      id: 'D-04',
      fields: {
        ref: 'D-04',
        name: 'Both',
        from: 'out',
        to: 'in',
        handle: true,
        hardware: { ...strikeHardware, entryReader: 'reader-bus', exitReader: 'reader-bus-keypad' },
      },
    })
    w.do('door.placeProposed', { id: 'D-04', controller: 'a8' })
    w.do('part.address', { door: 'D-04', part: 'R1', address: 1 })
    w.do('part.address', { door: 'D-04', part: 'R2', address: 2 })
    return w
  }
  const plan = (w: World) => busPlans(w.facts, sheets)[0]
  it('stands by reference until somebody says otherwise, and the terminator moves with the end', () => {
    const w = bus()
    expect(plan(w)).toMatchObject({
      known: false,
      faults: [],
      lines: [
        { part: 'R1', terminator: { position: 'off' } },
        { part: 'R2', terminator: { position: 'on' } },
      ],
    })
    w.do('busRun.put', { id: `a8/${plan(w)?.bus}`, order: ['D-04/R2', 'D-04/R1'], stations: {} })
    expect(plan(w)).toMatchObject({
      known: true,
      lines: [
        { part: 'R2', terminator: { position: 'off' } },
        { part: 'R1', terminator: { position: 'on' } },
      ],
    })
  })
  it('a branch, a missing reference conductor and a chain that is too long are told', () => {
    const w = bus()
    w.do('busRun.put', {
      id: `a8/${plan(w)?.bus}`,
      order: ['D-04/R1', 'D-04/R2'],
      stations: { 'D-04/R1': { stubM: 4, fromPreviousM: 700 }, 'D-04/R2': { noReference: true, fromPreviousM: 600 } },
    })
    const says = plan(w)?.faults.join(' ') ?? ''
    expect(says).toContain('D-04 R1 hangs on a branch of 4 m')
    expect(says).toContain('D-04 R2 lacks the reference conductor')
    expect(says).toContain('1304 m on one segment')
  })
  it('refuses a station that is not there', () => {
    expect(() => bus().do('busRun.put', { id: 'a8/bus 1', order: ['D-04/R9'], stations: {} })).toThrow()
  })
})
