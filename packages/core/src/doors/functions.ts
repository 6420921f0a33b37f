/** What a wired part does for its door: the controller is told of it, obeys it, and a test proves it. */
export const partFunctions = [
  'entryReader',
  'exitReader',
  'lock',
  'secondLock',
  'opener',
  'contact',
  'secondContact',
  'lockSensing',
  'exitButton',
  'exitSensor',
  'deskButton',
  'glassPole',
  'tamper',
  'spare',
  'sounder',
  'signal',
  'panelSet',
  'panelUnset',
  'panelToggle',
  'panelState',
  'emergencyRelease',
  'feed',
] as const
export type PartFunction = (typeof partFunctions)[number]

/**
 * How a function meets the controller. `reader`, `output` and `input` are told to it with their port; what sits in the `feed` acts by
 * itself, with no word to any controller: a break glass in the lock's feed, the supply of a sensor.
 */
export type FunctionSide = 'reader' | 'output' | 'input' | 'feed'

export const functionFacts: Readonly<Record<PartFunction, { side: FunctionSide; says: string }>> = {
  entryReader: { side: 'reader', says: 'reader, unsecured side' },
  exitReader: { side: 'reader', says: 'reader, secured side' },
  lock: { side: 'output', says: 'lock' },
  secondLock: { side: 'output', says: 'lock of the second leaf' },
  opener: { side: 'output', says: 'opener' },
  contact: { side: 'input', says: 'door contact' },
  secondContact: { side: 'input', says: 'contact of the second leaf' },
  lockSensing: { side: 'input', says: 'lock sensing' },
  exitButton: { side: 'input', says: 'exit button' },
  exitSensor: { side: 'input', says: 'exit sensor' },
  deskButton: { side: 'input', says: 'desk button' },
  glassPole: { side: 'input', says: 'second pole of the break glass' },
  tamper: { side: 'input', says: 'tamper' },
  spare: { side: 'input', says: 'spare input' },
  sounder: { side: 'output', says: 'sounder or lamp' },
  signal: { side: 'output', says: 'line that signals elsewhere' },
  panelSet: { side: 'output', says: 'line that sets the alarm panel' },
  panelUnset: { side: 'output', says: 'line that unsets the alarm panel' },
  panelToggle: { side: 'output', says: 'line that turns the alarm panel round' },
  panelState: { side: 'input', says: 'how the alarm panel stands' },
  emergencyRelease: { side: 'feed', says: 'break glass in the lock’s feed' },
  feed: { side: 'feed', says: 'feed' },
}
