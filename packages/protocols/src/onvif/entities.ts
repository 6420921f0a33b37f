import type { Element } from '../xml'
import { fromDuration, toDuration } from '../duration'
import type { ServicePrefix } from '../namespaces'
import type { Markup } from '../xml'
import { child, el, elements, needed, textOf } from '../xml'
import { codeOnly } from './formats'

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

/** A field that is left out where its element says nothing. */
export const optional = <K extends string, V>(key: K, text: string, read: (text: string) => V) =>
  (text === '' ? {} : { [key]: read(text) }) as { [P in K]?: V }

/** An element of an extension of ours; left out where there is nothing to say. */
export const cxText = (name: string, text: string | undefined): Markup | null =>
  text === undefined ? null : el(`cx:${name}`, text)
export const cxTime = (name: string, seconds: number | undefined): Markup | null =>
  cxText(name, seconds === undefined ? undefined : toDuration(seconds))

export interface OnvifDoor {
  token: string
  name: string
  releaseS: number
  openS: number
  relockDelayS: number
  /** For whoever needs longer. */
  extendedReleaseS?: number
  extendedOpenS?: number
  /** A warning comes so long before the door has been open too long. */
  preAlarmS?: number
}
export const doorCodec: EntityCodec<OnvifDoor> = {
  service: 'tdc',
  name: 'Door',
  list: 'GetDoorList',
  write: (d) =>
    el(
      'tdc:Door',
      { token: d.token },
      el('tdc:Name', d.name),
      el('tdc:DoorType', 'pt:Door'),
      el(
        'tdc:Timings',
        el('tdc:ReleaseTime', toDuration(d.releaseS)),
        el('tdc:OpenTime', toDuration(d.openS)),
        d.extendedReleaseS === undefined ? null : el('tdc:ExtendedReleaseTime', toDuration(d.extendedReleaseS)),
        el('tdc:DelayTimeBeforeRelock', toDuration(d.relockDelayS)),
        d.extendedOpenS === undefined ? null : el('tdc:ExtendedOpenTime', toDuration(d.extendedOpenS)),
        d.preAlarmS === undefined ? null : el('tdc:PreAlarmTime', toDuration(d.preAlarmS)),
      ),
    ),
  read: (e) => ({
    token: e.getAttribute('token') ?? '',
    name: needed(e, 'Name'),
    releaseS: fromDuration(needed(e, 'Timings', 'ReleaseTime')),
    openS: fromDuration(needed(e, 'Timings', 'OpenTime')),
    relockDelayS: fromDuration(textOf(e, 'Timings', 'DelayTimeBeforeRelock') || 'PT0S'),
    ...optional('extendedReleaseS', textOf(e, 'Timings', 'ExtendedReleaseTime'), fromDuration),
    ...optional('extendedOpenS', textOf(e, 'Timings', 'ExtendedOpenTime'), fromDuration),
    ...optional('preAlarmS', textOf(e, 'Timings', 'PreAlarmTime'), fromDuration),
  }),
}

export interface OnvifAccessPoint {
  token: string
  name: string
  areaFrom: string
  areaTo: string
  entity: string
}
export const accessPointCodec: EntityCodec<OnvifAccessPoint> = {
  service: 'tac',
  name: 'AccessPoint',
  list: 'GetAccessPointList',
  write: (a) =>
    el(
      'tac:AccessPoint',
      { token: a.token },
      el('tac:Name', a.name),
      el('tac:AreaFrom', a.areaFrom),
      el('tac:AreaTo', a.areaTo),
      el('tac:EntityType', 'tdc:Door'),
      el('tac:Entity', a.entity),
    ),
  read: (e) => ({
    token: e.getAttribute('token') ?? '',
    name: needed(e, 'Name'),
    areaFrom: textOf(e, 'AreaFrom'),
    areaTo: textOf(e, 'AreaTo'),
    entity: needed(e, 'Entity'),
  }),
}

