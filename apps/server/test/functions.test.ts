import { v7 } from 'uuid'
import {
  boardOf,
  checkOff,
  expectedReading,
  marksOf,
  partFunctions,
  plannedOf,
  readingsFor,
  scriptFor,
  toldPoints,
  wiredPoints,
  type Controller,
  type Door,
  type PartFunction,
} from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import type { DoorFile, Hand, Opening, SiteFile } from '@rauta/standins'
import { busReader, Site, serial, siteFile } from './site'

/** One door with everything that a door can have, on a controller with an expander behind it. */
const hardware = {
  entryReader: 'reader-guarded',
  exitReader: 'reader-bus',
  lock: 'magnet-600',
  lock2: 'magnet-300',
  contact: 'contact-frame',
  contact2: 'contact-frame',
  boltContact: 'contact-bolt',
  exit: 'button-exit',
  exitSensor: 'sensor-exit-fed',
  deskButton: 'button-desk',
  breakGlass: 'break-glass-two',
  opener: 'opener-leaf',
  tamper: 'switch-tamper',
  spare: 'contact-frame',
}

/** How it is really wired: the rig's own file, written by hand. */
const magnet = {
  principle: 'magnetic' as const,
  fail: 'safe' as const,
  feedV: 13.6,
  loopOhm: 1,
  coilOhm: 24,
  leastV: 10.8,
  serial,
  relay: 'relay 1',
}
const input = (n: string) => ({ serial, input: n })
const everything = (): DoorFile => ({
  id: 'F-01',
  name: 'Front',
  lock: { ...magnet, sensing: input('input 2') },
  lock2: { ...magnet },
  handle: false,
  breakGlass: true,
  readers: [
    { id: 'R1', side: 'outside', serial, port: 'reader 1' },
    { id: 'R2', side: 'inside', serial, port: 'bus 1', bus: busReader('0A000005', { address: 5 }) },
  ],
  contact: input('input 3'),
  contact2: input('input 4'),
  bolt: input('E1 input 1'),
  exit: input('E1 input 2'),
  glassPole: input('E1 input 5'),
  opener: { serial, relay: 'relay 2' },
  worked: {
    R1: { ...input('input 1'), rests: 'closed' },
    X2: { ...input('E1 input 3'), rests: 'open' },
    D1: { ...input('E1 input 4'), rests: 'open' },
    T1: { ...input('E1 input 6'), rests: 'closed' },
    S1: { ...input('E1 input 7'), rests: 'open' },
  },
})
const site8 = (): SiteFile =>
  siteFile((file) => {
    for (const device of file.devices) device.model = 'controller-8'
    file.doors = [everything()]
  })

const door = 'F-01'
const act = (what: Extract<Hand, { door: string }>['do'], after = 0): Hand => ({ do: what, door, after }) as Hand
/** Pushes until the leaf gives, and for a while where it does not. */
const lean = (after: number): Hand => ({ do: 'lean', door, ms: 3000, after })
const card = (reader = 'R1', which = 'good'): Hand => ({ do: 'card', door, reader, card: which })
const work = (part: string): Hand[] => [
  { do: 'work', door, part },
  { do: 'let', door, part, after: 600 },
]

