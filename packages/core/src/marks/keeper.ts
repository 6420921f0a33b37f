import type { Controller } from '../devices/records'
import type { Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'
import { all, emptyFacts, recordKinds, type Facts, type RecordKind } from '../job/facts'
import { supplyReport, type SupplyReport } from '../supplies/report'
import { marksOf, workedConfigs, type DoorMarks, type WorkedConfigs } from './marks'

/** Kinds whose records tell by `door` which door they are about. */
const ofDoor: ReadonlySet<RecordKind> = new Set(['tick', 'reading', 'proof', 'snag', 'signature'])
/** Kinds whose records belong to a controller, by their id or by `controller`. */
const ofController: ReadonlySet<RecordKind> = new Set(['controller', 'held', 'reach', 'claim', 'load', 'cabinet'])
/** Kinds that may change any door. */
const ofAll: ReadonlySet<RecordKind> = new Set(['job', 'area', 'rule', 'person', 'group', 'schedule', 'specialDay', 'testCards', 'sheet'])

/**
 * Marks, configurations and supply reports of a job, kept from one state of the facts to the next: after a change only
 * what it can have touched is worked out again, and only when it is asked for.
 */
export class Keeper {
  private facts: Facts = emptyFacts()
  private sheets: Sheets = {}
  private groups = new Map<string, Door[]>()
  private readonly marks = new Map<string, DoorMarks>()
  private readonly reports = new Map<string, SupplyReport>()
  private worked: WorkedConfigs = workedConfigs(this.facts, this.sheets)

  /** Goes on to another state of the facts. */
  take(facts: Facts, sheets: Sheets): void {
    if (facts === this.facts && sheets === this.sheets) return
    const before = this.facts
    const changed = recordKinds.filter((kind) => facts[kind] !== before[kind])
    const everything = sheets !== this.sheets || changed.some((kind) => ofAll.has(kind))
    const oldGroups = this.groups
    this.facts = facts
    this.sheets = sheets
    this.worked = workedConfigs(facts, sheets)
    if (changed.includes('door') || everything) this.groups = grouped(all(facts, 'door'))
    if (everything) { this.marks.clear(); this.reports.clear(); return }
    for (const kind of changed) {
      for (const id of differing(before[kind], facts[kind])) {
        const record = (facts[kind][id] ?? before[kind][id]) as { door?: string; controller?: string | null }
        if (kind === 'door') for (const side of [before.door[id], facts.door[id]]) { this.marks.delete(id); this.dirtyGroup(side?.placement?.controller, oldGroups) }
        else if (ofDoor.has(kind)) this.marks.delete(record.door ?? '')
        else if (ofController.has(kind)) this.dirtyGroup(kind === 'load' ? (record.controller ?? '') : id, oldGroups)
        else if (kind === 'powerPlan') this.reports.delete(id)
      }
    }
  }

  private dirtyGroup(controller: string | undefined, old: ReadonlyMap<string, Door[]>): void {
    if (!controller) return
    this.reports.delete(controller)
    for (const list of [old.get(controller), this.groups.get(controller)]) for (const door of list ?? []) this.marks.delete(door.id)
  }

  /** Whether a door's marks are worked out already. */
  knows(door: string): boolean { return this.marks.has(door) }

  marksOf(door: Door): DoorMarks {
    let found = this.marks.get(door.id)
    if (!found) this.marks.set(door.id, (found = marksOf(this.facts, door, this.sheets, this.worked, this.groups.get(door.placement?.controller ?? '') ?? [door])))
    return found
  }

  get configs(): WorkedConfigs { return this.worked }

  reportOf(controller: Controller): SupplyReport {
    let found = this.reports.get(controller.id)
    if (!found) this.reports.set(controller.id, (found = supplyReport(controller, this.groups.get(controller.id) ?? [], this.sheets, this.facts.powerPlan[controller.id])))
    return found
  }
}

function grouped(doors: readonly Door[]): Map<string, Door[]> {
  const groups = new Map<string, Door[]>()
  for (const door of doors) {
    const key = door.placement?.controller
    if (!key) continue
    const list = groups.get(key)
    if (list) list.push(door)
    else groups.set(key, [door])
  }
  return groups
}

function differing(a: Readonly<Record<string, unknown>>, b: Readonly<Record<string, unknown>>): string[] {
  const ids = Object.keys(b).filter((id) => a[id] !== b[id])
  for (const id of Object.keys(a)) if (!(id in b)) ids.push(id)
  return ids
}
