import type { CauseId } from './causes'
import type { KnownId, LookId } from './looks'
import type { Looks, Weights } from './reasoning'

type Fits = Partial<Record<CauseId, number>>

/**
 * What may be behind one kind of failure and what tells it apart. How common the causes are beside each other, and how long a look takes
 * (minutes, the way to the cabinet or up a ladder in it): common practice, no source.
 */
export interface Knowledge {
  causes: Weights
  /** What somebody looks at. */
  looks: Looks
  /** What the devices told by themselves answers. */
  known: Looks
}

interface Written {
  causes: Fits
  looks: Partial<Record<LookId, { minutes: number; answers: Record<string, Fits> }>>
  known: Partial<Record<KnownId, Record<string, Fits>>>
}

const all = <T extends CauseId>(...ids: T[]): Fits => Object.fromEntries(ids.map((id) => [id, 1]))
const made = ({ causes, looks, known }: Written): Knowledge => ({
  causes: causes as Weights,
  looks: looks as Looks,
  known: Object.fromEntries(
    Object.entries(known).map(([id, answers]) => [id, { minutes: 0, answers: answers as Looks[string]['answers'] }]),
  ),
})

/** The same without causes that a door cannot have: its looks lose the answers that only they gave, and fall away where one is left. */
function without(from: Knowledge, ...never: CauseId[]): Knowledge {
  const has = (id: string) => !never.some((n) => n === id)
  const kept = (weights: Weights) => Object.fromEntries(Object.entries(weights).filter(([id]) => has(id)))
  const looks = (these: Looks): Looks =>
    Object.fromEntries(
      Object.entries(these).flatMap(([id, look]) => {
        const answers = Object.entries(look.answers)
          .map(([answer, fits]) => [answer, kept(fits)] as const)
          .filter(([, fits]) => Object.keys(fits).length > 0)
        return answers.length > 1 ? [[id, { ...look, answers: Object.fromEntries(answers) }]] : []
      }),
    )
  return { causes: kept(from.causes), looks: looks(from.looks), known: looks(from.known) }
}

/** A card was held there and nothing came. */
const readerSilent = made({
  causes: { readerDark: 3, dataOpen: 3, readersExchanged: 2, readerDead: 1, cardKind: 1 },
  known: {
    // Somebody may have used another door meanwhile; and a port that no door has tells nothing.
    came: {
      elsewhere: { readersExchanged: 0.8, readerDark: 0.1, dataOpen: 0.1, readerDead: 0.1, cardKind: 0.1 },
      nowhere: { readersExchanged: 0.2, readerDark: 0.9, dataOpen: 0.9, readerDead: 0.9, cardKind: 0.9 },
    },
  },
  looks: {
    lamp: {
      minutes: 0.2,
      answers: { lit: all('dataOpen', 'readersExchanged', 'cardKind'), dark: all('readerDark', 'readerDead') },
    },
    blink: {
      minutes: 0.3,
      answers: { yes: all('dataOpen', 'readersExchanged'), no: all('readerDark', 'readerDead', 'cardKind') },
    },
    readerVolts: {
      minutes: 3,
      answers: { there: all('readerDead', 'dataOpen', 'readersExchanged', 'cardKind'), none: all('readerDark') },
    },
    whose: {
      minutes: 4,
      answers: { its: all('readerDark', 'readerDead', 'dataOpen', 'cardKind'), another: all('readersExchanged') },
    },
  },
})

