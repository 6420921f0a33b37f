import { act, render, screen, within } from '@testing-library/react'
import { applyChanges, emptyFacts, type Facts } from '@rauta/core'
import { Keeper } from '@rauta/core/marks'
import { sheetsFor } from '@rauta/contracts'
import type { Answer, Told } from '../src/state/ahead/messages'
import { changesBetween } from '../src/state/ahead/messages'
import { goOn, workOut } from '../src/state/ahead/workOut'
import { useCome, workAhead } from '../src/state/ahead'
import { useJob } from '../src/state/job'
import { keeperOf } from '../src/state/worked'
import { Board } from '../src/places/doors/Board'
import { smallJob } from './small'

jest.mock('expo-router', () => ({ router: { push: () => undefined, replace: () => undefined }, Link: () => null }))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

/** So many doors in the small job, each with what was chosen for it. */
const manyDoors = (count: number): Facts =>
  smallJob(
    Array.from({ length: count }, (_, i): [string, unknown] => {
      const ref = `E-${String(i + 1).padStart(3, '0')}`
      return ['door.add', { id: ref, fields: { ref, name: `Door ${i + 1}`, from: 'out', to: 'in', hardware: {} } }]
    }),
  )

describe('what the worker is told of the facts', () => {
  it('leads from any state to the next, what went included', () => {
    const was = manyDoors(3)
    const { 'E-002': _gone, ...rest } = was.door
    const now = {
      ...was,
      rev: was.rev + 1,
      door: { ...rest, 'E-001': { ...was.door['E-001'], name: 'Other' } },
    } as Facts
    const after = changesBetween(was, now).reduce((facts, list) => applyChanges(facts, list, now.rev), was)
    expect(after).toEqual(now)
    expect(
      changesBetween(was, now)
        .flat()
        .map((c) => c.id)
        .sort(),
    ).toEqual(['E-001', 'E-002'])
    const anew = changesBetween(emptyFacts(), now).reduce((f, list) => applyChanges(f, list, now.rev), emptyFacts())
    expect(anew).toEqual(now)
  })
})

describe('working out', () => {
  const facts = manyDoors(9)
  const keeper = new Keeper()
  keeper.take(facts, sheetsFor(facts))
  it('goes on where it stopped, and says when it is through', () => {
    const steps = workOut(keeper, facts, ['E-001', 'E-002', 'gone', 'E-003'], ['a1'])
    const first = goOn(steps, 1000, 2)
    expect(first.marks.map(([id]) => id)).toEqual(['E-001', 'E-002'])
    expect(first.done).toBe(false)
    const rest = goOn(steps, 1000, 10)
    expect(rest.marks.map(([id]) => id)).toEqual(['E-003'])
    expect(rest.reports.map((r) => r.controller)).toEqual(['a1'])
    expect(rest.done).toBe(true)
  })
  it('does nothing in no time', () => {
    expect(goOn(workOut(keeper, facts, ['E-001'], []), 0, 10)).toEqual({ marks: [], reports: [], done: false })
  })
})

/** Answers when it is told to, out of what it was sent. */
class Sent {
  static all: Sent[] = []
  onmessage: ((event: { data: Answer }) => void) | null = null
  onerror: (() => void) | null = null
  told: Told[] = []
  constructor() {
    Sent.all.push(this)
  }
  postMessage(message: Told) {
    this.told.push(structuredClone(message))
  }
  terminate() {
    this.onmessage = null
  }
  /** Works out what was asked last, from what it was told alone. */
  answer(question?: number) {
    const asked = this.told.filter((t) => 'question' in t).at(-1)
    if (!asked || !('question' in asked)) throw new Error('nothing was asked')
    let facts = emptyFacts()
    let sheets = {}
    for (const t of this.told) {
      if ('sheets' in t) sheets = t.sheets
      if ('changes' in t) facts = applyChanges(facts, t.changes, t.rev)
    }
    const keeper = new Keeper()
    keeper.take(facts, sheets)
    const came = goOn(workOut(keeper, facts, asked.doors, asked.supplies), 60_000, Infinity)
    this.onmessage?.({ data: structuredClone({ question: question ?? asked.question, ...came }) })
    return asked
  }
}

