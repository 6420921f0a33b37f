import type { Facts } from '../job/facts'
import { recordKind } from '../job/kind'

/**
 * One event as a device told it. Its id is controller, boot and sequence, so that delivering it twice changes nothing.
 * `gap` is the server's own: events may be missing between its stamps.
 */
export interface DeviceEvent {
  id: string
  controller: string
  boot: string
  seq: number
  /** The device's own stamp, ms since 1970 UTC. */
  at: number
  /** When the server got it. */
  received: number
  /** Device clock minus server clock when it was received, ms. */
  offsetMs: number
  /** `exit`: asked to leave by a device; `desk`: let in from the desk; `input` and `output`: a wired point of the door went active or idle;
   * `mode`: the door stands open or locked until told otherwise, or free or barred by its hours; `notice`: something told that is no
   * alarm; `order`: the server's own, somebody told the door something. */
  kind:
    | 'granted'
    | 'refused'
    | 'exit'
    | 'desk'
    | 'leaf'
    | 'lock'
    | 'alarm'
    | 'notice'
    | 'input'
    | 'output'
    | 'mode'
    | 'order'
    | 'gap'
  /** Door id as the device was told it; empty where the event is not about a door. */
  door: string
  reader: string
  /** Part at the door that it came from, where the device told the port and the port is a part's. */
  part?: string
  /** Port of the board that an input or output event came from: `input 8`. */
  port?: string
  /** What the controller compares of a card, hexadecimal; empty where none was read, or where its bits are none of the reader's format. */
  card: string
  /** The bits that the reader sent, as many as came, and their value: `34/003D1141A`. */
  bits?: string
  /** `open`, `closed`, `locked`, `unlocked`, `forced`, `heldOpen`, `none`, `active`, `idle`, `free`, `barred`,
   * `preAlarm`, `passback`, `second`, or a refusal's reason. */
  state: string
  says: string
}

export const onServerClock = (event: DeviceEvent): number => event.at - event.offsetMs

declare module '../job/facts' {
  interface RecordTypes {
    event: DeviceEvent
  }
}

/** Events beyond these stand in the log and in the store, and are fetched when somebody looks further back. */
export const newestEvents = 1000

/** Whether there may be events that the facts hold no more. */
export const mayHaveOlder = (facts: Facts): boolean => Object.keys(facts.event).length >= newestEvents

export const eventKind = recordKind('event', {
  fields: {
    id: 'text',
    controller: 'text',
    boot: 'text',
    seq: 'number',
    at: 'number',
    received: 'number',
    offsetMs: 'number',
    kind: 'text',
    door: 'text',
    reader: 'text',
    part: 'text?',
    port: 'text?',
    card: 'text',
    bits: 'text?',
    state: 'text',
    says: 'text',
  },
  newest: newestEvents,
})
