import fc from 'fast-check'
import { makeClock, topics } from '@rauta/protocols'
import { bitsSent } from '../src/site/sending'
import { bitsOfKey, keyOfBits } from '../src/device/keypads'
import { board, exitReader, knownCard } from './board'

describe('the firmware of a simulated door controller', () => {
  it('does nothing with a card while it holds no configuration', () => {
    const b = board()
    delete b.entities.DoorWiring['D']
    b.firmware.cardRead('reader 1', bitsSent('AAAAAA'))
    expect(b.words()).toEqual([])
  })

  it.each([
    ['an unknown card', {}, 'BBBBBB', 'Card CredentialNotFound'],
    ['a lost card', { enabled: false }, 'AAAAAA', 'Credential CredentialNotEnabled'],
    ['a card with no rule', { profiles: [] }, 'AAAAAA', 'Credential NotPermitted'],
    [
      'a card whose right has ended',
      { profiles: [{ token: 'p', validTo: '2001-01-01T00:00:00Z' }] },
      'AAAAAA',
      'Credential NotPermitted',
    ],
    [
      'a card whose right is to come',
      { profiles: [{ token: 'p', validFrom: '2099-01-01T00:00:00Z' }] },
      'AAAAAA',
      'Credential NotPermitted',
    ],
    ['a card out of hours', { schedule: 'none' }, 'AAAAAA', 'Credential NotPermittedAtThisTime'],
  ])('refuses %s for its own reason', (_what, over, card, said) => {
    const b = board()
    knownCard(b, over)
    b.firmware.cardRead('reader 1', bitsSent(card))
    expect(b.words()).toEqual([said])
    expect(b.relays.get('relay 1')).toBeUndefined()
  })

  it('lets in whose right counts now, whatever other right has ended', () => {
    const b = board()
    knownCard(b, {
      profiles: [
        { token: 'p', validFrom: '2001-01-01T00:00:00Z', validTo: '2099-01-01T00:00:00Z' },
        { token: 'p', validTo: '2001-01-01T00:00:00Z' },
      ],
    })
    b.firmware.cardRead('reader 1', bitsSent('AAAAAA'))
    expect(b.relays.get('relay 1')).toBe(true)
  })

  it('releases for its time when nobody opens', () => {
    const b = board()
    knownCard(b)
    b.firmware.cardRead('reader 1', bitsSent('AAAAAA'))
    expect(b.relays.get('relay 1')).toBe(true)
    b.clock.turn(4999)
    expect(b.relays.get('relay 1')).toBe(true)
    b.clock.turn(2)
    expect(b.relays.get('relay 1')).toBe(false)
    expect(b.words()).toEqual(['Credential D.R1', 'LockPhysicalState Unlocked', 'LockPhysicalState Locked'])
  })

  it('relocks after its delay once the leaf has closed', () => {
    const b = board()
    knownCard(b)
    b.firmware.cardRead('reader 1', bitsSent('AAAAAA'))
    b.clock.turn(1000)
    b.input('input 1', false)
    b.clock.turn(9000)
    expect(b.relays.get('relay 1')).toBe(true) // open: it waits for the leaf
    b.input('input 1', true)
    b.clock.turn(1999)
    expect(b.relays.get('relay 1')).toBe(true)
    b.clock.turn(2)
    expect(b.relays.get('relay 1')).toBe(false)
  })

  it('a second release starts the time again and tells the lock only once', () => {
    const b = board()
    knownCard(b)
    b.firmware.cardRead('reader 1', bitsSent('AAAAAA'))
    b.clock.turn(3000)
    b.firmware.cardRead('reader 1', bitsSent('AAAAAA'))
    b.clock.turn(4000)
    expect(b.relays.get('relay 1')).toBe(true)
    b.clock.turn(1001)
    expect(b.words().filter((w) => w.startsWith('Lock'))).toEqual([
      'LockPhysicalState Unlocked',
      'LockPhysicalState Locked',
    ])
  })

  it('alarms when the leaf opens without a release, and not when that is set off', () => {
    const b = board()
    b.input('input 1', false)
    expect(b.words()).toEqual(['DigitalInput true', 'DoorPhysicalState Open', 'DoorAlarm DoorForcedOpen'])
    b.input('input 1', true)
    expect(b.words()).toEqual(['DigitalInput false', 'DoorPhysicalState Closed', 'DoorAlarm Normal'])
    const quiet = board()
    const wiring = quiet.entities.DoorWiring['D']
    if (wiring) wiring.forcedAlarm = false
    quiet.input('input 1', false)
    expect(quiet.words()).not.toContain('DoorAlarm DoorForcedOpen')
  })

  it('alarms when the leaf is held open, at its time', () => {
    const b = board()
    knownCard(b)
    b.firmware.cardRead('reader 1', bitsSent('AAAAAA'))
    b.input('input 1', false)
    b.words()
    b.clock.turn(19_999)
    expect(b.words()).toEqual([])
    b.clock.turn(2)
    expect(b.words()).toEqual(['DoorAlarm DoorOpenTooLong'])
  })

  it('alarms late when its timers are off', () => {
    const b = board()
    b.host.faults.timerFactor = 1.35
    b.input('input 1', false)
    b.words()
    b.clock.turn(26_999)
    expect(b.words()).toEqual([])
    b.clock.turn(2)
    expect(b.words()).toEqual(['DoorAlarm DoorOpenTooLong'])
  })

  it('lets out by the button, and reads an input by its own idle state', () => {
    const b = board()
    b.input('input 2', true)
    expect(b.words()).toEqual(['DigitalInput true', 'Anonymous D.R1', 'LockPhysicalState Unlocked'])
    const turned = board()
    turned.entities.DigitalInput['input 1'] = { token: 'input 1', idle: 'open' }
    turned.input('input 1', false)
    expect(turned.words()).toEqual(['DigitalInput false', 'DoorPhysicalState Closed'])
  })

  it('starts anew after power-up: no timer of before runs on', () => {
    const b = board()
    knownCard(b)
    b.firmware.cardRead('reader 1', bitsSent('AAAAAA'))
    b.words()
    b.firmware.restart()
    b.clock.turn(60_000)
    expect(b.words()).toEqual([])
  })

  it('stamps what was due at the moment it was due', () => {
    const b = board()
    const seen: number[] = []
    const from = b.host.world.now()
    b.host.world.after(1500, () => seen.push(b.host.world.now() - from))
    b.clock.turn(9000)
    expect(seen).toEqual([1500])
    expect(topics.leaf).toBe('Door/State/DoorPhysicalState')
    expect(makeClock(2).factor).toBe(2)
  })
})