export interface OnvifSchedule {
  token: string
  name: string
  standard: string
  specialDays: { group: string; ranges: { from: string; until: string }[] }[]
}
export const scheduleCodec: EntityCodec<OnvifSchedule> = {
  service: 'tsc',
  name: 'Schedule',
  list: 'GetScheduleList',
  write: (s) =>
    el(
      'tsc:Schedule',
      { token: s.token },
      el('tsc:Name', s.name),
      el('tsc:Standard', s.standard),
      s.specialDays.map((d) =>
        el(
          'tsc:SpecialDays',
          el('tsc:GroupToken', d.group),
          d.ranges.map((r) => el('tsc:TimeRange', el('tsc:From', r.from), r.until ? el('tsc:Until', r.until) : null)),
        ),
      ),
    ),
  read: (e) => ({
    token: e.getAttribute('token') ?? '',
    name: needed(e, 'Name'),
    standard: needed(e, 'Standard').replace(/\r?\n/g, '\r\n'),
    specialDays: elements(e, 'SpecialDays').map((d) => ({
      group: needed(d, 'GroupToken'),
      ranges: elements(d, 'TimeRange').map((r) => ({ from: needed(r, 'From'), until: textOf(r, 'Until') })),
    })),
  }),
}

export interface OnvifSpecialDayGroup {
  token: string
  name: string
  days: string
}
export const specialDayGroupCodec: EntityCodec<OnvifSpecialDayGroup> = {
  service: 'tsc',
  name: 'SpecialDayGroup',
  list: 'GetSpecialDayGroupList',
  write: (g) => el('tsc:SpecialDayGroup', { token: g.token }, el('tsc:Name', g.name), el('tsc:Days', g.days)),
  read: (e) => ({ token: e.getAttribute('token') ?? '', name: needed(e, 'Name'), days: textOf(e, 'Days') }),
}

export interface OnvifAccessProfile {
  token: string
  name: string
  policies: { schedule: string; entity: string }[]
}
export const accessProfileCodec: EntityCodec<OnvifAccessProfile> = {
  service: 'tar',
  name: 'AccessProfile',
  list: 'GetAccessProfileList',
  write: (p) =>
    el(
      'tar:AccessProfile',
      { token: p.token },
      el('tar:Name', p.name),
      p.policies.map((x) =>
        el(
          'tar:AccessPolicy',
          el('tar:ScheduleToken', x.schedule),
          el('tar:Entity', x.entity),
          el('tar:EntityType', 'tac:AccessPoint'),
        ),
      ),
    ),
  read: (e) => ({
    token: e.getAttribute('token') ?? '',
    name: needed(e, 'Name'),
    policies: elements(e, 'AccessPolicy').map((p) => ({
      schedule: needed(p, 'ScheduleToken'),
      entity: needed(p, 'Entity'),
    })),
  }),
}

/** A profile through which a credential passes, and between which moments; UTC, to the second. */
export interface CredentialProfile {
  token: string
  validFrom?: string
  validTo?: string
}

export interface OnvifCredential {
  token: string
  holder: string
  format: string
  /** Hexadecimal. */ value: string
  profiles: CredentialProfile[]
  enabled: boolean
  /** Why it is not enabled: a name of the specification, or one of the extension. */
  reason?: string
  /** UTC, to the second. */
  validFrom?: string
  validTo?: string
  /** Its holder is granted the door's extended times. */
  extendedGrantTime?: boolean
  /** What its holder enters at a keypad, and enters under duress. */
  code?: string
  duress?: string
}

/** Types of identifiers: the specification's own for a code (from memory), and one of the extension for the code under duress. */
const codeTypes = { code: 'pt:PIN', duress: 'cx:DuressPIN' } as const
const isCode = (type: string): boolean => Object.values(codeTypes).some((t) => t === type)

const identifier = (type: string, format: string, value: string): Markup =>
  el(
    'tcr:CredentialIdentifier',
    el('tcr:Type', el('tcr:Name', type), el('tcr:FormatType', format)),
    el('tcr:ExemptedFromAuthentication', false),
    el('tcr:Value', value),
  )

