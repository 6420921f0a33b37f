import { doorAbilities, type DeviceSheet, type Terminal, type TerminalKind } from '@rauta/core'

/** Terminals of one door's port group: two reader ports, lock relay and feed, two inputs, numbered on from `first`. */
export function portGroup(group: string, first: number, door: number, letter: string): Terminal[] {
  let n = first
  const screw = (label: string, kind: TerminalKind, port: string, maxConductors = 1): Terminal => ({
    id: String(n++),
    label,
    kind,
    group,
    port,
    maxConductors,
  })
  const reader = (k: number): Terminal[] => [
    screw('12V', 'reader+', `reader ${k}`, 2),
    screw('0V', 'reader-', `reader ${k}`, 2),
    screw('D0', 'd0', `reader ${k}`),
    screw('D1', 'd1', `reader ${k}`),
    screw('LED', 'led', `reader ${k}`, 2),
  ]
  return [
    ...reader(door * 2 - 1),
    ...reader(door * 2),
    screw('F+', 'feed+', `lock ${letter}`),
    screw('C', 'relayC', `relay ${door}`),
    screw('NC', 'relayNC', `relay ${door}`),
    screw('NO', 'relayNO', `relay ${door}`),
    screw('F−', 'feed-', `lock ${letter}`, 2),
    // The shared 0 V stands between the two inputs, so that neither pair crosses the other.
    screw(`I${door * 2 - 1}`, 'input', `input ${door * 2 - 1}`),
    screw('0V', 'inputCommon', `inputs ${letter}`, 2),
    screw(`I${door * 2}`, 'input', `input ${door * 2}`),
  ]
}

/** Screws of a larger port group: two reader ports that take Wiegand or a bus, lock relay and second relay, four inputs. */
export function largePortGroup(group: string, first: number, door: number, inputs: number): Terminal[] {
  let n = first
  const screw = (label: string, kind: TerminalKind, port: string, maxConductors = 1): Terminal => ({
    id: String(n++),
    label,
    kind,
    group,
    port,
    maxConductors,
    mostMm2: 1.5,
  })
  const reader = (k: number): Terminal[] => [
    screw('12V', 'reader+', `reader ${k}`, 3),
    screw('0V', 'reader-', `reader ${k}`, 3),
    screw('D0', 'd0', `reader ${k}`),
    screw('D1', 'd1', `reader ${k}`),
    screw('LED', 'led', `reader ${k}`, 2),
  ]
  const pairs = Array.from({ length: inputs / 2 }, (_, i) => i * 2)
  return [
    ...reader(door * 2 - 1),
    ...reader(door * 2),
    screw('A', 'busA', `bus ${door}`, 4),
    screw('B', 'busB', `bus ${door}`, 4),
    screw('0', 'bus0', `bus ${door}`, 4),
    screw('F+', 'feed+', `lock ${group}`, 2),
    screw('C', 'relayC', `relay ${door * 2 - 1}`),
    screw('NC', 'relayNC', `relay ${door * 2 - 1}`, 2),
    screw('NO', 'relayNO', `relay ${door * 2 - 1}`, 2),
    screw('F−', 'feed-', `lock ${group}`, 3),
    screw('C2', 'auxC', `relay ${door * 2}`),
    screw('NO2', 'auxNO', `relay ${door * 2}`),
    ...pairs.flatMap((i) => {
      const at = (door - 1) * inputs + i + 1
      return [
        screw(`I${at}`, 'input', `input ${at}`),
        screw('0V', 'inputCommon', `inputs ${group}${i / 2 + 1}`, 2),
        screw(`I${at + 1}`, 'input', `input ${at + 1}`),
      ]
    }),
  ]
}

/** Screws of an expander: inputs in pairs with a 0 V between, relays with two screws. Serves any port group. */
export function expanderScrews(inputs: number, relays: number): Terminal[] {
  let n = 1
  const screw = (label: string, kind: TerminalKind, port: string, maxConductors = 1): Terminal => ({
    id: String(n++),
    label,
    kind,
    group: '*',
    port,
    maxConductors,
    mostMm2: 1.5,
  })
  return [
    ...Array.from({ length: inputs / 2 }, (_, i) => i * 2).flatMap((i) => [
      screw(`I${i + 1}`, 'input', `input ${i + 1}`),
      screw('0V', 'inputCommon', `inputs ${i / 2 + 1}`, 2),
      screw(`I${i + 2}`, 'input', `input ${i + 2}`),
    ]),
    ...Array.from({ length: relays }, (_, i) => i + 1).flatMap((i) => [
      screw(`C${i}`, 'auxC', `relay ${i}`),
      screw(`NO${i}`, 'auxNO', `relay ${i}`),
    ]),
  ]
}

