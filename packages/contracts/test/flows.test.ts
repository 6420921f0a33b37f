import { all, offsetText, type DeviceSheet } from '@rauta/core'
import { flowIsOpen, flowRules, flowTestSays, networkFlows, screensAt, type Flow } from '@rauta/core/lists'
import { sheetsFor } from '../src'
import { smallJob } from './world'

const w = smallJob()
const sheets = () => sheetsFor(w.facts)
const flows = (screens = screensAt('https://rauta-x.local:4443')) => networkFlows(w.facts, sheets(), screens)
const line = (f: Flow) => `${f.from.name} > ${f.to.name} ${f.to.address} ${f.transport} ${f.port}`

describe('what IT must let through', () => {
  it('every planned device with an address is asked by this computer on each port of its sheet, and asks the time server', () => {
    for (const c of all(w.facts, 'controller')) {
      const ports = flows()
        .filter((f) => f.to.kind === 'device' && f.to.name.startsWith(`${c.ref} `))
        .map((f) => [f.from.kind, f.to.address, f.transport, f.port])
      expect(w.facts.reach[c.id]?.owned).toBeFalsy()
      expect(ports).toEqual((sheets()[c.sheet]?.listens ?? []).map((l) => ['here', c.address, l.transport, l.port]))
      expect(ports.length).toBeGreaterThan(0)
      expect(flows().filter((f) => f.use === 'time' && f.from.name.startsWith(`${c.ref} `))).toMatchObject([
        { to: { kind: 'timeServer', address: w.facts.job['job']?.network.timeServer }, transport: 'udp', port: 123 },
      ])
    }
  })
  // RFC 6762: 224.0.0.251, 5353. WS-Discovery 1.1: 239.255.255.250, 3702 (from memory).
  it('finding goes both ways to the group; phones come to the screens, and to the name where there is one', () => {
    const lines = flows().map(line)
    expect(lines).toContain('this computer > discovery group 239.255.255.250 udp 3702')
    expect(lines).toContain('every device > discovery group 239.255.255.250 udp 3702')
    expect(lines).toContain('phones and tablets > this computer rauta-x.local tcp 4443')
    expect(lines).toContain('phones and tablets > names on the local network 224.0.0.251 udp 5353')
    const byAddress = flows(screensAt('http://10.61.8.5:4380')).map(line)
    expect(byAddress).toContain('phones and tablets > this computer 10.61.8.5 tcp 4380')
    expect(byAddress.join()).not.toContain('5353')
    expect(flows(screensAt('http://127.0.0.1:4380')).some((f) => f.from.kind === 'phones')).toBe(false)
    for (const odd of ['', 'http://', 'http://a b', 'http://[', 'x']) expect(screensAt(odd)).toBeNull()
    expect(screensAt('https://rauta.local')).toMatchObject({ port: 443, secure: true, named: true })
  })
  it('HTTPS is asked for where the device may offer it, and no more once it was found not to', () => {
    const c = all(w.facts, 'controller')[0]
    if (!c) throw new Error('no controller')
    const secure = (reach: object | null) =>
      networkFlows({ ...w.facts, reach: reach ? { [c.id]: reach as never } : {} }, sheets(), null)
        .filter((f) => f.use === 'secure' && f.id.includes(`controller/${c.id}/`))
        .map((f) => f.maybe)
    expect(secure(null)).toEqual([true])
    expect(secure({ owned: false })).toEqual([true])
    expect(secure({ owned: true })).toEqual([])
    expect(secure({ owned: true, secured: { port: 443, fingerprint: 'f' } })).toEqual([false])
    const maybe = { ...flows()[0], maybe: true } as Flow
    expect(flowTestSays(maybe, { outcome: 'refused', tookMs: 1 }, 30)).toMatch(/No matter/)
  })
  it('has each line once, under the same name as long as the plan is the same', () => {
    const ids = flows().map((f) => f.id)
    expect(new Set(ids).size).toBe(ids.length)
    expect(flows().map((f) => f.id)).toEqual(ids)
  })
  it('what is not known yet is a fault, never left out, and never tried', () => {
    const c = all(w.facts, 'controller')[0]
    if (!c) throw new Error('no controller')
    const bare: DeviceSheet = { ...(sheets()[c.sheet] as DeviceSheet) }
    delete bare.listens
    const unknown = networkFlows(w.facts, { ...sheets(), [c.sheet]: bare }, null).filter((f) => f.port === null)
    expect(unknown.length).toBe(all(w.facts, 'controller').filter((x) => x.sheet === c.sheet).length)
    expect(unknown[0]).toMatchObject({
      test: null,
      fault: expect.stringContaining('on which ports it listens') as string,
    })
    const facts = { ...w.facts, controller: { [c.id]: { ...c, address: '' } } }
    const waiting = networkFlows(facts, sheets(), null).filter((f) => f.to.kind === 'device')
    expect(waiting.length).toBeGreaterThan(0)
    for (const f of waiting)
      expect(f).toMatchObject({ test: null, fault: 'It has no address yet. Give it one under Addresses.' })
    const job = w.facts.job['job']
    if (!job) throw new Error('no job')
    const timeless = { ...w.facts, job: { job: { ...job, network: { ...job.network, timeServer: '' } } } }
    const times = networkFlows(timeless, sheets(), null).filter((f) => f.use === 'time')
    for (const f of times) expect([f.test, f.fault]).toEqual([null, expect.stringContaining('names no time server')])
  })
  it('a station calls its exchange, whose address is not ours to say', () => {
    w.do('door.add', {
      id: 'S-01',
      fields: { ref: 'S-01', name: 'Gate', from: 'out', to: 'in', hardware: { entryReader: 'station-one' } },
    })
    expect(flows().filter((f) => f.use === 'call')).toMatchObject([
      { from: { name: 'S-01 R1 Door station, one piece' }, to: { kind: 'other', name: 'Call exchange' }, port: 5060 },
    ])
  })
  it('lines of one rule stand together, none is lost', () => {
    const rules = flowRules(flows())
    expect(rules.filter((r) => r.flows[0]?.port === 80).length).toBe(1)
    expect(rules.flatMap((r) => r.flows).length).toBe(flows().length)
    for (const r of rules)
      expect(
        new Set(r.flows.map((f) => `${f.from.kind} ${f.to.kind} ${f.transport} ${f.port} ${f.protocol}`)).size,
      ).toBe(1)
  })
})