/** A card came, and it was not the one that was awaited. */
const cardStrange = made({
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
    again: {
      minutes: 0.5,
      answers: {
        same: all('linesExchanged', 'otherFormat', 'orderTurned', 'otherCard', 'data0Dead', 'data1Dead'),
        differ: all('pulsesLost'),
      },
    },
    printed: {
      minutes: 0.2,
      answers: {
        yes: all('linesExchanged', 'otherFormat', 'orderTurned', 'data0Dead', 'data1Dead', 'pulsesLost'),
        no: all('otherCard'),
      },
    },
    dataRest: {
      minutes: 3,
      answers: {
        both: all('linesExchanged', 'otherFormat', 'orderTurned', 'otherCard', 'pulsesLost'),
        not0: all('data0Dead'),
        not1: all('data1Dead'),
      },
    },
    colours: {
      minutes: 3,
      answers: {
        right: all('otherFormat', 'orderTurned', 'otherCard', 'data0Dead', 'data1Dead', 'pulsesLost'),
        crossed: all('linesExchanged'),
      },
    },
    sends: {
      minutes: 4,
      answers: {
        asSet: all('linesExchanged', 'otherCard', 'data0Dead', 'data1Dead', 'pulsesLost'),
        format: all('otherFormat'),
        order: all('orderTurned'),
      },
    },
  },
})

/** Something was worked, and its input told nothing. */
const inputSilent = made({
  causes: { inputCut: 4, inputOther: 3, inputExchanged: 2, partDead: 2, inputBridged: 2, restTurned: 2 },
  known: {
    came: {
      turned: { restTurned: 0.9 },
      stray: { inputOther: 0.9, inputCut: 0.05, partDead: 0.05, inputBridged: 0.05, inputExchanged: 0.05 },
      elsewhere: { inputExchanged: 0.9, inputCut: 0.1, partDead: 0.1, inputBridged: 0.1, inputOther: 0.05 },
      // An input that no device is planned on may tell nothing.
      nothing: {
        inputCut: 0.85,
        partDead: 0.85,
        inputBridged: 0.85,
        inputOther: 0.05,
        inputExchanged: 0.05,
        restTurned: 0.1,
      },
    },
  },
  looks: {
    bridge: {
      minutes: 1,
      answers: {
        told: all('inputCut', 'partDead', 'inputOther', 'inputExchanged', 'restTurned'),
        silent: all('inputBridged'),
      },
    },
    across: {
      minutes: 3,
      answers: {
        follows: all('inputOther', 'inputExchanged'),
        turned: all('restTurned'),
        open: all('inputCut', 'partDead'),
        closed: all('inputBridged'),
      },
    },
    atPart: {
      minutes: 5,
      answers: {
        changes: all('inputCut', 'inputOther', 'inputExchanged', 'restTurned', 'inputBridged'),
        still: all('partDead'),
      },
    },
    whose: {
      minutes: 3,
      answers: {
        its: all('inputCut', 'partDead', 'inputBridged', 'restTurned', 'inputOther'),
        another: all('inputExchanged'),
      },
    },
  },
})

const lockCauses = ['lockOtherContact', 'lockCut', 'lockStuck', 'lockBridged', 'lockLow', 'locksExchanged'] as const
const contactCauses = ['contactTurned', 'contactOther', 'contactBridged', 'contactCut'] as const

/** The controller released the door, and the leaf was not seen open. */
const leafStays = made({
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
    leafTold: {
      turned: { contactTurned: 1 },
      still: { ...all(...lockCauses), ...all('contactOther', 'contactBridged', 'contactCut'), contactTurned: 0.05 },
    },
    stray: {
      came: { ...Object.fromEntries([...lockCauses, ...contactCauses].map((id) => [id, 0.05])), contactOther: 0.9 },
      nothing: { ...all(...lockCauses, ...contactCauses), contactOther: 0.1 },
    },
    otherLeaf: {
      opened: { ...Object.fromEntries([...lockCauses, ...contactCauses].map((id) => [id, 0.1])), locksExchanged: 0.8 },
      shut: { ...all(...lockCauses, ...contactCauses), locksExchanged: 0.2 },
    },
  },
  looks: {
    opened: { minutes: 0.1, answers: { yes: all(...contactCauses), no: all(...lockCauses) } },
    pressed: {
      minutes: 0.5,
      answers: {
        lets: all('lockStuck'),
        stays: {
          ...all('lockOtherContact', 'lockCut', 'lockBridged', 'lockLow', 'locksExchanged', ...contactCauses),
          lockStuck: 0.5,
        },
      },
    },
    whoseLock: {
      minutes: 3,
      answers: {
        its: all('lockOtherContact', 'lockCut', 'lockStuck', 'lockBridged', 'lockLow', ...contactCauses),
        another: all('locksExchanged'),
      },
    },
    contactAcross: {
      minutes: 3,
      answers: {
        follows: all('contactOther', ...lockCauses),
        turned: all('contactTurned'),
        open: all('contactCut'),
        closed: all('contactBridged'),
      },
    },
  },
})

