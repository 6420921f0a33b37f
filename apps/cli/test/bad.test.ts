import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { doors } from '../src/doors'
import { run } from '../src/run'

const cable = { kind: 'iec', conductorClass: 2, mm2: 1, cores: 2 }
const lock = { nominalV: 12, amps: 0.5, leastV: 10.8 }
const hardware = { entryReader: 'reader-slim', lock: 'strike-secure' }
/** An input of each command that is answered. */
const good = {
  volts: { sourceV: 13.6, cable, lengthM: 50, lock },
  battery: { restA: 2, hours: 3, bank: { ah: 12, count: 1, wiring: 'parallel', volts: 12 } },
  poe: {
    volts: 53,
    budgetW: 120,
    ports: [{ id: '1', highestClass: 4 }],
    devices: [{ name: 'A8', port: '1', lengthM: 24, class: 4, restW: 4.8, peakW: 13.5 }],
  },
  switches: { coding: { kind: 'binary', positions: 5 }, address: 5 },
  addresses: {
    network: '10.0.0.0',
    prefix: 24,
    gateway: '10.0.0.1',
    timeServer: '10.0.0.2',
    devices: [{ ref: 'A1', address: '10.0.0.21', factory: '192.168.90.40' }, { ref: 'A2' }],
  },
  place: { doors: [{ ref: 'D-01', hardware, distances: { 'Riser 1': 22 } }], cabinets: [{ name: 'Riser 1' }] },
  cards: { bits: '00011110100010001010001110', printed: '61 04423' },
  why: {
    zone: 'Europe/Helsinki',
    at: '2027-01-04T08:15:00+02:00',
    door: 'D-10',
    person: { name: 'P', groups: ['g'], cards: [{ facility: 1, number: 2, state: 'in use' }] },
    rules: [{ id: 'r', group: 'g', doors: ['D-10'], schedule: 's' }],
    schedules: [{ id: 's', name: 'S', periods: [{ days: [1], from: '08:00', to: '17:00' }] }],
  },
} as const
type Command = keyof typeof good

/** The input with another value at a path; `undefined` takes it away. */
function altered(input: unknown, path: string, value: unknown): unknown {
  const copy = structuredClone(input) as Record<string, unknown>
  const keys = path.split('.')
  const last = keys.pop() ?? ''
  const at = keys.reduce<Record<string, unknown>>((o, k) => o[k] as Record<string, unknown>, copy)
  if (value === undefined) delete at[last]
  else at[last] = value
  return copy
}
const ask = (command: string, text: string) => run([command, 'i.json'], () => text)

/** What may stand nowhere: every place of every command refuses each of these. */
const wrongFor: Readonly<Record<'number' | 'text' | 'list' | 'object', readonly unknown[]>> = {
  number: ['12', '', null, true, [], {}, 'ENDLESS'],
  text: [7, null, true, [], {}, '', '  ', 'x'.repeat(201)],
  list: ['a', 7, null, true, {}],
  object: ['a', 7, null, true, []],
}
const places: readonly [Command, string, keyof typeof wrongFor][] = [
  ['volts', 'sourceV', 'number'],
  ['volts', 'lengthM', 'number'],
  ['volts', 'lock.leastV', 'number'],
  ['volts', 'cable', 'object'],
  ['battery', 'restA', 'number'],
  ['battery', 'hours', 'number'],
  ['battery', 'bank', 'object'],
  ['poe', 'volts', 'number'],
  ['poe', 'ports', 'list'],
  ['poe', 'devices.0.peakW', 'number'],
  ['poe', 'devices.0.name', 'text'],
  ['switches', 'coding', 'object'],
  ['addresses', 'devices', 'list'],
  ['addresses', 'prefix', 'number'],
  ['addresses', 'devices.0.ref', 'text'],
  ['place', 'doors', 'list'],
  ['place', 'doors.0.ref', 'text'],
  ['place', 'cabinets.0.name', 'text'],
  ['why', 'door', 'text'],
  ['why', 'rules', 'list'],
  ['why', 'rules.0.doors', 'list'],
  ['why', 'person', 'object'],
  ['why', 'schedules.0.periods', 'list'],
]
const everywhere = places.flatMap(([command, path, kind]) =>
  wrongFor[kind].map((value): [string, string, string] => [
    `${command}: ${path} is ${String(JSON.stringify(value)).slice(0, 20)}`,
    command,
    JSON.stringify(altered(good[command], path, value)).replace('"ENDLESS"', '1e999'),
  ]),
)

