import type { Controller } from '../devices/records'
import { all, type Facts } from '../job/facts'

/** What stands on the label of a planned device; empty where it is not known. */
export interface DeviceLabel {
  controller: string
  serial: string
  /** Six pairs of hexadecimal signs with colons, upper case. */
  mac: string
}

/** One line of a list of labels, and what would come of it. */
export interface LabelLine {
  /** Counted from 1. */
  line: number
  text: string
  grade: 'new' | 'changed' | 'same' | 'bad'
  says: string
  /** Null for a bad line. */
  label: DeviceLabel | null
}

/** More lines than this are no list of a site's labels. */
export const mostLabelLines = 2000
const longestLine = 200

const separators = /[\t;,]/
/** Titles of columns in English, Finnish, German, Swedish, French and Spanish, without accents. */
const titles: Readonly<Record<'device' | 'serial' | 'mac', ReadonlySet<string>>> = {
  device: new Set(
    'device|controller|reference|ref|unit|tunnus|laite|ohjain|gerat|zentrale|kennzeichen|enhet|central|beteckning|appareil|centrale|repere|dispositivo|controlador|referencia'.split(
      '|',
    ),
  ),
  serial: new Set(
    'serial|serial no|serial number|sn|s n|sarjanumero|sarjanro|seriennummer|seriennr|serien nr|serienummer|numero de serie|no de serie'.split(
      '|',
    ),
  ),
  mac: new Set('mac|mac address|mac osoite|mac adresse|mac adress|adresse mac|direccion mac'.split('|')),
}
const serialSigns = /^[A-Za-z0-9][A-Za-z0-9._/-]{3,39}$/
const macSigns = /^(?:[0-9A-F]{2}([:-]?)(?:[0-9A-F]{2}\1){4}[0-9A-F]{2}|[0-9A-F]{4}\.[0-9A-F]{4}\.[0-9A-F]{4})$/i
const unbroken = /^[0-9A-F]{12}$/i

/** A MAC as it is kept; empty where it is none. */
export function macOf(text: string): string {
  if (!macSigns.test(text)) return ''
  const signs = text.replace(/[^0-9A-F]/gi, '').toUpperCase()
  return signs.replace(/(..)(?=.)/g, '$1:')
}

/**
 * Reads labels as they are typed, scanned or pasted: a device, its serial, its MAC in a line, in any order, apart by tab,
 * semicolon, comma or blanks. Twelve hexadecimal signs without anything between them may be either: `SN` or `MAC` before them,
 * or a device that was found, says which; else the line is bad. Nothing is guessed.
 */
export function readLabels(text: string, facts: Facts): LabelLine[] {
  const lines = text
    .split(/\r\n|\r|\n/)
    .map((raw, i) => ({ line: i + 1, text: raw.replace(/^\uFEFF/, '').trim() }))
    .filter((l) => l.text !== '')
  const columns = columnsOf(lines[0]?.text ?? '')
  const rows = columns ? lines.slice(1) : lines
  const planned = new Map(all(facts, 'controller').map((c) => [c.ref.toUpperCase(), c]))
  const read = rows
    .slice(0, mostLabelLines)
    .map(({ line, text: raw }) =>
      raw.length > longestLine
        ? bad(line, `${raw.slice(0, 40)} …`, 'No label is so long.')
        : readLine(line, raw, sorted(cellsOf(raw, columns), planned, facts), facts),
    )
  const over = rows[mostLabelLines]
  if (over)
    read.push(bad(over.line, over.text, `A list has at most ${mostLabelLines} lines. Paste the rest by itself.`))
  return againstEachOther(read, facts)
}

/** Which columns count, where the first line holds titles; null where it is a line like the others. */
function columnsOf(first: string): number[] | null {
  const known = first.split(separators).map((cell) => {
    const title = cell
      .normalize('NFD')
      .toLowerCase()
      .replace(/\p{M}/gu, '')
      .replace(/[^a-z]+/g, ' ')
      .trim()
    if (titles.device.has(title)) return 'device'
    return titles.serial.has(title) || titles.mac.has(title) ? 'label' : null
  })
  if (!known.includes('device') || !known.includes('label')) return null
  return known.flatMap((kind, i) => (kind ? [i] : []))
}

