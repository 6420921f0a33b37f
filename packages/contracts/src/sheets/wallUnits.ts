import type { ControllerFacts, DeviceSheet, Terminal, TerminalKind } from '@rauta/core'

/** Reader 1 is the unit itself: it is on no screw. */
const ownReader = 'reader 1'

/** Screws of a unit that drives one lock: lock feed and relay, and three inputs. */
function lockScrews(): Terminal[] {
  let n = 1
  const screw = (label: string, kind: TerminalKind, port: string, maxConductors = 1): Terminal => ({
    id: String(n++),
    label,
    kind,
    group: 'A',
    port,
    maxConductors,
    mostMm2: 1,
  })
  return [
    screw('F+', 'feed+', 'lock A', 2),
    screw('C', 'relayC', 'relay 1'),
    screw('NC', 'relayNC', 'relay 1'),
    screw('NO', 'relayNO', 'relay 1'),
    screw('F−', 'feed-', 'lock A', 2),
    screw('I1', 'input', 'input 1'),
    screw('0V', 'inputCommon', 'inputs A1', 2),
    screw('I2', 'input', 'input 2'),
    screw('I3', 'input', 'input 3'),
    screw('0V', 'inputCommon', 'inputs A2', 2),
  ]
}

const facts = (
  factoryAddress: string,
  feed: { volts: number; amps: number },
  rest: Pick<ControllerFacts, 'reset' | 'lamps' | 'cabinet'>,
): ControllerFacts => ({
  doors: 1,
  portGroups: [{ id: 'A', name: 'Its door' }],
  releaseStepS: 1,
  longestReleaseS: 99,
  cardFormats: ['wiegand26', 'wiegand34', 'serial4', 'serial7'],
  bitOrders: ['bytesReversed'],
  abilities: ['preAlarm', 'unlockDelay', 'ownHours'],
  times: { schedules: 6, periodsADay: 3, specialDays: 12 },
  feedVolts: feed.volts,
  feedA: feed.amps,
  factory: { address: factoryAddress, user: 'startup', password: 'factory' },
  terminalOneAt: 'left',
  ownReader,
  ...rest,
})

const mounting = ['Box in the wall, its screws hidden', 'Seal towards the wall whole', 'Middle of the reader at 1.1 m']
const atHand = ['Security driver of the unit', 'Network lead', 'Label with serial']

/** Units on the wall that read and drive the lock of their own door; all types are invented. */
export const wallUnits: readonly DeviceSheet[] = [
  {
    id: 'reader-face',
    name: 'Face reader',
    kind: 'reader',
    also: ['controller'],
    says: 'On the network; drives the lock of its own door. Its own supply or a network port, chosen by a jumper.',
    restA: 1.1,
    leads: [],
    terminals: lockScrews(),
    reading: {
      by: 'network',
      technologies: ['face', 'card 13.56 MHz'],
      keypad: false,
      reachM: 1.7,
      takes: ['card', 'face'],
    },
    network: { class: 4, restW: 9, peakW: 18 },
    feeds: { volts: 12, watts: 9, efficiency: 0.85, cutOffV: 37 },
    controller: facts(
      '192.168.90.71',
      { volts: 12, amps: 0.75 },
      {
        reset: [
          { says: 'Take it off its bracket. Pull the network lead.', seconds: 5 },
          { says: 'Hold the key behind the cover and plug the lead in. Keep holding.', seconds: 12, holds: true },
          { says: 'Let go when its screen turns blue, and wait until it shows the time.', seconds: 15 },
          { says: 'Put it back on its bracket.', seconds: 5 },
        ],
        lamps: [
          { lamp: 'Screen lit', means: 'supply is there' },
          { lamp: 'Screen shows the time', means: 'ready' },
          { lamp: 'Screen turns green', means: 'granted' },
          { lamp: 'Screen turns red', means: 'refused' },
        ],
        cabinet: [
          { id: 'power', says: 'Jumper JP1 stands for the supply that it gets, before the lead is plugged in' },
          { id: 'looms', says: 'Loom for the lock on its socket, loom for the bus rolled up and insulated' },
          { id: 'tamper', says: 'Tamper lever presses on the bracket', after: ['looms'] },
        ],
      },
    ),
    jumpers: [{ id: 'JP1', says: 'Power from', positions: ['network', 'supply'], factory: 'supply' }],
    place: 'indoor',
    inrush: { amps: 4, ms: 15 },
    box: ['Unit', 'Bracket', 'Two looms'],
    mounting,
    setUp: [{ what: 'Licence for faces', kind: 'licence', one: 'device' }],
    atHand,
  },
  {
    id: 'station-one',
    name: 'Door station, one piece',
    kind: 'station',
    also: ['reader', 'controller'],
    says: 'Call button, camera and reader in one; drives the lock of its own door.',
    restA: 0.5,
    leads: [],
    terminals: lockScrews(),
    reading: { by: 'network', technologies: ['card 13.56 MHz'], keypad: true, reachM: 0.03 },
    network: { class: 3, restW: 5, peakW: 11.5 },
    feeds: { volts: 12, watts: 5.4, efficiency: 0.86, cutOffV: 37 },
    controller: facts(
      '192.168.90.72',
      { volts: 12, amps: 0.45 },
      {
        reset: [
          { says: 'Open its front. Pull the network lead.', seconds: 5 },
          { says: 'Hold the call button and plug the lead in. Keep holding.', seconds: 8, holds: true },
          { says: 'Let go when it has sounded twice.', seconds: 3 },
          { says: 'Wait until the ring around the button shines steadily, and shut the front.', seconds: 12 },
        ],
        lamps: [
          { lamp: 'Ring breathes', means: 'starting' },
          { lamp: 'Ring steady', means: 'ready' },
          { lamp: 'Ring green', means: 'granted' },
          { lamp: 'Ring red', means: 'refused' },
        ],
        cabinet: [
          { id: 'sealed', says: 'Cable through the seal, a loop under it so that water drips off' },
          { id: 'tamper', says: 'Tamper switch closes with the front', after: ['sealed'] },
        ],
      },
    ),
    place: 'outdoor',
    box: ['Unit', 'Box for the wall', 'Security driver'],
    mounting,
    atHand: [...atHand, 'Call account from the client’s IT'],
  },
]