/** One thing each that only this command can know is wrong, and what must be said of it. */
const particular: readonly [Command, string, unknown, RegExp][] = [
  ['volts', 'sourceV', -1, /sourceV must be more than 0/],
  ['volts', 'sourceV', 0, /sourceV must be more than 0/],
  ['volts', 'celsius', 91, /celsius must be 90 or less/],
  ['volts', 'cable.kind', 'rope', /cable\.kind must be one of: iec, awg/],
  ['volts', 'cable.mm2', 0, /mm2 must be 0.05 or more/],
  ['volts', 'cable.gauge', 22, /gauge does not go with kind iec/],
  ['volts', 'cable.conductorClass', undefined, /cable needs conductorClass/],
  ['volts', 'cable.cores', 0, /cores must be 1 or more/],
  ['volts', 'lock.current', 'alternating', /direct current only/],
  ['volts', 'lock.leastV', 13, /cannot need 13 V/],
  ['volts', 'lengthM', 0, /no run/],
  ['volts', 'more', 1, /has more, which is not known/],
  ['volts', 'nodes', [{ id: 'a', from: null, ohm: 1 }], /mixes two ways|not known|needs/],
  ['battery', 'celsius', 61, /celsius must be 60 or less/],
  ['battery', 'peukert', 3, /peukert must be 2 or less/],
  ['battery', 'ageing', 0.5, /ageing must be 1 or more/],
  ['battery', 'derating', 0, /derating must be more than 0/],
  ['battery', 'derating', 2, /derating must be 1 or less/],
  ['battery', 'sizes', [], /sizes is empty/],
  ['battery', 'bank.count', 0, /count must be 1 or more/],
  ['battery', 'bank.count', 1.5, /count must be a whole number/],
  ['battery', 'bank.wiring', 'star', /wiring must be one of/],
  ['battery', 'bank.series', 2, /count and wiring, or series and parallel/],
  ['battery', 'restA', -0.1, /restA must be 0 or more/],
  ['poe', 'volts', 230, /volts must be 60 or less/],
  ['poe', 'devices.0.class', 9, /class must be 8 or less/],
  ['poe', 'devices.0.restW', 16, /the peak is the larger/],
  ['poe', 'ports', [{ id: '1', highestClass: 4 }, { id: '1', highestClass: 3 }], /1 stands twice/], // prettier-ignore
  ['switches', 'address', 99, /99 is not among them/],
  ['switches', 'address', 1.5, /whole number/],
  ['switches', 'switches', [1], /mixes two ways/],
  ['switches', 'coding.positions', 13, /positions must be 12 or less/],
  ['switches', 'coding.kind', 'octal', /one of: binary, decade/],
  ['addresses', 'network', '10.0.0.5', /bits of a device.*10\.0\.0\.0/],
  ['addresses', 'network', '10.0.0', /not an IPv4/],
  ['addresses', 'network', ' 10.0.0.0', /not an IPv4/],
  ['addresses', 'network', '010.0.0.0', /leading zeros/],
  ['addresses', 'prefix', 7, /prefix must be 8 or more/],
  ['addresses', 'prefix', 32, /prefix must be 31 or less/],
  ['addresses', 'gateway', '', /gateway: “” is not/],
  ['addresses', 'gateway', 'router', /gateway: “router” is not/],
  ['addresses', 'gateway', '10.0.1.1', /gateway: The gateway 10\.0\.1\.1 lies outside/],
  ['addresses', 'gateway', '10.0.0.0', /network address/],
  ['addresses', 'gateway', '10.0.0.255', /broadcast address/],
  ['addresses', 'timeServer', 'clock', /timeServer/],
  ['addresses', 'reserved', '10.0.0.9-2', /reserved/],
  ['addresses', 'devices.0.factory', '192.168.1', /A1, factory/],
  ['addresses', 'devices.0.mac', '02-6A', /six pairs/],
  ['addresses', 'devices.0.subnet', 'other', /not in the list/],
  ['addresses', 'devices', [], /devices is empty/],
  ['addresses', 'devices', [{ ref: 'A1' }, { ref: 'a1' }], /a1 stands twice/],
  ['addresses', 'foreign', [{ address: 'x', whose: 'y' }], /foreign: “x” is not/],
  [
    'addresses',
    'subnets',
    [{ name: 's', network: '10.0.0.128', prefix: 25, gateway: '10.0.0.129' }],
    /lies in another/,
  ],
  ['addresses', 'gateway', undefined, /needs network, prefix and gateway/],
  ['place', 'doors.0.distances', { Attic: 3 }, /Attic, which is not among/],
  [
    'place',
    'doors',
    [
      { ref: 'D-01', hardware },
      { ref: 'D-01', hardware },
    ],
    /D-01 stands twice/,
  ],
  ['place', 'cabinets', [{ name: 'R' }, { name: 'r' }], /r stands twice/],
  ['place', 'cabinets', [], /cabinets is empty/],
  ['place', 'doors.0.hardware', { lid: 'reader-slim' }, /which no part does/],
  ['place', 'doors.0.hardware', { lock: 'reader-slim' }, /is no lock/],
  ['place', 'doors.0.hardware', { lock: 'constructor' }, /is no lock/],
  ['place', 'allowed', ['constructor'], /is no controller/],
  ['place', 'sheets', [{}], /sheets\[0\]: the input needs/],
  ['place', 'sheets', [{ id: 'x' }], /sheets\[0\]/],
  ['place', 'spare', 5, /spare must be 4 or less/],
  ['cards', 'bits', '012', /0 and 1/],
  ['cards', 'hex', 'FF', /either bits or hex/],
  ['cards', 'length', 26, /length goes with hex/],
  ['cards', 'printed', 'blue', /no card number/],
  ['why', 'at', 'tomorrow', /at: “tomorrow” is not a moment/],
  ['why', 'at', '2027-01-04T08:15:00', /offset/],
  ['why', 'at', '2027-1-4T08:15:00Z', /not a moment/],
  ['why', 'at', '2027-02-30T08:15:00Z', /not a moment/],
  ['why', 'at', '2027-01-04T24:15:00Z', /not a moment/],
  ['why', 'at', 1798000000, /at must be text/],
  ['why', 'zone', 'Mars/Base', /no time zone/],
  ['why', 'rules.0.doors', 'D-10', /doors must be a list/],
  ['why', 'rules.0.schedule', 'night', /which is not among the schedules/],
  ['why', 'rules.0.validUntil', '2027-02-30', /is no day/],
  ['why', 'rules.0.validUntil', 'Friday', /is no day/],
  ['why', 'rules.0.validUntil', 20270131, /must be text/],
  ['why', 'rules.0.person', 'who', /has person, which is not known/],
  ['why', 'rules.0.days', [1], /has days, which is not known/],
  ['why', 'groups', [{ id: 'other', name: 'O' }], /not among the groups/],
  ['why', 'schedules.0.periods.0.from', '8:00', /a time is 07:30/],
  ['why', 'schedules.0.periods.0.from', 'morning', /a time is 07:30/],
  ['why', 'schedules.0.periods.0.to', '08:00', /is empty/],
  ['why', 'schedules.0.periods.0.days', [8], /must be 7 or less/],
  ['why', 'schedules.0.periods.0.days', [], /at least one/],
  ['why', 'specialDays', [{ date: '2027-1-4', name: 'D', periods: [] }], /a date is 2027-01-04/],
  ['why', 'specialDays', [{ date: '2027-02-30', name: 'D', periods: [] }], /no date/],
  ['why', 'person.cards.0.state', 'eaten', /one of: in use, lost/],
  ['why', 'person.rank', 1, /rank, which is not known/],
]

