import { sheetOf, type DeviceSheet, type Lead, type LeadKind, type Sheets, type TerminalKind } from '../devices/sheet'
import type { Part } from '../doors/door'

/** Leads that a part brings to the controller: its own, or those of the converter that stands between. */
export const leadsToController = (part: Part, sheets: Sheets): readonly Lead[] =>
  sheetOf(sheets, part.via ?? part.sheet).leads

/** One conductor between a part and its converter. */
export interface ChainConductor {
  lead: Lead
  terminal: string | null
}

/** The kind of screw that each lead of a reader goes on, at a converter as at a controller. */
export const readerScrews = {
  'supply+': 'reader+',
  'supply-': 'reader-',
  d0: 'd0',
  d1: 'd1',
  led: 'led',
  busA: 'busA',
  busB: 'busB',
  bus0: 'bus0',
} as const satisfies Partial<Record<LeadKind, TerminalKind>>

const screwOf: Partial<Record<LeadKind, TerminalKind>> = readerScrews

/** How a part is joined to its converter: each lead and the screw it goes on, null where the converter has none. */
export function chainOf(part: Part, sheets: Sheets): ChainConductor[] {
  if (!part.via) return []
  const free = [...sheetOf(sheets, part.via).terminals]
  return sheetOf(sheets, part.sheet).leads.map((lead) => {
    const at = free.findIndex((t) => t.kind === screwOf[lead.kind])
    const [screw] = at < 0 ? [] : free.splice(at, 1)
    return { lead, terminal: screw?.id ?? null }
  })
}

/** What is wrong with the chain from a reader through its converter, in words. */
export function chainFaults(part: Part, sheets: Sheets, feedV: number | undefined): string[] {
  if (!part.via) return []
  const converter = sheetOf(sheets, part.via)
  const device = sheetOf(sheets, part.sheet)
  const faults: string[] = []
  const loose = chainOf(part, sheets).filter((c) => c.terminal === null && c.lead.kind !== 'led')
  if (loose.length)
    faults.push(
      `${converter.name} has no screw for ${loose.map((c) => c.lead.name).join(' and ')} of ${part.id}. It takes another kind of reader.`,
    )
  if (!converter.leads.some((l) => l.kind === 'busA' || l.kind === 'd0'))
    faults.push(`${converter.name} hands nothing on to a controller.`)
  for (const sheet of [converter, device])
    if (sheet.operatingV && feedV !== undefined && outOf(sheet, feedV))
      faults.push(
        `${sheet.name} works from ${sheet.operatingV.least} V to ${sheet.operatingV.most} V; the controller feeds ${feedV} V.`,
      )
  return faults
}

const outOf = (sheet: DeviceSheet, volts: number): boolean =>
  !!sheet.operatingV && (volts < sheet.operatingV.least || volts > sheet.operatingV.most)