const bad = (line: number, text: string, says: string): LabelLine => ({ line, text, grade: 'bad', says, label: null })

function cellsOf(text: string, columns: readonly number[] | null): string[] {
  const cells = separators.test(text) ? text.split(separators) : withoutGaps(text).split(/\s+/)
  return (columns ? columns.map((i) => cells[i] ?? '') : cells)
    .map((c) =>
      c
        .trim()
        .replace(/^"(.*)"$/, '$1')
        .trim(),
    )
    .filter(Boolean)
}
/** `SN: 0A61` is one cell, not two. */
const withoutGaps = (text: string): string => text.replace(/\b(s\/?n|serial|mac)\s*[:=#]?\s+/gi, '$1:')

interface Cells {
  device: Controller[]
  serial: string[]
  mac: string[]
  either: string[]
  odd: string[]
}

function sorted(cells: readonly string[], planned: ReadonlyMap<string, Controller>, facts: Facts): Cells {
  const found: Cells = { device: [], serial: [], mac: [], either: [], odd: [] }
  for (const cell of cells) {
    const device = planned.get(cell.toUpperCase())
    const [, mark = '', rest = ''] = /^(s\/?n|serial|mac)\s*[:=#]\s*(.*)$/i.exec(cell) ?? []
    const isMac = mark.toUpperCase() === 'MAC'
    if (device) found.device.push(device)
    else if (isMac && macOf(rest)) found.mac.push(macOf(rest))
    else if (mark && !isMac && serialSigns.test(rest)) found.serial.push(rest)
    else if (mark) found.odd.push(cell)
    else if (unbroken.test(cell)) found.either.push(cell)
    else if (macOf(cell)) found.mac.push(macOf(cell))
    else if (serialSigns.test(cell)) found.serial.push(cell)
    else found.odd.push(cell)
  }
  return decided(found, facts)
}

/** What may be a serial or a MAC, where something tells which. */
function decided(cells: Cells, facts: Facts): Cells {
  const open: string[] = []
  const { serial, mac } = { serial: [...cells.serial], mac: [...cells.mac] }
  for (const cell of cells.either) {
    const found = all(facts, 'found')
    if (cells.mac.length || found.some((f) => f.serial.toUpperCase() === cell.toUpperCase())) serial.push(cell)
    else if (cells.serial.length || found.some((f) => f.mac.toUpperCase() === macOf(cell))) mac.push(macOf(cell))
    else open.push(cell)
  }
  return { ...cells, serial, mac, either: open }
}

function readLine(line: number, text: string, cells: Cells, facts: Facts): LabelLine {
  const fault = faultIn(cells)
  if (fault) return bad(line, text, fault)
  const [controller] = cells.device
  if (!controller) return bad(line, text, 'It names no planned device.')
  const label: DeviceLabel = { controller: controller.id, serial: cells.serial[0] ?? '', mac: cells.mac[0] ?? '' }
  const fits = labelFault(label, facts)
  return fits ? bad(line, text, fits) : graded(line, text, controller, label)
}

function faultIn({ device, serial, mac, either, odd }: Cells): string | null {
  const [first] = odd
  if (first) return `“${first}” is no planned device, no serial and no MAC.`
  if (device.length > 1) return `It names ${device.map((d) => d.ref).join(' and ')}: one device a line.`
  if (device.length === 0) return 'It names no planned device. Put its reference first, as A1.'
  if (either[0]) return `${either[0]} may be a serial or a MAC. Put SN or MAC before it.`
  if (serial.length > 1)
    return `${serial.join(' and ')}: which is the serial? A device that is not planned has no label here.`
  if (mac.length > 1) return `It has ${mac.length} MACs: one device a line.`
  if (serial.length + mac.length === 0) return 'It has neither a serial nor a MAC.'
  return null
}

/** Why a label cannot be this device’s; null where it can. */
export function labelFault({ controller, serial, mac }: DeviceLabel, facts: Facts): string | null {
  const planned = facts.controller[controller]
  if (!planned) return 'It names no planned device.'
  const reach = facts.reach[controller]
  const other = reach?.owned && serial && !same(serial, reach.serial)
  if (other || (reach?.owned && mac && !same(mac, reach.mac)))
    return `${planned.ref} is in service as ${reach.serial || reach.mac}. An exchanged device is taken into service, not listed.`
  const claim = facts.claim[controller]
  const found = claim?.steps.some((s) => s.state === 'running') ? facts.found[claim.found] : undefined
  if (found && !hasLabel(found, { controller, serial, mac }))
    return `${planned.ref} is just being taken into service as ${found.serial || found.mac}. Wait until that has ended.`
  return null
}

const same = (a: string, b: string): boolean => a.toUpperCase() === b.toUpperCase()

function graded(line: number, text: string, was: Controller, label: DeviceLabel): LabelLine {
  const says = [label.serial, label.mac].filter(Boolean).join(', ')
  const differs = [
    [was.serial, label.serial],
    [was.mac, label.mac],
  ].filter(([old = '', now = '']) => now !== '' && !same(old, now))
  if (differs.length === 0) return { line, text, grade: 'same', says: `${was.ref} has ${says} already.`, label }
  const before = differs.map(([old]) => old).filter(Boolean)
  return before.length
    ? { line, text, grade: 'changed', says: `${was.ref}: ${says} instead of ${before.join(', ')}`, label }
    : { line, text, grade: 'new', says: `${was.ref}: ${says}`, label }
}

/** A device, a serial or a MAC that stands twice, here or in the plan, is nobody’s. */
function againstEachOther(lines: readonly LabelLine[], facts: Facts): LabelLine[] {
  const good = lines.flatMap((l) => (l.label ? [{ ...l, label: l.label }] : []))
  const labels = good.map((l) => l.label)
  const twins = labelTwins(labels)
  const faults = new Map<number, string>()
  good.forEach(({ line, label }, i) => {
    const twin = good[twins[i] ?? -1]
    const holder = labelHolder(label, labels, facts)
    if (twin) faults.set(line, `Line ${twin.line} has the same device, serial or MAC. Which one is right?`)
    else if (holder) faults.set(line, `${holder.ref} has this serial or MAC already.`)
  })
  return lines.map((l) => {
    const fault = faults.get(l.line)
    return fault ? bad(l.line, l.text, fault) : l
  })
}

const shares = (a: string, b: string): boolean => a !== '' && same(a, b)

/** For each label the place of another in the list that has its device, serial or MAC; null where none has. */
export function labelTwins(labels: readonly DeviceLabel[]): (number | null)[] {
  const keysOf = ({ controller, serial, mac }: DeviceLabel) => [
    `device ${controller}`,
    ...(serial ? [`serial ${serial.toUpperCase()}`] : []),
    ...(mac ? [`MAC ${mac.toUpperCase()}`] : []),
  ]
  /** The first two places of each: enough to know one that is not one's own. */
  const firstTwo = new Map<string, number[]>()
  labels.forEach((label, i) => {
    for (const key of keysOf(label)) firstTwo.set(key, [...(firstTwo.get(key) ?? []), i].slice(0, 2))
  })
  return labels.map(
    (label, i) =>
      keysOf(label)
        .flatMap((key) => firstTwo.get(key) ?? [])
        .find((n) => n !== i) ?? null,
  )
}

/** Another planned device that has this serial or MAC and keeps it: the same list gives it no other. */
export function labelHolder(
  { controller, serial, mac }: DeviceLabel,
  labels: readonly DeviceLabel[],
  facts: Facts,
): Controller | undefined {
  return all(facts, 'controller').find((c) => {
    if (c.id === controller || !(shares(c.serial, serial) || shares(c.mac, mac))) return false
    const next = labels.find((l) => l.controller === c.id)
    return shares(next?.serial ? '' : c.serial, serial) || shares(next?.mac ? '' : c.mac, mac)
  })
}

/** Whether a device that says this of itself has the label: one of both agrees, and neither contradicts. */
export const hasLabel = (said: { serial: string; mac: string }, label: DeviceLabel): boolean => {
  const contradicts = (a: string, b: string) => a !== '' && b !== '' && !same(a, b)
  return (
    (shares(said.serial, label.serial) || shares(said.mac, label.mac)) &&
    !contradicts(said.serial, label.serial) &&
    !contradicts(said.mac, label.mac)
  )
}