const settled = () => act(() => new Promise((done) => setTimeout(done, 250)))
const rows = () => within(screen.getByRole('list', { name: 'Doors' })).queryAllByRole('listitem')
const begin = (facts: Facts) => useJob.setState({ facts, ready: true })

describe('what is worked out beside the screen', () => {
  let end = () => undefined as void
  beforeEach(() => {
    Sent.all = []
  })
  afterEach(() => end())

  it('is shown when it comes; until then a door stands there by its name alone', async () => {
    begin(manyDoors(12))
    end = workAhead(() => new Sent())
    render(<Board />)
    expect(screen.getByRole('button', { name: 'E-001 Door 1.' })).toBeTruthy()
    expect(screen.getByRole('listitem', { name: 'Plan: worked out …' })).toBeTruthy()
    const asked = Sent.all[0]?.answer()
    expect(asked).toMatchObject({ doors: expect.arrayContaining(['D-01', 'E-001', 'E-012']) })
    await settled()
    expect(screen.getByRole('button', { name: /^E-001 Door 1\. Plan: No lock is chosen/ })).toBeTruthy()
    expect(screen.getByRole('listitem', { name: 'Plan: 1 of 14' })).toBeTruthy()
  })

  it('does not count where the job has gone on since it was asked', async () => {
    const before = manyDoors(12)
    begin(before)
    end = workAhead(() => new Sent())
    const facts = applyChanges(
      before,
      [{ kind: 'door', id: 'E-001', before: null, after: { ...before.door['E-001'], name: 'Other' } } as never],
      before.rev + 1,
    )
    act(() => useJob.setState({ facts }))
    Sent.all[0]?.answer(1)
    expect(keeperOf(facts).knows('E-002')).toBe(false)
    Sent.all[0]?.answer()
    expect(keeperOf(facts).knows('E-002')).toBe(true)
    // Only what went on was told again.
    const told = Sent.all[0]?.told.flatMap((t) => ('changes' in t ? t.changes : [])) ?? []
    expect(told.filter((c) => c.kind === 'door' && c.id === 'E-002')).toHaveLength(1)
    expect(told.filter((c) => c.kind === 'door' && c.id === 'E-001')).toHaveLength(2)
  })

  it('goes on here where the worker breaks, or where there is none', async () => {
    begin(manyDoors(13))
    end = workAhead(() => new Sent())
    Sent.all[0]?.onerror?.()
    await settled()
    expect(Object.keys(useJob.getState().facts.door).every((id) => keeperOf(useJob.getState().facts).knows(id))).toBe(
      true,
    )
    end()
    begin(manyDoors(14))
    end = workAhead(() => {
      throw new Error('no workers here')
    })
    await settled()
    expect(useCome.getState().more).toBe(false)
    expect(keeperOf(useJob.getState().facts).knows('E-014')).toBe(true)
  })
})

describe('a long list', () => {
  it('draws what is in view and says how long it is', async () => {
    begin(manyDoors(198))
    const end = workAhead()
    render(<Board />)
    await settled()
    expect(rows().length).toBeLessThan(30)
    expect(rows()[0]?.getAttribute('aria-setsize')).toBe('200')
    expect(rows().map((r) => r.getAttribute('aria-posinset'))).toEqual(rows().map((_, i) => String(i + 1)))
    end()
  })
  it('brings the row that is chosen into view', async () => {
    begin(manyDoors(198))
    const end = workAhead()
    const { rerender } = render(<Board chosen="D-01" />)
    await settled()
    const page = screen.getByRole('main').firstElementChild as HTMLElement
    expect(page.scrollTop).toBe(0)
    rerender(<Board chosen="E-150" />)
    await settled()
    expect(page.scrollTop).toBeGreaterThan(140 * 60)
    end()
  })
  it('of up to sixty rows stands there whole, so that the browser finds all of it', async () => {
    begin(manyDoors(58))
    const end = workAhead()
    render(<Board />)
    for (let n = 0; n < 100 && document.querySelectorAll('[aria-setsize="60"]').length < 60; n++) await settled()
    expect(rows()).toHaveLength(60)
    end()
  })
})
