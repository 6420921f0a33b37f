import { digestOf, put, drop, type Change, type Facts, type RecordKind } from '@rauta/core'
import { defineCommand, everyFitter, object, Refusal, type CommandContext } from './command'

/** Commands that plan: each can be taken back. */
export const planEdits: ReadonlySet<string> = new Set([
  'door.add',
  'door.edit',
  'doors.edit',
  'door.place',
  'door.placeProposed',
  'door.placeOnUnit',
  'door.remove',
  'cable.set',
  'cable.built',
  'controller.put',
  'controller.remove',
  'area.put',
  'area.remove',
  'cabinetPlace.put',
  'cabinetPlace.remove',
  'cabinet.rename',
  'powerPlan.put',
  'busRun.put',
  'unit.put',
  'unit.remove',
  'unitFeed.put',
  'unitFeed.remove',
  'part.address',
  'part.feed',
  'part.format',
  'readers.set',
  'cardFormat.put',
  'cardFormat.remove',
  'part.via',
  'addresses.put',
  'site.place',
  'sheet.put',
  'sheet.remove',
  'doors.import',
  'behaviour.copy',
  'people.import',
  'access.cell',
  'hub.hang',
  'lock.join',
  'radio.spread',
  'radioPlan.put',
])
const planKinds: ReadonlySet<RecordKind> = new Set([
  'door',
  'area',
  'controller',
  'rule',
  'person',
  'group',
  'cabinetPlace',
  'powerPlan',
  'busRun',
  'unit',
  'unitFeed',
  'sheet',
  'undone',
  'columns',
  'cardFormat',
  'radioPlan',
])
const called: Partial<Record<RecordKind, string>> = {
  door: 'door',
  area: 'area',
  controller: 'controller',
  rule: 'rule',
  person: 'person',
  group: 'group',
  cabinetPlace: 'cabinet',
  powerPlan: 'supply plan',
  busRun: 'bus',
  unit: 'device',
  unitFeed: 'network port',
  sheet: 'device sheet',
  cardFormat: 'card format',
}

const nameOf = (record: unknown, id: string): string => {
  const r = record as { ref?: string; name?: string } | null
  return r?.ref ?? r?.name ?? id
}

function takenBack(facts: Facts, rev: number, context: CommandContext): Change[] {
  const entry = context.history?.(rev)
  if (!entry) throw new Refusal(`Change ${rev} cannot be taken back from here. Try again when the server answers.`)
  if (facts.undone[`r${rev}`]) throw new Refusal('That has been taken back already.')
  const mine = entry.changes.filter((c) => planKinds.has(c.kind))
  const moved = mine.find(
    (c) => digestOf((facts[c.kind][c.id] ?? null) as never) !== digestOf((c.after ?? null) as never),
  )
  if (moved)
    throw new Refusal(
      `${called[moved.kind] ?? moved.kind} ${nameOf(facts[moved.kind][moved.id] ?? moved.before, moved.id)} was changed since. Take the later change back first.`,
    )
  const back = [...mine]
    .reverse()
    .flatMap((c) => (c.before === null ? drop(facts, c.kind, c.id) : [put(facts, c.kind, c.before as never)]))
  return [...back, put(facts, 'undone', { id: `r${rev}`, by: facts.rev + 1 })]
}

const schema = object({ rev: { type: 'integer', minimum: 1 } })

/** Takes a plan edit back, as one, if nothing that it touched was changed since. */
export const planUndo = defineCommand<{ rev: number }>()({
  name: 'plan.undo',
  roles: everyFitter,
  schema,
  apply(facts, p, context) {
    if (!planEdits.has(context.history?.(p.rev)?.name ?? ''))
      throw new Refusal('Only changes of the plan can be taken back.')
    return takenBack(facts, p.rev, context)
  },
  words: (_f, p) => `Took change ${p.rev} back`,
})

/** Takes an undo back: the plan edit is in force again. */
export const planRedo = defineCommand<{ rev: number }>()({
  name: 'plan.redo',
  roles: everyFitter,
  schema,
  apply(facts, p, context) {
    if (context.history?.(p.rev)?.name !== 'plan.undo') throw new Refusal('Only what was taken back can be made again.')
    return takenBack(facts, p.rev, context)
  },
  words: (_f, p) => `Made what change ${p.rev} took back again`,
})

export interface PlanEdit {
  rev: number
  name: string
  says: string
  by: string
  at: number
}

/** What Undo and Redo would do now, from plan entries newest first. */
export function undoAndRedo(
  entries: readonly PlanEdit[],
  undone: Facts['undone'],
): { undo: PlanEdit | null; redo: PlanEdit | null } {
  const open = (e: PlanEdit) => !undone[`r${e.rev}`]
  const undo = entries.find((e) => planEdits.has(e.name) && open(e)) ?? null
  const newest = entries.find((e) => planEdits.has(e.name))
  const redo = entries.find((e) => e.name === 'plan.undo' && open(e)) ?? null
  return { undo, redo: redo && (!newest || redo.rev > newest.rev) ? redo : null }
}