describe('what came of trying', () => {
  const connect = { to: { address: '10.1.1.2' }, transport: 'tcp', port: 443, test: 'connect' } as Flow
  const time = { ...connect, transport: 'udp', port: 123, test: 'time' } as Flow
  it.each([
    ['open', /took the connection/, true],
    ['refused', /says no/, false],
    ['silent', /nothing came back/, false],
    ['noWay', /knows no route/, false],
  ] as const)('%s is told apart from the others', (outcome, says, open) => {
    expect(flowTestSays(connect, { outcome, tookMs: 1 }, 30)).toMatch(says)
    expect(flowIsOpen(connect, { outcome, tookMs: 1 }, 30)).toBe(open)
  })
  it('a time server that tells another time than this computer is not as it should be', () => {
    const test = (offsetMs: number) => ({ outcome: 'open' as const, tookMs: 1, offsetMs })
    expect(flowTestSays(time, test(-45_000), 30)).toMatch(/45 s behind this computer’s/)
    expect(flowTestSays(time, test(45_000), 30)).toMatch(/45 s ahead of/)
    expect([30_000, -30_000, 30_001, -30_001].map((off) => flowIsOpen(time, test(off), 30))).toEqual([
      true,
      true,
      false,
      false,
    ])
    expect(flowTestSays(time, test(2000), 30)).not.toMatch(/wrong/)
  })
})

it('a clock that is right has no sign', () =>
  expect([0, -20, 49, -50, -1500, 3_600_000].map(offsetText)).toEqual(['0.0', '0.0', '0.0', '-0.1', '-1.5', '3600.0']))
