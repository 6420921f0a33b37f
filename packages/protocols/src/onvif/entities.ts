import type { Element } from '../xml'
import { fromDuration, toDuration } from '../duration'
import type { ServicePrefix } from '../namespaces'
import type { Markup} from '../xml';
import { child, el, elements, needed, textOf } from '../xml'

/**
 * A kind of record that a device keeps under a token and that is written and listed the same way: Set…, Get…List,
 * Delete…. The structures follow the ONVIF access specifications, narrowed to the fields in use.
 */
export interface EntityCodec<T extends { token: string }> {
  service: ServicePrefix
  /** Element name in requests, for example `Door` in SetDoor. */
  name: string
  /** Get…List and its answer. */
  list: string
  write(value: T): Markup
  read(element: Element): T
}

export interface OnvifDoor { token: string; name: string; releaseS: number; openS: number; relockDelayS: number }
export const doorCodec: EntityCodec<OnvifDoor> = {
  service: 'tdc', name: 'Door', list: 'GetDoorList',
  write: (d) => el('tdc:Door', { token: d.token }, el('tdc:Name', d.name), el('tdc:DoorType', 'pt:Door'),
    el('tdc:Timings', el('tdc:ReleaseTime', toDuration(d.releaseS)), el('tdc:OpenTime', toDuration(d.openS)), el('tdc:DelayTimeBeforeRelock', toDuration(d.relockDelayS)))),
  read: (e) => ({
    token: e.getAttribute('token') ?? '', name: needed(e, 'Name'), releaseS: fromDuration(needed(e, 'Timings', 'ReleaseTime')), openS: fromDuration(needed(e, 'Timings', 'OpenTime')),
    relockDelayS: fromDuration(textOf(e, 'Timings', 'DelayTimeBeforeRelock') || 'PT0S'),
  }),
}

export interface OnvifAccessPoint { token: string; name: string; areaFrom: string; areaTo: string; entity: string }
export const accessPointCodec: EntityCodec<OnvifAccessPoint> = {
  service: 'tac', name: 'AccessPoint', list: 'GetAccessPointList',
  write: (a) => el('tac:AccessPoint', { token: a.token }, el('tac:Name', a.name), el('tac:AreaFrom', a.areaFrom), el('tac:AreaTo', a.areaTo), el('tac:EntityType', 'tdc:Door'), el('tac:Entity', a.entity)),
  read: (e) => ({ token: e.getAttribute('token') ?? '', name: needed(e, 'Name'), areaFrom: textOf(e, 'AreaFrom'), areaTo: textOf(e, 'AreaTo'), entity: needed(e, 'Entity') }),
}

export interface OnvifSchedule { token: string; name: string; standard: string; specialDays: { group: string; ranges: { from: string; until: string }[] }[] }
export const scheduleCodec: EntityCodec<OnvifSchedule> = {
  service: 'tsc', name: 'Schedule', list: 'GetScheduleList',
  write: (s) => el('tsc:Schedule', { token: s.token }, el('tsc:Name', s.name), el('tsc:Standard', s.standard),
    s.specialDays.map((d) => el('tsc:SpecialDays', el('tsc:GroupToken', d.group), d.ranges.map((r) => el('tsc:TimeRange', el('tsc:From', r.from), el('tsc:Until', r.until)))))),
  read: (e) => ({
    token: e.getAttribute('token') ?? '', name: needed(e, 'Name'), standard: needed(e, 'Standard').replace(/\r?\n/g, '\r\n'),
    specialDays: elements(e, 'SpecialDays').map((d) => ({ group: needed(d, 'GroupToken'), ranges: elements(d, 'TimeRange').map((r) => ({ from: needed(r, 'From'), until: textOf(r, 'Until') })) })),
  }),
}

export interface OnvifSpecialDayGroup { token: string; name: string; days: string }
export const specialDayGroupCodec: EntityCodec<OnvifSpecialDayGroup> = {
  service: 'tsc', name: 'SpecialDayGroup', list: 'GetSpecialDayGroupList',
  write: (g) => el('tsc:SpecialDayGroup', { token: g.token }, el('tsc:Name', g.name), el('tsc:Days', g.days)),
  read: (e) => ({ token: e.getAttribute('token') ?? '', name: needed(e, 'Name'), days: textOf(e, 'Days') }),
}

