import type { DeviceSheet, Lead, Sheets } from '@rauta/core'
import { doorController } from './build'
import { withPorts } from './ports'
import { withSigns } from './signs'
import { moreSheets } from './more'

const readerLeads = (colours: [string, string, string, string, string]): Lead[] => [
  { id: 'plus', name: 'supply +', colour: colours[0], kind: 'supply+' },
  { id: 'zero', name: '0 V', colour: colours[1], kind: 'supply-' },
  { id: 'd0', name: 'data 0', colour: colours[2], kind: 'd0' },
  { id: 'd1', name: 'data 1', colour: colours[3], kind: 'd1' },
  { id: 'led', name: 'indicator', colour: colours[4], kind: 'led' },
]
const pair = (a: string, b: string): Lead[] => [
  { id: 'a', name: 'contact', colour: a, kind: 'contactA' },
  { id: 'b', name: 'common', colour: b, kind: 'contactB' },
]
const coil = (plus: string, minus: string): Lead[] => [
  { id: 'plus', name: '+', colour: plus, kind: 'lock+' },
  { id: 'minus', name: '−', colour: minus, kind: 'lock-' },
]
/** A coil with a contact that tells whether the lock is locked. */
const sensingCoil = (plus: string, minus: string, a: string, b: string): Lead[] => [
  ...coil(plus, minus),
  { id: 'a', name: 'lock sensing', colour: a, kind: 'contactA' },
  { id: 'b', name: 'common', colour: b, kind: 'contactB' },
]
const base = { restA: 0, terminals: [], atHand: [] }

const lock = (
  id: string,
  name: string,
  says: string,
  facts: NonNullable<DeviceSheet['lock']>,
  leads: Lead[],
): DeviceSheet => ({ ...base, id, name, kind: 'lock', says, lock: facts, leads })

const list: DeviceSheet[] = [
  doorController('controller-2', 'Door controller, 2 doors', 2, '192.168.90.20', 8),
  {
    ...doorController('controller-4', 'Door controller, 4 doors', 4, '192.168.90.40', 12),
    carries: [{ kind: 'expander', most: 2 }],
  },
  {
    ...base,
    id: 'reader-slim',
    name: 'Card reader, slim',
    kind: 'reader',
    restA: 0.08,
    says: 'For a frame; Wiegand, 26 bits.',
    reading: { by: 'wiegand', technologies: ['card 13.56 MHz'], keypad: false, reachM: 0.05 },
    leads: readerLeads(['red', 'black', 'green', 'white', 'pink']),
  },
  {
    ...base,
    id: 'reader-wall',
    name: 'Card reader, wall box',
    kind: 'reader',
    restA: 0.12,
    says: 'For a wall box; Wiegand, 26 bits. Its data leads are not in the usual colours.',
    reading: { by: 'wiegand', technologies: ['card 13.56 MHz'], keypad: false, reachM: 0.06 },
    place: 'outdoor',
    leads: readerLeads(['brown', 'blue', 'yellow', 'violet', 'orange']),
  },
  lock(
    'magnet-300',
    'Magnetic lock, 300 kg',
    'Holds while it is fed.',
    { principle: 'magnetic', fail: 'safe', nominalV: 12, leastV: 10.8, pullA: 0.5, sensing: false },
    coil('violet', 'black'),
  ),
  lock(
    'magnet-600',
    'Magnetic lock, 600 kg',
    'Holds while it is fed; wants a thick cable.',
    { principle: 'magnetic', fail: 'safe', nominalV: 12, leastV: 11.2, pullA: 0.75, sensing: true },
    sensingCoil('red', 'black', 'white', 'yellow'),
  ),
  lock(
    'strike-secure',
    'Strike, fail-secure',
    'Frees the leaf while it is driven.',
    { principle: 'strike', fail: 'secure', nominalV: 12, leastV: 10.2, pullA: 0.4, sensing: false },
    coil('orange', 'brown'),
  ),
  lock(
    'strike-safe',
    'Strike, fail-safe',
    'Frees the leaf when the feed goes.',
    { principle: 'strike', fail: 'safe', nominalV: 12, leastV: 10.2, pullA: 0.24, sensing: false },
    coil('orange', 'brown'),
  ),
  {
    ...base,
    id: 'contact-frame',
    name: 'Door contact, in the frame',
    kind: 'contact',
    says: 'Closed while the leaf is shut.',
    leads: pair('blue', 'yellow'),
  },
  {
    ...base,
    id: 'button-exit',
    name: 'Exit button',
    kind: 'exit',
    says: 'Closes while it is pressed.',
    leads: pair('brown', 'white'),
  },
  {
    ...base,
    id: 'break-glass',
    name: 'Break glass, one pole',
    kind: 'breakGlass',
    says: 'Opens the lock’s feed.',
    leads: [
      { id: 'in', name: 'feed in', colour: 'red', kind: 'break1' },
      { id: 'out', name: 'feed out', colour: 'orange', kind: 'break2' },
    ],
  },
  {
    ...base,
    id: 'supply-5',
    name: 'Supply, 13.6 V, 5 A',
    kind: 'supply',
    says: 'With charger for a 12 V battery.',
    leads: [],
    supply: {
      volts: 13.6,
      amps: 5,
      internalOhm: 0.05,
      floatV: 13.8,
      endV: 10.5,
      chargerA: 0.7,
      battery: { volts: 12, peukert: 1.15 },
      outputs: [
        { id: 'board', fuseA: 2 },
        { id: 'locks', fuseA: 4 },
      ],
    },
  },
]

/** The device sheets that ship with Rauta; all types are invented. */
export const shippedSheets: Sheets = Object.fromEntries(
  [...list, ...moreSheets].map((sheet) => [sheet.id, withPorts(withSigns(sheet))]),
)