/** The value of an identifier is hexadecimal; a code goes as its digits do, byte by byte. */
const codeIdentifier = (type: string, code: string | undefined): Markup | null =>
  code === undefined
    ? null
    : identifier(type, 'SIMPLE_ALPHA_NUMERIC', [...code].map((c) => c.charCodeAt(0).toString(16)).join(''))

/** Digits of an identifier; what is none stays as it was told. */
function codeIn(identifiers: readonly Element[], type: string): string {
  const found = identifiers.find((i) => textOf(i, 'Type', 'Name') === type)
  const value = found ? textOf(found, 'Value') : ''
  return /^(3\d)+$/.test(value) ? value.replace(/3(\d)/g, '$1') : value
}

/** Why a credential is not enabled. Lost is the specification's own name; withdrawn is one of the extension. */
export const disabledReasons = { lost: 'pt:CredentialLost', withdrawn: 'cx:CredentialWithdrawn' } as const

/** Lost is what is meant where nothing is said. */
export const disabledReason = (told: string): { reason?: string } =>
  told === '' || told === disabledReasons.lost ? {} : { reason: told }

/** What GetCredentialState answers, and SetCredential carries. */
export const credentialState = (c: Pick<OnvifCredential, 'enabled' | 'reason'>): Markup[] => [
  el('tcr:Enabled', c.enabled),
  ...(c.enabled ? [] : [el('tcr:Reason', c.reason ?? disabledReasons.lost)]),
]

/** The credential's state travels beside it in SetCredential and by GetCredentialState when reading. */
export const credentialCodec: EntityCodec<OnvifCredential> = {
  service: 'tcr',
  name: 'CredentialData',
  list: 'GetCredentialList',
  write: (c) => el('tcr:CredentialData', credentialElement(c), el('tcr:CredentialState', credentialState(c))),
  read: (e) => {
    const credential = child(e, 'Credential') ?? e
    const enabled = textOf(e, 'CredentialState', 'Enabled') !== 'false'
    return { ...readCredential(credential), enabled, ...disabledReason(textOf(e, 'CredentialState', 'Reason')) }
  },
}

export function credentialElement(c: OnvifCredential): Markup {
  return el(
    'tcr:Credential',
    { token: c.token },
    el('tcr:Description', c.holder),
    el('tcr:CredentialHolderReference', c.holder),
    c.validFrom === undefined ? null : el('tcr:ValidFrom', c.validFrom),
    c.validTo === undefined ? null : el('tcr:ValidTo', c.validTo),
    c.format === codeOnly ? null : identifier('pt:Card', c.format, c.value),
    codeIdentifier(codeTypes.code, c.code),
    codeIdentifier(codeTypes.duress, c.duress),
    c.profiles.map((p) =>
      el(
        'tcr:CredentialAccessProfile',
        el('tcr:AccessProfileToken', p.token),
        p.validFrom === undefined ? null : el('tcr:ValidFrom', p.validFrom),
        p.validTo === undefined ? null : el('tcr:ValidTo', p.validTo),
      ),
    ),
    c.extendedGrantTime ? el('tcr:ExtendedGrantTime', true) : null,
  )
}

export function readCredential(e: Element): OnvifCredential {
  const identifiers = elements(e, 'CredentialIdentifier')
  const card = identifiers.find((i) => !isCode(textOf(i, 'Type', 'Name')))
  const byCodeAlone = !card && identifiers.length > 0
  return {
    token: e.getAttribute('token') ?? '',
    holder: textOf(e, 'CredentialHolderReference'),
    format: byCodeAlone ? codeOnly : textOf(card ?? e, 'Type', 'FormatType'),
    value: byCodeAlone ? '0' : textOf(card ?? e, 'Value').toUpperCase(),
    profiles: elements(e, 'CredentialAccessProfile').map((p) => ({
      token: needed(p, 'AccessProfileToken'),
      ...optional('validFrom', textOf(p, 'ValidFrom'), String),
      ...optional('validTo', textOf(p, 'ValidTo'), String),
    })),
    enabled: true,
    ...optional('validFrom', textOf(e, 'ValidFrom'), String),
    ...optional('validTo', textOf(e, 'ValidTo'), String),
    ...(textOf(e, 'ExtendedGrantTime') === 'true' ? { extendedGrantTime: true } : {}),
    ...optional('code', codeIn(identifiers, codeTypes.code), String),
    ...optional('duress', codeIn(identifiers, codeTypes.duress), String),
  }
}

