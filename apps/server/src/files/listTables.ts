import { type Done, type Facts } from '@rauta/core'
import {
  atHandList,
  cableList,
  checkList,
  conductorList,
  cutList,
  flowUseWords,
  labels,
  networkFlows,
  screensAt,
  usualDrumM,
  usualEndsM,
} from '@rauta/core/lists'
import { sheetsFor } from '@rauta/contracts'
import type { TableOut } from '@rauta/papers'
import type { PaperFor } from './wireSheet'

export const listNames = ['conductors', 'cables', 'cuts', 'labels', 'checks', 'at-hand', 'flows'] as const
export type ListName = (typeof listNames)[number]
export interface ListOptions {
  drumM: number
  endsM: number
}
export const usualOptions: ListOptions = { drumM: usualDrumM, endsM: usualEndsM }

/** A list of the job as a table: the same on paper, as CSV and in a workbook. */
export function tableOf(which: ListName, { facts, origin }: PaperFor, options: ListOptions = usualOptions): TableOut {
  const sheets = sheetsFor(facts)
  const done = (d: Done | null) => (d ? `by ${d.by}` : '')
  switch (which) {
    case 'conductors':
      return {
        name: 'Conductors',
        columns: ['Door', 'Part', 'Lead', 'Colour', 'Cable', 'Core', 'Controller', 'Terminal', 'Printed', 'Terminated'],
        rows: conductorList(facts, sheets).map((r) => [
          r.door,
          r.part,
          r.lead,
          r.colour || 'none: meter it',
          r.cable,
          r.core,
          r.controller,
          r.terminal,
          r.label,
          done(r.ended),
        ]),
      }
    case 'checks':
      return {
        name: 'Cabinets',
        columns: ['Cabinet', 'Controller', 'What to check', 'Done'],
        rows: checkList(facts, sheets).map((r) => [r.cabinet, r.controller, r.says, done(r.done)]),
      }
    case 'cables':
      return {
        name: 'Cables',
        columns: ['Cable', 'From', 'To', 'Kind', 'Length, m', 'Planned, m', 'State'],
        rows: cableList(facts, sheets).map((r) => [r.name, r.from, r.to, r.kind, r.lengthM, r.plannedM, r.state]),
      }
    case 'cuts':
      return {
        name: 'Cuts',
        columns: ['Kind', 'Drum', 'Cable', 'Cut, m', 'Left on the drum, m'],
        rows: cutRows(facts, options),
      }
    case 'labels':
      return {
        name: 'Labels',
        columns: ['For', 'Line 1', 'Line 2', 'Line 3', 'Code'],
        rows: labels(facts, sheets).map((l) => [
          l.for,
          l.lines[0] ?? '',
          l.lines[1] ?? '',
          l.lines[2] ?? '',
          origin + l.path,
        ]),
      }
    case 'flows':
      return {
        name: 'Network',
        columns: ['From', 'Address', 'To', 'Address', 'Over', 'Port', 'Protocol', 'What for', 'Still to say'],
        rows: networkFlows(facts, sheets, screensAt(origin)).map((f) => [
          f.from.name,
          f.from.address,
          f.to.name,
          f.to.address,
          f.transport.toUpperCase(),
          f.port,
          f.protocol,
          flowUseWords[f.use],
          f.fault ?? '',
        ]),
      }
    case 'at-hand':
      return {
        name: 'At hand',
        columns: ['What', 'How many', 'Unit', 'For', 'From whom', 'By when', 'Got'],
        rows: atHandList(facts, sheets).map((i) => {
          const p = facts.procured[i.id]
          return [i.what, i.count, i.unit, i.for, p?.from ?? '', p?.due ?? '', done(p?.got ?? null)]
        }),
      }
  }
}

function cutRows(facts: Facts, { drumM, endsM }: ListOptions): (string | number | null)[][] {
  const one = (n: number) => Math.round(n * 10) / 10
  return cutList(cableList(facts, sheetsFor(facts)), drumM, endsM).flatMap((kind) => [
    ...kind.drums.flatMap((d, i) => {
      let left = drumM
      return d.pieces.map((p) => {
        left -= p.lengthM
        return [kind.kind, i + 1, p.name, one(p.lengthM), one(left)]
      })
    }),
    ...kind.tooLong.map((name) => [kind.kind, null, `${name}: longer than a drum of ${drumM} m`, null, null]),
    ...(kind.unknown ? [[kind.kind, null, `${kind.unknown} more without a length`, null, null]] : []),
  ])
}
