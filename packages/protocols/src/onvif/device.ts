import type { Element } from '../xml'
import type { Markup } from '../xml'
import { child, el, elements, MalformedError, needed, textOf } from '../xml'

export interface DeviceInformation {
  manufacturer: string
  model: string
  firmware: string
  serial: string
  hardware: string
}
export const deviceInformation = {
  write: (d: DeviceInformation): Markup =>
    el(
      'tds:GetDeviceInformationResponse',
      el('tds:Manufacturer', d.manufacturer),
      el('tds:Model', d.model),
      el('tds:FirmwareVersion', d.firmware),
      el('tds:SerialNumber', d.serial),
      el('tds:HardwareId', d.hardware),
    ),
  read: (e: Element): DeviceInformation => ({
    manufacturer: textOf(e, 'Manufacturer'),
    model: needed(e, 'Model'),
    firmware: needed(e, 'FirmwareVersion'),
    serial: needed(e, 'SerialNumber'),
    hardware: textOf(e, 'HardwareId'),
  }),
}

export interface DeviceTime {
  utcMs: number
  zone: string
  daylightSaving: boolean
}

export function dateTimeElement(name: string, ms: number, extension?: Markup): Markup {
  const d = new Date(ms)
  return el(
    name,
    el(
      'tt:Time',
      el('tt:Hour', d.getUTCHours()),
      el('tt:Minute', d.getUTCMinutes()),
      el('tt:Second', d.getUTCSeconds()),
    ),
    el('tt:Date', el('tt:Year', d.getUTCFullYear()), el('tt:Month', d.getUTCMonth() + 1), el('tt:Day', d.getUTCDate())),
    extension,
  )
}

export function readDateTime(e: Element | null): number {
  if (!e) throw new MalformedError('UTCDateTime is missing.')
  const n = (...path: string[]) => Number(needed(e, ...path))
  const ms = Date.UTC(
    n('Date', 'Year'),
    n('Date', 'Month') - 1,
    n('Date', 'Day'),
    n('Time', 'Hour'),
    n('Time', 'Minute'),
    n('Time', 'Second'),
  )
  return deviceMoment(ms)
}

/** A moment that a device tells, ms since 1970 UTC: of the years that a date can be written in. @throws MalformedError */
export function deviceMoment(ms: number): number {
  if (!(ms >= 0 && ms < Date.UTC(10_000, 0))) throw new MalformedError('The device tells a time that is none.')
  return ms
}

/** GetSystemDateAndTime's answer. Milliseconds travel in the extension's `cx:UtcMs`, where a device has it. */
export const deviceTime = {
  write: (t: DeviceTime): Markup =>
    el(
      'tds:GetSystemDateAndTimeResponse',
      el(
        'tds:SystemDateAndTime',
        el('tt:DateTimeType', 'Manual'),
        el('tt:DaylightSavings', t.daylightSaving),
        el('tt:TimeZone', el('tt:TZ', t.zone)),
        dateTimeElement('tt:UTCDateTime', t.utcMs),
        el('tt:Extension', el('cx:UtcMs', Math.round(t.utcMs))),
      ),
    ),
  read: (e: Element): DeviceTime => {
    const at = child(e, 'SystemDateAndTime')
    const exact = textOf(at, 'Extension', 'UtcMs')
    return {
      utcMs: exact ? deviceMoment(Number(exact)) : readDateTime(child(at, 'UTCDateTime')),
      zone: textOf(at, 'TimeZone', 'TZ'),
      daylightSaving: textOf(at, 'DaylightSavings') === 'true',
    }
  },
}

export function setDeviceTime(t: DeviceTime): Markup {
  return el(
    'tds:SetSystemDateAndTime',
    el('tds:DateTimeType', 'Manual'),
    el('tds:DaylightSavings', t.daylightSaving),
    el('tds:TimeZone', el('tt:TZ', t.zone)),
    dateTimeElement('tds:UTCDateTime', t.utcMs, el('cx:UtcMs', Math.round(t.utcMs))),
  )
}
export function readSetDeviceTime(e: Element): DeviceTime {
  return {
    utcMs: readDateTime(child(e, 'UTCDateTime')),
    zone: textOf(e, 'TimeZone', 'TZ'),
    daylightSaving: textOf(e, 'DaylightSavings') === 'true',
  }
}

