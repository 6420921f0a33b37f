import { all, applyChanges, Keeper, put, type Facts } from '@rauta/core'
import { crowd } from './crowd'
import { sheets } from './world'

describe('one person edited, where there are 504 doors and 5,000 people', () => {
  const controllers = 63
  let facts: Facts
  const keeper = new Keeper()
  beforeAll(() => {
    facts = crowd(controllers, 5000)
    keeper.take(facts, sheets)
    for (const door of all(facts, 'door')) keeper.marksOf(door)
  }, 120_000)

  it('changes one controller’s part and nothing else, and only the doors there are looked at again', () => {
    const person = facts.person['p700']
    if (!person) throw new Error('nobody')
    const home = `c${700 % controllers}`
    const before = new Map(all(facts, 'controller').map((c) => [c.id, keeper.configs(c.id)]))
    const now = applyChanges(facts, [put(facts, 'person', { ...person, name: 'Renamed' })], facts.rev + 1)
    keeper.take(now, sheets)
    const unknown = all(now, 'door').filter((d) => !keeper.knows(d.id))
    expect(new Set(unknown.map((d) => d.placement?.controller))).toEqual(new Set([home]))
    for (const c of all(now, 'controller'))
      expect([c.id, keeper.configs(c.id) === before.get(c.id)]).toEqual([c.id, c.id !== home])
    expect(
      all(now, 'controller').flatMap((c) =>
        keeper
          .configs(c.id)
          .differences()
          .map((d) => [c.id, d.key]),
      ),
    ).toEqual([[home, 'credential/k700']])
  })
})