it('free hours that end while the leaf is open: the warning and the alarm come in their time, and it locks once it is shut', () => {
  const b = board()
  knownCard(b)
  const wiring = b.entities.DoorWiring['D']
  const door = b.entities.Door['D']
  if (!wiring || !door) throw new Error('no door')
  b.entities.Door['D'] = { ...door, preAlarmS: 5 }
  b.firmware.rehearse(wiring, 'Free', 900)
  b.input('input 1', false)
  b.clock.turn(60_000)
  expect(b.words()).toEqual([
    'DoorMode Unlocked',
    'LockPhysicalState Unlocked',
    'DigitalInput true',
    'DoorPhysicalState Open',
  ])
  b.firmware.rehearse(wiring, null, 0)
  b.clock.turn(15_000)
  expect(b.words()).toEqual(['DoorMode Locked', 'DoorPreAlarm'])
  b.clock.turn(5000)
  expect(b.words()).toEqual(['DoorAlarm DoorOpenTooLong'])
  b.input('input 1', true)
  b.clock.turn(2000)
  expect(b.words().slice(-1)).toEqual(['LockPhysicalState Locked'])
  expect(b.relays.get('relay 1')).toBe(false)
})

/** Whatever a door is set to, and whatever was done before, it lets out whoever asks to leave, at once. */
describe('nothing holds whoever leaves', () => {
  const some = <T>(value: T) => fc.option(fc.constant(value), { nil: undefined })
  const settings = fc.record({
    unlockAfterS: some(30),
    relockAt: some('Opening'),
    freeOn: some('free'),
    barredOn: some('barred'),
    firstPerson: fc.boolean(),
    pairWithinS: some(10),
    reentryS: some(600),
    passback: fc.constantFrom(undefined, 'Hard', 'Soft'),
    passbackS: some(3600),
    decidedBy: some('Server'),
    reachS: some(20),
    without: fc.constantFrom(undefined, 'Shut', 'Open', 'Local'),
  })
  const before = fc.array(
    fc.constantFrom(
      'in',
      'out',
      'press',
      'wait',
      'Free',
      'Controlled',
      'Barred',
      'FreeAfterFirst',
      'heldOpen',
      'back',
      'heard',
    ),
    { maxLength: 6 },
  )

  const bits = bitsSent('AAAAAA')
  it.each(['the exit button', 'the exit reader'])('by %s', (way) => {
    fc.assert(
      fc.property(settings, before, fc.integer({ min: 0, max: 7 * 24 }), (behaviour, acts, hour) => {
        const b = board()
        knownCard(b)
        exitReader(b)
        b.entities.AccessPoint['D.R1'] = { token: 'D.R1', name: '', areaFrom: 'out', areaTo: 'in', entity: 'D' }
        b.entities.AccessPoint['D.R2'] = { token: 'D.R2', name: '', areaFrom: 'in', areaTo: 'out', entity: 'D' }
        for (const [token, from, to] of [
          ['free', '08', '16'],
          ['barred', '14', '22'],
        ])
          b.entities.Schedule[token ?? ''] = {
            token: token ?? '',
            name: '',
            standard: `BEGIN:VEVENT\r\nDTSTART:19700105T${from}0000\r\nDTEND:19700105T${to}0000\r\nRRULE:FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR,SA,SU\r\nEND:VEVENT`,
            specialDays: [],
          }
        const set = Object.entries(behaviour).filter(([, v]) => v !== undefined && v !== false)
        b.entities.DoorBehaviour['D'] = { token: 'D', ...Object.fromEntries(set) }
        b.clock.turn(hour * 3_600_000)
        b.firmware.lookAtHours()
        const wiring = b.entities.DoorWiring['D']
        if (!wiring) throw new Error('no wiring')
        const press = () => {
          b.input('input 2', true)
          b.input('input 2', false)
        }
        for (const act of acts) {
          if (act === 'in') b.firmware.cardRead('reader 1', bits)
          else if (act === 'out') b.firmware.cardRead('reader 2', bits)
          else if (act === 'press') press()
          else if (act === 'wait') b.clock.turn(9000)
          else if (act === 'heard') b.firmware.deciderHeard('D')
          else if (act === 'heldOpen') b.firmware.stand(wiring, 'LockedOpen')
          else if (act === 'back') b.firmware.stand(wiring, 'Locked')
          else b.firmware.rehearse(wiring, act, 900)
        }
        if (way === 'the exit button') press()
        else b.firmware.cardRead('reader 2', bits)
        expect([behaviour, acts, b.firmware.state('D').unlocked, b.relays.get('relay 1')]).toEqual([
          behaviour,
          acts,
          true,
          true,
        ])
      }),
      { numRuns: 300 },
    )
  })
})