export interface OnvifAccessProfile { token: string; name: string; policies: { schedule: string; entity: string }[] }
export const accessProfileCodec: EntityCodec<OnvifAccessProfile> = {
  service: 'tar', name: 'AccessProfile', list: 'GetAccessProfileList',
  write: (p) => el('tar:AccessProfile', { token: p.token }, el('tar:Name', p.name),
    p.policies.map((x) => el('tar:AccessPolicy', el('tar:ScheduleToken', x.schedule), el('tar:Entity', x.entity), el('tar:EntityType', 'tac:AccessPoint')))),
  read: (e) => ({ token: e.getAttribute('token') ?? '', name: needed(e, 'Name'), policies: elements(e, 'AccessPolicy').map((p) => ({ schedule: needed(p, 'ScheduleToken'), entity: needed(p, 'Entity') })) }),
}

export interface OnvifCredential { token: string; holder: string; format: string; /** Hexadecimal. */ value: string; profiles: string[]; enabled: boolean }
/** The credential's state travels beside it in SetCredential and by GetCredentialState when reading. */
export const credentialCodec: EntityCodec<OnvifCredential> = {
  service: 'tcr', name: 'CredentialData', list: 'GetCredentialList',
  write: (c) => el('tcr:CredentialData', credentialElement(c), el('tcr:CredentialState', el('tcr:Enabled', c.enabled), c.enabled ? null : el('tcr:Reason', 'pt:CredentialLost'))),
  read: (e) => {
    const credential = child(e, 'Credential') ?? e
    return { ...readCredential(credential), enabled: textOf(e, 'CredentialState', 'Enabled') !== 'false' }
  },
}

export function credentialElement(c: OnvifCredential): Markup {
  return el('tcr:Credential', { token: c.token }, el('tcr:Description', c.holder), el('tcr:CredentialHolderReference', c.holder),
    el('tcr:CredentialIdentifier', el('tcr:Type', el('tcr:Name', 'pt:Card'), el('tcr:FormatType', c.format)), el('tcr:ExemptedFromAuthentication', false), el('tcr:Value', c.value)),
    c.profiles.map((p) => el('tcr:CredentialAccessProfile', el('tcr:AccessProfileToken', p))))
}

export function readCredential(e: Element): OnvifCredential {
  return {
    token: e.getAttribute('token') ?? '', holder: textOf(e, 'CredentialHolderReference'), format: textOf(e, 'CredentialIdentifier', 'Type', 'FormatType'),
    value: textOf(e, 'CredentialIdentifier', 'Value').toUpperCase(), profiles: elements(e, 'CredentialAccessProfile').map((p) => needed(p, 'AccessProfileToken')), enabled: true,
  }
}

/** Extension: which ports of the controller serve a door, and whether an opening without release alarms. */
export interface DoorWiring {
  token: string
  readers: { id: string; port: string; accessPoint: string }[]
  lockRelay: string
  contactInput: string
  exitInput: string
  forcedAlarm: boolean
}
export const doorWiringCodec: EntityCodec<DoorWiring> = {
  service: 'cx', name: 'DoorWiring', list: 'GetDoorWiringList',
  write: (w) => el('cx:DoorWiring', { token: w.token }, w.readers.map((r) => el('cx:Reader', el('cx:Id', r.id), el('cx:Port', r.port), el('cx:AccessPoint', r.accessPoint))),
    el('cx:LockRelay', w.lockRelay), el('cx:ContactInput', w.contactInput), el('cx:ExitInput', w.exitInput), el('cx:ForcedAlarm', w.forcedAlarm)),
  read: (e) => ({
    token: e.getAttribute('token') ?? '', readers: elements(e, 'Reader').map((r) => ({ id: needed(r, 'Id'), port: needed(r, 'Port'), accessPoint: needed(r, 'AccessPoint') })),
    lockRelay: textOf(e, 'LockRelay'), contactInput: textOf(e, 'ContactInput'), exitInput: textOf(e, 'ExitInput'), forcedAlarm: textOf(e, 'ForcedAlarm') === 'true',
  }),
}

/** Device I/O: a digital input and the state it rests in. */
export interface DigitalInput { token: string; idle: 'closed' | 'open' }
export const digitalInputCodec: EntityCodec<DigitalInput> = {
  service: 'tmd', name: 'DigitalInput', list: 'GetDigitalInputs',
  write: (i) => el('tmd:DigitalInputs', { token: i.token, IdleState: i.idle }),
  read: (e) => ({ token: e.getAttribute('token') ?? '', idle: e.getAttribute('IdleState') === 'open' ? 'open' : 'closed' }),
}
