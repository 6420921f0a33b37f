/** The part of the demo job that is planned only: 36 more openings of every kind, with devices of every kind. Invented from end to end. */
export const areas = [
  { id: 'lanes', code: 'V', name: 'Vehicle lanes', parent: 'public' }, { id: 'kiosk', code: 'K', name: 'Kiosk', parent: 'public' },
  { id: 'flats', code: 'F', name: 'Crew flats', parent: 'crew' }, { id: 'lockers', code: 'L', name: 'Lockers', parent: 'crew' }, { id: 'server', code: 'S', name: 'Server room', parent: 'plant' },
]

/** Metres on the site's grid, from the corner of quay 3. */
export const cabinets = [
  { id: 'Riser 1', x: 42, y: 18 }, { id: 'Riser 2', x: 84, y: 20 }, { id: 'Pump house', x: 12, y: 64 }, { id: 'Crew lockers', x: 58, y: 40 }, { id: 'Linkspan', x: 150, y: 70 }, { id: 'Lane cabinet', x: 128, y: 34 }, { id: 'Flats landing', x: 60, y: 88 }, { id: 'Server room', x: 30, y: 44 },
]

const base = { serial: '', mac: '', supply: 'supply-5' }
export const controllers = [
  { ...base, id: 'a6', ref: 'A6', sheet: 'controller-8', cabinet: 'Lane cabinet', supply: 'supply-10', address: '', expanders: [{ id: 'E1', sheet: 'expander-io' }] },
  { ...base, id: 'a7', ref: 'A7', sheet: 'controller-radio', cabinet: 'Flats landing', address: '10.61.8.27' },
  { ...base, id: 'a8', ref: 'A8', sheet: 'controller-1-net', cabinet: 'Riser 1', address: '' },
  { ...base, id: 'a9', ref: 'A9', sheet: 'controller-4', cabinet: 'Flats landing', address: '' },
]

export const units = [
  { id: 'n1', ref: 'N1', sheet: 'switch-8', cabinet: 'Riser 1', address: '10.61.8.11' }, { id: 'n2', ref: 'N2', sheet: 'midspan-1', cabinet: 'Riser 2', address: '' },
  { id: 'w1', ref: 'W1', sheet: 'hub-radio', cabinet: 'Flats landing', address: '' }, { id: 'w2', ref: 'W2', sheet: 'hub-radio', cabinet: 'Flats landing', address: '' },
  { id: 'h1', ref: 'H1', sheet: 'station-head', cabinet: 'Flats landing', address: '' }, { id: 'h2', ref: 'H2', sheet: 'module-names', cabinet: 'Flats landing', address: '' }, { id: 'x1', ref: 'X1', sheet: 'converter-serial', cabinet: 'Riser 2', address: '' },
]
export const feeds = [
  { id: 'controller/a8', unit: 'n1', port: '1', lengthM: 24 }, { id: 'unit/w1', unit: 'n1', port: '2', lengthM: 72 }, { id: 'unit/w2', unit: 'n1', port: '3', lengthM: 76 }, { id: 'part/F-00/R1', unit: 'n1', port: '4', lengthM: 80 }, { id: 'part/T-04/R1', unit: 'n2', port: '1', lengthM: 35 },
]

export const powerPlans = [
  { id: 'a1', batteryAh: 7, batteryCount: 1, wiring: 'parallel', hours: 2, celsius: 18, movements: 60, fireRelay: true }, { id: 'a2', batteryAh: 7, batteryCount: 1, wiring: 'parallel', hours: 4, celsius: 18, movements: 40, fireRelay: true },
  { id: 'a6', batteryAh: 12, batteryCount: 2, wiring: 'parallel', hours: 3, celsius: 0, movements: 80, fireRelay: true, queue: 2 },
]

export interface PlannedDoor { id: string; name: string; from: string; to: string; x: number; y: number; controller?: string; hardware: Record<string, string>; passagesPerDay: number; opening?: string; handle?: boolean; escapeRoute?: boolean; outdoor?: boolean; length?: number; decides?: { by: string; afterS: number; then: string }; ends?: { seriesOhm: number; parallelOhm: number; at: string } }