const held = (from: Knowledge, looks: Written['looks'], ...never: CauseId[]): Knowledge => {
  const kept = without(from, ...never)
  return { ...kept, looks: { ...kept.looks, ...(looks as Looks) } }
}

/** A lock that lets go without volts. */
const leafStaysSafe = held(
  leafStays,
  {
    voltsReleased: {
      minutes: 2,
      answers: {
        none: all('lockStuck', ...contactCauses),
        full: all('lockOtherContact', 'lockBridged', 'locksExchanged'),
      },
    },
    voltsLocked: {
      minutes: 2,
      answers: {
        full: all('lockStuck', 'lockBridged', 'locksExchanged', ...contactCauses),
        none: all('lockOtherContact'),
      },
    },
    offRelay: {
      minutes: 3,
      answers: {
        still: all('lockBridged'),
        gone: all('lockOtherContact', 'lockStuck', 'locksExchanged', ...contactCauses),
      },
    },
  },
  'lockCut',
  'lockLow',
)

/** A lock that needs volts to let go. */
const leafStaysSecure = held(
  leafStays,
  {
    voltsReleased: {
      minutes: 2,
      answers: {
        full: all('lockStuck', ...contactCauses),
        low: all('lockLow'),
        none: all('lockOtherContact', 'lockCut', 'locksExchanged'),
      },
    },
    voltsLocked: {
      minutes: 2,
      answers: {
        full: all('lockOtherContact'),
        none: all('lockCut', 'lockStuck', 'lockLow', 'locksExchanged', ...contactCauses),
      },
    },
  },
  'lockBridged',
)

const givesCauses = ['feedOff', 'glassOpen', 'lockCut', 'lockOtherContact', 'lockLow', 'notLatched'] as const

/** The leaf opens while it should be held. */
const leafGives = made({
  causes: { feedOff: 3, lockOtherContact: 3, lockCut: 2, glassOpen: 2, notLatched: 2, lockLow: 2, stillReleased: 2 },
  known: {
    lockTold: {
      unlocked: { ...Object.fromEntries(givesCauses.map((id) => [id, 0.02])), stillReleased: 1 },
      locked: all(...givesCauses),
    },
  },
  looks: {
    glass: {
      minutes: 0.2,
      answers: {
        whole: all('feedOff', 'lockCut', 'lockOtherContact', 'lockLow', 'notLatched', 'stillReleased'),
        broken: all('glassOpen'),
      },
    },
    standing: { minutes: 0.2, answers: { released: all('stillReleased'), locked: all(...givesCauses) } },
  },
})
const leafGivesSafe = held(leafGives, {
  voltsLocked: {
    minutes: 2,
    answers: {
      full: all('notLatched'),
      low: all('lockLow'),
      none: all('feedOff', 'glassOpen', 'lockCut', 'lockOtherContact', 'stillReleased'),
    },
  },
  voltsReleased: {
    minutes: 2,
    answers: {
      full: all('lockOtherContact'),
      none: all('feedOff', 'glassOpen', 'lockCut', 'lockLow', 'notLatched', 'stillReleased'),
    },
  },
  feed: {
    minutes: 2,
    answers: {
      there: all('glassOpen', 'lockCut', 'lockOtherContact', 'lockLow', 'notLatched', 'stillReleased'),
      none: all('feedOff'),
    },
  },
})
/** Without volts it holds: the feed, its cable and its break glass keep nothing shut. */
const leafGivesSecure = held(
  leafGives,
  {
    voltsLocked: { minutes: 2, answers: { full: all('lockOtherContact', 'stillReleased'), none: all('notLatched') } },
    voltsReleased: { minutes: 2, answers: { none: all('lockOtherContact'), full: all('notLatched', 'stillReleased') } },
  },
  'feedOff',
  'lockCut',
  'glassOpen',
  'lockLow',
)