describe('a door that asks for a code', () => {
  const cardBits = () => bitsSent('AAAAAA')
  function coded(code: string, over: object = {}) {
    const b = board()
    knownCard(b)
    Object.assign(b.entities.CredentialData['c'] ?? {}, { code: '40962', duress: '40968' })
    b.entities.CredentialData['k'] = {
      token: 'k',
      holder: '7 Seven',
      format: 'code',
      value: '0',
      code: '68315',
      duress: '68319',
      enabled: true,
      profiles: [{ token: 'p' }],
    }
    b.entities.DoorBehaviour['D'] = { token: 'D', code, ...over }
    const type = (keys: string) => b.firmware.typed('reader 1', keys)
    const show = () => b.firmware.cardRead('reader 1', cardBits())
    return { ...b, type, show }
  }
  it('lets in with card and code, and by neither alone', () => {
    const d = coded('WithCard')
    d.show()
    expect(d.words()).toEqual(['CodeWanted D.R1'])
    d.type('40962')
    expect(d.words()).toEqual([])
    d.type('#')
    expect(d.words()).toEqual(['Credential D.R1', 'LockPhysicalState Unlocked'])
    d.clock.turn(6000)
    d.words()
    d.type('68315#')
    d.type('40962#')
    expect(d.words()).toEqual([])
    d.show()
    d.clock.turn(10_001)
    expect(d.words()).toEqual(['CodeWanted D.R1', 'Credential CodeMissing'])
    d.type('40962#')
    expect(d.words()).toEqual([])
  })
  it('refuses a wrong code, and somebody else’s', () => {
    const d = coded('WithCard')
    for (const wrong of ['40961', '68315', '0', '409620']) {
      d.show()
      d.type(`${wrong}#`)
      expect([wrong, d.words()]).toEqual([wrong, ['CodeWanted D.R1', 'Credential InvalidPIN']])
    }
  })
  it('the star begins anew, and digits left standing are forgotten', () => {
    const d = coded('WithCard')
    d.show()
    d.type('999*40962#')
    expect(d.words()).toContain('LockPhysicalState Unlocked')
    d.clock.turn(6000)
    d.words()
    d.type('9')
    d.clock.turn(10_001)
    d.show()
    d.type('40962#')
    expect(d.words()).toContain('LockPhysicalState Unlocked')
  })
  it('another card in between ends the waiting of the first', () => {
    const d = coded('WithCard')
    d.show()
    d.show()
    d.type('40962#')
    expect(d.words()).toEqual([
      'CodeWanted D.R1',
      'CodeWanted D.R1',
      'Credential CodeMissing',
      'Credential D.R1',
      'LockPhysicalState Unlocked',
    ])
  })
  it('under duress it opens all the same, and tells', () => {
    const d = coded('WithCard')
    d.show()
    d.type('40968#')
    expect(d.words()).toEqual(['CodeWanted D.R1', 'Duress D.R1', 'Credential D.R1', 'LockPhysicalState Unlocked'])
    const alone = coded('Alone')
    alone.type('68319#')
    expect(alone.words()).toEqual(['Duress D.R1', 'Credential D.R1', 'LockPhysicalState Unlocked'])
  })
  it('by a code alone where that is enough, and a card where no code is asked for besides', () => {
    const d = coded('InsteadOfCard')
    d.type('68315#')
    expect(d.words()).toEqual(['Credential D.R1', 'LockPhysicalState Unlocked'])
    d.clock.turn(6000)
    d.words()
    d.show()
    expect(d.words()).toEqual(['Credential D.R1', 'LockPhysicalState Unlocked'])
    d.clock.turn(6000)
    d.words()
    for (const unknown of ['40962', '12345']) {
      d.type(`${unknown}#`)
      expect([unknown, d.words()]).toEqual([unknown, ['PIN CodeNotFound']])
    }
    d.type('#')
    expect(d.words()).toEqual([])
    const alone = coded('Alone')
    alone.show()
    expect(alone.words()).toEqual(['Credential CodeMissing'])
  })
  it('keys of a keypad by Wiegand are the same keys, and none of a door that asks for no code', () => {
    const d = coded('InsteadOfCard')
    for (const key of '68315#') d.firmware.cardRead('reader 1', bitsOfKey(key))
    expect(d.words()).toEqual(['Credential D.R1', 'LockPhysicalState Unlocked'])
    const plain = coded('InsteadOfCard')
    delete plain.entities.DoorBehaviour['D']
    for (const key of '68315#') plain.firmware.cardRead('reader 1', bitsOfKey(key))
    expect(plain.words()).toEqual([])
    expect([...'0123456789*#'].map((k) => keyOfBits(bitsOfKey(k)))).toEqual([...'0123456789*#'])
    expect(keyOfBits([1, 1, 1, 1])).toBeNull()
  })
  it('nobody is asked for a code who is refused anyhow, nor who leaves', () => {
    const d = coded('WithCard')
    Object.assign(d.entities.CredentialData['c'] ?? {}, { enabled: false })
    d.show()
    expect(d.words()).toEqual(['Credential CredentialNotEnabled'])
    const out = coded('WithCard')
    const [reader] = out.entities.DoorWiring['D']?.readers ?? []
    if (reader) reader.function = 'exitReader'
    out.show()
    expect(out.words()).toEqual(['Credential D.R1', 'LockPhysicalState Unlocked'])
  })
  it('whoever has no code is refused at once', () => {
    const d = coded('WithCard')
    delete d.entities.CredentialData['c']?.code
    d.show()
    expect(d.words()).toEqual(['Credential CodeMissing'])
  })
})
