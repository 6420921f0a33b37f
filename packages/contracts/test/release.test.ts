import {
  all,
  defaultPowerPlan,
  planFindings,
  releaseCases,
  releaseCount,
  releaseOf,
  releaseTitle,
  sheetOf,
  type Controller,
  type Door,
  type PowerPlan,
  type ReleaseCase,
  type ReleaseRow,
} from '@rauta/core'
import fc from 'fast-check'
import { sheets, smallJob, type World } from './world'

const locks = ['magnet-300', 'strike-secure', 'strike-safe', 'wireless-handle'] as const
const site = fc.record({
  lock: fc.constantFrom(...locks),
  lock2: fc.option(fc.constantFrom('magnet-300', 'strike-secure', 'strike-safe'), { nil: undefined }),
  exit: fc.boolean(),
  exitReader: fc.boolean(),
  breakGlass: fc.boolean(),
  handle: fc.boolean(),
  escapeRoute: fc.boolean(),
  otherWayOut: fc.boolean(),
  opening: fc.constantFrom('door', 'doubleDoor', 'locker'),
  server: fc.constantFrom(null, 'staysShut', 'opens', 'knownCards'),
  fireRelay: fc.boolean(),
  hours: fc.constantFrom(null, 0, 6),
  placed: fc.boolean(),
})
type Case = typeof site extends fc.Arbitrary<infer T> ? T : never

const base = smallJob({})
const controller = base.facts.controller['a1'] as Controller
let n = 0
function doorOf(c: Case, w: World = base): Door {
  const id = `X-${++n}`
  const hardware = {
    entryReader: 'reader-slim',
    lock: c.lock,
    ...(c.lock2 ? { lock2: c.lock2 } : {}),
    ...(c.exit ? { exit: 'button-exit' } : {}),
    ...(c.exitReader ? { exitReader: 'reader-slim' } : {}),
    ...(c.breakGlass ? { breakGlass: 'break-glass' } : {}),
  }
  const { handle, escapeRoute, otherWayOut, opening } = c
  const fields = { ref: id, name: 'X', from: 'out', to: 'in', hardware, handle, escapeRoute, otherWayOut, opening }
  w.do('door.add', { id, fields })
  const door = w.door(id)
  w.do('door.remove', { id })
  return {
    ...door,
    placement: c.placed ? { controller: 'a1', portGroup: 'A', terminals: {} } : null,
    ...(c.server ? { decides: { by: 'server' as const, afterS: 4, then: c.server as 'opens' } } : {}),
  }
}
const planOf = (c: Case): PowerPlan => ({ ...defaultPowerPlan('a1'), fireRelay: c.fireRelay })

/** Whether somebody inside gets out, thought anew: an open latch, a hand on a latch, or electronics that still act. */
function getsOut(c: Case, which: ReleaseCase): boolean {
  if (c.opening === 'locker') return true
  return [c.lock, ...(c.lock2 ? [c.lock2] : [])].every((id) => {
    const own = id === 'wireless-handle'
    const magnet = id.startsWith('magnet')
    const safe = magnet || id === 'strike-safe'
    const latchByHand = !magnet && (c.handle || own)
    const fed: boolean = own
      ? true
      : !(
          which === 'supply' ||
          (which === 'mains' && c.hours === 0) ||
          (which === 'fire' && c.fireRelay) ||
          (which === 'glass' && c.breakGlass) ||
          (which === 'controller' && c.breakGlass && safe)
        )
    if (latchByHand || (safe && !fed)) return true
    if (which === 'network' && c.server === 'opens') return true
    const electronics = fed && (which !== 'controller' || own)
    return electronics && (c.exit || c.exitReader)
  })
}

describe('what opens when, against a model of its own', () => {
  it('1,500 random doors: somebody gets out in the answer exactly where the model says so, and the words agree', () =>
    fc.assert(
      fc.property(site, (c) => {
        const door = { ...doorOf(c), placement: { controller: 'a1', portGroup: 'A', terminals: {} } }
        for (const a of releaseOf(door, controller, sheets, planOf(c), c.hours) ?? []) {
          expect([a.case, a.out !== 'shut']).toEqual([a.case, getsOut(c, a.case)])
          expect([a.says, /nobody gets out/i.test(a.says)]).toEqual([a.says, a.out === 'shut'])
        }
      }),
      { numRuns: 1500 },
    ))

  it('300 random sites: the title counts the rows under it, and names what is not known', () =>
    fc.assert(
      fc.property(fc.array(site, { maxLength: 8 }), (cases) => {
        const rows: ReleaseRow[] = cases.map((c) => {
          const door = doorOf(c)
          const at = door.placement ? controller : undefined
          return { door, answers: releaseOf(door, at, sheets, planOf(c), c.hours) }
        })
        for (const which of releaseCases) {
          const stuck = cases.filter((c) => c.placed && !getsOut(c, which)).length
          const known = cases.filter((c) => c.placed).length
          expect(releaseCount(rows, which)).toEqual({ stuck, known, unknown: cases.length - known })
          const title = releaseTitle(rows, which)
          expect(/nobody gets out/.test(title)).toBe(stuck > 0)
          expect(/people get out/.test(title)).toBe(stuck === 0 && known > 0)
          expect(/at all/.test(title)).toBe(stuck === 0 && known > 0 && known === cases.length)
        }
      }),
      { numRuns: 300 },
    ))

  it('the plan of a door stops wherever a case leaves nobody out, unless another way out is said off the escape route', () =>
    fc.assert(
      fc.property(site, (c) => {
        const door = { ...doorOf(c), placement: { controller: 'a1', portGroup: 'A', terminals: {} } }
        const found = planFindings(door, { a1: controller }, sheets, [door]).filter((f) => f.grade === 'stop')
        const about = found.filter((f) =>
          ['stuck', 'escape-secure', 'magnet-break-glass', 'magnet-exit', 'no-way-out'].includes(f.rule),
        )
        const never = releaseCases.filter((which) => !getsOut({ ...c, hours: 0, fireRelay: true }, which))
        if (never.length && (c.escapeRoute || !c.otherWayOut)) expect(about).not.toEqual([])
        if (!never.length) expect(about.filter((f) => f.rule === 'stuck')).toEqual([])
      }),
      { numRuns: 1000 },
    ))
})

describe('the demo’s own fault and the usual doors', () => {
  const stops = (hardware: Record<string, string>, over = {}) => {
    const w = smallJob({ entryReader: 'reader-slim', ...hardware }, over)
    return planFindings(w.door(), w.facts.controller, sheets, all(w.facts, 'door')).find((f) => f.rule === 'stuck')
  }
  it('a fail-safe strike with only a button on an escape route keeps people in when the controller dies', () => {
    expect(sheetOf(sheets, 'strike-safe').lock?.fail).toBe('safe')
    const hardware = { lock: 'strike-safe', exit: 'button-exit' }
    expect(stops(hardware, { escapeRoute: true, otherWayOut: true })?.says).toContain('controller dead')
    expect(stops({ ...hardware, breakGlass: 'break-glass' }, { escapeRoute: true })).toBeUndefined()
  })
  it('another way out is believed off the escape route only', () => {
    const hardware = { lock: 'strike-secure', exit: 'button-exit' }
    expect(stops(hardware)).toBeDefined()
    expect(stops(hardware, { otherWayOut: true })).toBeUndefined()
    expect(stops(hardware, { handle: true })).toBeUndefined()
  })
})
