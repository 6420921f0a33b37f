import type { DeviceSheet, Lead, Terminal } from '@rauta/core'
import { doorController, expanderScrews, largePortGroup, readerScrews } from './build'

const base = { restA: 0, terminals: [] as Terminal[], leads: [] as Lead[], atHand: [] as string[] }
const lead = (id: string, name: string, colour: string, kind: Lead['kind']): Lead => ({ id, name, colour, kind })
const wiegand = (plus: string, zero: string, d0: string, d1: string, led: string): Lead[] => [lead('plus', 'supply +', plus, 'supply+'), lead('zero', '0 V', zero, 'supply-'), lead('d0', 'data 0', d0, 'd0'), lead('d1', 'data 1', d1, 'd1'), lead('led', 'indicator', led, 'led')]
const osdp = (plus: string, zero: string, a: string, b: string): Lead[] => [lead('plus', 'supply +', plus, 'supply+'), lead('zero', '0 V', zero, 'supply-'), lead('a', 'bus A', a, 'busA'), lead('b', 'bus B', b, 'busB')]
const pair = (a: string, b: string): Lead[] => [lead('a', 'contact', a, 'contactA'), lead('b', 'common', b, 'contactB')]
const coil = (plus: string, minus: string): Lead[] => [lead('plus', '+', plus, 'lock+'), lead('minus', '−', minus, 'lock-')]
/** A contact that closes while the lock is locked. */
const sensing = (a: string, b: string): Lead[] => [lead('a', 'lock sensing', a, 'contactA'), lead('b', 'common', b, 'contactB')]
const screws = ['Flat screwdriver 2.5 mm', 'Label with serial']

function controllerOf(id: string, name: string, doors: number, inputs: number, rest: Partial<DeviceSheet> = {}): DeviceSheet {
  const model = doorController(id, name, Math.min(doors, 4), `192.168.90.${60 + doors}`, 10)
  const groups = 'ABCDEFGH'.slice(0, doors).split('').map((letter) => ({ id: letter, name: `Port group ${letter}` }))
  const each = largePortGroup('A', 1, 1, inputs).length
  const facts = model.controller
  return {
    ...model, ...rest, id, name, says: rest.says ?? `Serves ${doors === 1 ? 'one door' : `${doors} doors`}; each port group has a bus, a second relay and ${inputs} inputs.`,
    terminals: groups.flatMap((g, i) => largePortGroup(g.id, 1 + i * each, i + 1, inputs)),
    ...(facts ? { controller: { ...facts, doors, portGroups: groups, feedA: Math.min(doors, 4), releaseStepS: 0.5, supervised: { shortBelow: 500, closedBelow: 1700, cutAbove: 6000 } } } : {}),
    place: 'indoor', operatingV: { least: 11, most: 15 }, inrush: { amps: 2.5, ms: 8 }, carries: [{ kind: 'expander', most: 2 }, { kind: 'reader', most: doors * 2 }],
    box: ['Board', 'Four pillars', 'Bag of end resistors 1 kΩ and 2.2 kΩ'], mounting: ['On the four pillars, terminal text upright', 'Clear of the supply’s heat by 50 mm'],
  }
}

const radioController = (): DeviceSheet => {
  const model = controllerOf('controller-radio', 'Controller for wireless locks', 1, 2, { says: 'Carries hubs and their wireless locks, and no wired door.' })
  return { ...model, terminals: [], ...(model.controller ? { controller: { ...model.controller, doors: 16, portGroups: [], feedA: 0 } } : {}), carries: [{ kind: 'hub', most: 4 }, { kind: 'wirelessLock', most: 16 }], setUp: [{ what: 'Licence for a wireless lock', kind: 'licence', one: 'door' }] }
}

const bank = (positions: number, order: 'leastFirst' | 'mostFirst', inverted: boolean, offset: number) => ({ kind: 'binary' as const, positions, order, inverted, offset, factory: Array.from({ length: positions }, () => 0) })
const ports = (n: number, highestClass: number) => Array.from({ length: n }, (_, i) => ({ id: String(i + 1), highestClass }))
const card = ['card 13.56 MHz']
const radioLock = (id: string, name: string, says: string, passagesPerDay: number): DeviceSheet => ({
  ...base, id, name, kind: 'lock', also: ['wirelessLock', 'reader'], says, place: 'indoor', ownBattery: { passagesPerDay, cells: 'two AA lithium' }, reading: { by: 'radio', technologies: card, keypad: false, reachM: 0.03 },
  lock: { principle: 'motor', fail: 'secure', nominalV: 3, leastV: 2.4, pullA: 0.15, sensing: false }, lamps: [{ lamp: 'Green once', means: 'let go' }, { lamp: 'Red three times', means: 'refused' }, { lamp: 'Red, slow', means: 'battery low' }], atHand: ['Site radio key', 'Standby credential', 'Spare cells'],
})

