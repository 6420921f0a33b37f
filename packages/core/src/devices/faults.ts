import { base } from './coding'
import { isKind, type ControllerFacts, type DeviceSheet, type LockFacts } from './sheet'

/** What contradicts itself in a device sheet: the field, and what to do, in words. */
export interface SheetFault {
  at: string
  says: string
}

const twinOf = (ids: readonly string[]): string | undefined => ids.find((id, i) => ids.indexOf(id) !== i)

/** Limits that cannot all be true, names that are there twice, references that lead nowhere. A sheet with none is fit for planning. */
export function sheetFaults(sheet: DeviceSheet): SheetFault[] {
  const found: SheetFault[] = []
  const fault = (at: string, says: string) => {
    found.push({ at, says })
  }
  if (sheet.lock) lockFaults(sheet.lock, fault)
  if (sheet.kind === 'lock' && !sheet.lock) fault('lock', 'A lock needs its volts and amps.')
  if (sheet.kind === 'supply' && !sheet.supply) fault('supply', 'A supply needs its volts and amps.')
  if (sheet.kind === 'controller' && !sheet.controller)
    fault('controller', 'A controller needs its doors, door ports and factory address.')
  if (sheet.operatingV && sheet.operatingV.least > sheet.operatingV.most)
    fault(
      'operatingV',
      `It cannot work from ${sheet.operatingV.least} V to ${sheet.operatingV.most} V: the least is above the most.`,
    )
  if (sheet.network && sheet.network.restW > sheet.network.peakW)
    fault(
      'network',
      `It draws ${sheet.network.restW} W at rest and ${sheet.network.peakW} W at its peak; the peak is the larger.`,
    )
  const { supply, coding, controller } = sheet
  if (supply?.floatV !== undefined && supply.endV !== undefined && supply.endV >= supply.floatV)
    fault('supply', `Its battery ends at ${supply.endV} V and floats at ${supply.floatV} V; the end is the lower.`)
  if (coding && (coding.factory.length !== coding.positions || coding.factory.some((p) => p >= base(coding))))
    fault(
      'coding.factory',
      `The factory position tells ${coding.factory.length} switches, each under ${base(coding)}; it has ${coding.positions}.`,
    )
  const supervised = controller?.supervised
  if (supervised && !(supervised.shortBelow < supervised.closedBelow && supervised.closedBelow < supervised.cutAbove))
    fault('controller.supervised', 'The ohms of its supervised inputs must rise: short, closed, cut.')
  if (controller && controller.releaseStepS > controller.longestReleaseS)
    fault(
      'controller.releaseStepS',
      `A step of ${controller.releaseStepS} s is longer than its longest release of ${controller.longestReleaseS} s.`,
    )
  if (controller?.ownReader) ownReaderFaults(sheet, controller, fault)
  const spoken = twinOf((sheet.listens ?? []).map((l) => `${l.transport} ${l.port}`))
  if (spoken) fault('listens', `It listens on ${spoken} twice. Take one of them away.`)
  const terminal = twinOf(sheet.terminals.map((t) => t.id))
  if (terminal) fault('terminals', `Terminal ${terminal} is there twice. Each screw has a number of its own.`)
  const lead = twinOf(sheet.leads.map((l) => l.id))
  if (lead) fault('leads', `Lead ${lead} is there twice. Give each its own id.`)
  const groups = new Set(controller?.portGroups.map((g) => g.id) ?? [])
  const astray = controller && sheet.terminals.find((t) => t.group !== '*' && !groups.has(t.group))
  if (astray)
    fault('terminals', `Terminal ${astray.id} belongs to door port ${astray.group}, which is not in the list.`)
  const jumper = sheet.jumpers?.find((j) => !j.positions.includes(j.factory))
  if (jumper)
    fault('jumpers', `Jumper ${jumper.id} leaves the factory at ${jumper.factory}, which is not one of its positions.`)
  const port = twinOf(sheet.networkSource?.ports.map((p) => p.id) ?? [])
  if (port) fault('networkSource', `Port ${port} is there twice.`)
  return found
}

/** A reader of its own reads for one door, by the network, and is on no screw. */
function ownReaderFaults(
  sheet: DeviceSheet,
  { ownReader, doors, portGroups }: ControllerFacts,
  fault: (at: string, says: string) => void,
): void {
  if (doors !== 1 || portGroups.length !== 1)
    fault(
      'controller.ownReader',
      `With a reader of its own it serves one door, on one door port; it has ${doors} doors and ${portGroups.length} door ports.`,
    )
  if (sheet.terminals.some((t) => t.port === ownReader))
    fault('controller.ownReader', `${ownReader} is on its screws too. Give its own reader another port.`)
  if (sheet.reading?.by !== 'network' || !isKind(sheet, 'reader'))
    fault('controller.ownReader', 'With a reader of its own it is a reader too, and hands on what it reads by network.')
}

function lockFaults(lock: LockFacts, fault: (at: string, says: string) => void): void {
  if (lock.current === 'alternating')
    fault(
      'lock.current',
      'Rauta works out direct current only: on alternating current a coil and a cable behave otherwise. Plan a lock for direct current, or leave this one to its own transformer and enter it as a dry opener.',
    )
  if (lock.leastV > lock.nominalV)
    fault('lock.leastV', `It cannot need ${lock.leastV} V when it is made for ${lock.nominalV} V.`)
  if (lock.dropOutV !== undefined && lock.dropOutV >= lock.leastV)
    fault('lock.dropOutV', `It cannot let go at ${lock.dropOutV} V and need only ${lock.leastV} V to pull in.`)
  if (lock.holdA !== undefined && lock.holdA > lock.pullA)
    fault('lock.holdA', `Holding takes ${lock.holdA} A and pulling in ${lock.pullA} A; holding is the smaller.`)
}
