/** The demo job as data: Alder Quay Ferry Terminal, invented from end to end. */
export const people = {
  lead: { name: 'vesa', password: 'alder-quay-demo' },
  engineer: { name: 'inka', password: 'alder-quay-demo' },
  witness: { name: 'client', password: 'alder-quay-demo' },
}

export const job = {
  name: 'Alder Quay Ferry Terminal',
  client: 'Alder Quay Harbour Trust',
  site: 'Quay 3, Alder Quay',
  zone: 'Europe/Helsinki',
  network: { address: '10.61.8.0', prefix: 24, gateway: '10.61.8.1', timeServer: '10.61.8.2' },
}

export const areas = [
  { id: 'public', code: 'Q', name: 'Quay and departure hall' },
  { id: 'crew', code: 'C', name: 'Crew side' },
  { id: 'tickets', code: 'T', name: 'Tickets and cash' },
  { id: 'plant', code: 'P', name: 'Plant rooms' },
]

const site = { cabinet: 'Riser 1', supply: 'supply-5', serial: '', mac: '' }
export const controllers = [
  {
    ...site,
    id: 'a1',
    ref: 'A1',
    sheet: 'controller-4',
    address: '10.61.8.21',
    serial: 'RG-4001-A1',
    expanders: [
      { id: 'E1', sheet: 'expander-reader' },
      { id: 'E2', sheet: 'expander-io' },
    ],
  },
  {
    ...site,
    id: 'a2',
    ref: 'A2',
    sheet: 'controller-4',
    address: '10.61.8.22',
    cabinet: 'Riser 2',
    serial: 'RG-4002-A2',
    expanders: [
      { id: 'E1', sheet: 'expander-reader' },
      { id: 'E2', sheet: 'expander-io' },
    ],
  },
  {
    ...site,
    id: 'a3',
    ref: 'A3',
    sheet: 'controller-2',
    address: '10.61.8.23',
    cabinet: 'Pump house',
    serial: 'RG-2003-A3',
  },
  {
    ...site,
    id: 'a4',
    ref: 'A4',
    sheet: 'controller-2',
    address: '10.61.8.24',
    cabinet: 'Crew lockers',
    serial: 'RG-2004-A4',
  },
  {
    ...site,
    id: 'a5',
    ref: 'A5',
    sheet: 'controller-2',
    address: '10.61.8.25',
    cabinet: 'Linkspan',
    serial: 'RG-2005-A5',
  },
]

