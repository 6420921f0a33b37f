import { recordKind } from '../job/kind'
import type { DeviceSheet } from './sheet'

declare module '../job/facts' {
  interface RecordTypes {
    sheet: DeviceSheet
  }
}

/** A device sheet of this job's own; its schema stands with the contracts, by which it was checked when it came. */
export const sheetKind = recordKind('sheet', {
  fields: {
    id: 'text',
    name: 'text',
    kind: 'text',
    also: 'list?',
    says: 'text',
    protocol: 'text?',
    listens: 'list?',
    calls: 'list?',
    restA: 'number',
    terminals: 'list',
    leads: 'list',
    lock: 'object?',
    controller: 'object?',
    supply: 'object?',
    operatingV: 'object?',
    inrush: 'object?',
    place: 'text?',
    reading: 'object?',
    coding: 'object?',
    jumpers: 'list?',
    network: 'object?',
    feeds: 'object?',
    networkSource: 'object?',
    ownBattery: 'object?',
    radio: 'object?',
    carries: 'list?',
    lamps: 'list?',
    sounds: 'list?',
    box: 'list?',
    mounting: 'list?',
    setUp: 'list?',
    atHand: 'list',
  },
  touches: () => ({ everything: true }),
})