describe('every command refuses, with code 2 and in words', () => {
  it('what is good is answered', () => {
    for (const [command, input] of Object.entries(good))
      expect([command, ask(command, JSON.stringify(input)).code]).toEqual([command, 0])
  })
  it('there are more than 150 kinds of bad input', () =>
    expect(everywhere.length + particular.length).toBeGreaterThan(230))
  /** Never the words of a program. */
  const plain = (out: string) => {
    expect(out).not.toMatch(/undefined|NaN|\[object|Cannot read|is not a function|must NOT|must match|at Object\./)
    expect(out.length).toBeGreaterThan(12)
  }
  it.each(everywhere)('%s', (_what, command, text) => {
    const { code, out } = ask(command, text)
    expect([code, out]).toEqual([2, expect.any(String)])
    plain(out)
  })
  it.each(particular.map(([c, path, value, says]) => [`${c} ${path} ${JSON.stringify(value)}`, c, path, value, says]))(
    '%s',
    (_what, command, path, value, says) => {
      const { code, out } = ask(
        command as string,
        JSON.stringify(altered(good[command as Command], path as string, value)),
      )
      expect([code, out]).toEqual([2, expect.stringMatching(says as RegExp)])
      plain(out)
    },
  )
  it.each(Object.keys(good))(
    '%s: no file, an empty one, half of one, another kind, a list, too many words',
    (command) => {
      for (const text of ['', '   ', '\uFEFF', '{', '[]', '7', 'null', '"text"', '%PDF-1.7']) {
        const { code, out } = ask(command, text)
        expect([text, code]).toEqual([text, 2])
        plain(out)
      }
      expect(run([command], () => '').code).toBe(2)
      expect(run([command, 'a.json', 'b.json'], () => JSON.stringify(good[command as Command]))).toMatchObject({
        code: 2,
        out: expect.stringContaining('too much') as string,
      })
      const gone = run([command, 'gone.json'], () => {
        throw new Error('ENOENT')
      })
      expect(gone).toMatchObject({ code: 2, out: expect.stringContaining('cannot be read') as string })
    },
  )
  it('a byte-order mark is no fault', () =>
    expect(ask('battery', `\uFEFF${JSON.stringify(good.battery)}`).code).toBe(0))
  it('help is asked for with code 0; what is not there, and nothing at all, with code 2', () => {
    for (const argv of [['--help'], ['-h'], ['help'], ['volts', '--help'], ['help', 'volts']])
      expect(run(argv, () => '').code).toBe(0)
    expect(run(['volts', '--help'], () => '').out).toContain('"lengthM"')
    for (const argv of [[], ['nope'], ['nope', 'x.json'], ['constructor', 'x.json']])
      expect(run(argv, () => '{}').code).toBe(2)
  })
})

describe('what is answered now', () => {
  const answer = (command: Command, over: Record<string, unknown>) =>
    JSON.parse(ask(command, JSON.stringify({ ...good[command], ...over })).out) as Record<string, unknown>
  it('why: the door’s name is whole, with local time, the period that decides and a special day', () => {
    expect(answer('why', { door: 'D-1' })['passes']).toBe(false)
    expect(answer('why', {})).toMatchObject({
      passes: true,
      localTime: 'Monday 2027-01-04 08:15',
      period: { schedule: 's', days: [1], from: '08:00', to: '17:00' },
      specialDay: null,
    })
    expect(
      answer('why', {
        specialDays: [{ date: '2027-01-04', name: 'Stock', periods: [{ from: '08:00', to: '09:00' }] }],
      }),
    ).toMatchObject({
      passes: true,
      period: { specialDay: '2027-01-04', from: '08:00' },
      specialDay: { name: 'Stock' },
    })
  })
  it('why: a rule without a group is the person’s own, and ends by itself', () => {
    const day = { days: [1, 2, 3, 4, 5, 6, 7], from: '00:00', to: '24:00' }
    const own = (over: object) =>
      answer('why', {
        person: { name: 'A', groups: [], cards: [{ facility: 1, number: 1, state: 'in use' }] },
        schedules: [{ id: 's', name: 'Always', periods: [day] }],
        rules: [{ id: 'own', doors: [good.why.door], schedule: 's', ...over }],
      })
    // The zone is two hours ahead of UTC in January: the day ends at 22:00Z.
    expect(own({ validUntil: '2027-01-08' })).toMatchObject({
      passes: true,
      rule: 'own',
      next: { at: '2027-01-08T22:00:00.000Z', passes: false, reason: 'right ended' },
    })
    expect(own({ validUntil: '2027-01-03' })).toMatchObject({ passes: false, reason: 'right ended' })
    expect(own({ validFrom: '2027-01-05' })).toMatchObject({ passes: false, reason: 'right not yet', rule: 'own' })
    expect(own({ group: 'elsewhere' })).toMatchObject({ passes: false, reason: 'no rule' })
  })
  it('battery: 7 Ah last 14 h at 0.4 A and are enough; nothing asked for needs nothing; strings in series and parallel', () => {
    const bank = { ah: 7, count: 1, wiring: 'parallel', volts: 12 }
    expect(answer('battery', { restA: 0.4, hours: 14, bank })).toMatchObject({
      nextSizeAh: 7,
      bank: { hours: 14, enough: true },
    })
    expect(answer('battery', { restA: 0.4, hours: 14.1, bank })['bank']).toMatchObject({ enough: false })
    expect(answer('battery', { hours: 0 })).toMatchObject({ neededAh: 0 })
    expect(answer('battery', { bank: { ah: 7, volts: 12, series: 2, parallel: 3 } })['bank']).toMatchObject({
      ah: 21,
      volts: 24,
    })
    // By hand: 6 Ah, 1.4 for ageing, a tenth not counted on: 6 × 1.4 ÷ 0.9.
    expect(answer('battery', { ageing: 1.4, derating: 0.9 })['neededAh']).toBeCloseTo(9.333, 3)
  })
  it('poe: what a port gives at the peak is held against its class; totals at the peak', () => {
    const device = { name: 'A8', port: '1', lengthM: 100, class: 4, restW: 5, peakW: 25.4 }
    const over = answer('poe', { volts: 48, devices: [device] }) as { ports: { faults: string[] }[]; peakW: number }
    // By hand: 48² − 4 · 12.5 · 25.4 = 1034; V = (48 + √1034) ÷ 2 = 40.08; (25.4 ÷ 40.08)² · 12.5 = 5.02 W of loss.
    expect(over.ports[0]?.faults.join()).toContain('takes 30.42 W of port 1 at its peak')
    expect(over.peakW).toBeCloseTo(30.42, 2)
    expect(answer('poe', { volts: 48, budgetW: 29, devices: [device] })['faults']).toEqual(
      expect.arrayContaining([expect.stringContaining('At their peaks')]),
    )
    const rest = answer('poe', { devices: [{ ...device, lengthM: 1, class: 3, restW: 14, peakW: 14 }] })
    expect((rest as typeof over).ports[0]?.faults.join()).toContain('draws 14 W at rest')
  })
  it('volts: small currents keep their digits, temperatures are per cable, any cross-section is answered', () => {
    const tree = (nodes: object[]) => answer2({ sourceV: 12, nodes })
    const answer2 = (input: object) => JSON.parse(ask('volts', JSON.stringify(input)).out) as Record<string, unknown>
    const sensor = [{ id: 'a', from: null, ohm: 10, consumers: [{ kind: 'resistance', ohm: 33_000 }] }]
    expect(Number(tree(sensor)['sourceA'])).toBeCloseTo(12 / 33_010, 7)
    const at = (celsius: number) =>
      (
        tree([{ id: 'a', from: null, cable, lengthM: 50, celsius, consumers: [{ kind: 'resistance', ohm: 24 }] }])[
          'nodes'
        ] as { volts: number }[]
      )[0]?.volts ?? 0
    // By hand: 1.81 ohm at 20 °C, 1.81 × (1 + 0.00393 × 60) = 2.237 at 80 °C.
    expect([at(20), at(80)]).toEqual([Number(((12 * 24) / 25.81).toFixed(3)), Number(((12 * 24) / 26.2368).toFixed(3))])
    const odd = answer2({ ...good.volts, cable: { ...cable, mm2: 1.3 } })
    expect(odd['says']).toContain('has no 1.3 mm²')
    // By hand: 17.241 ÷ 1.3 × 1.16.
    expect(Number(odd['ohmPerKm'])).toBeCloseTo(15.384, 2)
  })
  it('addresses: several faults of one device, MAC twice, foreign ones, the time server, a pair of two, more subnets', () => {
    const out = answer('addresses', {
      reserved: '10.0.0.2-5',
      foreign: [{ address: '10.0.0.30', whose: 'the printers' }],
      devices: [
        { ref: 'A1', address: '10.0.0.2', mac: '02:6A:10:00:41:01' },
        { ref: 'A2', address: '10.0.0.30', mac: '02-6a-10-00-41-01' },
        { ref: 'A3' },
      ],
    }) as { devices: { faults?: string[]; address: string }[] }
    expect(out.devices[0]?.faults).toHaveLength(3)
    expect(out.devices[1]?.faults?.join()).toMatch(/A1.*written wrong.*already planned for the printers/)
    expect(out.devices[2]?.address).not.toMatch(/\.(2|3|4|5|30)$/)
    const pair = { network: '10.0.0.0', prefix: 31, gateway: '10.0.0.0', timeServer: '', devices: [{ ref: 'A' }] }
    expect((answer('addresses', pair) as typeof out).devices[0]?.address).toBe('10.0.0.1')
    const two = answer('addresses', {
      subnets: [{ name: 'Shed', network: '10.0.9.0', prefix: 24, gateway: '10.0.9.1' }],
      devices: [{ ref: 'A', subnet: 'Shed' }, { ref: 'B', address: '10.0.9.7' }, { ref: 'C' }],
    }) as typeof out
    expect(two.devices.map((d) => d.address.split('.')[2])).toEqual(['9', '9', '0'])
  })
})

describe('a door schedule on the command line', () => {
  const list = (text: string, ...options: string[]) => doors(['l.csv', ...options], () => Buffer.from(text))
  const rows = async (text: string, ...options: string[]) => {
    const { out } = await list(text, ...options)
    return (
      JSON.parse(out) as { rows: { door?: Record<string, unknown>; bad?: { says: string }[]; notes?: string[] }[] }
    ).rows
  }
  it('a decimal comma outside quotation marks is named, and nothing is taken one column off', async () => {
    const [first, second] = await rows(
      'Ref,Name,From,To,Length m,Handle\nA-1,Front,Y,H,17,5,yes\nA-2,Back,Y,H,"17,5",yes\n',
    )
    expect(first?.bad?.[0]?.says).toContain('a comma in it, as in 17,5')
    expect(second?.door).toMatchObject({ lengthM: 17.5, handle: true })
  })
  it('a yes takes the usual device and says so; which lock it is, is asked', async () => {
    const [row, other] = await rows(
      'Ref;Name;From;To;Reader;Contact;Lock\nA-1;F;Y;H;yes;x;strike-secure\nA-2;B;Y;H;no;no;yes\n',
    )
    expect(row?.door?.['hardware']).toMatchObject({ entryReader: 'reader-slim', contact: 'contact-frame' })
    expect(row?.notes?.join()).toContain('Card reader, slim is taken')
    expect(other?.bad?.[0]?.says).toContain('not which lock')
  })
  it('knows Door beside Use, exit device, inner and outer reader, passages in German, length in m', async () => {
    const [row] = await rows(
      'Door;Use;From;To;Exit device;Outer reader;Inner reader;Begehungen/Tag;Length in m\nA-1;Store;Y;H;yes;yes;no;40;12\n',
    )
    expect(row?.door).toMatchObject({
      ref: 'A-1',
      name: 'Store',
      passagesPerDay: 40,
      lengthM: 12,
      hardware: { exit: 'button-exit', entryReader: 'reader-slim' },
    })
  })
  it('columns, areas, titles and devices are said with options, one answer for all rows that say the same', async () => {
    const text =
      'Old list\nKey;What;From;Zone;Kind\nA-1;Store;H;yard side;our reader\nA-2;Shed;H;yard side;our reader\n'
    const found = await rows(
      text,
      '--titles', '2', '--column', 'Key=ref', '--column', 'What=name', '--column', 'Zone=to',
      '--column', 'Kind=entryReader', '--area', 'yard side=Y', '--use', 'our reader=reader-wall',
    ) // prettier-ignore
    expect(found.map((r) => r.door)).toMatchObject([
      { ref: 'A-1', to: 'Y', hardware: { entryReader: 'reader-wall' } },
      { ref: 'A-2', to: 'Y', hardware: { entryReader: 'reader-wall' } },
    ])
  })
  it.each([
    [['--titles', '0'], 'no row'],
    [['--titles', 'x'], 'no row'],
    [['--titles', '9'], 'has 2 rows'],
    [['--titles', '1', '--titles', '2'], 'twice'],
    [['--sheet', 'Other'], 'no sheet Other'],
    [['--sheet', ' '], 'empty'],
    [['--column', 'Ref'], 'not understood'],
    [['--column', 'Nope=ref'], 'no column nope'],
    [['--column', 'Name=colour'], 'nothing that a column can tell'],
    [['--use', 'a=no-such-device'], 'no device sheet'],
    [['--use', 'a=reader-slim', '--use', 'A=reader-wall'], 'twice'],
    [['--area', '=X'], 'not understood'],
    [['--unknown'], 'nknown'],
    [['more.csv'], 'one file'],
  ] as const)('%j is refused', async (options, says) => {
    const { code, out } = await list('Ref;Name\nA-1;F\n', ...options)
    expect([code, out]).toEqual([2, expect.stringContaining(says)])
  })
})

describe('the program itself', () => {
  const program = fileURLToPath(new URL('../../../scripts/rauta.mjs', import.meta.url))
  const folder = mkdtempSync(join(tmpdir(), 'rauta-cli-'))
  afterAll(() => rmSync(folder, { recursive: true }))
  const rauta = (args: string[], input = '') =>
    spawnSync(process.execPath, [program, ...args], {
      input,
      encoding: 'utf8',
      cwd: folder,
      env: { ...process.env, INIT_CWD: folder },
    })
  it('answers in full through a pipe, reads standard input and paths from where one stands', () => {
    const many = { ...good.place, doors: Array.from({ length: 250 }, (_, i) => ({ ref: `D-${i}`, hardware })) }
    writeFileSync(join(folder, 'many.json'), JSON.stringify(many))
    const piped = execFileSync('sh', ['-c', `"${process.execPath}" "${program}" place many.json | cat`], {
      cwd: folder,
      encoding: 'utf8',
      env: { ...process.env, INIT_CWD: folder },
      maxBuffer: 1e8,
    })
    expect(piped.length).toBeGreaterThan(65_536)
    expect((JSON.parse(piped) as { doors: unknown[] }).doors).toHaveLength(250)
    const typed = rauta(['battery', '-'], JSON.stringify(good.battery))
    expect([typed.status, typed.stderr]).toEqual([0, ''])
    expect(JSON.parse(typed.stdout)).toMatchObject({ neededAh: 7.5 })
  })
  it('says what is wrong on standard error and nothing on standard output', () => {
    const bad = rauta(['battery', 'none.json'])
    expect([bad.status, bad.stdout]).toEqual([2, ''])
    expect(bad.stderr).toContain('none.json cannot be read')
    expect(rauta(['battery', '--help'])).toMatchObject({ status: 0, stderr: '' })
  })
})