/** What hands do for each test; each ends with the door as it was. */
const handsFor: Record<string, Hand[]> = {
  told: [act('openerOff'), lean(900), act('close', 1500)],
  'reader-R1': [card('R1')],
  'reader-R2': [card('R2')],
  'good-card': [act('openerOff'), card(), lean(1000), act('close', 1500)],
  'release-time': [card()],
  'unknown-card': [card('R1', 'unknown')],
  'lost-card': [card('R1', 'lost')],
  'hours-card': [card('R1', 'hours')],
  'exit-button': [act('press'), act('release', 400), lean(600), act('close', 1500)],
  'exit-sensor': [...work('X2'), lean(600), act('close', 1500)],
  'desk-button': work('D1'),
  'second-leaf': [card(), act('push2', 1000), act('close2', 1500)],
  'sensing-K1': [card(), lean(1000), act('close', 1500)],
  'sensing-L1': [card(), lean(1000), act('close', 1500)],
  opener: [act('openerOn'), card()],
  forced: [act('openerOff'), act('pullFeed'), lean(900), act('close', 1500), act('mendFeed', 500)],
  'held-open': [card(), lean(1000), act('close', 24_000)],
  'break-glass': [act('breakGlass'), lean(900), act('close', 1500), act('mendGlass', 500)],
  'tamper-R1': work('R1'),
  'tamper-T1': work('T1'),
  'spare-S1': work('S1'),
}
/** The test that proves each function, and the part it is about. */
const provenBy: Partial<Record<PartFunction, [part: string, test: string]>> = {
  entryReader: ['R1', 'reader-R1'],
  exitReader: ['R2', 'reader-R2'],
  lock: ['K1', 'good-card'],
  contact: ['C1', 'good-card'],
  secondLock: ['K2', 'second-leaf'],
  secondContact: ['C2', 'second-leaf'],
  lockSensing: ['L1', 'sensing-L1'],
  exitButton: ['X1', 'exit-button'],
  exitSensor: ['X2', 'exit-sensor'],
  deskButton: ['D1', 'desk-button'],
  opener: ['O1', 'opener'],
  glassPole: ['B1', 'break-glass'],
  emergencyRelease: ['B1', 'break-glass'],
  tamper: ['T1', 'tamper-T1'],
  spare: ['S1', 'spare-S1'],
}

async function planned(file: SiteFile): Promise<Site> {
  const site = await new Site(file).start()
  await site.plan(0, { sheet: 'controller-8', expanders: [{ id: 'E1', sheet: 'expander-io' }] })
  const behaviour = {
    releaseS: 5,
    heldOpenS: 20,
    relockDelayS: 0,
    contactIdle: 'closed',
    exitIdle: 'open',
    forcedAlarm: true,
    openerAfterS: 1.5,
    deskReleaseS: 8,
  }
  await site.command('door.add', {
    id: door,
    fields: { ref: door, name: 'Front', from: 'out', to: 'in', opening: 'doubleDoor', hardware, behaviour },
  })
  await site.command('door.placeProposed', { id: door, controller: 'a1', portGroup: 'A' })
  await site.command('part.address', { door, part: 'R2', address: 5 })
  await site.command('rule.put', { id: 'r', group: 'g', doors: [door], schedule: 'always' })
  return site
}
const doorOf = (site: Site): Door => site.get('door', door) as Door
const board = (site: Site) => boardOf(shippedSheets, site.get('controller', 'a1') as Controller)

/** Ticks every cable, enters what the meter would show, checks the cabinet off. */
async function wire(site: Site): Promise<void> {
  for (const cable of doorOf(site).cables)
    await site.command('cable.set', {
      door,
      cable: cable.id,
      lengthM: 12,
      type: { kind: 'iec', conductorClass: 2, mm2: 1.5, cores: cable.type.cores },
    })
  const context = plannedOf(site.facts, shippedSheets)
  for (const cable of doorOf(site).cables) {
    for (const what of ['pulled', 'ended', 'tested'])
      await site.command('tick.set', { door, cable: cable.id, what, done: true })
    for (const kind of readingsFor(doorOf(site), cable.id, shippedSheets, board(site))) {
      const expected = expectedReading(doorOf(site), cable.id, kind, context)
      await site.command('reading.add', {
        id: v7(),
        door,
        cable: cable.id,
        kind,
        value: Number((expected?.value ?? 0).toFixed(2)),
      })
    }
  }
  const controller = site.get('controller', 'a1')
  for (let left = 40; left > 0 && controller; left--) {
    const item = checkOff(controller, site.facts, shippedSheets).find((i) => !site.facts.cabinet['a1']?.done[i.id])
    if (!item) break
    await site.command('cabinet.check', { controller: 'a1', item: item.id, done: true })
  }
}