/** The break glass was operated, and the leaf was not free. */
const glassKeeps = made({
  causes: { glassPast: 3, glassStuck: 3, lockStuck: 2, contactOther: 1, contactBridged: 1, contactTurned: 1 },
  known: {},
  looks: {
    opened: {
      minutes: 0.1,
      answers: {
        yes: all('contactOther', 'contactBridged', 'contactTurned'),
        no: all('glassPast', 'glassStuck', 'lockStuck'),
      },
    },
    voltsPressed: {
      minutes: 2,
      answers: {
        full: all('glassPast', 'glassStuck'),
        none: all('lockStuck', 'contactOther', 'contactBridged', 'contactTurned'),
      },
    },
    acrossGlass: {
      minutes: 2,
      answers: {
        open: all('glassPast', 'lockStuck', 'contactOther', 'contactBridged', 'contactTurned'),
        closed: all('glassStuck'),
      },
    },
    contactAcross: {
      minutes: 3,
      answers: {
        follows: all('glassPast', 'glassStuck', 'lockStuck', 'contactOther'),
        turned: all('contactTurned'),
        closed: all('contactBridged'),
      },
    },
  },
})

const deviceCauses = [
  'devicePowerOff',
  'deviceCable',
  'deviceDead',
  'deviceMoved',
  'deviceDouble',
  'portBlocked',
] as const

/** A device with an address of its own does not answer any more. */
const deviceSilent = made({
  causes: {
    devicePowerOff: 4,
    deviceCable: 4,
    segmentDown: 3,
    deviceDead: 1,
    deviceMoved: 2,
    deviceDouble: 1,
    portBlocked: 1,
  },
  known: {
    neighbours: {
      silent: { ...Object.fromEntries(deviceCauses.map((id) => [id, 0.05])), segmentDown: 0.9, portBlocked: 0.3 },
      answer: { ...all(...deviceCauses), segmentDown: 0.05 },
    },
    greeting: {
      elsewhere: { deviceMoved: 0.9 },
      none: {
        ...all('devicePowerOff', 'deviceCable', 'deviceDead', 'deviceDouble', 'portBlocked', 'segmentDown'),
        deviceMoved: 0.1,
      },
    },
  },
  looks: {
    power: {
      minutes: 1,
      answers: {
        lit: all('deviceCable', 'segmentDown', 'deviceDead', 'deviceMoved', 'deviceDouble', 'portBlocked'),
        dark: all('devicePowerOff'),
      },
    },
    link: {
      minutes: 1,
      answers: {
        lit: all('segmentDown', 'deviceDead', 'deviceMoved', 'deviceDouble', 'portBlocked'),
        dark: all('devicePowerOff', 'deviceCable'),
      },
    },
    others: { minutes: 0.5, answers: { yes: all(...deviceCauses), no: all('segmentDown') } },
    searched: {
      minutes: 1,
      answers: {
        elsewhere: all('deviceMoved'),
        nowhere: all('devicePowerOff', 'deviceCable', 'segmentDown', 'deviceDead', 'deviceDouble', 'portBlocked'),
      },
    },
    direct: {
      minutes: 6,
      answers: {
        answers: all('deviceCable', 'segmentDown', 'deviceDouble', 'portBlocked'),
        silent: all('devicePowerOff', 'deviceDead', 'deviceMoved'),
      },
    },
    beside: {
      minutes: 5,
      answers: {
        answers: all('segmentDown', 'portBlocked', 'deviceDouble'),
        silent: all('devicePowerOff', 'deviceCable', 'deviceDead', 'deviceMoved'),
      },
    },
    unplugged: {
      minutes: 3,
      answers: {
        somebody: all('deviceDouble'),
        nobody: all('devicePowerOff', 'deviceCable', 'segmentDown', 'deviceDead', 'deviceMoved', 'portBlocked'),
      },
    },
  },
})

