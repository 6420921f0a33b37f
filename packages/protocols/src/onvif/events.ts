import type { Element } from '../xml'
import type { Markup } from '../xml'
import { child, el, elements, MalformedError, textOf } from '../xml'
import { deviceMoment } from './device'

/** One notification: topic path without prefix, the device's own stamp, and its simple items. */
export interface Notification {
  topic: string
  utcMs: number
  /** `Initialized` repeats a state on request, `Changed` is something that happened. */
  operation: 'Initialized' | 'Changed' | 'Deleted'
  source: Record<string, string>
  data: Record<string, string>
}

const items = (values: Record<string, string>) =>
  Object.entries(values).map(([Name, Value]) => el('tt:SimpleItem', { Name, Value }))

export function writeNotification(n: Notification): Markup {
  return el(
    'wsnt:NotificationMessage',
    el('wsnt:Topic', { Dialect: 'http://www.onvif.org/ver10/tev/topicExpression/ConcreteSet' }, `tns1:${n.topic}`),
    el(
      'wsnt:Message',
      el(
        'tt:Message',
        { UtcTime: new Date(n.utcMs).toISOString(), PropertyOperation: n.operation },
        el('tt:Source', items(n.source)),
        el('tt:Data', items(n.data)),
      ),
    ),
  )
}

export function readNotifications(answer: Element): Notification[] {
  return elements(answer, 'NotificationMessage').map((m) => {
    const message = child(m, 'Message', 'Message')
    if (!message) throw new MalformedError('An event has no message.')
    const utcMs = deviceMoment(Date.parse(message.getAttribute('UtcTime') ?? ''))
    const read = (name: string) =>
      Object.fromEntries(
        elements(child(message, name) ?? message, 'SimpleItem').map((i) => [
          i.getAttribute('Name') ?? '',
          i.getAttribute('Value') ?? '',
        ]),
      )
    return {
      topic: textOf(m, 'Topic').replace(/^[^:]*:/, ''),
      utcMs,
      operation: (message.getAttribute('PropertyOperation') ?? 'Changed') as Notification['operation'],
      source: read('Source'),
      data: read('Data'),
    }
  })
}

/** A record of the configuration was set or taken away: `Configuration/Credential/Changed`, source `CredentialToken`. */
export const configurationTopic = (record: string, gone: boolean): string =>
  `Configuration/${record}/${gone ? 'Removed' : 'Changed'}`
export const isConfigurationTopic = (topic: string): boolean => /^Configuration\/\w+\/(Changed|Removed)$/.test(topic)

/** Topics of the ONVIF access control and door control specifications that are in use. */
export const topics = {
  granted: 'AccessControl/AccessGranted/Credential',
  grantedAnonymous: 'AccessControl/AccessGranted/Anonymous',
  denied: 'AccessControl/Denied/Credential',
  unknownCard: 'AccessControl/Denied/CredentialNotFound/Card',
  leaf: 'Door/State/DoorPhysicalState',
  lock: 'Door/State/LockPhysicalState',
  alarm: 'Door/State/DoorAlarm',
  mode: 'Door/State/DoorMode',
  /** As the access control specification has it (from memory). */
  duress: 'AccessControl/Duress',
  /** As the access control specification has them (from memory): somebody has to be decided about, and nobody did in time. */
  request: 'AccessControl/Request/Credential',
  requestTimeout: 'AccessControl/Request/Timeout',
  /** These are the extension's own. */
  decider: 'Door/State/Decider',
  standby: 'AccessControl/StandbyGranted',
  unknownCode: 'AccessControl/Denied/CredentialNotFound/PIN',
  codeWanted: 'AccessControl/CodeWanted',
  preAlarm: 'Door/State/DoorPreAlarm',
  passback: 'AccessControl/Antipassback',
  secondWanted: 'AccessControl/SecondPersonWanted',
  input: 'Device/Trigger/DigitalInput',
  relay: 'Device/Trigger/Relay',
} as const
