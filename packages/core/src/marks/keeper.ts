import type { Controller } from '../devices/records'
import type { Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'
import { all, emptyFacts, recordKinds, type Facts, type RecordKind } from '../job/facts'
import { supplyOf } from '../supplies/fed'
import { supplyReport, type SupplyReport } from '../supplies/report'
import { marksOf, workedConfigs, type WorkedConfigs } from './marks'
import type { DoorMarks } from './state'

/** Kinds whose records tell by `door` which door they are about. */
const ofDoor: ReadonlySet<RecordKind> = new Set(['tick', 'reading', 'proof', 'snag', 'signature'])
/** Kinds whose records belong to a controller, by their id or by `controller`. */
const ofController: ReadonlySet<RecordKind> = new Set(['controller', 'held', 'reach', 'claim', 'load', 'cabinet'])
/** Kinds that may change any door. */
const ofAll: ReadonlySet<RecordKind> = new Set([
  'job',
  'area',
  'rule',
  'person',
  'group',
  'schedule',
  'specialDay',
  'testCards',
  'sheet',
])

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
    if (changed.includes('door') || changed.includes('controller') || everything)
      this.groups = grouped(all(facts, 'door'), facts.controller)
    if (everything) {
      this.marks.clear()
      this.reports.clear()
      return
    }
    for (const kind of changed) {
      for (const id of differing(before[kind], facts[kind])) {
        const record = (facts[kind][id] ?? before[kind][id]) as { door?: string; controller?: string | null }
        if (kind === 'door')
          for (const side of [before.door[id], facts.door[id]]) {
            this.marks.delete(id)
            this.dirtyGroup(side?.placement?.controller, oldGroups, before)
          }
        else if (ofDoor.has(kind)) this.marks.delete(record.door ?? '')
        else if (ofController.has(kind))
          this.dirtyGroup(kind === 'load' ? (record.controller ?? '') : id, oldGroups, before)
        else if (kind === 'powerPlan') this.reports.delete(id)
      }
    }
  }

  /** Everything on the supply that feeds a controller, as it was and as it is. */
  private dirtyGroup(controller: string | undefined, old: ReadonlyMap<string, Door[]>, before: Facts): void {
    if (!controller) return
    for (const [facts, groups] of [
      [before, old],
      [this.facts, this.groups],
    ] as const) {
      const own = facts.controller[controller]
      const supply = own ? supplyOf(own, facts.controller).id : controller
      this.reports.delete(supply)
      for (const door of groups.get(supply) ?? []) this.marks.delete(door.id)
    }
    this.reports.delete(controller)
  }

  /** Whether a door's marks are worked out already. */
  knows(door: string): boolean {
    return this.marks.has(door)
  }

  marksOf(door: Door): DoorMarks {
    let found = this.marks.get(door.id)
    if (!found)
      this.marks.set(
        door.id,
        (found = marksOf(
          this.facts,
          door,
          this.sheets,
          this.worked,
          this.supplyGroup(door.placement?.controller) ?? [door],
        )),
      )
    return found
  }

  private supplyGroup(controller: string | undefined): Door[] | undefined {
    const own = this.facts.controller[controller ?? '']
    return own && this.groups.get(supplyOf(own, this.facts.controller).id)
  }

  get configs(): WorkedConfigs {
    return this.worked
  }

  /** Of the supply that feeds this controller: its own, or the one it is fed on from. */
  reportOf(controller: Controller): SupplyReport {
    const first = supplyOf(controller, this.facts.controller)
    let found = this.reports.get(first.id)
    if (!found) {
      this.reports.set(
        first.id,
        (found = supplyReport(
          first,
          this.groups.get(first.id) ?? [],
          this.sheets,
          this.facts.powerPlan[first.id],
          this.facts.controller,
        )),
      )
    }
    return found
  }
}

/** Doors by the controller whose supply feeds them. */
function grouped(doors: readonly Door[], controllers: Facts['controller']): Map<string, Door[]> {
  const groups = new Map<string, Door[]>()
  for (const door of doors) {
    const controller = controllers[door.placement?.controller ?? '']
    if (!controller) continue
    const key = supplyOf(controller, controllers).id
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
