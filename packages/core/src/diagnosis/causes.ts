/** What the words of a cause or a look may name; empty where a door has none. */
export interface Names {
  controller: string
  /** Of a reader, its cable and its port. */
  reader: string
  port: string
  /** What is asked for: the part, its cable, its screw, and how it rests. */
  part: string
  cable: string
  screw: string
  rests: 'open' | 'closed'
  /** Where something came from instead. */
  elsewhere: string
  /** Another door or part that told something meanwhile. */
  other: string
  lock: string
  lockCable: string
  relay: string
  contact: string
  contactCable: string
  contactScrew: string
  glass: string
  /** Of a device with an address of its own. */
  device: string
  address: string
  speed: string
}
export const noNames: Names = {
  controller: 'the controller',
  reader: 'the reader',
  port: 'its port',
  part: 'the part',
  cable: 'its cable',
  screw: 'its screw',
  rests: 'open',
  elsewhere: '',
  other: '',
  lock: 'the lock',
  lockCable: 'its cable',
  relay: 'its relay',
  contact: 'the door contact',
  contactCable: 'its cable',
  contactScrew: 'its screw',
  glass: '',
  device: 'the device',
  address: 'its address',
  speed: 'its speed',
}

interface CauseWords {
  says(n: Names): string
  mend(n: Names): string
}
const cause = (says: CauseWords['says'], mend: CauseWords['mend']): CauseWords => ({ says, mend })
const turned = (rests: Names['rests']): Names['rests'] => (rests === 'open' ? 'closed' : 'open')

