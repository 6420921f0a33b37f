import type { Controller } from '../devices/records'
import { checkOff } from '../cabinets/checkoff'
import { isKind, sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'
import { isItsController } from '../doors/ownUnit'
import { all, type Facts } from '../job/facts'
import { busPlans } from '../network/plan'
import { cableList, cutList } from './cables'

/** Something to order or bring; `id` stays the same while the job changes. `count` null where it is a thing of which one does. */
export interface AtHandItem {
  id: string
  group: 'cable' | 'device' | 'small part' | 'battery' | 'card' | 'tool and key' | 'licence'
  what: string
  count: number | null
  unit: string
  /** What it is for, shortened. */ for: string
}

/** Rows of drums are counted with this much on a drum where nobody says otherwise, and this much for both ends of a piece. */
export const usualDrumM = 100
export const usualEndsM = 2

const slug = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 60)
const some = (refs: readonly string[]) => {
  const list = [...new Set(refs)]
  return list.length > 4 ? `${list.slice(0, 3).join(', ')} and ${list.length - 3} more` : list.join(', ')
}

/** What must be at hand for what is not fitted yet, worked out from the plan and the device sheets; tools, cards and licences for the whole job. */
export function atHandList(facts: Facts, sheets: Sheets): AtHandItem[] {
  const fitted = fittedIn(facts, sheets)
  const list = planned(facts, sheets, fitted)
  const toFit = list.filter((p) => !p.fitted)
  return [
    ...cables(facts, sheets),
    ...devices(toFit),
    ...smallParts(facts, sheets, fitted),
    ...batteries(facts, sheets, toFit, fitted),
    ...cards(list),
    ...tools(list),
    ...setUps(list),
  ]
}

function cables(facts: Facts, sheets: Sheets): AtHandItem[] {
  const toPull = cableList(facts, sheets).filter((c) => c.state === 'to pull')
  return cutList(toPull, usualDrumM, usualEndsM).map((c): AtHandItem => ({
    id: `cable-${slug(c.kind)}`,
    group: 'cable',
    what: c.kind,
    count: Math.ceil(c.metres),
    unit: 'm',
    for: `${c.pieces} pieces with ${usualEndsM} m for both ends${c.drums.length ? `, ${c.drums.length} drums of ${usualDrumM} m` : ''}${c.unknown ? `; ${c.unknown} more have no length yet` : ''}`,
  }))
}

interface PlannedDevice {
  sheet: DeviceSheet
  /** What it is for. */ ref: string
  /** How many doors are on it. */ doors: number
  fitted: boolean
}

/** What hangs already where it belongs. */
interface Fitted {
  /** Once its cable is terminated on it; one without a cable once its door was proved. */
  part(door: Door, part: string): boolean
  /** With its supply and battery, once its cabinet is checked off, or when it is in service. */
  board(controller: Controller): boolean
}

function fittedIn(facts: Facts, sheets: Sheets): Fitted {
  const proved = new Set(all(facts, 'proof').flatMap((p) => (p.verdict === 'passed' ? [p.door] : [])))
  const hanging = new Set(
    all(facts, 'controller').flatMap((c) => {
      const done = facts.cabinet[c.id]?.done ?? {}
      const hangs = facts.reach[c.id]?.owned || checkOff(c, facts, sheets).every((item) => done[item.id])
      return hangs ? [c.id] : []
    }),
  )
  return {
    part(door, part) {
      const cable = door.cables.find((c) => c.part === part)
      return cable ? !!facts.tick[`${door.id}/${cable.id}`]?.ended : proved.has(door.id)
    },
    board: (controller) => hanging.has(controller.id),
  }
}

/** Every planned device. */
function planned(facts: Facts, sheets: Sheets, hangs: Fitted): PlannedDevice[] {
  const found: PlannedDevice[] = []
  const doorsOn = grouped(all(facts, 'door'), (d) => d.placement?.controller ?? '')
  const add = (id: string | undefined, ref: string, fitted: boolean, doors = 1) => {
    const sheet = id ? sheets[id] : undefined
    if (sheet) found.push({ sheet, ref, doors, fitted })
  }
  for (const c of all(facts, 'controller')) {
    const fitted = hangs.board(c)
    add(c.sheet, c.ref, fitted, doorsOn.get(c.id)?.length ?? 0)
    if (!c.fedFrom) add(ownSupply(c, sheets), c.ref, fitted)
    for (const e of c.expanders ?? []) add(e.sheet, `${c.ref} ${e.id}`, fitted)
  }
  for (const u of all(facts, 'unit')) add(u.sheet, u.ref, false)
  for (const d of all(facts, 'door'))
    for (const p of d.parts) {
      const fitted = hangs.part(d, p.id)
      if (!isItsController(d, p, facts.controller, sheets)) add(p.sheet, `${d.ref} ${p.id}`, fitted)
      add(p.via, `${d.ref} ${p.id}`, fitted)
    }
  return found
}

/** A board that is fed from the network has no supply beside it. */
const ownSupply = (c: Controller, sheets: Sheets): string => (sheets[c.sheet]?.feeds ? '' : c.supply)

function grouped<T extends { ref: string }>(list: readonly T[], key: (t: T) => string): Map<string, T[]> {
  const by = new Map<string, T[]>()
  for (const item of list) by.set(key(item), [...(by.get(key(item)) ?? []), item])
  return by
}

function devices(planned: readonly PlannedDevice[]): AtHandItem[] {
  return [...grouped(planned, (p) => p.sheet.id)].map(([id, list]): AtHandItem => ({
    id: `device-${id}`,
    group: 'device',
    what: list[0]?.sheet.name ?? id,
    count: list.length,
    unit: '',
    for: some(list.map((l) => l.ref)),
  }))
}

