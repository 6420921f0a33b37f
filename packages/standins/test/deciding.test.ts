import type { DoorBehaviour } from '@rauta/protocols'
import { bitsSent } from '../src/site/sending'
import { board, exitReader, knownCard } from './board'

/** A door that asks the server, with a reader on either side. */
function asking(over: Partial<DoorBehaviour> = {}) {
  const b = board()
  knownCard(b)
  exitReader(b)
  b.entities.DoorBehaviour['D'] = { token: 'D', decidedBy: 'Server', reachS: 10, without: 'Local', ...over }
  b.firmware.lookAtHours()
  const show = (reader = 'reader 1', card = 'AAAAAA') => b.firmware.cardRead(reader, bitsSent(card))
  const say = (granted: boolean, reason = '') => b.firmware.decided('D.R1', 'c', { granted, reason })
  const open = () => b.relays.get('relay 1') ?? false
  return { ...b, show, say, open }
}

describe('a door that asks the server', () => {
  it('asks about whoever is known, lets in on its word, and refuses with its reason', () => {
    const b = asking()
    b.show()
    expect(b.words()).toEqual(['Credential D.R1'])
    expect(b.open()).toBe(false)
    expect(b.say(true)).toBe(true)
    expect(b.open()).toBe(true)
    b.clock.turn(6000)
    b.words()
    b.show()
    expect(b.say(false, 'NotPermitted')).toBe(true)
    expect(b.words()).toEqual(['Credential D.R1', 'Credential NotPermitted'])
    expect(b.open()).toBe(false)
  })

  it('an answer that nobody waits for, for somebody else, or twice, opens nothing', () => {
    const b = asking()
    expect(b.say(true)).toBe(false)
    b.show()
    expect(b.firmware.decided('D.R1', 'other', { granted: true, reason: '' })).toBe(false)
    expect(b.firmware.decided('D.R2', 'c', { granted: true, reason: '' })).toBe(false)
    expect(b.open()).toBe(false)
    expect(b.say(false, 'NotPermitted')).toBe(true)
    expect(b.say(true)).toBe(false)
    expect(b.open()).toBe(false)
  })

  it('who leaves, who is lost and who is unknown are not asked about', () => {
    const b = asking()
    b.show('reader 2')
    expect(b.open()).toBe(true)
    b.clock.turn(6000)
    b.words()
    b.show('reader 1', 'BBBBBB')
    expect(b.words()).toEqual(['Card CredentialNotFound'])
    const card = b.entities.CredentialData['c']
    if (card) card.enabled = false
    b.show()
    expect(b.words()).toEqual(['Credential CredentialNotEnabled'])
  })

  it('is out of reach after its time and not before, and each sign of life begins it anew', () => {
    const b = asking()
    b.clock.turn(9_999)
    expect(b.words()).toEqual([])
    expect(b.firmware.deciderHeard('D')).toBe(true)
    b.clock.turn(9_999)
    expect(b.words()).toEqual([])
    b.clock.turn(1)
    expect(b.words()).toEqual(['Decider Away'])
    b.clock.turn(100_000)
    expect(b.words()).toEqual([])
    b.firmware.deciderHeard('D')
    expect(b.words()).toEqual(['Decider Back'])
    // A door that asks nobody hears nobody.
    expect(b.firmware.deciderHeard('E')).toBe(false)
  })

  it.each<[string, string[], boolean]>([
    ['Local', ['Credential D.R1'], true],
    ['Shut', ['Credential NoDecision'], false],
  ])('without an answer: %s', (without, words, opens) => {
    const b = asking({ without })
    b.clock.turn(10_000)
    b.words()
    b.show()
    expect(b.words().slice(0, 1)).toEqual(words)
    expect(b.open()).toBe(opens)
    // Whoever leaves does so all the same.
    b.clock.turn(6000)
    b.show('reader 2')
    expect(b.open()).toBe(true)
    b.clock.turn(6000)
    b.input('input 2', true)
    expect(b.open()).toBe(true)
  })

  it('stands open without an answer where that is set, and is as ever once the server is back', () => {
    const b = asking({ without: 'Open' })
    b.clock.turn(10_000)
    expect(b.words()).toEqual(['Decider Away', 'DoorMode Unlocked', 'LockPhysicalState Unlocked'])
    b.clock.turn(3_600_000)
    expect(b.open()).toBe(true)
    b.firmware.deciderHeard('D')
    expect(b.open()).toBe(false)
    // Locked by hand it stays locked.
    const wiring = b.entities.DoorWiring['D']
    if (wiring) b.firmware.stand(wiring, 'LockedDown')
    b.clock.turn(20_000)
    expect(b.open()).toBe(false)
  })

  it('who waits is told of no answer in time, and one answer counts for the one who waits last', () => {
    const b = asking({ without: 'Shut' })
    b.firmware.deciderHeard('D')
    b.clock.turn(9_000)
    b.show()
    b.words()
    b.firmware.deciderHeard('D')
    b.clock.turn(9_999)
    expect(b.words()).toEqual([])
    b.clock.turn(1)
    expect(b.words()).toEqual(expect.arrayContaining(['Timeout D.R1', 'Credential NoDecision', 'Decider Away']))
    b.firmware.deciderHeard('D')
    b.show()
    b.show()
    expect(b.say(true)).toBe(true)
    expect(b.open()).toBe(true)
  })

  it('a door that no longer asks decides by itself at once, whoever waits', () => {
    const b = asking({ without: 'Shut' })
    b.clock.turn(10_000)
    delete b.entities.DoorBehaviour['D']
    b.firmware.lookAtHours()
    b.words()
    b.show()
    expect(b.open()).toBe(true)
  })
})
