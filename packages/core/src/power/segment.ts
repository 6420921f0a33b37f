/** A device on an EIA-485 segment, in the order in which the daisy chain visits them. */
export interface Station {
  id: string
  unitLoad: number
  terminator: boolean
  address: number | null
  /** Metres of cable from the station before it. */ fromPreviousM: number
  /** Metres of a branch off the chain, 0 for none. */ stubM: number
  reference: boolean
}

/** Unit loads and length of EIA-485 (from memory): 32 unit loads, 1200 m at low speed, a terminator at each end and nowhere else. */
export const segmentLimits = { unitLoads: 32, lengthM: 1200, highestOsdpAddress: 126 }

/** What is wrong with a segment, in words; the controller is the first station. */
export function segmentFaults(stations: readonly Station[]): string[] {
  const faults: string[] = []
  const loads = stations.reduce((sum, s) => sum + s.unitLoad, 0)
  const length = stations.reduce((sum, s) => sum + s.fromPreviousM + s.stubM, 0)
  if (loads > segmentLimits.unitLoads)
    faults.push(`${loads} unit loads on one segment; it carries ${segmentLimits.unitLoads}.`)
  if (length > segmentLimits.lengthM)
    faults.push(`${length} m on one segment; ${segmentLimits.lengthM} m is the most at low speed.`)
  stations.forEach((s, i) => {
    const end = i === 0 || i === stations.length - 1
    if (stations.length > 1 && end && !s.terminator)
      faults.push(`${s.id} is an end of the chain and needs its terminator on.`)
    if (!end && s.terminator) faults.push(`${s.id} stands inside the chain: take its terminator off.`)
    if (s.stubM > 0)
      faults.push(`${s.id} hangs on a branch of ${s.stubM} m. Loop the cable through it: in, and out again.`)
    if (i > 0 && !s.reference) faults.push(`${s.id} lacks the reference conductor (0 V) beside A and B.`)
    if (i > 0 && (s.address === null || s.address < 0 || s.address > segmentLimits.highestOsdpAddress))
      faults.push(`${s.id} needs an address from 0 to ${segmentLimits.highestOsdpAddress}.`)
    const twin = s.address === null ? undefined : stations.slice(1, i).find((o) => o.address === s.address)
    if (i > 0 && twin) faults.push(`${twin.id} and ${s.id} both have address ${s.address}.`)
  })
  return faults
}
