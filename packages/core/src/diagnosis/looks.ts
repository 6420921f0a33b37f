import type { Names } from './causes'

interface LookWords {
  asks(n: Names): string
  answers: Readonly<Record<string, (n: Names) => string>>
}
const look = <A extends Record<string, (n: Names) => string>>(asks: LookWords['asks'], answers: A) => ({
  asks,
  answers,
})

/** What somebody at the door is asked, with the answers that there are. */
export const lookWords = {
  lamp: look((n) => `Is any lamp of ${n.reader} lit?`, { lit: () => 'It is lit', dark: () => 'It is dark' }),
  blink: look((n) => `Hold a card at ${n.reader}. Does it blink or sound?`, {
    yes: () => 'It does',
    no: () => 'It does nothing',
  }),
  readerVolts: look((n) => `Measure plus against 0 V at the leads of ${n.reader}.`, {
    there: () => 'Volts are there',
    none: () => 'No volts',
  }),
  whose: look((n) => `At ${n.controller}, does the cable on ${n.port} come from ${n.reader}?`, {
    its: () => 'It does',
    another: () => 'It comes from another',
  }),
  again: look((n) => `Hold the same card at ${n.reader} three times. Do the same bits come?`, {
    same: () => 'The same',
    differ: () => 'Others each time',
  }),
  printed: look(() => 'Is it the card that the test names?', { yes: () => 'It is', no: () => 'It is another' }),
  dataRest: look(() => 'Measure data 0 and data 1 against 0 V while no card is there: about 5 V each?', {
    both: () => 'Both',
    not0: () => 'Not data 0',
    not1: () => 'Not data 1',
  }),
  colours: look((n) => `Compare data 0 and data 1 at both ends of ${n.cable} with the wiring plan.`, {
    right: () => 'As planned',
    crossed: () => 'Exchanged',
  }),
  sends: look((n) => `What does the label or the setting of ${n.reader} say it sends?`, {
    asSet: () => 'What is set here',
    format: () => 'Another format',
    order: () => 'Another order',
  }),
  bridge: look((n) => `Bridge ${n.screw} to its 0 V at ${n.controller}. Does the tape tell it?`, {
    told: () => 'It is told',
    silent: () => 'Nothing comes',
  }),
  across: look(
    (n) => `Take ${n.cable} off ${n.screw} and measure across the pair while somebody works ${n.part} and lets it go.`,
    {
      follows: (n) => `${n.rests === 'open' ? 'Open, and closed' : 'Closed, and open'} while worked`,
      turned: (n) => `${n.rests === 'open' ? 'Closed, and open' : 'Open, and closed'} while worked`,
      open: () => 'Always open',
      closed: () => 'Always closed',
    },
  ),
  atPart: look((n) => `Measure across the screws of ${n.part} itself while it is worked.`, {
    changes: () => 'It changes',
    still: () => 'It stays the same',
  }),
  opened: look(() => 'Did the leaf really open?', { yes: () => 'It opened', no: () => 'It did not move' }),
  pressed: look((n) => `Press the leaf shut while the door is released. Does ${n.lock} let go?`, {
    lets: () => 'It lets go',
    stays: () => 'It stays',
  }),
  voltsReleased: look((n) => `Release the door and measure at ${n.lock} meanwhile.`, {
    full: () => 'Full volts',
    low: () => 'Too few',
    none: () => 'None',
  }),
  voltsLocked: look((n) => `Measure at ${n.lock} while the door is locked.`, {
    full: () => 'Full volts',
    low: () => 'Too few',
    none: () => 'None',
  }),
  offRelay: look((n) => `Take the conductor of ${n.lock} off ${n.relay}. Are volts still at ${n.lock}?`, {
    still: () => 'They stay',
    gone: () => 'They are gone',
  }),
  whoseLock: look((n) => `At ${n.controller}, does the cable on ${n.relay} go to ${n.lock}?`, {
    its: () => 'It does',
    another: () => 'It goes to another',
  }),
  contactAcross: look(
    (n) => `Take ${n.contactCable} off ${n.contactScrew} and measure across the pair, leaf shut, then open.`,
    {
      follows: () => 'As planned',
      turned: () => 'The other way round',
      open: () => 'Always open',
      closed: () => 'Always closed',
    },
  ),
  glass: look((n) => `Is ${n.glass || 'the break glass'} whole and set back?`, {
    whole: () => 'It is',
    broken: () => 'It is not',
  }),
  voltsPressed: look((n) => `Operate ${n.glass || 'the break glass'} and measure at ${n.lock}.`, {
    full: () => 'Volts are there',
    none: () => 'No volts',
  }),
  acrossGlass: look(
    (n) => `Take one conductor off ${n.glass || 'the break glass'}, operate it, and measure across its two screws.`,
    { open: () => 'Open', closed: () => 'Closed' },
  ),
  feed: look((n) => `Measure at the feed of ${n.lock} where it leaves its supply.`, {
    there: () => 'Volts are there',
    none: () => 'No volts',
  }),
  standing: look((n) => `What does ${n.controller} say of the lock now, on the door’s page?`, {
    released: () => 'Released',
    locked: () => 'Locked',
  }),
  power: look((n) => `Is the power lamp of ${n.device} lit?`, { lit: () => 'It is lit', dark: () => 'It is dark' }),
  link: look((n) => `Are the lamps at the network socket of ${n.device} lit?`, {
    lit: () => 'They are lit',
    dark: () => 'They are dark',
  }),
  beside: look((n) => `Plug this computer into the switch of ${n.device}. Does ${n.address} answer there?`, {
    answers: () => 'It answers',
    silent: () => 'Nobody answers',
  }),
  unplugged: look((n) => `Take ${n.device} off the network. Does anybody still answer at ${n.address}?`, {
    nobody: () => 'Nobody',
    somebody: () => 'Somebody does',
  }),
  others: look((n) => `Do other devices on the switch of ${n.device} answer?`, {
    yes: () => 'They do',
    no: () => 'None does',
  }),
  searched: look((n) => `Search the network under Find. Does ${n.device} turn up?`, {
    elsewhere: () => 'At another address',
    nowhere: () => 'It does not',
  }),
  direct: look((n) => `Put a short cable from this computer straight to ${n.device}. Does ${n.address} answer?`, {
    answers: () => 'It answers',
    silent: () => 'Nobody answers',
  }),
  through: look(
    (n) => `Take the bus off ${n.controller} ${n.port}, join its pair there, and measure it at ${n.device}.`,
    { closed: () => 'It goes through', open: () => 'It is open' },
  ),
  switches: look((n) => `Which address do the switches or the label of ${n.device} say?`, {
    its: (n) => n.address,
    another: () => 'Another',
  }),
  speed: look((n) => `Which speed is ${n.device} set to?`, { its: (n) => n.speed, another: () => 'Another' }),
  busColours: look((n) => `Compare the two bus conductors at ${n.device} with the wiring plan.`, {
    right: () => 'As planned',
    crossed: () => 'Exchanged',
  }),
  terminators: look(() => 'Who on this cable has the terminator set?', {
    right: () => 'The last reader alone',
    wrong: () => 'Nobody, or others',
  }),
  alone: look((n) => `Take ${n.device} off the bus. Does anybody still answer at address ${n.address}?`, {
    nobody: () => 'Nobody',
    somebody: () => 'Somebody does',
  }),
} satisfies Record<string, LookWords>

