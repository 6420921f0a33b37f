import type { Controller } from '../devices/records'
import type { Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'
import { all, type Facts } from '../job/facts'
import type { Touched } from '../job/kind'
import { differing, emptyFacts } from '../records/apply'
import { declarationOf, recordKinds } from '../records/kinds'
import { supplyOf } from '../supplies/fed'
import { supplyReport, type SupplyReport } from '../supplies/report'
import { marksBasis, marksOn, workedConfig, type MarksBasis, type Worked, type WorkedConfigs } from './marks'
import type { DoorMarks } from './state'

/**
 * Marks, configurations and supply reports of a job, kept from one state of the facts to the next: after a change only
 * what it can have touched is worked out again, and only when it is asked for. What a record touches its kind declares.
 */
export class Keeper {
  private facts: Facts = emptyFacts()
  private sheets: Sheets = {}
  private groups = new Map<string, Door[]>()
  private placed = new Map<string, Door[]>()
  private readonly basis = new Map<string, MarksBasis>()
  private readonly marks = new Map<string, DoorMarks>()
  private readonly reports = new Map<string, SupplyReport>()
  private readonly worked = new Map<string, Worked>()

  /** Goes on to another state of the facts. */
  take(facts: Facts, sheets: Sheets): void {
    if (facts === this.facts && sheets === this.sheets) return
    const was: State = { facts: this.facts, groups: this.groups, placed: this.placed }
    const changed = recordKinds.filter((kind) => facts[kind] !== was.facts[kind])
    this.facts = facts
    if (sheets !== this.sheets) this.clear()
    this.sheets = sheets
    if (changed.includes('door') || changed.includes('controller')) {
      this.groups = grouped(all(facts, 'door'), (d) => supplyIdOf(facts, d.placement?.controller ?? ''))
      this.placed = grouped(all(facts, 'door'), (d) => d.placement?.controller)
    }
    const now: State = { facts, groups: this.groups, placed: this.placed }
    for (const kind of changed) {
      const touches = declarationOf(kind)?.touches
      if (!touches) continue
      for (const id of differing(was.facts[kind], facts[kind]))
        for (const state of [was, now]) {
          const record = state.facts[kind][id]
          if (record !== undefined) this.touch(touches(record, state.facts), state)
        }
    }
  }

  private clear(): void {
    for (const kept of [this.basis, this.marks, this.reports, this.worked]) kept.clear()
  }

  private touch(touched: Touched, { facts, groups, placed }: State): void {
    if (touched.everything) return this.clear()
    for (const door of touched.doors ?? []) this.forget(door)
    for (const controller of touched.controllers ?? []) {
      this.worked.delete(controller)
      for (const door of placed.get(controller) ?? []) this.forget(door.id)
    }
    for (const controller of touched.feeds ?? []) {
      const supply = supplyIdOf(facts, controller) ?? controller
      this.worked.delete(controller)
      this.reports.delete(controller)
      this.reports.delete(supply)
      for (const door of groups.get(supply) ?? []) this.forget(door.id)
    }
    for (const controller of touched.supplies ?? []) this.reports.delete(controller)
    for (const controller of touched.access ?? []) {
      this.worked.delete(controller)
      for (const door of placed.get(controller) ?? []) this.marks.delete(door.id)
    }
  }

  private forget(door: string): void {
    this.basis.delete(door)
    this.marks.delete(door)
  }

  /** Whether a door's marks are worked out already. */
  knows(door: string): boolean {
    return this.marks.has(door)
  }

  /** Whether the report of the supply that feeds this controller is worked out already. */
  knowsReportOf(controller: Controller): boolean {
    return this.reports.has(supplyOf(controller, this.facts.controller).id)
  }

  /** Takes over what another keeper worked out from the same state of the facts, by doors and by supplies. */
  takeOver({ marks, reports }: WorkedOut): void {
    for (const [door, state] of marks) this.marks.set(door, state)
    for (const report of reports) this.reports.set(report.controller, report)
  }

  marksOf(door: Door): DoorMarks {
    let found = this.marks.get(door.id)
    if (!found)
      this.marks.set(door.id, (found = marksOn(this.facts, door, this.sheets, this.configs, this.basisOf(door))))
    return found
  }

  private basisOf(door: Door): MarksBasis {
    let found = this.basis.get(door.id)
    if (!found) {
      const neighbours = this.groups.get(supplyIdOf(this.facts, door.placement?.controller ?? '') ?? '') ?? [door]
      this.basis.set(door.id, (found = marksBasis(this.facts, door, this.sheets, this.configs, neighbours)))
    }
    return found
  }

  readonly configs: WorkedConfigs = (id) => {
    let found = this.worked.get(id)
    if (!found) this.worked.set(id, (found = workedConfig(this.facts, id, this.sheets)))
    return found
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

/** What can be worked out elsewhere and be brought over. */
export interface WorkedOut {
  marks: readonly (readonly [door: string, state: DoorMarks])[]
  reports: readonly SupplyReport[]
}

/** A state of the job, with its doors by the supply that feeds them and by their controller. */
interface State {
  facts: Facts
  groups: ReadonlyMap<string, Door[]>
  placed: ReadonlyMap<string, Door[]>
}

function supplyIdOf(facts: Facts, id: string): string | undefined {
  const controller = facts.controller[id]
  return controller && supplyOf(controller, facts.controller).id
}

function grouped(doors: readonly Door[], keyOf: (door: Door) => string | undefined): Map<string, Door[]> {
  const groups = new Map<string, Door[]>()
  for (const door of doors) {
    const key = keyOf(door)
    if (key === undefined) continue
    const list = groups.get(key)
    if (list) list.push(door)
    else groups.set(key, [door])
  }
  return groups
}
