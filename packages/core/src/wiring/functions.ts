import type { PartRole } from '../doors/door'
import type { PartFunction } from '../doors/functions'
import type { PortClass } from './ports'

/** What a part of a role does on each kind of port. What stands nowhere here is nothing that a controller can be told. */
const byRole: Readonly<Record<PartRole, Partial<Record<PortClass, PartFunction>>>> = {
  entryReader: { reader: 'entryReader', bus: 'entryReader', input: 'tamper' },
  exitReader: { reader: 'exitReader', bus: 'exitReader', input: 'tamper' },
  lock: { lock: 'lock', aux: 'lock', input: 'lockSensing' },
  lock2: { lock: 'secondLock', aux: 'secondLock', input: 'lockSensing' },
  contact: { input: 'contact' },
  contact2: { input: 'secondContact' },
  boltContact: { input: 'lockSensing' },
  exit: { input: 'exitButton' },
  exitSensor: { input: 'exitSensor' },
  deskButton: { input: 'deskButton' },
  breakGlass: { lock: 'emergencyRelease', input: 'glassPole' },
  opener: { aux: 'opener' },
  tamper: { input: 'tamper' },
  spare: { input: 'spare' },
  sounder: { aux: 'sounder' },
  signal: { aux: 'signal' },
  panelSet: { aux: 'panelSet' },
  panelUnset: { aux: 'panelUnset' },
  panelToggle: { aux: 'panelToggle' },
  panelState: { input: 'panelState' },
}

/** What a part does on a port of this class, or null for what no controller can be told. */
export const functionOf = (role: PartRole, port: PortClass): PartFunction | null =>
  byRole[role][port] ?? (port === 'power' ? 'feed' : null)
