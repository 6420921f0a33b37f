import {
  all,
  answersFor,
  bitsText,
  boardOf,
  cardBits,
  cardData,
  diagnose,
  doorsOn,
  eventsOf,
  failureNamed,
  failureOf,
  silentDevice,
  scriptFor,
  sentAs,
  formatOf,
  toldDuring,
  toldWords,
  type Bits,
  type CardFormat,
  type Controller,
  type DeviceEvent,
  type Failure,
  type LookId,
  type SeenOnBus,
} from '@rauta/core'
import { event, magnetHardware, sheets, smallJob, strikeHardware, type World } from './world'

const board = (w: World) => boardOf(sheets, w.facts.controller['a1'] as Controller)
const test = (w: World, id: string) => {
  const found = scriptFor(w.facts, w.door(), sheets).find((t) => t.id === id)
  if (!found) throw new Error(`no test ${id}`)
  return found
}
const failed = (w: World, id: string, told: DeviceEvent[]): Failure | null =>
  failureOf({
    proof: 'p1',
    door: w.door(),
    test: test(w, id),
    told,
    lockSaid: told.findLast((e) => e.kind === 'lock'),
    board: board(w),
    controller: 'A1',
    sheets,
    others: doorsOn(w.facts, 'a1'),
  })
const subject = (w: World, id: string, told: DeviceEvent[]) => {
  const { subject, known } = failed(w, id, told) ?? { subject: null, known: {} }
  return [subject, known]
}
const after = (w: World, id: string, told: DeviceEvent[], answers: Partial<Record<LookId, string>> = {}) => {
  const failure = failed(w, id, told)
  if (!failure) throw new Error('no failure that is known')
  return diagnose(failure, answers as Record<string, string>)
}
const input = (port: string, over: Partial<DeviceEvent> = {}) =>
  event(0, 1, 'input', 'active', { door: '', port, ...over })
const released = [event(0, 1, 'granted', 'granted'), event(0, 1.1, 'lock', 'unlocked', { part: 'K1' })]
const screw = (w: World, port: string) =>
  board(w).terminals.find((t) => t.port === port && t.kind === 'input')?.id ?? ''

