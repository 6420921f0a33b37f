import type { DoorMarks, Facts, SupplyReport, WorkedOut } from '@rauta/core'
import type { Keeper } from '@rauta/core/marks'

type Step = { door: string; marks: DoorMarks } | { report: SupplyReport }

/** Works out marks of doors and reports of supplies, one at each step; those that are known already cost nothing. */
export function* workOut(
  keeper: Keeper,
  facts: Facts,
  doors: readonly string[],
  supplies: readonly string[],
): Generator<Step> {
  for (const id of doors) {
    const door = facts.door[id]
    if (door) yield { door: id, marks: keeper.marksOf(door) }
  }
  for (const id of supplies) {
    const controller = facts.controller[id]
    if (controller) yield { report: keeper.reportOf(controller) }
  }
}

/** Goes on for so long, ms, or for so many steps. @returns what came of it, and whether that was the last */
export function goOn(steps: Generator<Step>, ms: number, most: number): WorkedOut & { done: boolean } {
  const end = performance.now() + ms
  const marks: [string, DoorMarks][] = []
  const reports: SupplyReport[] = []
  for (let n = 0; n < most && performance.now() < end; n++) {
    const step = steps.next()
    if (step.done) return { marks, reports, done: true }
    if ('door' in step.value) marks.push([step.value.door, step.value.marks])
    else reports.push(step.value.report)
  }
  return { marks, reports, done: false }
}
