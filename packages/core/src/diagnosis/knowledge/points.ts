import { written } from './written'

/** A card was held there and nothing came. */
export const readerSilent = written({
  causes: { readerDark: 3, dataOpen: 3, readersExchanged: 2, readerDead: 1, cardKind: 1 },
  known: {
    // Somebody may have used another door meanwhile; and a port that no door has tells nothing.
    came: { elsewhere: { others: 0.1, readersExchanged: 0.8 }, nowhere: { others: 0.9, readersExchanged: 0.2 } },
  },
  looks: {
    lamp: { minutes: 0.2, answers: { lit: 'others', dark: ['readerDark', 'readerDead'] } },
    blink: { minutes: 0.3, answers: { yes: ['dataOpen', 'readersExchanged'], no: 'others' } },
    readerVolts: { minutes: 3, answers: { there: 'others', none: ['readerDark'] } },
    whose: { minutes: 4, answers: { its: 'others', another: ['readersExchanged'] } },
  },
})

/** A card came, and it was not the one that was awaited. */
export const cardStrange = written({
  causes: {
    linesExchanged: 4,
    otherFormat: 4,
    orderTurned: 3,
    otherCard: 3,
    data0Dead: 2,
    data1Dead: 2,
    pulsesLost: 2,
  },
  known: {
    came: {
      allOnes: { data0Dead: 1 },
      allNoughts: { data1Dead: 1 },
      exchanged: { linesExchanged: 1 },
      turned: { orderTurned: 1 },
      otherwise: { otherFormat: 0.7 },
      another: { otherCard: 1 },
      parity: { pulsesLost: 0.5, otherFormat: 0.1 },
      short: { pulsesLost: 0.5, otherFormat: 0.2 },
    },
  },
  looks: {
    again: { minutes: 0.5, answers: { same: 'others', differ: ['pulsesLost'] } },
    printed: { minutes: 0.2, answers: { yes: 'others', no: ['otherCard'] } },
    dataRest: { minutes: 3, answers: { both: 'others', not0: ['data0Dead'], not1: ['data1Dead'] } },
    colours: { minutes: 3, answers: { right: 'others', crossed: ['linesExchanged'] } },
    sends: { minutes: 4, answers: { asSet: 'others', format: ['otherFormat'], order: ['orderTurned'] } },
  },
})

/** Something was worked, and its input told nothing. */
export const inputSilent = written({
  causes: { inputCut: 4, inputOther: 3, inputExchanged: 2, partDead: 2, inputBridged: 2, restTurned: 2 },
  known: {
    came: {
      turned: { restTurned: 0.9 },
      stray: { inputOther: 0.9, inputCut: 0.05, partDead: 0.05, inputBridged: 0.05, inputExchanged: 0.05 },
      elsewhere: { inputExchanged: 0.9, inputCut: 0.1, partDead: 0.1, inputBridged: 0.1, inputOther: 0.05 },
      // An input that no device is planned on may tell nothing.
      nothing: { others: 0.85, inputOther: 0.05, inputExchanged: 0.05, restTurned: 0.1 },
    },
  },
  looks: {
    bridge: { minutes: 1, answers: { told: 'others', silent: ['inputBridged'] } },
    across: {
      minutes: 3,
      answers: {
        follows: ['inputOther', 'inputExchanged'],
        turned: ['restTurned'],
        open: ['inputCut', 'partDead'],
        closed: ['inputBridged'],
      },
    },
    atPart: { minutes: 5, answers: { changes: 'others', still: ['partDead'] } },
    whose: { minutes: 3, answers: { its: 'others', another: ['inputExchanged'] } },
  },
})