describe('a failed test is a failure of a kind, with what the devices told of it', () => {
  it('an exit button on another input is found by what came from there, with both screws', () => {
    const w = smallJob(magnetHardware)
    const found = after(w, 'exit-button', [input('input 4')])
    expect(found.left[0]).toMatchObject({
      id: 'inputOther',
      says: `X1 sits on another input: input 4 (terminal ${screw(w, 'input 4')}).`,
      mend: `Move its conductor to input 2 (terminal ${screw(w, 'input 2')}).`,
    })
    // One look settles it, and it is at the cabinet where one stands.
    expect(after(w, 'exit-button', [input('input 4')], { across: 'follows' }).settled?.id).toBe('inputOther')
  })
  it('where nothing came, the cable is the likeliest; a bridge at the controller and a meter tell the rest', () => {
    const w = smallJob(magnetHardware)
    const first = after(w, 'exit-button', [])
    expect([first.left[0]?.id, first.settled, first.next?.look]).toEqual(['inputCut', null, 'bridge'])
    expect(after(w, 'exit-button', [], { across: 'closed' }).settled?.id).toBe('inputBridged')
    const open = after(w, 'exit-button', [], { across: 'open' })
    expect(open.left.map((c) => c.id)).toEqual(['inputCut', 'partDead'])
    expect(open.out.find((c) => c.id === 'inputBridged')?.by).toBe('Always open')
    expect([open.next?.look, open.minutes]).toEqual(['atPart', 5])
    expect(after(w, 'exit-button', [], { across: 'open', atPart: 'still' }).settled?.id).toBe('partDead')
  })
  it('a button that says idle when it is pressed rests the other way round', () => {
    const w = smallJob(magnetHardware)
    const told = [event(0, 1, 'input', 'idle', { part: 'X1', port: 'input 2' })]
    expect(after(w, 'exit-button', told).settled).toMatchObject({
      id: 'restTurned',
      says: 'X1 rests closed, and the plan says open.',
    })
  })
  it('another door’s button tells of exchanged cables', () => {
    const w = smallJob(magnetHardware)
    w.do('door.add', {
      id: 'D-02',
      fields: { ref: 'D-02', name: 'Back', from: 'out', to: 'in', hardware: magnetHardware },
    })
    w.do('door.placeProposed', { id: 'D-02', controller: 'a1' })
    const told = [event(0, 1, 'exit', 'active', { door: 'D-02', part: 'X1', port: 'input 4' })]
    expect(after(w, 'exit-button', told).left[0]).toMatchObject({
      id: 'inputExchanged',
      says: expect.stringContaining('What came was D-02 X1 on input 4') as string,
    })
  })
  it('a button that is seen, and a lock that was told: the lock is looked at, for volts that go or come by its kind', () => {
    const told = [
      event(0, 1, 'exit', 'active', { part: 'X1', port: 'input 2' }),
      event(0, 1.1, 'lock', 'unlocked', { part: 'K1' }),
    ]
    const magnet = smallJob(magnetHardware)
    expect(after(magnet, 'exit-button', told).next?.look).toBe('opened')
    const shut = { opened: 'no', voltsReleased: 'full' }
    expect(after(magnet, 'exit-button', told, shut).left.map((c) => c.id)).toEqual([
      'lockOtherContact',
      'lockBridged',
      'locksExchanged',
    ])
    const strike = smallJob({ ...strikeHardware, exit: 'button-exit' })
    expect(after(strike, 'exit-button', told, shut).settled?.id).toBe('lockStuck')
    // Nothing was released: what it holds and what it was told stand on the tape, and no cable is to blame.
    expect(subject(magnet, 'exit-button', told.slice(0, 1))).toEqual([null, {}])
  })
  it('a leaf that tells closed when it opens has its contact turned round', () => {
    const w = smallJob(magnetHardware)
    const told = [...released, event(0, 2, 'leaf', 'closed')]
    expect(after(w, 'good-card', told).settled?.id).toBe('contactTurned')
    // As it should be, nothing is wrong with lock or contact.
    expect(subject(w, 'good-card', [...released, event(0, 2, 'leaf', 'open')])).toEqual([null, {}])
  })
  it('a card that nobody heard is the reader’s; one heard at another door is exchanged', () => {
    const w = smallJob(magnetHardware)
    expect(after(w, 'good-card', []).next).toMatchObject({ look: 'lamp', asks: 'Is any lamp of R1 lit?' })
    const elsewhere = [event(0, 1, 'granted', 'granted', { door: 'D-07' })]
    expect(after(w, 'good-card', elsewhere).left[0]?.id).toBe('readersExchanged')
  })
  it('a door that gives before its load, or while it should hold, is looked at from the feed on; one that is released is the controller’s', () => {
    const w = smallJob(magnetHardware)
    expect(subject(w, 'holds', [])).toEqual(['leafGivesSafe', {}])
    expect(subject(w, 'before-load', [])).toEqual(['leafGivesSafe', {}])
    expect(after(w, 'holds', [event(0, 1, 'lock', 'unlocked')]).left[0]?.id).toBe('stillReleased')
    expect(after(w, 'holds', [], { glass: 'broken' }).settled?.id).toBe('glassOpen')
    expect(subject(smallJob({ ...magnetHardware, breakGlass: '' }), 'holds', [])[0]).toBe('leafGivesNoGlass')
    // A strike holds without volts: no feed and no glass is to blame.
    expect(subject(smallJob(strikeHardware), 'holds', [])).toEqual(['leafGivesSecure', {}])
  })
  it('a break glass that frees nobody is told from a lock that sticks, and says that nobody may rely on it', () => {
    const w = smallJob(magnetHardware)
    expect(subject(w, 'break-glass', [])).toEqual(['glassKeeps', {}])
    const past = after(w, 'break-glass', [], { voltsPressed: 'full', acrossGlass: 'open' }).settled
    expect([past?.id, past?.mend]).toEqual(['glassPast', expect.stringMatching(/Nobody uses this door as a way out/)])
    expect(after(w, 'break-glass', [], { opened: 'no', voltsPressed: 'none' }).settled?.id).toBe('lockStuck')
  })
})

describe('what came instead of the card', () => {
  const w = smallJob(magnetHardware)
  const kit = w.facts.testCards['kit']
  if (!kit) throw new Error('no cards')
  const good = cardBits(kit.good)
  const turned = (bits: Bits): Bits => bits.map((b) => (b === 1 ? 0 : 1))
  const long = formatOf('wiegand34') as CardFormat
  const unknown = (bits: Bits) => [event(0, 1, 'refused', 'unknown', { bits: bitsText(bits) })]
  const sends: [string, Bits, string, string][] = [
    ['no data 0', good.filter((b) => b === 1), 'allOnes', 'data0Dead'],
    ['no data 1', good.filter((b) => b === 0), 'allNoughts', 'data1Dead'],
    ['exchanged lines', turned(good), 'exchanged', 'linesExchanged'],
    ['bits turned round', [...good].reverse(), 'turned', 'orderTurned'],
    ['34 bits', sentAs(long, 'asSent', { facility: 9, number: 1n }), 'otherwise', 'otherFormat'],
    ['another card', cardBits(kit.unknown), 'another', 'otherCard'],
    ['a bit that flipped', good.map((b, i) => (i === 5 ? ((1 - b) as 0 | 1) : b)), 'parity', 'pulsesLost'],
    ['a bit that was lost', good.filter((_, i) => i !== 5), 'short', 'pulsesLost'],
  ]
  it.each(sends)('%s', (_what, bits, came, likeliest) => {
    expect(cardData(kit.good)).toBe(test(w, 'good-card').cards[0])
    const failure = failed(w, 'good-card', unknown(bits))
    expect([failure?.subject, failure?.known]).toEqual(['cardStrange', { came }])
    expect(failure && toldWords(failure)[0]).toMatch(/\.$/)
    expect(after(w, 'good-card', unknown(bits)).left[0]?.id).toBe(likeliest)
  })
  it('one that the controller knows and refuses says its reason itself', () => {
    expect(subject(w, 'good-card', [event(0, 1, 'refused', 'hours')])).toEqual([null, {}])
    // A test of refusal awaits just that.
    expect(subject(w, 'unknown-card', unknown(good))).toEqual([null, {}])
  })
})