export type LookId = keyof typeof lookWords

/** What devices told of themselves, which nobody has to look at. */
export const knownWords = {
  came: {
    elsewhere: (n) => `${n.other || 'Another one'} told something meanwhile.`,
    nowhere: () => 'No other reader told of a card meanwhile.',
    allOnes: () => 'Ones alone arrived, and too few.',
    allNoughts: () => 'Noughts alone arrived, and too few.',
    exchanged: () => 'What arrived is the awaited card with its two data lines exchanged.',
    turned: (n) => `What came from ${n.reader || n.part} came the other way round.`,
    otherwise: () => 'What arrived is the awaited card in another format.',
    another: () => 'What arrived is a whole and sound card, and not the awaited one.',
    parity: () => 'As many bits arrived as should, and their parity is wrong.',
    short: () => 'Another number of bits arrived than any card has.',
    stray: (n) => `Something came on ${n.elsewhere}, where nothing is planned.`,
    nothing: (n) => `Nothing came on any other input of ${n.controller}.`,
  },
  stray: {
    came: (n) => `Something came on ${n.elsewhere}, where nothing is planned.`,
    nothing: (n) => `Nothing came on any other input of ${n.controller}.`,
  },
  leafTold: {
    turned: (n) => `${n.contact} told closed when the leaf should have opened.`,
    still: (n) => `${n.contact} told nothing of the leaf.`,
  },
  otherLeaf: {
    opened: (n) => `The leaf of ${n.other || 'another door'} opened meanwhile.`,
    shut: (n) => `No other leaf of ${n.controller} opened meanwhile.`,
  },
  lockTold: {
    unlocked: (n) => `${n.controller} says that it has released ${n.lock}.`,
    locked: (n) => `${n.controller} says that ${n.lock} is locked.`,
  },
  neighbours: {
    silent: () => 'Every other device of this job in its network is silent too.',
    answer: () => 'Other devices of this job in its network answer.',
  },
  greeting: { elsewhere: (n) => `It was heard at ${n.elsewhere}.`, none: () => 'It was heard at no other address.' },
  busState: {
    silent: (n) => `${n.controller} hears nothing at address ${n.address}.`,
    garbled: (n) => `What ${n.controller} hears at address ${n.address} makes no sense.`,
  },
  busOthers: {
    allSilent: () => 'Every other reader on this bus is silent too.',
    someAnswer: () => 'Other readers on this bus answer.',
  },
} satisfies Record<string, LookWords['answers']>

export type KnownId = keyof typeof knownWords