function smallParts(facts: Facts, sheets: Sheets, fitted: Fitted): AtHandItem[] {
  const found: AtHandItem[] = []
  const doors = all(facts, 'door')
  const ends = doors.flatMap((d) =>
    d.ends
      ? d.parts
          .filter((p) => !fitted.part(d, p.id) && sheetOf(sheets, p.sheet).leads.some((l) => l.kind === 'contactA'))
          .flatMap(() => [
            { ref: d.ref, ohm: d.ends?.seriesOhm ?? 0 },
            { ref: d.ref, ohm: d.ends?.parallelOhm ?? 0 },
          ])
      : [],
  )
  for (const [ohm, list] of grouped(ends, (e) => String(e.ohm)))
    found.push({
      id: `resistor-${ohm}`,
      group: 'small part',
      what: `End resistor ${ohm} Ω`,
      count: list.length,
      unit: '',
      for: some(list.map((l) => l.ref)),
    })
  const bare = doors.flatMap((d) =>
    d.parts
      .filter((p) => {
        const s = sheetOf(sheets, p.sheet)
        return (
          !fitted.part(d, p.id) &&
          s.lock &&
          s.leads.some((l) => l.kind === 'lock+') &&
          s.lock.suppressionMs === undefined
        )
      })
      .map((p) => `${d.ref} ${p.id}`),
  )
  if (bare.length)
    found.push({
      id: 'diode',
      group: 'small part',
      what: 'Diode to go across a lock’s coil',
      count: bare.length,
      unit: '',
      for: some(bare),
    })
  const open = busPlans(facts, sheets).flatMap((b) => {
    const last = b.lines.at(-1)
    return last && !last.terminator ? [last.ref] : []
  })
  if (open.length)
    found.push({
      id: 'terminator',
      group: 'small part',
      what: 'Terminator 120 Ω for the end of a bus',
      count: open.length,
      unit: '',
      for: some(open),
    })
  return found
}

function batteries(facts: Facts, sheets: Sheets, planned: readonly PlannedDevice[], fitted: Fitted): AtHandItem[] {
  const wanted = all(facts, 'controller').flatMap((c) => {
    const plan = facts.powerPlan[c.id]
    const kind = sheets[c.supply]?.supply?.battery
    return plan && kind && !c.fedFrom && !sheets[c.sheet]?.feeds && !fitted.board(c)
      ? Array.from({ length: plan.batteryCount }, () => ({
          ref: c.ref,
          what: `Battery ${kind.volts} V, ${plan.batteryAh} Ah`,
        }))
      : []
  })
  const cells = planned.flatMap(({ sheet, ref }) =>
    sheet.ownBattery ? [{ ref, what: `Cells: ${sheet.ownBattery.cells}` }] : [],
  )
  return [...grouped([...wanted, ...cells], (w) => w.what)].map(([what, list]): AtHandItem => ({
    id: `battery-${slug(what)}`,
    group: 'battery',
    what,
    count: list.length,
    unit: '',
    for: some(list.map((l) => l.ref)),
  }))
}

/** Four test cards of each technology: good, lost, out of hours, unknown. */
const testCardsEach = 4

function cards(planned: readonly PlannedDevice[]): AtHandItem[] {
  const readers = planned.flatMap(({ sheet, ref }) =>
    isKind(sheet, 'reader')
      ? (sheet.reading?.technologies ?? [])
          .filter((t) => /card|tag/i.test(t))
          .map((technology) => ({ ref, technology }))
      : [],
  )
  return [...grouped(readers, (r) => r.technology)].map(([technology, list]): AtHandItem => ({
    id: `card-${slug(technology)}`,
    group: 'card',
    what: `Test cards or tags, ${technology}`,
    count: testCardsEach,
    unit: '',
    for: `good, lost, out of hours, unknown; read at ${some(list.map((l) => l.ref))}`,
  }))
}

function tools(planned: readonly PlannedDevice[]): AtHandItem[] {
  const wanted = planned.flatMap(({ sheet, ref }) => sheet.atHand.map((what) => ({ ref, what })))
  return [...grouped(wanted, (w) => w.what)].map(([what, list]): AtHandItem => ({
    id: `tool-${slug(what)}`,
    group: 'tool and key',
    what,
    count: null,
    unit: '',
    for: some(list.map((l) => l.ref)),
  }))
}

/** Tools with what they run on, keys, licences: one for the job, or counted by devices or the doors on them. */
function setUps(planned: readonly PlannedDevice[]): AtHandItem[] {
  const wanted = planned.flatMap(({ sheet, ref, doors }) =>
    (sheet.setUp ?? []).map((need) => ({ ref, need, count: need.one === 'door' ? doors : 1 })),
  )
  return [...grouped(wanted, ({ need }) => `${need.kind} ${need.what} ${need.runsOn ?? ''}`)]
    .map(([key, list]): AtHandItem => {
      const { need } = list[0] as (typeof list)[number]
      const forTheJob = need.kind === 'licence' ? 1 : null
      const count = need.one === 'job' ? forTheJob : list.reduce((sum, l) => sum + l.count, 0)
      return {
        id: `setup-${slug(key)}`,
        group: need.kind === 'licence' ? 'licence' : 'tool and key',
        what: `${need.what}${need.runsOn ? `; runs on ${need.runsOn}` : ''}`,
        count,
        unit: '',
        for: some(list.map((l) => l.ref)),
      }
    })
    .filter((item) => item.count !== 0)
}
