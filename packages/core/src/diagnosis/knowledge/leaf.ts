import { narrowed, written } from './written'

const contactCauses = ['contactTurned', 'contactOther', 'contactBridged', 'contactCut'] as const

/** The controller released the door, and the leaf was not seen open. */
const leafStays = written({
  causes: {
    lockOtherContact: 3,
    lockCut: 3,
    contactBridged: 2,
    contactCut: 2,
    contactTurned: 2,
    contactOther: 2,
    lockStuck: 2,
    lockLow: 2,
    lockBridged: 1,
    locksExchanged: 1,
  },
  known: {
    leafTold: { turned: { contactTurned: 1 }, still: { others: 1, contactTurned: 0.05 } },
    stray: { came: { others: 0.05, contactOther: 0.9 }, nothing: { others: 1, contactOther: 0.1 } },
    otherLeaf: { opened: { others: 0.1, locksExchanged: 0.8 }, shut: { others: 1, locksExchanged: 0.2 } },
  },
  looks: {
    opened: { minutes: 0.1, answers: { yes: contactCauses, no: 'others' } },
    pressed: { minutes: 0.5, answers: { lets: { lockStuck: 1 }, stays: { others: 1, lockStuck: 0.5 } } },
    whoseLock: { minutes: 3, answers: { its: 'others', another: ['locksExchanged'] } },
    contactAcross: {
      minutes: 3,
      answers: { follows: 'others', turned: ['contactTurned'], open: ['contactCut'], closed: ['contactBridged'] },
    },
  },
})

/** A lock that lets go without volts. */
export const leafStaysSafe = narrowed(leafStays, ['lockCut', 'lockLow'], {
  voltsReleased: { minutes: 2, answers: { none: ['lockStuck', ...contactCauses], full: 'others' } },
  voltsLocked: { minutes: 2, answers: { full: 'others', none: ['lockOtherContact'] } },
  offRelay: { minutes: 3, answers: { still: ['lockBridged'], gone: 'others' } },
})

/** A lock that needs volts to let go. */
export const leafStaysSecure = narrowed(leafStays, ['lockBridged'], {
  voltsReleased: { minutes: 2, answers: { full: ['lockStuck', ...contactCauses], low: ['lockLow'], none: 'others' } },
  voltsLocked: { minutes: 2, answers: { full: ['lockOtherContact'], none: 'others' } },
})

/** Where no contact sees the leaf, somebody’s eyes do. */
export const leafStaysUnseenSafe = narrowed(leafStaysSafe, contactCauses)
export const leafStaysUnseenSecure = narrowed(leafStaysSecure, contactCauses)

/** The leaf opens while it should be held. */
const leafGives = written({
  causes: { feedOff: 3, lockOtherContact: 3, lockCut: 2, glassOpen: 2, notLatched: 2, lockLow: 2, stillReleased: 2 },
  known: { lockTold: { unlocked: { others: 0.02, stillReleased: 1 }, locked: { others: 1, stillReleased: 0 } } },
  looks: {
    glass: { minutes: 0.2, answers: { whole: 'others', broken: ['glassOpen'] } },
    standing: { minutes: 0.2, answers: { released: ['stillReleased'], locked: 'others' } },
  },
})
export const leafGivesSafe = narrowed(leafGives, [], {
  voltsLocked: { minutes: 2, answers: { full: ['notLatched'], low: ['lockLow'], none: 'others' } },
  voltsReleased: { minutes: 2, answers: { full: ['lockOtherContact'], none: 'others' } },
  feed: { minutes: 2, answers: { there: 'others', none: ['feedOff'] } },
})
export const leafGivesNoGlass = narrowed(leafGivesSafe, ['glassOpen'])
/** Without volts it holds: the feed, its cable and its break glass keep nothing shut. */
export const leafGivesSecure = narrowed(leafGives, ['feedOff', 'lockCut', 'glassOpen', 'lockLow'], {
  voltsLocked: { minutes: 2, answers: { full: 'others', none: ['notLatched'] } },
  voltsReleased: { minutes: 2, answers: { none: ['lockOtherContact'], full: 'others' } },
})

/** The break glass was operated, and the leaf was not free. */
export const glassKeeps = written({
  causes: { glassPast: 3, glassStuck: 3, lockStuck: 2, contactOther: 1, contactBridged: 1, contactTurned: 1 },
  looks: {
    opened: { minutes: 0.1, answers: { yes: 'others', no: ['glassPast', 'glassStuck', 'lockStuck'] } },
    voltsPressed: { minutes: 2, answers: { full: ['glassPast', 'glassStuck'], none: 'others' } },
    acrossGlass: { minutes: 2, answers: { open: 'others', closed: ['glassStuck'] } },
    contactAcross: {
      minutes: 3,
      answers: { follows: 'others', turned: ['contactTurned'], closed: ['contactBridged'] },
    },
  },
})
export const glassKeepsUnseen = narrowed(glassKeeps, contactCauses)