const magnet = { lock: 'magnet-300', contact: 'contact-frame', exit: 'button-exit', breakGlass: 'break-glass' }
/** Its only way out besides the break glass is a sensor. */
const magnetBySensor = {
  lock: 'magnet-300',
  contact: 'contact-frame',
  exitSensor: 'sensor-exit',
  breakGlass: 'break-glass',
}
const strike = { lock: 'strike-secure', contact: 'contact-frame' }
/** The town side's reader is from another delivery: it writes the same cards into more bits. */
export const cardFormats = [
  {
    id: 'quay-37',
    name: 'Quay, 37 bits',
    bits: 37,
    facility: { from: 1, length: 12 },
    number: { from: 13, length: 20 },
    parity: [
      { at: 0, kind: 'even', over: { from: 1, length: 18 } },
      { at: 36, kind: 'odd', over: { from: 18, length: 18 } },
    ],
    keeps: 'wiegand26',
  },
]
interface DemoDoor {
  id: string
  name: string
  from: string
  to: string
  controller: string | null
  group: string
  handle?: boolean
  escapeRoute?: boolean
  passagesPerDay: number
  hardware: Record<string, string>
  lengths: Record<string, number>
  /** Of its entry reader, where that hangs on a bus. */
  busAddress?: number
  /** Who lets in there, where it is not its controller. */
  decides?: { by: 'server'; afterS: number; then: string }
  /** What else it is set to. */
  rules?: Record<string, unknown>
  /** Cards may be read in at its entry reader. */
  enrols?: true
  /** How its entry reader sends, where it is another way than 26 bits as they are. */
  sends?: { format: string; order?: string }
}
export const doors: DemoDoor[] = [
  {
    id: 'Q-01',
    name: 'Departure hall, quay side',
    from: 'public',
    to: 'public',
    controller: 'a1',
    group: 'A',
    escapeRoute: true,
    passagesPerDay: 900,
    rules: { longReleaseS: 12, code: 'instead' },
    // Its reader turns the bytes of a number round.
    sends: { format: 'wiegand26', order: 'bytesReversed' },
    hardware: { entryReader: 'reader-card-keypad', ...magnet, sounder: 'sounder-lamp' },
    lengths: { R1: 34, K1: 36, C1: 36, X1: 30, B1: 18, H1: 32 },
  },
  {
    id: 'Q-02',
    name: 'Departure hall, town side',
    from: 'public',
    to: 'crew',
    controller: 'a1',
    group: 'B',
    escapeRoute: true,
    passagesPerDay: 700,
    // Whoever is in already is not let in again; half an hour later that is forgotten.
    rules: { passback: 'refuse', passbackS: 1800 },
    decides: { by: 'server', afterS: 10, then: 'knownCards' },
    sends: { format: 'quay-37' },
    hardware: { entryReader: 'reader-wall', exitReader: 'reader-slim', ...magnet },
    lengths: { R1: 22, R2: 24, K1: 26, C1: 26, X1: 20, B1: 14 },
  },
  {
    id: 'C-01',
    name: 'Crew stair, ground floor',
    from: 'public',
    to: 'crew',
    controller: 'a1',
    group: 'C',
    handle: true,
    escapeRoute: true,
    passagesPerDay: 140,
    rules: { relockAt: 'opening', reentryS: 15 },
    hardware: { entryReader: 'reader-bus', ...strike },
    busAddress: 1,
    lengths: { R1: 20, K1: 22, C1: 22 },
  },
  {
    id: 'C-02',
    name: 'Crew mess',
    from: 'crew',
    to: 'crew',
    controller: 'a1',
    group: 'D',
    handle: true,
    passagesPerDay: 90,
    // Free at meal times once somebody of the crew has come, shut up at night, and a warning before the leaf has stood open too long.
    rules: { freeOn: 'meals', firstPerson: true, barredOn: 'mess-shut', preAlarmS: 8 },
    hardware: { entryReader: 'reader-slim', ...strike },
    lengths: { R1: 24, K1: 25, C1: 25 },
  },
  {
    id: 'T-01',
    name: 'Ticket office',
    from: 'public',
    to: 'tickets',
    controller: 'a2',
    group: 'A',
    passagesPerDay: 60,
    enrols: true,
    hardware: { entryReader: 'reader-slim', ...magnet, panelToggle: 'line-dry', panelState: 'state-dry' },
    lengths: { R1: 28, K1: 30, C1: 30, X1: 24, B1: 12, P3: 16, P4: 16 },
  },
  {
    id: 'T-02',
    name: 'Cash room',
    from: 'tickets',
    to: 'tickets',
    controller: 'a2',
    group: 'B',
    handle: true,
    passagesPerDay: 20,
    rules: { pairWithinS: 6, code: 'with' },
    hardware: { entryReader: 'reader-card-keypad', ...strike },
    lengths: { R1: 18, K1: 19, C1: 19 },
  },
  {
    id: 'T-03',
    name: 'Left luggage',
    from: 'public',
    to: 'tickets',
    controller: 'a2',
    group: 'C',
    passagesPerDay: 120,
    hardware: { entryReader: 'reader-bus', ...magnetBySensor },
    busAddress: 1,
    lengths: { R1: 25, K1: 26, C1: 26, X2: 20, B1: 10 },
  },
  {
    id: 'P-01',
    name: 'Pump room',
    from: 'crew',
    to: 'plant',
    controller: 'a3',
    group: 'A',
    handle: true,
    escapeRoute: true,
    passagesPerDay: 12,
    hardware: { entryReader: 'reader-slim', ...strike },
    lengths: { R1: 40, K1: 42, C1: 42 },
  },
  {
    id: 'P-02',
    name: 'Switch room',
    from: 'crew',
    to: 'plant',
    controller: 'a3',
    group: 'B',
    escapeRoute: true,
    passagesPerDay: 8,
    hardware: { entryReader: 'reader-slim', ...strike },
    lengths: { R1: 15, K1: 16, C1: 16 },
  },
  {
    id: 'C-03',
    name: 'Crew lockers',
    from: 'crew',
    to: 'crew',
    controller: 'a4',
    group: 'A',
    handle: true,
    passagesPerDay: 160,
    hardware: { entryReader: 'reader-slim', ...strike },
    lengths: { R1: 12, K1: 14, C1: 14 },
  },
  {
    id: 'C-04',
    name: 'Linkspan control',
    from: 'crew',
    to: 'plant',
    controller: 'a5',
    group: 'A',
    passagesPerDay: 30,
    hardware: { entryReader: 'reader-wall', ...magnet },
    lengths: { R1: 55, K1: 58, C1: 58, X1: 50, B1: 30 },
  },
  {
    id: 'Q-03',
    name: 'Quay gate office',
    from: 'public',
    to: 'crew',
    controller: null,
    group: '',
    handle: true,
    passagesPerDay: 40,
    hardware: { entryReader: 'reader-slim', ...strike },
    lengths: {},
  },
]

