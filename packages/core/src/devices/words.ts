import type { DeviceKind, DeviceSheet, LeadKind, TerminalKind } from './sheet'

/** How a kind of device is called, one and several. */
export const kindWords: Readonly<Record<DeviceKind, [string, string]>> = {
  controller: ['Controller', 'Controllers'],
  expander: ['Expander', 'Expanders'],
  hub: ['Radio hub', 'Radio hubs'],
  reader: ['Reader', 'Readers'],
  lock: ['Lock', 'Locks'],
  wirelessLock: ['Wireless lock', 'Wireless locks'],
  contact: ['Contact', 'Contacts'],
  exit: ['Exit device', 'Exit devices'],
  breakGlass: ['Break glass', 'Break glasses'],
  opener: ['Opener', 'Openers'],
  sounder: ['Sounder or lamp', 'Sounders and lamps'],
  panelLine: ['Line to somebody else’s system', 'Lines to somebody else’s system'],
  panelState: ['State of an alarm panel', 'States of alarm panels'],
  station: ['Door station', 'Door stations'],
  module: ['Module', 'Modules'],
  converter: ['Converter', 'Converters'],
  supply: ['Supply', 'Supplies'],
  switch: ['Network switch', 'Network switches'],
  midspan: ['Midspan', 'Midspans'],
}

/** What a terminal is for, for a fitter. */
export const terminalWords: Readonly<Record<TerminalKind, string>> = {
  'reader+': 'reader supply',
  'reader-': 'reader 0 V',
  d0: 'data 0',
  d1: 'data 1',
  led: 'reader indicator',
  busA: 'bus A',
  busB: 'bus B',
  bus0: 'bus reference',
  input: 'an input',
  inputCommon: 'an input’s common',
  relayC: 'relay common',
  relayNO: 'relay, open at rest',
  relayNC: 'relay, closed at rest',
  auxC: 'second relay, common',
  auxNO: 'second relay, open at rest',
  'feed+': 'lock feed +',
  'feed-': 'lock feed −',
}
export const leadWords: Readonly<Record<LeadKind, string>> = {
  'supply+': 'supply +',
  'supply-': '0 V',
  d0: 'data 0',
  d1: 'data 1',
  led: 'indicator',
  busA: 'bus A',
  busB: 'bus B',
  bus0: 'bus reference',
  contactA: 'dry contact',
  contactB: 'dry contact, common',
  'lock+': 'lock +',
  'lock-': 'lock −',
  break1: 'break glass in',
  break2: 'break glass out',
  drive1: 'contact that starts it',
  drive2: 'contact that starts it, common',
}

/** Where a controller hangs: its cabinet, or the place on the wall of one that reads for its own door. */
export const hangsWords = ({ cabinet }: { cabinet: string }, sheet: DeviceSheet): string =>
  sheet.controller?.ownReader === undefined ? `Cabinet ${cabinet}` : cabinet

/** What a sheet says of amps, volts, watts and limits, as lines for people. */
export function sheetLines(sheet: DeviceSheet): [string, string][] {
  const lines: [string, string][] = []
  const add = (name: string, value: string | undefined | false) => {
    if (value) lines.push([name, value])
  }
  add('At rest', sheet.restA > 0 && `${sheet.restA} A`)
  add('Works from', sheet.operatingV && `${sheet.operatingV.least} V to ${sheet.operatingV.most} V`)
  add('First moment', sheet.inrush && `${sheet.inrush.amps} A for ${sheet.inrush.ms} ms`)
  add('Made for', sheet.place && (sheet.place === 'indoor' ? 'indoors only' : 'outdoors'))
  const { lock, supply, network, feeds, networkSource, reading, ownBattery } = sheet
  if (lock) {
    add(
      'Without power',
      lock.fail === 'safe'
        ? 'lets go (fail-safe): energised while locked'
        : 'stays shut (fail-secure): energised to release',
    )
    add(
      'Pulls in',
      `${lock.pullA} A at ${lock.nominalV} V${lock.pullMs ? `, ${lock.pullMs} ms` : ''}; needs ${lock.leastV} V`,
    )
    add('Held', lock.holdA !== undefined && `${lock.holdA} A`)
    add('Lets go under', lock.dropOutV !== undefined && `${lock.dropOutV} V`)
    add('May be driven', lock.duty !== undefined && `${Math.round(lock.duty * 100)} % of the time`)
  }
  add(
    'Gives',
    supply &&
      `${supply.amps} A at ${supply.volts} V${supply.floatV ? `, floats at ${supply.floatV} V` : ''}${supply.endV ? `, ends at ${supply.endV} V` : ''}`,
  )
  add('Charger', supply?.chargerA !== undefined && `${supply.chargerA} A`)
  add('Fuses', supply?.outputs?.map((o) => `${o.id} ${o.fuseA} A`).join(', '))
  add('Network power', network && `class ${network.class}, ${network.restW} W at rest, ${network.peakW} W at its peak`)
  add('Feeds its door', feeds && `${feeds.volts} V, ${feeds.watts} W`)
  add(
    'Gives network power',
    networkSource &&
      `${networkSource.ports.length} ports up to class ${Math.max(...networkSource.ports.map((p) => p.highestClass))}, ${networkSource.budgetW} W in all`,
  )
  add(
    'Reads',
    reading &&
      `${reading.technologies.join(', ') || 'nothing itself'}${reading.keypad ? ', keys' : ''}, up to ${reading.reachM} m`,
  )
  add(
    'Hands on by',
    reading && { wiegand: 'Wiegand', osdp: 'bus (OSDP)', network: 'network', radio: 'radio' }[reading.by],
  )
  add('Own battery', ownBattery && `${ownBattery.cells}; suits ${ownBattery.passagesPerDay} passages a day`)
  add(
    'May carry',
    sheet.carries?.map((c) => `${c.most} ${kindWords[c.kind][c.most === 1 ? 0 : 1].toLowerCase()}`).join(', '),
  )
  add('Factory address', sheet.controller?.factory.address)
  return lines
}
