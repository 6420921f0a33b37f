import { busDevicesOn, marksOf, type Reach, type SeenOnBus } from '@rauta/core'
import { roomy, sheets, strikeHardware, type World } from './world'

const reachOf = (w: World) => marksOf(w.facts, w.door(), sheets).reach

describe('Reach of a reader on a bus', () => {
  const onBus: SeenOnBus = { controller: 'a8', port: 'bus 1', address: 0, serial: 'RG-4001', state: 'secured' }
  const busDoor = (seen: Partial<SeenOnBus> = {}, reach: Partial<Reach> = {}) => {
    const w = roomy({ ...strikeHardware, entryReader: 'reader-bus' })
    const place = busDevicesOn(w.facts, sheets, 'a8')[0]
    if (!place) throw new Error('no bus device')
    w.do('part.address', { door: 'D-01', part: 'R1', address: 7 })
    w.reached('a8')
    w.reached('D-01/R1', { serial: 'RG-4001', onBus: { ...onBus, port: place.port, address: 7, ...seen }, ...reach })
    return w
  }

  it('is given to one that answers under its key, where it is planned', () => {
    expect(reachOf(busDoor())).toMatchObject({ sign: 'given', says: 'All 2 devices of this door answer.' })
  })
  it('is to do until it is taken into service', () => {
    const w = roomy({ ...strikeHardware, entryReader: 'reader-bus' })
    w.reached('a8')
    expect(reachOf(w)).toMatchObject({
      sign: 'underWay',
      says: 'R1 Card reader, bus is still to be taken into service on its bus.',
    })
  })
  it.each<[string, Partial<SeenOnBus>, Partial<Reach>, RegExp]>([
    ['another address', { address: 8 }, {}, /at address 8 of .* and is planned at address 7 of/],
    ['another bus', { port: 'bus 9' }, {}, /bus 9, and is planned/],
    ['another controller', { controller: 'a1' }, {}, /and is planned at address 7 of A8/],
    ['another serial', { serial: 'OTHER' }, {}, /another device \(OTHER\) answers/],
    ['noise', { state: 'garbled' }, {}, /terminators/],
    ['no encryption', { state: 'clear' }, {}, /in clear/],
    ['another key', { state: 'wrongKey' }, {}, /another key/],
    ['a controller without the key', { state: 'keyWanted' }, {}, /given again/],
    ['an open case', { tamper: true }, {}, /case is open/],
    ['never seen', {}, { onBus: undefined as never }, /never seen/],
    ['long silence', { state: 'silent' }, { silentMs: 121_000 }, /has not answered for/],
  ])('falls with %s', (_what, seen, reach, says) => {
    expect(reachOf(busDoor(seen, reach))).toMatchObject({ sign: 'stale', says: expect.stringMatching(says) as string })
  })
  it.each<[string, Partial<SeenOnBus>, Partial<Reach>]>([
    ['is not ours', {}, { owned: false }],
    ['is talked to in clear', { state: 'clear' }, {}],
    ['has another key', { state: 'wrongKey' }, {}],
    ['has a key that its controller lacks', { state: 'keyWanted' }, {}],
    ['was never seen', {}, { onBus: undefined as never }],
  ])('nobody signs for a door whose reader %s', (_what, seen, reach) => {
    const { sign } = marksOf(busDoor(seen, reach).facts, busDoor(seen, reach).door(), sheets)
    expect(sign.findings).toMatchObject([{ mark: 'sign', grade: 'stop', rule: 'talks-in-clear', at: 'R1' }])
  })
  it('an encrypted one is nothing to stop a signature', () => {
    expect(marksOf(busDoor().facts, busDoor().door(), sheets).sign.findings).toEqual([])
  })
})
