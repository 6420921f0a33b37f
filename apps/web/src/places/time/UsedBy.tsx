import { all, doorsRunning, whereWords, whoWords, type Facts } from '@rauta/core'
import { Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { useFacts } from '../../state/job'

/** What hangs on a schedule: rules, and doors that run it by themselves. */
export function UsedBy({ id }: { id: string }) {
  const facts = useFacts()
  const lines = usersOf(facts, id)
  return (
    <Sheet title="Used by">
      {lines.map((line) => (
        <T key={line}>{line}</T>
      ))}
      {lines.length === 0 ? <T tone="quiet">Nothing yet: no rule is on it, and no door runs it.</T> : null}
    </Sheet>
  )
}

function usersOf(facts: Facts, id: string): string[] {
  const rules = all(facts, 'rule')
    .filter((r) => r.schedule === id)
    .map((r) => `${whoWords(facts, r)} pass ${whereWords(facts, r)}`)
  const doors = doorsRunning(facts, id).map((d) => `${d.ref} is ${d.behaviour.freeOn === id ? 'free' : 'barred'} on it`)
  return [...rules, ...doors]
}