describe('what somebody saw is kept with the failure that it was looked at for', () => {
  const ran = () => {
    const w = smallJob(magnetHardware)
    w.reached()
    w.loaded()
    w.do('trial.start', { door: 'D-01', test: 'exit-button' })
    w.put('event', { ...input('input 4'), id: 'mine', at: w.now + 500 })
    w.do('trial.answer', { door: 'D-01', test: 'exit-button', answer: 'failed', says: 'Nothing happens.' })
    const proof = all(w.facts, 'proof')[0]
    if (!proof) throw new Error('no proof')
    return { w, proof }
  }
  const answers = (w: World, id: string) => {
    const failure = failureNamed(w.facts, id, sheets)
    return failure ? answersFor(w.facts, failure) : {}
  }
  it('answered, answered otherwise, and taken back; the next failure begins anew', () => {
    const { w, proof } = ran()
    w.do('look.answer', { failure: proof.id, look: 'across', answer: 'open' })
    w.do('look.answer', { failure: proof.id, look: 'bridge', answer: 'told' })
    expect(answers(w, proof.id)).toEqual({ across: 'open', bridge: 'told' })
    w.do('look.answer', { failure: proof.id, look: 'across', answer: 'closed' })
    w.do('look.answer', { failure: proof.id, look: 'bridge', answer: '' })
    expect(answers(w, proof.id)).toEqual({ across: 'closed' })
    expect(answers(w, 'another')).toEqual({})
  })
  it('only a failed test is a failure: one that passed, or was skipped, is not searched', () => {
    const { w, proof } = ran()
    expect(failureNamed(w.facts, proof.id, sheets)?.subject).toBe('inputSilent')
    for (const verdict of ['passed', 'skipped', 'not judged'] as const) {
      w.put('proof', { ...proof, id: verdict, verdict })
      expect(failureNamed(w.facts, verdict, sheets)).toBeNull()
    }
  })
  it('answers are kept by their failure: the next one of the same test has none of them', () => {
    const { w, proof } = ran()
    w.do('look.answer', { failure: proof.id, look: 'across', answer: 'open' })
    w.put('proof', { ...proof, id: 'p-next' })
    expect([answers(w, proof.id), answers(w, 'p-next')]).toEqual([{ across: 'open' }, {}])
  })
  it('no answer of another look, of another failure, or of nothing is taken', () => {
    const { w, proof } = ran()
    for (const [look, answer] of [
      ['across', 'maybe'],
      ['lamp', 'lit'],
      ['came', 'stray'],
      ['constructor', 'name'],
      ['across', 'toString'],
    ])
      expect(() => w.do('look.answer', { failure: proof.id, look, answer })).toThrow(/no answer/)
    expect(() => w.do('look.answer', { failure: 'p-0', look: 'across', answer: 'open' })).toThrow(/is over/)
    expect(all(w.facts, 'looked')).toEqual([])
  })
  it('what was told while it ran is kept with a failure, of its own controller and its own time', () => {
    const w = smallJob(magnetHardware)
    w.reached()
    w.loaded()
    w.put('event', { ...input('input 3'), id: 'early', at: w.now - 60_000 })
    w.do('trial.start', { door: 'D-01', test: 'exit-button' })
    w.put('event', { ...input('input 4'), id: 'mine', at: w.now + 500 })
    w.put('event', { ...input('input 4', { controller: 'a9' }), id: 'other', at: w.now + 500 })
    const trial = w.facts.trial['D-01']
    expect(trial && toldDuring(w.facts, trial).map((e) => e.id)).toEqual(['mine'])
    w.do('trial.answer', { door: 'D-01', test: 'exit-button', answer: 'failed', says: 'Nothing happens.' })
    const proof = all(w.facts, 'proof')[0]
    expect(proof && eventsOf(proof).map((e) => e.id)).toEqual(['mine'])
  })
  it('answers that contradict each other leave nothing, and each can still be taken back', () => {
    const w = smallJob(magnetHardware)
    const torn = after(w, 'exit-button', [], { across: 'closed', bridge: 'told' })
    expect([torn.left, torn.settled, torn.next]).toEqual([[], null, null])
    expect(torn.found.map((f) => f.look)).toEqual(['bridge', 'across'])
  })
})

