import { all, planFindings, type CableType } from '@rauta/core'
import { magnetHardware, sheets, smallJob, strikeHardware, type World } from './world'

const rules = (w: World, id = 'D-01') =>
  planFindings(w.door(id), w.facts.controller, sheets, all(w.facts, 'door')).map((f) => f.rule)
const says = (w: World, rule: string) =>
  planFindings(w.door(), w.facts.controller, sheets, all(w.facts, 'door')).find((f) => f.rule === rule)?.says ?? ''
const cable = (w: World, part: string, type: CableType, lengthM = 20) =>
  w.do('cable.set', { door: 'D-01', cable: w.door().cables.find((c) => c.part === part)?.id, lengthM, type })

/** The same door on a board whose screws tell how thick a core they take, and whose inputs are supervised. */
function onLargeBoard(hardware: Record<string, string> = strikeHardware): World {
  const w = smallJob(strikeHardware)
  w.controller('a8', 'controller-8')
  w.do('door.edit', { id: 'D-01', fields: { hardware } })
  w.do('door.placeProposed', { id: 'D-01', controller: 'a8' })
  return w
}

describe('fit: is what was chosen made for this door', () => {
  it('an indoor device on the weather side is a stop', () => {
    const w = smallJob({ ...strikeHardware, entryReader: 'reader-qr' }, { outdoor: true })
    expect(says(w, 'indoor-outside')).toBe(
      'R1 QR reader is made for indoors, and this door’s unsecured side is out of doors. Choose one for outdoors.',
    )
    w.do('door.edit', { id: 'D-01', fields: { outdoor: false } })
    expect(rules(w)).not.toContain('indoor-outside')
  })
  it('at a gate everything has weather', () => {
    const w = smallJob(strikeHardware, { outdoor: true, opening: 'gate' })
    w.do('door.edit', { id: 'D-01', fields: { hardware: { ...strikeHardware, lock: 'strike-fast' } } })
    expect(rules(w)).toContain('indoor-outside')
  })
  it('too few cores, and doubled cores count double', () => {
    const w = onLargeBoard()
    cable(w, 'R1', { kind: 'awg', gauge: 22, cores: 4 })
    expect(says(w, 'cores')).toContain('has 4 cores; R1 needs 5')
    cable(w, 'K1', { kind: 'iec', conductorClass: 2, mm2: 0.75, cores: 4, perConductor: 2 })
    expect(
      planFindings(w.door(), w.facts.controller, sheets, all(w.facts, 'door'))
        .filter((f) => f.rule === 'cores')
        .map((f) => f.at),
    ).toEqual(['W1'])
    expect(() => cable(w, 'K1', { kind: 'iec', conductorClass: 2, mm2: 0.75, cores: 2, perConductor: 2 })).toThrow(
      '2 cores do not make two conductors of 2 cores each',
    )
  })
  it('a core thicker than the terminal takes', () => {
    const w = onLargeBoard()
    cable(w, 'K1', { kind: 'iec', conductorClass: 2, mm2: 2.5, cores: 2 })
    expect(says(w, 'thick')).toMatch(/has cores of 2\.5 mm²; terminal \d+ takes 1\.5 mm²/)
  })
  it('a run longer than what the reader speaks can bear', () => {
    const w = onLargeBoard()
    cable(w, 'R1', { kind: 'awg', gauge: 22, cores: 6 }, 200)
    expect(says(w, 'distance')).toContain('what R1 speaks reaches 150 m')
    const bus = onLargeBoard({ ...strikeHardware, entryReader: 'reader-bus' })
    cable(bus, 'R1', { kind: 'awg', gauge: 22, cores: 6 }, 200)
    expect(rules(bus)).not.toContain('distance')
  })
  it('a wireless lock at a door with more passages than its battery suits', () => {
    const w = smallJob(strikeHardware)
    w.do('door.add', {
      id: 'F-1',
      fields: {
        ref: 'F-1',
        name: 'Laundry',
        from: 'in',
        to: 'in',
        handle: true,
        passagesPerDay: 120,
        hardware: { lock: 'wireless-handle' },
      },
    })
    expect(rules(w, 'F-1')).toContain('battery-passages')
    w.do('door.edit', { id: 'F-1', fields: { passagesPerDay: 75 } })
    expect(rules(w, 'F-1')).not.toContain('battery-passages')
  })
  it('a device for other volts than the controller feeds', () => {
    const w = onLargeBoard({ ...strikeHardware, entryReader: 'reader-bus' })
    const odd = {
      ...sheets,
      'reader-bus': { ...sheets['reader-bus'], operatingV: { least: 20, most: 28 } },
    } as typeof sheets
    expect(
      planFindings(w.door(), w.facts.controller, odd, all(w.facts, 'door')).find((f) => f.rule === 'volts-range')?.says,
    ).toContain('works from 20 V to 28 V; this controller feeds')
  })
  it('a break glass without a second pole shows as forced', () => {
    expect(rules(smallJob(magnetHardware))).toContain('glass-silent')
    expect(rules(onLargeBoard({ ...magnetHardware, breakGlass: 'break-glass-two' }))).not.toContain('glass-silent')
  })
  it('supervised pairs: resistors at the controller, or too much cable', () => {
    const w = onLargeBoard()
    w.do('door.edit', { id: 'D-01', fields: { ends: { seriesOhm: 1000, parallelOhm: 2200, at: 'device' } } })
    expect(rules(w)).not.toContain('supervised')
    w.do('door.edit', { id: 'D-01', fields: { ends: { seriesOhm: 1000, parallelOhm: 2200, at: 'controller' } } })
    expect(says(w, 'supervised')).toContain('Put them at the far end')
    w.do('door.edit', { id: 'D-01', fields: { ends: { seriesOhm: 1690, parallelOhm: 2200, at: 'device' } } })
    expect(says(w, 'supervised')).toMatch(/With the contact closed the input sees 1\d+ Ω and takes it for open|^$/)
  })
  it('a reader with a supply of its own joins its 0 V and never its plus; outdoor runs want surge protection', () => {
    const w = smallJob(strikeHardware, { outdoor: true })
    w.do('part.feed', { door: 'D-01', part: 'R1', own: true })
    expect(says(w, 'own-supply')).toContain('join its 0 V with the controller’s')
    expect(says(w, 'outdoor-run')).toContain('surge protection')
  })
  it('two leaves share one relay and one break glass', () => {
    const w = onLargeBoard({
      ...magnetHardware,
      lock2: 'magnet-300',
      contact2: 'contact-frame',
      breakGlass: 'break-glass-two',
    })
    expect(rules(w).filter((r) => ['double-use', 'crowded', 'wrong-kind', 'lead-loose'].includes(r))).toEqual([])
    expect(w.door().placement?.terminals['K1.plus']).toBe(w.door().placement?.terminals['K2.plus'])
  })
})