/** Everything that Rauta knows to go wrong between a reader and a leaf, a controller and its network, and what mends it. */
export const causeWords = {
  readerDark: cause(
    (n) => `${n.reader} has no supply: a conductor of ${n.cable} is loose, or a fuse is out.`,
    (n) =>
      `Measure plus against 0 V at ${n.controller}, then along ${n.cable}: the first place without volts is behind the fault.`,
  ),
  readerDead: cause(
    (n) => `${n.reader} is dead.`,
    (n) => `Put another reader in the place of ${n.reader}.`,
  ),
  dataOpen: cause(
    (n) => `Neither data conductor of ${n.cable} arrives at ${n.controller}.`,
    (n) => `Look at data 0 and data 1 at both ends of ${n.cable}, then measure each through.`,
  ),
  readersExchanged: cause(
    (n) => `${n.reader} ends on the port of another reader${n.other ? `: the card came at ${n.other}` : ''}.`,
    (n) => `Put ${n.cable} on ${n.port}. What sits there now belongs to the other reader: prove that one again too.`,
  ),
  cardKind: cause(
    (n) => `The card is of a kind that ${n.reader} does not read.`,
    (n) => `Use a card of the kind that ${n.reader} reads, or put in a reader for these cards.`,
  ),
  data0Dead: cause(
    (n) => `Data 0 of ${n.cable} does not arrive: every bit that came is a one.`,
    (n) => `Look at data 0 at both ends of ${n.cable} and measure it through.`,
  ),
  data1Dead: cause(
    (n) => `Data 1 of ${n.cable} does not arrive: every bit that came is a nought.`,
    (n) => `Look at data 1 at both ends of ${n.cable} and measure it through.`,
  ),
  linesExchanged: cause(
    (n) => `Data 0 and data 1 of ${n.reader} are on each other’s screws.`,
    (n) => `Exchange data 0 and data 1 at one end of ${n.cable}.`,
  ),
  orderTurned: cause(
    (n) => `${n.reader} sends the number the other way round.`,
    (n) => `Set the order under ‘What does ${n.reader} send?’, then load.`,
  ),
  otherFormat: cause(
    (n) => `${n.reader} sends another card format than it is set to.`,
    (n) => `Set the format under ‘What does ${n.reader} send?’, then load.`,
  ),
  otherCard: cause(
    () => 'It was another card.',
    () => 'Take the card that the test names, and hold it alone: two cards in one purse disturb each other.',
  ),
  pulsesLost: cause(
    (n) => `Bits are lost on ${n.cable}: interference, or a conductor that is barely held.`,
    (n) =>
      `Join the screen of ${n.cable} at the controller’s end alone, keep it away from the lock’s cable, tighten its screws, and read one card ten times.`,
  ),
  inputOther: cause(
    (n) => `${n.part} sits on another input${n.elsewhere ? `: ${n.elsewhere}` : ''}.`,
    (n) => `Move its conductor to ${n.screw}.`,
  ),
  inputExchanged: cause(
    (n) => `What came was ${n.other || 'another part'}: two cables are exchanged.`,
    (n) => `Find which cable really ends on ${n.screw}, and exchange the two.`,
  ),
  inputCut: cause(
    (n) => `A conductor of ${n.cable} is loose or cut.`,
    (n) => `Join the pair at ${n.part} and measure from ${n.controller}; part it again after.`,
  ),
  partDead: cause(
    (n) => `${n.part} is dead: its contact does not move.`,
    (n) => `Put another in the place of ${n.part}.`,
  ),
  inputBridged: cause(
    (n) => `${n.screw} is closed all the time: the conductors of ${n.cable} touch, or something bridges them.`,
    (n) => `Part ${n.cable} at ${n.part}: still closed, the touch is in the cable; open, it is in ${n.part}.`,
  ),
  restTurned: cause(
    (n) => `${n.part} rests ${turned(n.rests)}, and the plan says ${n.rests}.`,
    (n) => `Put its conductor on the other contact of ${n.part}, or set its rest under Behaviour and load.`,
  ),
  lockOtherContact: cause(
    (n) => `${n.lock} sits on the other contact of ${n.relay}.`,
    () => `Move its conductor to the contact that the wiring plan names, then try every way out again.`,
  ),
  lockCut: cause(
    (n) => `No volts get to ${n.lock}: a conductor of ${n.lockCable} is loose or cut.`,
    (n) =>
      `Measure against 0 V along ${n.lockCable} while it should be fed: the first place without volts is behind the fault.`,
  ),
  lockLow: cause(
    (n) => `${n.lock} gets too few volts.`,
    (n) =>
      `Measure at the supply and at ${n.lock} at the same moment. Low at both: the supply is too small or on its battery. Low at ${n.lock} alone: the run is too long or thin, or a joint is bad.`,
  ),
  lockStuck: cause(
    (n) => `${n.lock} is free and the leaf does not come: it is jammed, under pressure, or kept by something else.`,
    (n) =>
      `Set the leaf and the strike or armature of ${n.lock} so that nothing presses on it; look for a second lock, a bolt, a seal that sticks.`,
  ),
  lockBridged: cause(
    (n) => `${n.lock} is fed past ${n.relay}: nothing that the controller does frees it.`,
    (n) =>
      `Look for a link from the feed to ${n.lock}, and take it off. Then press the break glass: it has to free the door as well.`,
  ),
  locksExchanged: cause(
    (n) => `${n.lock} is on the relay of another door${n.other ? `: ${n.other} opened` : ''}.`,
    (n) => `Exchange the two lock cables at ${n.controller}, and prove both doors again.`,
  ),
  contactTurned: cause(
    (n) => `${n.contact} tells open for closed.`,
    (n) => `Set how ${n.contact} rests under Behaviour and load, or use its other contact.`,
  ),
  contactOther: cause(
    (n) => `${n.contact} sits on another input than ${n.contactScrew}${n.elsewhere ? `: ${n.elsewhere}` : ''}.`,
    (n) => `Move its conductor to ${n.contactScrew}.`,
  ),
  contactBridged: cause(
    (n) => `${n.contact} always reads closed: bridged, or the pair of ${n.contactCable} touches.`,
    (n) => `Part ${n.contactCable} at ${n.contact}: still closed, the touch is in the cable.`,
  ),
  contactCut: cause(
    (n) => `${n.contact} always reads open: a conductor of ${n.contactCable} is loose, or its magnet is too far away.`,
    (n) => `Hold the magnet at ${n.contact}: closed now, set it nearer. Still open, measure ${n.contactCable} through.`,
  ),
  glassOpen: cause(
    (n) => `${n.glass || 'The break glass'} is not set back, or its contact is open.`,
    (n) => `Set ${n.glass || 'it'} back and measure across its two screws: no volts there while the lock is fed.`,
  ),
  glassPast: cause(
    (n) => `${n.lock} is fed past ${n.glass || 'the break glass'}: pressing it lets nobody out.`,
    (n) =>
      `Find the path from the feed to ${n.lock} that leaves ${n.glass || 'it'} out, and take it off. Nobody uses this door as a way out until then.`,
  ),
  glassStuck: cause(
    (n) => `The contact of ${n.glass || 'the break glass'} does not open, or its two screws are bridged.`,
    (n) => `Exchange ${n.glass || 'it'}, or take the bridge off. Nobody uses this door as a way out until then.`,
  ),
  feedOff: cause(
    (n) => `The feed of ${n.lock} is off: a fuse, a switch, or the fire relay.`,
    (n) => `Measure at the lock supply’s own terminals, then after each fuse and relay on the way to ${n.lock}.`,
  ),
  notLatched: cause(
    (n) => `${n.lock} is fed and has no hold: armature or keep and lock do not meet.`,
    (n) => `Set the armature or the keep of ${n.lock} so that it lies on it fully; look for dirt between them.`,
  ),
  stillReleased: cause(
    (n) =>
      `${n.controller} keeps the door released: an exit device that is always pressed, its hours, or somebody’s order.`,
    (n) => `Look at the door’s inputs and at what was told to it: ${n.controller} says that it is unlocked.`,
  ),
  devicePowerOff: cause(
    (n) => `${n.device} has no power.`,
    () => `Measure at its supply terminals, or at the network port that feeds it: fuse, plug, jumper for the supply.`,
  ),
  deviceDead: cause(
    (n) => `${n.device} has power and is dead, or starts again and again.`,
    (n) =>
      `Take everything off ${n.device} but its supply and its network. It answers now: put the rest back one by one. It doesn’t: exchange it.`,
  ),
  deviceCable: cause(
    (n) => `The network cable of ${n.device} is out or broken, or its port on the switch is dead.`,
    (n) => `Put a cable that is known to be good from the switch to ${n.device}, and try another port.`,
  ),
  segmentDown: cause(
    (n) => `The network between here and ${n.device} is down: others beside it are silent too.`,
    () => 'Look at the switch that they share, its supply, and its lead to the next one.',
  ),
  deviceMoved: cause(
    (n) => `${n.device} has another address now${n.elsewhere ? `: ${n.elsewhere}` : ''}.`,
    (n) => `Move it back to ${n.address} under Reach, or plan the address that it has.`,
  ),
  deviceDouble: cause(
    (n) => `Somebody else answers at ${n.address} too.`,
    (n) => `Take ${n.device} off the network. What still answers at ${n.address} needs another address.`,
  ),
  portBlocked: cause(
    (n) =>
      `Something on the way lets nothing through to ${n.device}: a firewall, a port of another network on the switch.`,
    () => 'Give the client’s IT the list under Network, and test it from here line by line.',
  ),
  busCut: cause(
    (n) => `The bus is off ${n.controller}, or cut before its first reader.`,
    (n) => `Look at both conductors of the bus at ${n.controller} ${n.port}.`,
  ),
  busPowerOff: cause(
    (n) => `${n.device} has no supply.`,
    (n) => `Measure plus against 0 V at ${n.device}.`,
  ),
  busSwapped: cause(
    (n) => `The two bus conductors are exchanged at ${n.device}.`,
    (n) => `Exchange them at ${n.device}. Where other readers of this bus answer, they are right at ${n.controller}.`,
  ),
  busSpeed: cause(
    (n) => `${n.device} is set to another speed than ${n.speed}.`,
    (n) => `Set ${n.device} to ${n.speed}, or back as from the factory.`,
  ),
  busAddress: cause(
    (n) => `${n.device} is set to another address than ${n.address}.`,
    (n) => `Set its switches to ${n.address}, or take it into service again at the address it has.`,
  ),
  busDead: cause(
    (n) => `${n.device} is dead.`,
    (n) => `Exchange ${n.device}.`,
  ),
  busTwo: cause(
    (n) => `Two readers answer at address ${n.address}.`,
    (n) => `Take ${n.device} off the bus: what still answers at ${n.address} is the other one.`,
  ),
  busTerminator: cause(
    () => 'The ends of the bus are not closed as they should be: a terminator is missing, or one sits in the middle.',
    (n) => `Set the terminator at the last reader of the cable and at ${n.controller}, and at no other.`,
  ),
  busNoise: cause(
    () => 'Something disturbs the bus.',
    (n) => `Join its screen at ${n.controller} alone, and keep the bus away from lock cables and mains.`,
  ),
} satisfies Record<string, CauseWords>

export type CauseId = keyof typeof causeWords