describe('a device that does not answer', () => {
  const onBus = (id: string, state: SeenOnBus['state'], address: number) => ({
    id,
    onBus: { controller: 'a1', port: 'bus 1', address, serial: id, state },
    lastAnswerAt: 1000,
  })
  const world = () => {
    const w = smallJob(magnetHardware)
    w.controller('a2', 'controller-2', { address: '10.1.1.22' })
    w.reached('a1')
    w.reached('a2', { serial: 'S2', address: '10.1.1.22' })
    return w
  }
  it('is a failure only while it is silent; whether its neighbours are tells the network from the device', () => {
    const w = world()
    expect(silentDevice(w.facts, 'a1')).toBeNull()
    expect(silentDevice(w.facts, 'constructor')).toBeNull()
    w.reached('a1', { silentMs: 5000 })
    expect(silentDevice(w.facts, 'a1')).toMatchObject({
      subject: 'deviceSilent',
      known: { neighbours: 'answer', greeting: 'none' },
      names: { device: 'A1', address: '10.1.1.21' },
    })
    w.reached('a2', { silentMs: 5000 })
    const failure = silentDevice(w.facts, 'a1') as Failure
    expect(failure.known.neighbours).toBe('silent')
    expect(diagnose(failure, {}).left[0]?.id).toBe('segmentDown')
  })
  it('one that was heard at another address since has moved there', () => {
    const w = world()
    w.reached('a1', { silentMs: 5000 })
    const found = {
      id: 'f',
      port: 80,
      name: '',
      model: '',
      mac: '',
      routable: true,
      ownership: 'ours',
      holds: null,
    } as const
    w.put('found', { ...found, address: '10.1.1.90', serial: 'S1', seenAt: w.now + 1, controller: null })
    const now = diagnose(silentDevice(w.facts, 'a1') as Failure, {})
    expect(now.settled).toMatchObject({ id: 'deviceMoved', says: 'A1 has another address now: 10.1.1.90.' })
    // Heard before it fell silent, it says nothing.
    w.put('found', { ...found, address: '10.1.1.90', serial: 'S1', seenAt: w.now - 1, controller: null })
    expect(silentDevice(w.facts, 'a1')?.known.greeting).toBe('none')
  })
  it('a reader on a bus is looked at by what its controller hears, and by its neighbours on the cable', () => {
    const w = world()
    w.reached('D-01/R1', onBus('D-01/R1', 'secured', 1))
    expect(silentDevice(w.facts, 'D-01/R1')).toBeNull()
    w.reached('D-01/R1', onBus('D-01/R1', 'silent', 1))
    expect(silentDevice(w.facts, 'D-01/R1')?.known).toEqual({ busState: 'silent' })
    w.reached('D-02/R1', onBus('D-02/R1', 'silent', 2))
    const both = silentDevice(w.facts, 'D-01/R1') as Failure
    expect([both.known, diagnose(both, {}).left[0]?.id]).toEqual([
      { busState: 'silent', busOthers: 'allSilent' },
      'busCut',
    ])
    w.reached('D-01/R1', onBus('D-01/R1', 'garbled', 1))
    const garbled = diagnose(silentDevice(w.facts, 'D-01/R1') as Failure, { alone: 'somebody' })
    expect([garbled.settled?.id, garbled.settled?.says]).toEqual(['busTwo', 'Two readers answer at address 1.'])
  })
  it('what was seen in one silence says nothing in the next', () => {
    const w = world()
    w.reached('a1', { silentMs: 5000, lastAnswerAt: w.now - 1000 })
    w.do('look.answer', { failure: 'device/a1', look: 'power', answer: 'dark' })
    const first = silentDevice(w.facts, 'a1') as Failure
    expect(diagnose(first, answersFor(w.facts, first)).settled?.id).toBe('devicePowerOff')
    w.reached('a1', { lastAnswerAt: w.now + 60_000 })
    expect(() => w.do('look.answer', { failure: 'device/a1', look: 'power', answer: 'lit' })).toThrow(/is over/)
    w.reached('a1', { silentMs: 5000, lastAnswerAt: w.now + 60_000 })
    expect(answersFor(w.facts, silentDevice(w.facts, 'a1') as Failure)).toEqual({})
  })
})