export function doorController(
  id: string,
  name: string,
  doors: number,
  factoryAddress: string,
  resetSeconds: number,
): DeviceSheet {
  const letters = ['A', 'B', 'C', 'D']
  const groups = letters.slice(0, doors).map((letter) => ({ id: letter, name: `Door port ${letter}` }))
  return {
    id,
    name,
    kind: 'controller',
    restA: 0.25,
    leads: [],
    says: `Serves ${doors} doors over Ethernet; each door on a port of its own.`,
    terminals: groups.flatMap((g, i) => portGroup(g.id, 1 + i * 18, i + 1, g.id)),
    controller: {
      doors,
      portGroups: groups,
      releaseStepS: doors === 2 ? 1 : 0.5,
      longestReleaseS: 120,
      // The two-door board reads no serial numbers.
      cardFormats: doors === 2 ? ['wiegand26', 'wiegand34'] : ['wiegand26', 'wiegand34', 'serial4', 'serial7'],
      ...(doors === 2
        ? {}
        : { limitedRights: true, ownFormats: 16, bitOrders: ['bitsReversed', 'bytesReversed', 'bytesMirrored'] }),
      // Nor does it keep in mind who came first, or who is in.
      ...(doors === 2 ? {} : { reactions: 24 }),
      abilities: doors === 2 ? ['preAlarm', 'unlockDelay', 'ownHours', 'reentry'] : [...doorAbilities],
      times:
        doors === 2
          ? { schedules: 12, periodsADay: 4, specialDays: 24 }
          : { schedules: 64, periodsADay: 8, specialDays: 64 },
      feedVolts: 13.6,
      feedA: doors,
      factory: { address: factoryAddress, user: 'startup', password: 'factory' },
      terminalOneAt: doors === 2 ? 'left' : 'right',
      reset: [
        { says: 'Take the power off. Pull the small plug of the battery as well.', seconds: 5 },
        { says: 'Hold the key marked SET and put the power back. Keep holding.', seconds: resetSeconds, holds: true },
        { says: 'Let go when the sounder has gone three times and the lamp marked RUN goes out.', seconds: 3 },
        { says: 'Wait until the lamp marked RUN shines steadily again.', seconds: 10 },
      ],
      lamps: [
        { lamp: 'PWR steady', means: 'supply is there' },
        { lamp: 'LINK flickers', means: 'data on the network' },
        { lamp: 'RUN steady', means: 'ready' },
        { lamp: 'RUN slow', means: 'restarting' },
      ],
      cabinet: [
        { id: 'mounted', says: 'Board on its four pillars, terminal text upright' },
        { id: 'supply', says: 'Supply set to 13.6 V and measured', after: ['earth'] },
        { id: 'battery', says: 'Battery joined, date written on it', after: ['supply', 'bank'] },
        { id: 'earth', says: 'Earth on the cabinet, screens joined here only' },
        { id: 'tamper', says: 'Tamper switch closes with the cover', after: ['battery'] },
      ],
    },
    box: ['Board', 'Four pillars', 'Bag of jumpers'],
    mounting: ['On the four pillars, terminal text upright', 'Clear of the supply’s heat by 50 mm'],
    atHand: ['Flat screwdriver 2.5 mm', 'Network lead', 'Label with serial'],
  }
}

/** Screws of an expander that adds reader ports to its controller. */
export function readerScrews(readers: number): Terminal[] {
  let n = 1
  const screw = (label: string, kind: TerminalKind, port: string, maxConductors = 1): Terminal => ({
    id: String(n++),
    label,
    kind,
    group: '*',
    port,
    maxConductors,
    mostMm2: 1.5,
  })
  return Array.from({ length: readers }, (_, i) => i + 1)
    .flatMap((i) => [
      screw('12V', 'reader+', `reader ${i}`, 2),
      screw('0V', 'reader-', `reader ${i}`, 2),
      screw('D0', 'd0', `reader ${i}`),
      screw('D1', 'd1', `reader ${i}`),
      screw('LED', 'led', `reader ${i}`, 2),
    ])
    .concat([screw('A', 'busA', 'bus', 8), screw('B', 'busB', 'bus', 8), screw('0', 'bus0', 'bus', 8)])
}