const strike = { lock: 'strike-secure', contact: 'contact-frame' }
const slim = { entryReader: 'reader-slim', ...strike }
const gate = { lock: 'magnet-outdoor', contact: 'contact-frame', exit: 'button-exit', breakGlass: 'break-glass-two' }
const flat = (n: number, name: string, passagesPerDay = 18): PlannedDoor => ({ id: `F-${String(n).padStart(2, '0')}`, name, from: 'flats', to: 'flats', x: 52 + n * 2, y: 92, controller: 'a7', hardware: { lock: 'wireless-handle' }, passagesPerDay, handle: true, decides: { by: 'lock', afterS: 0, then: 'knownCards' } })
const locker = (n: number): PlannedDoor => ({ id: `L-0${n}`, name: `Crew locker ${n}`, from: 'lockers', to: 'lockers', x: 56 + n, y: 41, controller: 'a7', opening: 'locker', hardware: { lock: 'wireless-cabinet' }, passagesPerDay: 6, handle: true, decides: { by: 'lock', afterS: 0, then: 'knownCards' } })

export const doors: PlannedDoor[] = [
  { id: 'V-01', name: 'Lane 1 gate', from: 'public', to: 'lanes', x: 132, y: 30, controller: 'a6', opening: 'gate', outdoor: true, hardware: { entryReader: 'reader-far', ...gate }, passagesPerDay: 260, length: 22 },
  { id: 'V-02', name: 'Lane 2 gate', from: 'public', to: 'lanes', x: 136, y: 30, controller: 'a6', opening: 'gate', outdoor: true, hardware: { entryReader: 'reader-far', ...gate }, passagesPerDay: 310, length: 26 },
  { id: 'V-03', name: 'Lane staff gate', from: 'public', to: 'lanes', x: 126, y: 28, controller: 'a6', opening: 'gate', outdoor: true, hardware: { entryReader: 'reader-bus', ...gate }, passagesPerDay: 90, length: 30 },
  { id: 'V-04', name: 'Vehicle hall shutter', from: 'lanes', to: 'crew', x: 140, y: 40, controller: 'a6', opening: 'shutter', outdoor: true, hardware: { entryReader: 'reader-bus-keypad', contact: 'contact-frame', opener: 'opener-leaf' }, passagesPerDay: 24, length: 34, handle: true },
  { id: 'V-05', name: 'Vehicle hall, two leaves', from: 'lanes', to: 'crew', x: 144, y: 40, controller: 'a6', opening: 'doubleDoor', handle: true, hardware: { entryReader: 'reader-bus', lock: 'strike-secure', lock2: 'strike-secure', contact: 'contact-frame', contact2: 'contact-frame', opener: 'opener-leaf' }, passagesPerDay: 130, length: 38, ends: { seriesOhm: 1000, parallelOhm: 2200, at: 'device' } },
  { id: 'V-06', name: 'Foot passengers, turnstile', from: 'public', to: 'lanes', x: 118, y: 26, controller: 'a6', opening: 'turnstile', hardware: { entryReader: 'reader-qr', exitReader: 'reader-bus', opener: 'opener-leaf', contact: 'contact-frame' }, passagesPerDay: 1400, handle: true, length: 28, decides: { by: 'server', afterS: 5, then: 'opens' } },
  { id: 'V-07', name: 'Lane office', from: 'lanes', to: 'crew', x: 124, y: 36, controller: 'a6', hardware: { entryReader: 'reader-keypad', ...strike, deskButton: 'button-desk' }, passagesPerDay: 70, handle: true, length: 12 },
  { id: 'V-08', name: 'Fuel store', from: 'lanes', to: 'plant', x: 160, y: 44, controller: 'a6', outdoor: true, hardware: { entryReader: 'reader-bus-keypad', lock: 'strike-fast', contact: 'contact-frame', boltContact: 'contact-bolt' }, passagesPerDay: 10, handle: true, length: 64 },
  { id: 'K-01', name: 'Kiosk', from: 'public', to: 'kiosk', x: 50, y: 12, controller: 'a8', hardware: { entryReader: 'reader-finger', lock: 'strike-fast', contact: 'contact-frame', exitSensor: 'sensor-exit' }, passagesPerDay: 40, handle: true, length: 9 },
  { id: 'F-00', name: 'Crew flats, street door', from: 'public', to: 'flats', x: 56, y: 84, controller: 'a9', outdoor: true, hardware: { entryReader: 'station-one', ...strike, exit: 'button-exit' }, passagesPerDay: 150, handle: true, escapeRoute: true, length: 16 },
  { id: 'F-20', name: 'Crew flats, yard door', from: 'crew', to: 'flats', x: 64, y: 84, controller: 'a9', outdoor: true, hardware: { entryReader: 'module-card', lock: 'strike-safe', contact: 'contact-frame', exit: 'button-exit', breakGlass: 'break-glass' }, passagesPerDay: 60, length: 14 },
  ...['Flat 1', 'Flat 2', 'Flat 3', 'Flat 4', 'Flat 5', 'Flat 6'].map((name, i) => flat(i + 1, name)), flat(7, 'Laundry', 120),
  { id: 'F-08', name: 'Cleaners’ store', from: 'flats', to: 'flats', x: 70, y: 92, controller: 'a7', hardware: { lock: 'wireless-cylinder' }, passagesPerDay: 14, handle: true, decides: { by: 'lock', afterS: 0, then: 'knownCards' } },
  locker(1), locker(2), locker(3),
  { id: 'P-03', name: 'Chain store', from: 'plant', to: 'plant', x: 20, y: 70, controller: 'a7', opening: 'padlock', hardware: { lock: 'wireless-cylinder' }, passagesPerDay: 2, handle: true, decides: { by: 'lock', afterS: 0, then: 'knownCards' } },
  { id: 'S-02', name: 'Server rack', from: 'server', to: 'server', x: 30, y: 46, controller: 'a7', opening: 'cabinet', hardware: { lock: 'wireless-cabinet' }, passagesPerDay: 4, handle: true, decides: { by: 'lock', afterS: 0, then: 'knownCards' } },
  { id: 'T-04', name: 'Counting room', from: 'tickets', to: 'tickets', x: 88, y: 26, hardware: { entryReader: 'reader-face', ...strike }, passagesPerDay: 30, handle: true },
  { id: 'S-01', name: 'Server room', from: 'plant', to: 'server', x: 30, y: 42, hardware: { entryReader: 'reader-finger', exitReader: 'reader-bus', lock: 'strike-fast', contact: 'contact-frame', boltContact: 'contact-bolt' }, passagesPerDay: 12, handle: true },
  { id: 'C-05', name: 'Crew lift, ground floor', from: 'crew', to: 'flats', x: 62, y: 44, opening: 'liftCall', hardware: { entryReader: 'reader-slim', opener: 'opener-leaf' }, passagesPerDay: 200, handle: true },
  { id: 'C-06', name: 'Crew stair, first floor', from: 'crew', to: 'flats', x: 64, y: 46, escapeRoute: true, hardware: { ...slim }, passagesPerDay: 140, handle: true },
  { id: 'C-07', name: 'Mess store', from: 'crew', to: 'crew', x: 52, y: 38, hardware: { ...slim }, passagesPerDay: 16, handle: true },
  { id: 'Q-04', name: 'Departure hall, first aid', from: 'public', to: 'public', x: 46, y: 22, hardware: { ...slim }, passagesPerDay: 8, handle: true },
  { id: 'Q-05', name: 'Left luggage store', from: 'public', to: 'tickets', x: 78, y: 16, hardware: { ...slim }, passagesPerDay: 45, handle: true },
  { id: 'Q-06', name: 'Baggage hall, two leaves', from: 'public', to: 'crew', x: 96, y: 18, opening: 'doubleDoor', escapeRoute: true, hardware: { entryReader: 'reader-wall', lock: 'magnet-300', lock2: 'magnet-300', contact: 'contact-frame', contact2: 'contact-frame', exit: 'button-exit', breakGlass: 'break-glass-two' }, passagesPerDay: 420 },
  { id: 'Q-07', name: 'Cleaners’ cupboard', from: 'public', to: 'public', x: 40, y: 24, hardware: { ...slim }, passagesPerDay: 12, handle: true },
  { id: 'P-04', name: 'Boiler room', from: 'crew', to: 'plant', x: 18, y: 58, hardware: { ...slim }, passagesPerDay: 6, handle: true },
  { id: 'P-05', name: 'Sprinkler valves', from: 'crew', to: 'plant', x: 10, y: 66, hardware: { ...slim }, passagesPerDay: 3, handle: true },
  { id: 'P-06', name: 'Emergency generator', from: 'plant', to: 'plant', x: 6, y: 70, outdoor: true, hardware: { entryReader: 'reader-bus-keypad', lock: 'strike-fast', contact: 'contact-frame' }, passagesPerDay: 2, handle: true },
]