/** Of a device on a bus that says nothing, or nothing that makes sense. */
const busSilent = made({
  causes: {
    busPowerOff: 3,
    busAddress: 3,
    busSwapped: 2,
    busSpeed: 2,
    busCut: 2,
    busTwo: 2,
    busTerminator: 2,
    busNoise: 1,
    busDead: 1,
  },
  known: {
    busState: {
      silent: {
        ...all('busPowerOff', 'busAddress', 'busSwapped', 'busSpeed', 'busCut', 'busDead'),
        busTwo: 0.2,
        busTerminator: 0.3,
        busNoise: 0.2,
      },
      garbled: { busTwo: 0.8, busTerminator: 0.7, busNoise: 0.8 },
    },
    busOthers: {
      allSilent: {
        busCut: 1,
        busPowerOff: 0.3,
        busTerminator: 0.5,
        busNoise: 0.5,
        busTwo: 0.1,
        busAddress: 0.1,
        busSwapped: 0.1,
        busSpeed: 0.1,
        busDead: 0.1,
      },
      someAnswer: {
        ...all('busPowerOff', 'busAddress', 'busSwapped', 'busSpeed', 'busTwo', 'busDead'),
        busTerminator: 0.5,
        busNoise: 0.5,
      },
    },
  },
  looks: {
    lamp: {
      minutes: 0.2,
      answers: {
        lit: all('busAddress', 'busSwapped', 'busSpeed', 'busCut', 'busTwo', 'busTerminator', 'busNoise'),
        dark: all('busPowerOff', 'busDead'),
      },
    },
    readerVolts: {
      minutes: 3,
      answers: {
        there: all('busAddress', 'busSwapped', 'busSpeed', 'busCut', 'busTwo', 'busTerminator', 'busNoise', 'busDead'),
        none: all('busPowerOff'),
      },
    },
    switches: {
      minutes: 1,
      answers: {
        its: all('busPowerOff', 'busSwapped', 'busSpeed', 'busCut', 'busTwo', 'busTerminator', 'busNoise', 'busDead'),
        another: all('busAddress'),
      },
    },
    speed: {
      minutes: 2,
      answers: {
        its: all('busPowerOff', 'busAddress', 'busSwapped', 'busCut', 'busTwo', 'busTerminator', 'busNoise', 'busDead'),
        another: all('busSpeed'),
      },
    },
    busColours: {
      minutes: 2,
      answers: {
        right: all('busPowerOff', 'busAddress', 'busSpeed', 'busCut', 'busTwo', 'busTerminator', 'busNoise', 'busDead'),
        crossed: all('busSwapped'),
      },
    },
    terminators: {
      minutes: 3,
      answers: {
        right: all('busPowerOff', 'busAddress', 'busSwapped', 'busSpeed', 'busCut', 'busTwo', 'busNoise', 'busDead'),
        wrong: all('busTerminator'),
      },
    },
    through: {
      minutes: 4,
      answers: {
        closed: all(
          'busPowerOff',
          'busAddress',
          'busSwapped',
          'busSpeed',
          'busTwo',
          'busTerminator',
          'busNoise',
          'busDead',
        ),
        open: all('busCut'),
      },
    },
    alone: {
      minutes: 2,
      answers: {
        somebody: all('busTwo'),
        nobody: all(
          'busPowerOff',
          'busAddress',
          'busSwapped',
          'busSpeed',
          'busCut',
          'busTerminator',
          'busNoise',
          'busDead',
        ),
      },
    },
  },
})

export const knowledge = {
  readerSilent,
  cardStrange,
  inputSilent,
  leafStaysSafe,
  leafStaysSecure,
  leafStaysUnseenSafe: without(leafStaysSafe, ...contactCauses),
  leafStaysUnseenSecure: without(leafStaysSecure, ...contactCauses),
  leafGivesSafe,
  leafGivesNoGlass: without(leafGivesSafe, 'glassOpen'),
  leafGivesSecure,
  glassKeeps,
  glassKeepsUnseen: without(glassKeeps, ...contactCauses),
  deviceSilent,
  busSilent,
} satisfies Record<string, Knowledge>

export type SubjectId = keyof typeof knowledge