export interface DeviceNetwork {
  token: string
  mac: string
  address: string
  prefix: number
  dhcp: boolean
}
export const networkInterface = {
  write: (n: DeviceNetwork): Markup =>
    el(
      'tds:NetworkInterfaces',
      { token: n.token },
      el('tt:Enabled', true),
      el('tt:Info', el('tt:Name', n.token), el('tt:HwAddress', n.mac)),
      el(
        'tt:IPv4',
        el('tt:Enabled', true),
        el(
          'tt:Config',
          el(n.dhcp ? 'tt:FromDHCP' : 'tt:Manual', el('tt:Address', n.address), el('tt:PrefixLength', n.prefix)),
          el('tt:DHCP', n.dhcp),
        ),
      ),
    ),
  read: (e: Element): DeviceNetwork => {
    const config = child(e, 'IPv4', 'Config')
    const at = child(config, 'Manual') ?? child(config, 'FromDHCP')
    return {
      token: e.getAttribute('token') ?? '',
      mac: textOf(e, 'Info', 'HwAddress').toUpperCase(),
      address: needed(at, 'Address'),
      prefix: Number(needed(at, 'PrefixLength')),
      dhcp: textOf(config, 'DHCP') === 'true',
    }
  },
}
export function setNetworkInterface(token: string, address: string, prefix: number): Markup {
  return el(
    'tds:SetNetworkInterfaces',
    el('tds:InterfaceToken', token),
    el(
      'tds:NetworkInterface',
      el('tt:Enabled', true),
      el(
        'tt:IPv4',
        el('tt:Enabled', true),
        el('tt:Manual', el('tt:Address', address), el('tt:PrefixLength', prefix)),
        el('tt:DHCP', false),
      ),
    ),
  )
}
export function readSetNetworkInterface(e: Element): { token: string; address: string; prefix: number } {
  const at = child(e, 'NetworkInterface', 'IPv4', 'Manual')
  return {
    token: needed(e, 'InterfaceToken'),
    address: needed(at, 'Address'),
    prefix: Number(needed(at, 'PrefixLength')),
  }
}

/** A protocol that a device listens by, `HTTP`, `HTTPS` or `RTSP`. */
export interface NetworkProtocol {
  name: string
  enabled: boolean
  port: number
}
export const networkProtocol = {
  write: (p: NetworkProtocol): Markup =>
    el('tds:NetworkProtocols', el('tt:Name', p.name), el('tt:Enabled', p.enabled), el('tt:Port', p.port)),
  read: (e: Element): NetworkProtocol => ({
    name: needed(e, 'Name'),
    enabled: textOf(e, 'Enabled') === 'true',
    port: Number(textOf(e, 'Port')),
  }),
}

export interface OnvifUser {
  username: string
  password: string
  level: 'Administrator' | 'Operator' | 'User'
}
export const usersRequest = (name: 'CreateUsers' | 'SetUser', users: readonly OnvifUser[]): Markup =>
  el(
    `tds:${name}`,
    users.map((u) =>
      el('tds:User', el('tt:Username', u.username), el('tt:Password', u.password), el('tt:UserLevel', u.level)),
    ),
  )
export const deleteUsers = {
  write: (names: readonly string[]): Markup =>
    el(
      'tds:DeleteUsers',
      names.map((name) => el('tds:Username', name)),
    ),
  read: (e: Element): string[] => elements(e, 'Username').map((u) => textOf(u)),
}
export function readUsers(e: Element): OnvifUser[] {
  return elements(e, 'User').map((u) => ({
    username: needed(u, 'Username'),
    password: textOf(u, 'Password'),
    level: (textOf(u, 'UserLevel') || 'User') as OnvifUser['level'],
  }))
}
