import { doors } from '../src/doors'
import { run } from '../src/run'

const ask = (command: string, input: unknown) => {
  const { code, out } = run([command, 'i.json'], () => JSON.stringify(input))
  return { code, out, answer: out.startsWith('{') ? (JSON.parse(out) as Record<string, unknown>) : {} }
}
const cable = { kind: 'iec', conductorClass: 2, mm2: 1, cores: 2 }

describe('rauta volts over a tree', () => {
  const tree = {
    sourceV: 12,
    sourceOhm: 0.1,
    nodes: [
      { id: 'board', from: null, ohm: 0, consumers: [{ kind: 'current', amps: 0.5 }] },
      { id: 'lock', from: 'board', cable, lengthM: 50, leastV: 10, consumers: [{ kind: 'resistance', ohm: 24 }] },
    ],
  }
  it('tells volts and amps at every point', () => {
    // By hand: 24 ohm behind 1.81 + 0.1 ohm and 0.5 A more: V at the board is (12 − 0.1 · 0.5) / (1 + 0.1 / 25.81).
    const board = (12 - 0.05) / (1 + 0.1 / 25.81)
    const { code, answer } = ask('volts', tree)
    expect(code).toBe(0)
    expect(answer).toMatchObject({
      collapses: false,
      nodes: [
        { id: 'board', volts: Number(board.toFixed(3)) },
        { id: 'lock', volts: Number(((board * 24) / 25.81).toFixed(3)) },
      ],
      tooLow: [],
    })
  })
  it('says that a line collapses and gives no number', () => {
    const { code, answer } = ask('volts', {
      ...tree,
      nodes: [{ id: 'far', from: null, ohm: 5, consumers: [{ kind: 'power', watts: 20, cutOffV: 6 }] }],
    })
    expect([code, answer]).toEqual([
      1,
      { collapses: true, at: 'far', says: expect.stringContaining('collapses at far') },
    ])
  })
  it.each<[string, object, string]>([
    [
      'a circle',
      {
        sourceV: 12,
        nodes: [
          { id: 'a', from: 'b', ohm: 1 },
          { id: 'b', from: 'a', ohm: 1 },
        ],
      },
      'fed in a circle',
    ],
    ['a cable of no length', { sourceV: 12, nodes: [{ id: 'a', from: null, cable, lengthM: 0 }] }, 'length above 0 m'],
    ['a run of no length', { sourceV: 12, cable, lengthM: 0, lock: { nominalV: 12, amps: 1, leastV: 10 } }, 'no run'],
    [
      'alternating current',
      { sourceV: 12, cable, lengthM: 9, lock: { nominalV: 12, amps: 1, leastV: 10, current: 'alternating' } },
      'direct current only',
    ],
    [
      'a converter without a cut-off',
      { sourceV: 12, nodes: [{ id: 'a', from: null, ohm: 1, consumers: [{ kind: 'power', watts: 4 }] }] },
      'cutOffV',
    ],
  ])('%s is refused with its place', (_what, input, says) => {
    const { code, out } = ask('volts', input)
    expect([code, out]).toEqual([2, expect.stringContaining(says)])
  })
})

describe('rauta battery, poe, switches', () => {
  // Worked standby arithmetic: 2 A for 3 h is 6 Ah, 7.5 Ah with the ageing factor 1.25.
  it('works out a standby battery', () => {
    expect(ask('battery', { restA: 2, hours: 3 }).answer).toEqual({
      arithmeticAh: 6,
      neededAh: 7.5,
      nextSizeAh: 12,
      factors: { ageing: 1.25, derating: 1, cold: 1, rate: 'not counted' },
    })
    const { code, answer } = ask('battery', {
      restA: 2,
      hours: 3,
      peukert: 1.15,
      bank: { ah: 7, count: 1, wiring: 'parallel', volts: 12 },
    })
    expect([code, answer['bank']]).toEqual([1, { ah: 7, volts: 12, hours: expect.any(Number), enough: false }])
  })
  // IEEE 802.3at, from memory: class 4 is 30 W at the source, 25.5 W at the device.
  it('tells classes and budget of network power', () => {
    const device = { name: 'D1', port: '1', lengthM: 60, class: 4, restW: 6, peakW: 15 }
    expect(
      ask('poe', { volts: 53, budgetW: 60, ports: [{ id: '1', highestClass: 4 }], devices: [device] }),
    ).toMatchObject({ code: 0, answer: { reservedW: 30, faults: [] } })
    expect(ask('poe', { volts: 53, budgetW: 60, ports: [{ id: '1', highestClass: 3 }], devices: [device] }).code).toBe(
      1,
    )
  })
  it('sets switches and reads them', () => {
    const coding = { kind: 'binary', positions: 4, order: 'mostFirst', inverted: true, offset: 1 }
    const set = ask('switches', { coding, address: 6 }).answer
    expect(set['switches']).toEqual([1, 0, 1, 0])
    expect(ask('switches', { coding, switches: set['switches'] }).answer).toEqual({ address: 6 })
    expect(ask('switches', { coding, address: 99 }).out).toBe(
      'address: Its switches stand for 1 to 16; 99 is not among them.',
    )
    expect(ask('switches', { coding, switches: [1] }).code).toBe(2)
  })
})

