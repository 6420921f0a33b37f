import { all, decide, nextChange, whoPasses, type Facts } from '@rauta/core'
import { crowd } from '../../packages/contracts/test/crowd'
import { median, row, time } from './measure'

const dayMs = 86_400_000
const asked = 40

/** Questions about people and doors all over the job, at moments of one week. */
function questions(facts: Facts) {
  const people = all(facts, 'person')
  const doors = all(facts, 'door')
  const monday = Date.parse('2027-01-04T06:00:00Z')
  return Array.from({ length: asked }, (_, i) => {
    const person = people[(i * 37) % people.length]
    const door = doors[(i * 11) % doors.length]
    if (!person || !door) throw new Error('an empty job')
    return { person, door, at: monday + ((i * 7) % 48) * (dayMs / 8) }
  })
}

/** The next change found by asking again each minute, three days ahead at most. */
function minuteByMinute(facts: Facts, { person, door, at }: ReturnType<typeof questions>[number]): void {
  const now = decide(facts, person, door, at)
  for (let ms = at + 60_000; ms < at + 3 * dayMs; ms += 60_000) {
    const then = decide(facts, person, door, ms)
    if (then.passes !== now.passes || then.reason !== now.reason) return
  }
}

export async function whyBench(): Promise<void> {
  const facts = crowd(63, 5000)
  const list = questions(facts)
  const why: number[] = []
  const ahead: number[] = []
  const slow: number[] = []
  for (const q of list) {
    why.push(await time(() => decide(facts, q.person, q.door, q.at)))
    ahead.push(await time(() => nextChange(facts, q.person, q.door, q.at)))
  }
  for (const q of list.slice(0, 8)) slow.push(await time(() => minuteByMinute(facts, q)))
  row(
    '*why* for one person, door and moment, 504 doors and 5,000 people',
    `${median(why).toFixed(2)} ms`,
    `with when the answer changes ${median(ahead).toFixed(1)} ms`,
    (median(why) / median(ahead)).toFixed(2),
    '5 ms',
  )
  row(
    'when the answer changes, up to two weeks ahead',
    `${median(ahead).toFixed(1)} ms`,
    `asked minute by minute, three days ahead ${median(slow).toFixed(0)} ms`,
    (median(ahead) / median(slow)).toFixed(3),
    'reported',
  )
  const door = list[0]?.door
  const one = door ? await time(() => whoPasses(facts, door, list[0]?.at ?? 0)) : 0
  row(
    'who comes in at a door at a moment, of 5,000 people',
    `${one.toFixed(0)} ms`,
    `5,000 times *why* ${(median(why) * 5000).toFixed(0)} ms`,
    (one / (median(why) * 5000)).toFixed(2),
    'reported',
  )
}