describe('a door with everything that can be wired, from the form to the signature, over the wire', () => {
  let site: Site
  beforeAll(async () => {
    site = await planned(site8())
  })
  afterAll(() => site.stop())
  const marks = () => marksOf(site.facts, doorOf(site), shippedSheets)

  it('has a point for every function, on the port that the rig is wired to', () => {
    const points = wiredPoints(doorOf(site), board(site), shippedSheets)
    // What reactions alone drive, and how an alarm panel stands, has doors of its own in reactions.test.
    const others = ['sounder', 'signal', 'panelSet', 'panelUnset', 'panelToggle', 'panelState']
    expect(new Set(points.map((p) => p.function))).toEqual(new Set(partFunctions.filter((f) => !others.includes(f))))
    expect(
      Object.fromEntries(toldPoints(doorOf(site), board(site), shippedSheets).map((p) => [p.key, p.port])),
    ).toEqual({
      'R1.entryReader': 'reader 1',
      'R1.tamper': 'input 1',
      'R2.exitReader': 'bus 1',
      'K1.lock': 'relay 1',
      'K1.lockSensing': 'input 2',
      'K2.secondLock': 'relay 1',
      'C1.contact': 'input 3',
      'C2.secondContact': 'input 4',
      'L1.lockSensing': 'E1 input 1',
      'X1.exitButton': 'E1 input 2',
      'X2.exitSensor': 'E1 input 3',
      'D1.deskButton': 'E1 input 4',
      'B1.glassPole': 'E1 input 5',
      'O1.opener': 'relay 2',
      'T1.tamper': 'E1 input 6',
      'S1.spare': 'E1 input 7',
    })
    expect(marks().plan.findings.filter((f) => f.grade === 'stop')).toEqual([])
  })

  it('keeps the door short of Reach until its bus reader is in service too', async () => {
    await site.take()
    expect(marks().reach).toMatchObject({
      sign: 'underWay',
      says: 'R2 Card reader, bus is still to be taken into service on its bus.',
    })
    await site.takeOnBus(door, 'R2')
    expect(marks().reach).toMatchObject({ sign: 'given', says: 'All 2 devices of this door answer.' })
  })

  it('tells the controller of every point, and the controller holds them', async () => {
    await wire(site)
    await site.proveAsked(door, 'before-load', [card(), lean(800)])
    expect(site.get('load', await site.load())).toMatchObject({ state: 'held' })
    const held = site.rig.units.get(serial)?.memory.entities.DoorWiring[door]
    const told = [...(held?.readers ?? []), ...(held?.inputs ?? []), ...(held?.outputs ?? [])].map(
      (p) => `${p.part}.${p.function} ${p.port}`,
    )
    expect(told.sort()).toEqual(
      toldPoints(doorOf(site), board(site), shippedSheets)
        .map((p) => `${p.key} ${p.port}`)
        .sort(),
    )
    expect(held?.outputs.find((o) => o.part === 'O1')).toMatchObject({ afterS: 1.5 })
    expect(held?.inputs.find((i) => i.part === 'D1')).toMatchObject({ releaseS: 8 })
    expect(marks().load.sign).toBe('given')
  })

  it('proves each of them by the device’s own events, and is signed', async () => {
    for (const test of scriptFor(site.facts, doorOf(site), shippedSheets)) {
      if (test.id === 'before-load') continue
      const hands = handsFor[test.id]
      const tell = () => site.ask('POST', `/doors/${door}/order`, { order: 'release', reason: '' })
      const proof =
        test.id === 'holds'
          ? await site.proveAsked(door, 'holds', [act('push')])
          : await site.prove(door, test.id, hands ?? [], 30_000, test.id === 'told' ? tell : undefined)
      expect([test.id, proof.verdict, proof.verdict === 'passed' ? '' : proof.says]).toEqual([test.id, 'passed', ''])
    }
    expect([marks().wire, marks().prove].map((m) => [m.sign, m.sign === 'given' ? '' : m.says])).toEqual([
      ['given', ''],
      ['given', ''],
    ])
    await site.command('door.testCardsOff', { door, off: true })
    await site.load()
    for (const as of ['engineer', 'witness']) {
      const head = site.facts.head[door]?.hash
      await site.command('sign', {
        id: v7(),
        door,
        as,
        name: `Some ${as}`,
        stroke: 'M10 60 C40 10 60 90 90 40 C110 10',
        head,
      })
    }
    expect(marks().sign.sign).toBe('given')
  })

  it('each function is proved by a test that names it', () => {
    const script = scriptFor(site.facts, doorOf(site), shippedSheets)
    for (const [does, [part, test]] of Object.entries(provenBy))
      expect([does, script.find((t) => t.id === test)?.proves.includes(`${part}.${does}`)]).toEqual([does, true])
  })
})