describe('rauta addresses and place', () => {
  it('gives addresses in order, past what is taken or not ours', () => {
    const { code, answer } = ask('addresses', {
      network: '10.0.0.0',
      prefix: 29,
      gateway: '10.0.0.1',
      reserved: '10.0.0.2',
      devices: [
        { ref: 'A1', address: '10.0.0.3', factory: '192.168.1.9' },
        { ref: 'A2', factory: '192.168.1.9' },
        { ref: 'A3', address: '10.0.0.9' },
        { ref: 'A4' },
        { ref: 'A5' },
      ],
    })
    expect(code).toBe(1)
    expect(answer).toEqual({
      devices: [
        { ref: 'A1', address: '10.0.0.3' },
        { ref: 'A2', address: '10.0.0.4' },
        {
          ref: 'A3',
          address: '10.0.0.5',
          fault: expect.stringContaining('outside 10.0.0.0/29'),
          faults: [expect.any(String)],
        },
        { ref: 'A4', address: '10.0.0.6' },
        {
          ref: 'A5',
          address: null,
          fault: 'The subnet 10.0.0.0/29 is full.',
          faults: ['The subnet 10.0.0.0/29 is full.'],
        },
      ],
      collidingFactoryAddresses: [{ address: '192.168.1.9', refs: ['A1', 'A2'] }],
    })
  })
  const hardware = { entryReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame' }
  it('places doors and says why, or what would have to give', () => {
    const { code, answer } = ask('place', {
      doors: [1, 2, 3].map((n) => ({ ref: `D-${n}`, hardware, at: { x: n, y: 0 } })),
      cabinets: [{ name: 'Riser', at: { x: 0, y: 0 } }],
      most: 1,
      allowed: ['controller-2'],
    })
    expect(code).toBe(1)
    expect(answer).toMatchObject({
      controllers: [{ ref: 'A1', sheet: 'controller-2', cabinet: 'Riser' }],
      left: [{ says: expect.stringContaining('One more controller would take it.') }],
    })
  })
  it.each<[string, object, string]>([
    [
      'a device that there is no sheet for',
      { doors: [{ ref: 'D', hardware: { lock: 'magic' } }], cabinets: [{ name: 'R' }] },
      'D, lock: magic is no lock',
    ],
    [
      'a part that does nothing',
      { doors: [{ ref: 'D', hardware: { bell: 'x' } }], cabinets: [{ name: 'R' }] },
      'bell, which no part does',
    ],
    [
      'no controller',
      { doors: [{ ref: 'D', hardware }], cabinets: [{ name: 'R' }], allowed: ['reader-slim'] },
      'reader-slim is no controller',
    ],
  ])('%s is refused', (_what, input, says) => {
    const { code, out } = ask('place', input)
    expect([code, out]).toEqual([2, expect.stringContaining(says)])
  })
})

describe('rauta doors', () => {
  it('tells of every row, with the cell and how to mend it', async () => {
    const { code, out } = await doors(['l.csv'], () =>
      Buffer.from('Tunnus;Nimi;Mistä;Mihin;Pituus\nA-1;Yksi;Piha;Halli;12,5\nA-2;Kaksi;Piha;Halli;kaukana\n'),
    )
    expect(code).toBe(1)
    expect(JSON.parse(out)).toMatchObject({
      titlesInRow: 1,
      counts: { good: 1, bad: 1 },
      areas: [{ path: 'Piha' }, { path: 'Halli' }],
      rows: [
        { row: 2, door: { ref: 'A-1', lengthM: 12.5 } },
        { row: 3, bad: [{ cell: 'E3', says: '“kaukana” is not a length' }] },
      ],
    })
  })
  it('says what it cannot read', async () => {
    expect(
      await doors(['x'], () => {
        throw new Error('none')
      }),
    ).toEqual({ code: 2, out: 'x cannot be read. Is it there, and may you read it?' })
    expect((await doors(['x.csv'], () => Buffer.from('1;2\n3;4\n'))).out).toContain('no row of titles')
    expect((await doors(['x.pdf'], () => Buffer.from('%PDF-'))).code).toBe(2)
  })
})
