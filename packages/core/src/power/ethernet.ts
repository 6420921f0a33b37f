/** A power class of IEEE 802.3af/at/bt: watts at the source, watts at the device. */
export interface PowerClass {
  class: number
  sourceW: number
  deviceW: number
  /** Pairs that carry it. */ pairs: 2 | 4
}

/** IEEE 802.3 (af, at, bt) class limits, from memory. Class 0 is treated as class 3. */
export const powerClasses: readonly PowerClass[] = [
  { class: 1, sourceW: 4, deviceW: 3.84, pairs: 2 },
  { class: 2, sourceW: 7, deviceW: 6.49, pairs: 2 },
  { class: 3, sourceW: 15.4, deviceW: 12.95, pairs: 2 },
  { class: 4, sourceW: 30, deviceW: 25.5, pairs: 2 },
  { class: 5, sourceW: 45, deviceW: 40, pairs: 4 },
  { class: 6, sourceW: 60, deviceW: 51, pairs: 4 },
  { class: 7, sourceW: 75, deviceW: 62, pairs: 4 },
  { class: 8, sourceW: 90, deviceW: 71.3, pairs: 4 },
]

/** @throws RangeError for a class that the standard does not have */
export function powerClass(n: number): PowerClass {
  const found = powerClasses.find((c) => c.class === (n === 0 ? 3 : n))
  if (!found) throw new RangeError(`There is no power class ${n}; classes are 0 to 8.`)
  return found
}

/** Ohms of one pair's two wires in parallel, out and back over two pairs, of 100 m of cable: the 12.5 ohm channel of IEEE 802.3at (from memory). */
export const channelOhmPer100m = 12.5

export interface Draw {
  /** Watts at the device. */ restW: number
  peakW: number
  class: number
}
export interface PortDemand {
  consumer: string
  port: string
  lengthM: number
  draw: Draw
}
export interface PowerSource {
  /** Volts at the port. */ volts: number
  budgetW: number
  ports: { id: string; highestClass: number }[]
}

export interface PortAnswer {
  consumer: string
  port: string
  askedClass: number
  /** Class that the port can give, at most the one asked for. */
  grantedClass: number
  /** Watts that the source sets aside. */
  reservedW: number
  /** Watts that leave the source at rest and at the peak, loss in the cable counted; null where the cable cannot carry it. */
  drawnW: number | null
  peakSourceW: number | null
  lossW: number | null
  /** Volts at the device while it peaks; null where the line collapses. */
  deviceV: number | null
  faults: string[]
}
export interface BudgetAnswer {
  ports: PortAnswer[]
  reservedW: number
  drawnW: number
  /** All ports at their peak at once. */ peakW: number
  budgetW: number
  freePorts: string[]
  faults: string[]
}

/** Watts at the source and volts at the device for `watts` at the end of `ohm`; null past what the line carries: P above V^2 / 4R. */
export function throughLine(volts: number, ohm: number, watts: number): { sourceW: number; deviceV: number } | null {
  const root = volts * volts - 4 * ohm * watts
  if (root < 0) return null
  const deviceV = (volts + Math.sqrt(root)) / 2
  const amps = watts / deviceV
  return { sourceW: watts + amps * amps * ohm, deviceV }
}

/** Ohms out and back of a network run: four pairs carry twice what two do. */
export const lineOhm = (lengthM: number, pairs: 2 | 4): number =>
  (channelOhmPer100m * lengthM) / 100 / (pairs === 4 ? 2 : 1)

/** Longest run of a network cable, metres: the channel of ISO/IEC 11801 (from memory). */
export const longestNetworkM = 100

/** What each port gives and whether the source carries it all. Faults are in words, with what to do. */
export function networkPower(source: PowerSource, demands: readonly PortDemand[]): BudgetAnswer {
  const ports = demands.map((d) => portAnswer(source, d))
  const used = new Map<string, string[]>()
  for (const d of demands) used.set(d.port, [...(used.get(d.port) ?? []), d.consumer])
  const sum = (of: (p: PortAnswer) => number) => ports.reduce((total, p) => total + of(p), 0)
  const reservedW = sum((p) => p.reservedW)
  const drawnW = sum((p) => p.drawnW ?? 0)
  const peakW = sum((p) => p.peakSourceW ?? 0)
  const faults = [...used]
    .filter(([, by]) => by.length > 1)
    .map(([port, by]) => `Port ${port} feeds ${by.join(' and ')}: one device a port.`)
  if (reservedW > source.budgetW)
    faults.push(
      `The ports set aside ${reservedW.toFixed(1)} W; the budget is ${source.budgetW} W. Move ${ports.at(-1)?.consumer ?? 'a device'} to another switch or a midspan.`,
    )
  if (peakW > source.budgetW)
    faults.push(
      `At their peaks the ports give ${peakW.toFixed(1)} W together; the budget is ${source.budgetW} W. Move a device to another switch or a midspan.`,
    )
  return {
    ports,
    reservedW,
    drawnW,
    peakW,
    budgetW: source.budgetW,
    freePorts: source.ports.filter((p) => !used.has(p.id)).map((p) => p.id),
    faults,
  }
}

function portAnswer(source: PowerSource, { consumer, port, lengthM, draw }: PortDemand): PortAnswer {
  const asked = powerClass(draw.class)
  const there = source.ports.find((p) => p.id === port)
  const granted = powerClass(Math.min(asked.class, there ? powerClass(there.highestClass).class : asked.class))
  const ohm = lineOhm(lengthM, granted.pairs)
  const rest = throughLine(source.volts, ohm, draw.restW)
  const peak = throughLine(source.volts, ohm, draw.peakW)
  const faults: string[] = []
  if (!there) faults.push(`There is no port ${port}.`)
  if (granted.class < asked.class)
    faults.push(
      `${consumer} asks for class ${asked.class} (${asked.deviceW} W); port ${port} gives class ${granted.class} (${granted.deviceW} W) at most.`,
    )
  if (draw.peakW > granted.deviceW)
    faults.push(
      `${consumer} peaks at ${draw.peakW} W while its lock moves; class ${granted.class} gives it ${granted.deviceW} W. It may restart in that moment.`,
    )
  if (peak && draw.peakW <= granted.deviceW && peak.sourceW > granted.sourceW + 0.005)
    faults.push(
      `${consumer} takes ${peak.sourceW.toFixed(2)} W of port ${port} at its peak, the loss in ${lengthM} m counted; class ${granted.class} gives ${granted.sourceW} W there. Shorten the run, or take a higher class.`,
    )
  if (draw.restW > granted.deviceW)
    faults.push(
      `${consumer} draws ${draw.restW} W at rest; class ${granted.class} gives it ${granted.deviceW} W. It does not start.`,
    )
  if (lengthM > longestNetworkM)
    faults.push(`${consumer} is ${lengthM} m from its port; a network run is ${longestNetworkM} m at most.`)
  if (!peak) faults.push(`The line to ${consumer} collapses at its peak of ${draw.peakW} W.`)
  return {
    consumer,
    port,
    askedClass: asked.class,
    grantedClass: granted.class,
    reservedW: granted.sourceW,
    drawnW: rest?.sourceW ?? null,
    peakSourceW: peak?.sourceW ?? null,
    lossW: peak ? peak.sourceW - draw.peakW : null,
    deviceV: peak?.deviceV ?? null,
    faults,
  }
}