/** Each fault of the wiring is put into the rig alone; the plan and what is loaded are right. */
describe('the same door with one thing wired otherwise', () => {
  let site: Site
  beforeAll(async () => {
    site = await planned(site8())
    await site.take()
    await site.load()
  })
  afterAll(() => site.stop())

  const exchange =
    (a: string, b: string) =>
    (file: DoorFile): DoorFile =>
      JSON.parse(
        JSON.stringify(file).replaceAll(`"${a}"`, '"#"').replaceAll(`"${b}"`, `"${a}"`).replaceAll('"#"', `"${b}"`),
      ) as DoorFile
  const faults: [what: string, change: (file: DoorFile) => DoorFile, test: string, says: RegExp][] = [
    ['exit button and exit sensor exchanged', exchange('E1 input 2', 'E1 input 3'), 'exit-sensor', /saw X1 and not X2/],
    ['desk button on the exit button’s input', exchange('E1 input 2', 'E1 input 4'), 'desk-button', /took it for X1/],
    ['contacts of the leaves exchanged', exchange('input 3', 'input 4'), 'second-leaf', /C1 saw it and not C2/],
    [
      'second pole on the spare input',
      exchange('E1 input 5', 'E1 input 7'),
      'break-glass',
      /B1 never told that it was broken/,
    ],
    ['tamper and spare exchanged', exchange('E1 input 6', 'E1 input 7'), 'tamper-T1', /S1 told, and not T1/],
    [
      'bolt contact on an input that nothing watches',
      (file) => ({ ...file, bolt: input('E1 input 8') }),
      'sensing-L1',
      /opened while L1 still said locked/,
    ],
    [
      'opener on a relay that nothing drives',
      (file) => ({ ...file, opener: { serial, relay: 'E1 relay 1' } }),
      'opener',
      /started, and the leaf never moved/,
    ],
    [
      'second lock on a relay that nothing drives',
      (file) => ({ ...file, lock2: { ...magnet, relay: 'E1 relay 1' } }),
      'second-leaf',
      /C2 never saw the second leaf open/,
    ],
  ]
  it.each(faults)('%s: its own test fails, and passes once it is mended', async (_what, change, test, says) => {
    const opening = site.rig.openings.get(door) as Opening
    const right = opening.file
    opening.rewire(change(right))
    await site.clock.sleep(3000)
    const hands = [act('openerOff'), ...(handsFor[test] ?? [])]
    const proof = await site.prove(door, test, hands, 30_000)
    expect([proof.verdict, proof.says]).toEqual(['failed', expect.stringMatching(says)])
    opening.rewire(right)
    await site.hands([act('close'), act('close2', 200)])
    // On a busy machine the controller hears of it later than the clock says.
    await site.until('the door to be shut and locked', () => {
      const { leafOpen, unlocked } = site.unit().doors.state(door)
      return !leafOpen && !unlocked
    })
    await site.clock.sleep(3000)
    const mended = await site.prove(door, test, hands, 30_000)
    expect([mended.verdict, mended.verdict === 'passed' ? '' : mended.says]).toEqual(['passed', ''])
  })

  it('a bus reader at another address is never taken for the one planned', async () => {
    await site.hands([{ do: 'busSet', reader: '0A000005', to: { address: 6 } }])
    await expect(site.prove(door, 'reader-R2', handsFor['reader-R2'] ?? [], 1500)).rejects.toThrow('waited in vain')
  })
})
