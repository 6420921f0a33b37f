import { gzipSync } from 'node:zlib'
import { all, applyChanges, Keeper, put, snapshotOf, type Facts, type Person } from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import { crowd } from '../../packages/contracts/test/crowd'
import { median, row, time } from './measure'

function known(facts: Facts): Keeper {
  const keeper = new Keeper()
  keeper.take(facts, shippedSheets)
  for (const door of all(facts, 'door')) keeper.marksOf(door)
  for (const controller of all(facts, 'controller')) keeper.configs(controller.id).differences()
  return keeper
}

/** One person's edit up to every mark and what is not loaded, beside all of it anew. */
async function editing(what: string, facts: Facts, goal: string): Promise<void> {
  const full = await time(() => known(facts))
  const keeper = known(facts)
  const people = all(facts, 'person')
  const took: number[] = []
  let now = facts
  for (let i = 0; i < 20; i++) {
    const person = people[(i * 37) % people.length] as Person
    now = applyChanges(now, [put(now, 'person', { ...person, name: `Edited ${i}` })], now.rev + 1)
    took.push(
      await time(() => {
        keeper.take(now, shippedSheets)
        for (const door of all(now, 'door')) keeper.marksOf(door)
        for (const controller of all(now, 'controller')) keeper.configs(controller.id).differences()
      }),
    )
  }
  row(
    what,
    `${median(took).toFixed(0)} ms`,
    `all of it anew ${full.toFixed(0)} ms`,
    `${((median(took) / full) * 100).toFixed(1)} %`,
    goal,
  )
}

const kB = (value: unknown) => gzipSync(JSON.stringify(value)).length / 1000

/** What a phone fetches to open a job, beside the same records with all that devices hold in full. */
function fetched(what: string, facts: Facts, goal: string): void {
  const keeper = known(facts)
  const sent = kB(snapshotOf(facts, (id) => keeper.configs(id).wanted))
  const whole = kB(snapshotOf(facts, () => ({})))
  row(
    what,
    `${sent.toFixed(0)} kB gzip`,
    `with all that devices hold ${whole.toFixed(0)} kB`,
    (sent / whole).toFixed(2),
    goal,
  )
}

export async function peopleBench(): Promise<void> {
  const many = crowd(63, 5000)
  await editing('one person edited, 504 doors and 5,000 people, to all marks and what is not loaded', many, '50 ms')
  await editing('the same with 1,000 people who all pass every door', crowd(63, 1000, true), 'reported')
  fetched('what a phone fetches to open 504 doors without people', crowd(63, 0), '400 kB')
  fetched('the same with 1,000 people', crowd(63, 1000), '400 kB')
  fetched('the same with 5,000 people', many, 'reported')
  fetched('the same with 1,000 people who all pass every door', crowd(63, 1000, true), 'reported')
}