/** Extension: a reader, input or output of the controller that serves a door, and what it does there. Times in seconds. */
export interface WiredReader {
  part: string
  function: string
  port: string
  accessPoint: string
  /** On a bus. */ address?: number
  /** How its bits are read; 26 bits where it is not said. */ format?: string
  /** In which order they come; as sent where it is not said. */ order?: string
}
export interface WiredInput {
  part: string
  function: string
  port: string
  /** Releases the door for so long, where it has a time of its own. */ releaseS?: number
}
export interface WiredOutput {
  part: string
  function: string
  port: string
  /** Waits so long after the lock has been told to let go. */ afterS?: number
}
/** Extension: everything that is wired to the controller for a door, and whether an opening without release alarms. */
export interface DoorWiring {
  token: string
  readers: WiredReader[]
  inputs: WiredInput[]
  outputs: WiredOutput[]
  forcedAlarm: boolean
}

const wired = (w: { part: string; function: string; port: string }) => [
  el('cx:Part', w.part),
  el('cx:Function', w.function),
  el('cx:Port', w.port),
]
const readWired = (e: Element) => ({
  part: needed(e, 'Part'),
  function: needed(e, 'Function'),
  port: needed(e, 'Port'),
})
export const doorWiringCodec: EntityCodec<DoorWiring> = {
  service: 'cx',
  name: 'DoorWiring',
  list: 'GetDoorWiringList',
  write: (w) =>
    el(
      'cx:DoorWiring',
      { token: w.token },
      w.readers.map((r) =>
        el(
          'cx:Reader',
          wired(r),
          el('cx:AccessPoint', r.accessPoint),
          r.address === undefined ? null : el('cx:Address', r.address),
          r.format === undefined ? null : el('cx:Format', r.format),
          r.order === undefined ? null : el('cx:BitOrder', r.order),
        ),
      ),
      w.inputs.map((i) =>
        el('cx:Input', wired(i), i.releaseS === undefined ? null : el('cx:ReleaseTime', toDuration(i.releaseS))),
      ),
      w.outputs.map((o) =>
        el('cx:Output', wired(o), o.afterS === undefined ? null : el('cx:After', toDuration(o.afterS))),
      ),
      el('cx:ForcedAlarm', w.forcedAlarm),
    ),
  read: (e) => ({
    token: e.getAttribute('token') ?? '',
    readers: elements(e, 'Reader').map((r) => ({
      ...readWired(r),
      accessPoint: needed(r, 'AccessPoint'),
      ...optional('address', textOf(r, 'Address'), Number),
      ...optional('format', textOf(r, 'Format'), String),
      ...optional('order', textOf(r, 'BitOrder'), String),
    })),
    inputs: elements(e, 'Input').map((i) => ({
      ...readWired(i),
      ...optional('releaseS', textOf(i, 'ReleaseTime'), fromDuration),
    })),
    outputs: elements(e, 'Output').map((o) => ({
      ...readWired(o),
      ...optional('afterS', textOf(o, 'After'), fromDuration),
    })),
    forcedAlarm: textOf(e, 'ForcedAlarm') === 'true',
  }),
}

/** Device I/O: a digital input and the state it rests in. */
export interface DigitalInput {
  token: string
  idle: 'closed' | 'open'
}
export const digitalInputCodec: EntityCodec<DigitalInput> = {
  service: 'tmd',
  name: 'DigitalInput',
  list: 'GetDigitalInputs',
  write: (i) => el('tmd:DigitalInputs', { token: i.token, IdleState: i.idle }),
  read: (e) => ({
    token: e.getAttribute('token') ?? '',
    idle: e.getAttribute('IdleState') === 'open' ? 'open' : 'closed',
  }),
}