export const schedules = [
  { id: 'always', name: 'Always', periods: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '00:00', to: '24:00' }] },
  {
    id: 'sailings',
    name: 'Sailings',
    periods: [
      { days: [1, 2, 3, 4, 5], from: '05:30', to: '23:00' },
      { days: [6, 7], from: '06:30', to: '01:00' },
    ],
  },
  {
    id: 'meals',
    name: 'Meal times',
    periods: [
      { days: [1, 2, 3, 4, 5, 6, 7], from: '06:00', to: '07:30' },
      { days: [1, 2, 3, 4, 5, 6, 7], from: '11:30', to: '12:45' },
    ],
  },
  { id: 'mess-shut', name: 'Mess shut up', periods: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '23:30', to: '04:30' }] },
  { id: 'office', name: 'Office hours', periods: [{ days: [1, 2, 3, 4, 5], from: '08:00', to: '16:30' }] },
]
export const specialDays = [
  { id: 'midsummer', date: '2027-06-25', name: 'No sailings', periods: [] as { from: string; to: string }[] },
]
export const groups = [
  { id: 'crew-all', name: 'Crew' },
  { id: 'tickets-all', name: 'Ticket staff' },
  { id: 'technical', name: 'Technical' },
  { id: 'crew-night', name: 'Night', parent: 'crew-all' },
]
export const rules = [
  { id: 'r-crew', group: 'crew-all', doors: ['Q-02', 'C-01', 'C-02', 'C-03'], schedule: 'sailings' },
  { id: 'r-tickets', group: 'tickets-all', doors: ['Q-01', 'T-01', 'T-02', 'T-03'], schedule: 'office' },
  {
    id: 'r-technical',
    group: 'technical',
    doors: ['Q-01', 'Q-02', 'C-01', 'P-01', 'P-02', 'C-04', 'T-03'],
    schedule: 'always',
  },
]
export const doorSets = [{ id: 'quay-doors', name: 'Quay doors', doors: ['Q-01', 'Q-02'] }]
/** What follows by itself: the quay door sounds while it is forced; whoever is let into the ticket office unsets its alarm panel. */
export const reactions = [
  { id: 're-forced', door: 'Q-01', when: 'forced', then: 'hold', output: 'H1' },
  { id: 're-open', door: 'Q-01', when: 'heldOpen', then: 'pulse', output: 'H1', seconds: 4 },
  { id: 're-unset', door: 'T-01', when: 'granted', group: 'tickets-all', then: 'unsetPanel' },
  { id: 're-set', door: 'T-01', when: 'granted', group: 'tickets-all', twice: true, then: 'setPanel' },
]
/** Somebody's own: they end by themselves. */
export const ownRights = [
  { id: 'r-rounds', person: 'p-202', doors: [], sets: ['quay-doors'], schedule: 'sailings', validUntil: '2028-12-31' },
]
const names: [string, string, 'crew-all' | 'tickets-all' | 'technical'][] = [
  ['101', 'Oona Harju', 'crew-all'],
  ['102', 'Tuure Salmi', 'crew-all'],
  ['103', 'Sisko Rantanieri', 'crew-all'],
  ['104', 'Eetu Kallas', 'crew-all'],
  ['201', 'Pirjo Aaltovaara', 'tickets-all'],
  ['202', 'Mauno Ylisaari', 'tickets-all'],
  ['203', 'Aune Kivelo', 'tickets-all'],
  ['301', 'Jalmari Tuomela', 'technical'],
  ['302', 'Helka Vuorio', 'technical'],
  ['303', 'Reko Lahtisalo', 'technical'],
]
/** Of whoever passes the cash room; one of them is still to get a code. */
const codes: Record<string, { code: string; duress?: string }> = {
  '201': { code: '40962', duress: '40968' },
  '202': { code: '68315' },
}
export const holders = names.map(([number, name, group], i) => ({
  id: `p-${number}`,
  number,
  name,
  cards: [{ id: `c-${number}`, facility: 61, number: 4417 + i, state: i === 3 ? 'lost' : 'in use' }],
  groups: [group],
  ...(codes[number] ?? {}),
}))
/** Who is not like everybody: longer times, an end, a contractor, somebody whose card is still to be read in. */
export const otherHolders = [
  {
    id: 'p-105',
    number: '105',
    name: 'Veera Niskala',
    cards: [{ id: 'c-105', facility: 61, number: 4427, state: 'in use' }],
    groups: ['crew-night'],
    longer: true,
    remark: 'On crutches until spring.',
  },
  { id: 'p-106', number: '106', name: 'Lauri Hovila', cards: [], groups: ['crew-night'] },
  {
    id: 'p-205',
    number: '205',
    name: 'Tilda Saarnio',
    cards: [{ id: 'c-205', facility: 61, number: 4428, state: 'in use' }],
    groups: ['tickets-all'],
    validFrom: '2026-06-01',
    validUntil: '2026-08-31',
    remark: 'Summer help.',
  },
  {
    id: 'p-901',
    number: '901',
    name: 'Pentti Holmasuo',
    company: 'Harbour lift service',
    cards: [{ id: 'c-901', facility: 61, number: 4429, state: 'in use' }],
    groups: ['technical'],
    validUntil: '2028-12-31',
  },
]
export const testCards = {
  id: 'kit',
  good: { facility: 88, number: 10001 },
  lost: { facility: 88, number: 10002 },
  outOfHours: { facility: 88, number: 10003 },
  unknown: { facility: 88, number: 10004 },
  expired: { facility: 88, number: 10005 },
  longer: { facility: 88, number: 10006 },
  second: { facility: 88, number: 10007 },
  ended: { facility: 88, number: 10008 },
  codes: { good: '7391', duress: '7394', unknown: '5183' },
}
export const unknownToAll = '88 10004'

/**
 * How the simulated site's addresses map to this computer's. A demo on another port gets loopback addresses of its own,
 * so that two can run side by side.
 */
export function netFor(port: number) {
  const n = port === 4380 ? 0 : 1 + (port % 90)
  return {
    prefixes: [
      { site: '10.61.0.0', wire: `127.${61 + n}.0.0`, length: 16 },
      { site: '192.168.90.0', wire: `127.${160 + n}.90.0`, length: 24 },
    ],
    ports: { '80': 18080 + n, '443': 18400 + n, '123': 18700 + n },
    interfaces: [
      { name: 'site', address: '10.61.8.5', prefix: 24 },
      { name: 'bench', address: '192.168.90.5', prefix: 24 },
    ],
    ...(n ? { discoveryPort: 13700 + n } : {}),
  }
}