/** Device sheets beyond the first twelve; all types are invented. */
export const moreSheets: readonly DeviceSheet[] = [
  controllerOf('controller-1-net', 'Door controller, 1 door, fed from the network', 1, 4, { says: 'Takes its power from the network port and feeds 12 V to its door.', network: { class: 4, restW: 5.5, peakW: 15 }, feeds: { volts: 12, watts: 18, efficiency: 0.86, cutOffV: 37 } }),
  controllerOf('controller-8', 'Door controller, 8 doors', 8, 4),
  radioController(),
  { ...base, id: 'expander-io', name: 'Expander, 8 inputs and 4 relays', kind: 'expander', says: 'Sits behind a controller and serves any of its port groups.', restA: 0.06, terminals: expanderScrews(8, 4), coding: { ...bank(4, 'leastFirst', false, 1), says: 'Address 1 with all switches off' }, place: 'indoor', box: ['Board', 'Link to the controller, 0.3 m'], atHand: screws },
  { ...base, id: 'expander-reader', name: 'Expander, 2 readers', kind: 'expander', says: 'Adds reader ports and a bus to its controller, for any of its port groups.', restA: 0.05, terminals: readerScrews(2), coding: { ...bank(4, 'leastFirst', false, 1), says: 'Address 1 with all switches off' }, place: 'indoor', box: ['Board', 'Link to the controller, 0.3 m'], atHand: screws },
  { ...base, id: 'hub-radio', name: 'Hub for wireless locks', kind: 'hub', says: 'Joins up to eight wireless locks by 2.4 GHz radio, and the controller over a bus.', restA: 0.09, network: { class: 1, restW: 2.2, peakW: 3.2 }, coding: { ...bank(6, 'mostFirst', false, 0), says: 'Switch 1 counts most' }, carries: [{ kind: 'wirelessLock', most: 8 }], place: 'indoor', atHand: ['Site radio key', 'Network lead'], setUp: [{ what: 'Radio set-up tool', kind: 'tool', runsOn: 'a laptop with a USB port', one: 'job' }, { what: 'Set-up key of the radio', kind: 'key', one: 'job' }] },
  radioLock('wireless-handle', 'Wireless lock, handle', 'A handle with its own reader; for doors of modest use.', 75),
  radioLock('wireless-cylinder', 'Wireless lock, cylinder', 'A turning knob with its own reader.', 60),
  radioLock('wireless-cabinet', 'Wireless lock, cabinet', 'For a cabinet or a locker.', 40),
  { ...base, id: 'reader-keypad', name: 'Keypad', kind: 'reader', says: 'Keys only; sends each key by Wiegand.', restA: 0.07, leads: wiegand('red', 'black', 'green', 'white', 'brown'), reading: { by: 'wiegand', technologies: ['code'], keypad: true, reachM: 0.01, takes: ['code'] }, place: 'outdoor' },
  { ...base, id: 'reader-bus', name: 'Card reader, bus', kind: 'reader', says: 'On an EIA-485 bus, address by switches.', restA: 0.11, leads: osdp('red', 'black', 'white', 'green'), reading: { by: 'osdp', technologies: card, keypad: false, reachM: 0.05, unitLoad: 0.25 }, coding: { ...bank(5, 'leastFirst', false, 0), says: 'Switch 1 counts 1' }, jumpers: [{ id: 'J1', says: 'Terminator 120 Ω', positions: ['off', 'on'], factory: 'off' }], place: 'outdoor', operatingV: { least: 9, most: 15 } },
  { ...base, id: 'reader-bus-keypad', name: 'Card reader with keypad, bus', kind: 'reader', says: 'On an EIA-485 bus, address by two turning switches.', restA: 0.14, leads: osdp('brown', 'blue', 'yellow', 'grey'), reading: { by: 'osdp', technologies: [...card, 'code'], keypad: true, reachM: 0.05, unitLoad: 0.25, takes: ['card', 'code'] }, coding: { kind: 'decade', positions: 2, order: 'mostFirst', inverted: false, offset: 0, factory: [0, 0] }, jumpers: [{ id: 'J2', says: 'Terminator 120 Ω', positions: ['off', 'on'], factory: 'on' }], place: 'outdoor' },
  { ...base, id: 'reader-far', name: 'Long-range reader', kind: 'reader', says: 'Reads a tag in a vehicle; wants a supply of its own line.', restA: 0.9, leads: wiegand('red', 'black', 'green', 'white', 'violet'), reading: { by: 'wiegand', technologies: ['tag 868 MHz'], keypad: false, reachM: 8 }, place: 'outdoor', inrush: { amps: 3, ms: 20 }, atHand: ['Mast bracket', 'Tags for the trial'] },
  { ...base, id: 'reader-qr', name: 'QR reader', kind: 'reader', says: 'Reads codes from paper or a phone.', restA: 0.35, leads: wiegand('orange', 'black', 'green', 'white', 'grey'), reading: { by: 'wiegand', technologies: ['code picture'], keypad: false, reachM: 0.2, takes: ['picture'] }, place: 'indoor' },
  { ...base, id: 'reader-finger', name: 'Finger reader', kind: 'reader', says: 'Holds its templates itself; on a bus, switches count downwards.', restA: 0.3, leads: osdp('red', 'black', 'yellow', 'blue'), reading: { by: 'osdp', technologies: [...card, 'finger'], keypad: false, reachM: 0.04, unitLoad: 1, takes: ['card', 'finger'] }, coding: { ...bank(5, 'mostFirst', true, 1), says: 'A switch that is on counts nothing' }, place: 'indoor' },
  { ...base, id: 'reader-face', name: 'Face reader', kind: 'reader', also: ['controller'], says: 'On the network; its own supply or a network port, chosen by a jumper.', restA: 1.1, reading: { by: 'network', technologies: ['face', ...card], keypad: false, reachM: 2.5, takes: ['card', 'face'] }, network: { class: 4, restW: 9, peakW: 18 }, jumpers: [{ id: 'JP1', says: 'Power from', positions: ['network', 'supply'], factory: 'supply' }], place: 'indoor', inrush: { amps: 4, ms: 15 }, setUp: [{ what: 'Licence for faces', kind: 'licence', one: 'device' }] },
  { ...base, id: 'station-one', name: 'Door station, one piece', kind: 'station', also: ['reader'], says: 'Call button, camera and reader in one; drives its own lock.', restA: 0.5, reading: { by: 'network', technologies: card, keypad: true, reachM: 0.03 }, network: { class: 3, restW: 6, peakW: 11 }, place: 'outdoor', atHand: ['Call account from the client’s IT'] },
  { ...base, id: 'station-head', name: 'Door station, head unit', kind: 'station', also: ['reader'], says: 'Camera and speech; modules are joined to it in a stack.', restA: 0.45, reading: { by: 'network', technologies: [], keypad: false, reachM: 1, takes: [] }, network: { class: 3, restW: 6.5, peakW: 12 }, carries: [{ kind: 'module', most: 4 }], place: 'outdoor', setUp: [{ what: 'Set-up page of the station', kind: 'tool', runsOn: 'a browser on the same network', one: 'job' }] },
  { ...base, id: 'module-names', name: 'Module with name plates and six buttons', kind: 'module', says: 'Joined to a head unit; its place in the stack is set by switches.', restA: 0.05, coding: { ...bank(3, 'leastFirst', false, 1), says: 'Place in the stack' }, place: 'outdoor', atHand: ['Name plates, printed'] },
  { ...base, id: 'module-card', name: 'Module with card reader', kind: 'module', also: ['reader'], says: 'Joined to a head unit.', restA: 0.08, coding: bank(3, 'leastFirst', false, 1), reading: { by: 'network', technologies: card, keypad: false, reachM: 0.03 }, place: 'outdoor' },
  { ...base, id: 'converter-serial', name: 'Converter, Wiegand to serial', kind: 'converter', says: 'Takes a Wiegand reader on one side and speaks on a bus to the controller.', restA: 0.04, terminals: readerScrews(1).slice(0, 5), leads: osdp('red', 'black', 'white', 'green'), operatingV: { least: 8, most: 14 }, place: 'indoor', atHand: ['USB lead, 1.8 m'] },
  { ...base, id: 'strike-fast', name: 'Strike, fail-secure, pull and hold', kind: 'lock', says: 'Pulls in with force, then holds with little.', lock: { principle: 'strike', fail: 'secure', nominalV: 12, leastV: 10.5, pullA: 0.9, pullMs: 120, holdA: 0.22, dropOutV: 3.5, duty: 0.25, sensing: true }, leads: [...coil('red', 'blue'), ...sensing('white', 'green')], place: 'indoor' },
  { ...base, id: 'magnet-outdoor', name: 'Magnetic lock, 500 kg, outdoor', kind: 'lock', says: 'For a gate; holds while it is fed. Its leads have no colours.', lock: { principle: 'magnetic', fail: 'safe', nominalV: 12, leastV: 11, pullA: 0.6, dropOutV: 2, sensing: true }, leads: [...coil('', ''), ...sensing('white', 'yellow')], place: 'outdoor' },
  { ...base, id: 'contact-bolt', name: 'Bolt contact', kind: 'contact', says: 'Closed while the bolt is thrown.', leads: pair('grey', 'pink'), place: 'indoor' },
  { ...base, id: 'switch-tamper', name: 'Tamper switch', kind: 'contact', says: 'Closed while the cover is on.', leads: pair('orange', 'grey'), place: 'outdoor' },
  { ...base, id: 'reader-guarded', name: 'Card reader with tamper', kind: 'reader', says: 'Wiegand, 26 bits; a contact opens when it is taken off the wall.', restA: 0.1, leads: [...wiegand('red', 'black', 'green', 'white', 'blue'), lead('ta', 'tamper', 'violet', 'contactA'), lead('tb', 'common', 'pink', 'contactB')], reading: { by: 'wiegand', technologies: card, keypad: false, reachM: 0.05 }, place: 'outdoor' },
  { ...base, id: 'sensor-exit-fed', name: 'Exit sensor, fed', kind: 'exit', says: 'Sees somebody walk up; wants 12 V.', restA: 0.04, leads: [lead('plus', 'supply +', 'red', 'supply+'), lead('zero', '0 V', 'black', 'supply-'), ...pair('white', 'green')], operatingV: { least: 9, most: 15 }, place: 'indoor' },
  { ...base, id: 'sensor-exit', name: 'Exit sensor', kind: 'exit', says: 'Sees a hand come near; dry contact.', restA: 0.05, leads: pair('yellow', 'green'), place: 'indoor' },
  { ...base, id: 'button-desk', name: 'Desk button', kind: 'exit', says: 'Lets somebody in from the desk.', leads: pair('violet', 'white'), place: 'indoor' },
  { ...base, id: 'break-glass-two', name: 'Break glass, two poles', kind: 'breakGlass', says: 'One pole opens the lock’s feed, the other tells the controller.', leads: [lead('in', 'feed in', 'red', 'break1'), lead('out', 'feed out', 'orange', 'break2'), lead('a', 'second pole', 'white', 'contactA'), lead('b', 'common', 'black', 'contactB')], place: 'outdoor' },
  { ...base, id: 'opener-leaf', name: 'Leaf opener', kind: 'opener', says: 'Waits for a dry contact; move it only after the lock has let go.', leads: [lead('go', 'go', 'white', 'drive1'), lead('com', 'common', 'brown', 'drive2')], place: 'indoor', atHand: ['Opener’s own manual for its start delay'] },
  { ...base, id: 'supply-10', name: 'Supply, 13.6 V, 10 A', kind: 'supply', says: 'With charger for two 12 V batteries.', supply: { volts: 13.6, amps: 10, tripA: 16, internalOhm: 0.03, floatV: 13.8, endV: 10.5, chargerA: 1.5, battery: { volts: 12, peukert: 1.15 }, outputs: [{ id: 'board', fuseA: 3 }, { id: 'locks', fuseA: 8 }] }, place: 'indoor' },
  { ...base, id: 'supply-24', name: 'Supply, 27.2 V, 5 A', kind: 'supply', says: 'With charger for two 12 V batteries in series.', supply: { volts: 27.2, amps: 5, tripA: 8, internalOhm: 0.06, floatV: 27.6, endV: 21, chargerA: 0.8, battery: { volts: 12, peukert: 1.15 }, outputs: [{ id: 'locks', fuseA: 4 }] }, place: 'indoor' },
  { ...base, id: 'switch-8', name: 'Network switch, 8 ports with power', kind: 'switch', says: 'Class 4 on every port, 120 W in all.', networkSource: { volts: 53, budgetW: 120, ports: ports(8, 4) }, place: 'indoor' },
  { ...base, id: 'midspan-1', name: 'Midspan, 1 port', kind: 'midspan', says: 'Puts power on one network run.', networkSource: { volts: 55, budgetW: 60, ports: ports(1, 6) }, place: 'indoor' },
]
