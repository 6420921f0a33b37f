import { boardOf } from '../devices/board'
import type { Controller } from '../devices/records'
import { sheetOf, type Sheets } from '../devices/sheet'
import type { Door } from '../doors/door'
import { bankIsEnough, bankOf, standbyHours, standbyNeed, type StandbyNeed } from '../power/battery'
import { cableName, type CableType } from '../power/conductor'
import { defaultPowerPlan, type PowerPlan } from '../power/records'
import { loopOhm } from '../power/run'
import { solveTree, type Solved } from '../power/tree'
import { boardsOn, type Controllers } from './fed'
import { doesWith, longestThatDoes } from './mend'
import { momentWords, netAt, supplyWays, type LockAt, type Moment, type SourceState, type SupplyWays } from './net'

export interface MomentAnswer {
  moment: Moment
  says: string
  state: SourceState
  amps: number | null
  solved: Solved
  locks: readonly LockAt[]
}
/** The least that a lock sees while it must work, over all moments; with mains alone where it is short with them. `volts` null where the line collapses. */
export interface LockAnswer {
  door: string
  part: string
  leastV: number
  volts: number | null
  says: string
  mend: string | null
  enough: boolean
  /** It falls short only when the battery comes to its end. */ onlyAtEnd: boolean
  state: SourceState
}
export interface SupplyReport {
  controller: string
  moments: MomentAnswer[]
  locks: LockAnswer[]
  restA: number | null
  worstA: number | null
  ratingA: number
  chargerA: number
  battery: { need: StandbyNeed; bankAh: number; hours: number; enough: boolean } | null
  /** Amps of everything that fills its capacitors when power comes. */
  inrushA: number
  unknown: string[]
  faults: string[]
  /** Those of the faults that a larger supply would mend. */
  overloads: string[]
  notes: string[]
}

export const sourceStates: readonly SourceState[] = ['nominal', 'floating', 'batteryEnd']
export const sourceWords: Readonly<Record<SourceState, string>> = {
  nominal: 'supply as set',
  floating: 'battery full, on charge',
  batteryEnd: 'end of the battery',
}

/** Everybody at once, or as many as the queue lets. */
const rushes = (plan: PowerPlan): Moment[] =>
  (['allOpen', 'powerReturn'] as const).map((of): Moment =>
    plan.queue ? { kind: 'queue', of, most: plan.queue } : { kind: of },
  )

/** Every moment at every state of the source, and what follows from it for supply, battery and locks. */
export function supplyReport(
  controller: Controller,
  all: readonly Door[],
  sheets: Sheets,
  plan: PowerPlan = defaultPowerPlan(controller.id),
  controllers: Controllers = {},
): SupplyReport {
  const boards = boardsOn(controller, controllers).map((b) => b.controller)
  const doors = all.filter((d) => boards.some((b) => b.id === d.placement?.controller))
  const board = boardOf(sheets, controller)
  const supply = sheets[controller.supply]?.supply
  const refOf = (id: string) => doors.find((d) => d.id === id)?.ref ?? id
  const kinds: Moment[] = [
    { kind: 'rest' },
    ...doors.flatMap((d): Moment[] => [
      { kind: 'pull', door: d.id },
      { kind: 'hold', door: d.id },
    ]),
    ...rushes(plan),
  ]
  const states = board.feeds ? (['nominal'] as const) : sourceStates
  const ways = supplyWays(controller, doors, sheets, plan.celsius, new Set(), controllers)
  const moments = states.flatMap((state) =>
    kinds.map((moment): MomentAnswer => {
      const net = netAt(ways, moment, state)
      const solved = solveTree(net.tree)
      return {
        moment,
        says: momentWords(moment, refOf),
        state,
        amps: solved.ok ? solved.sourceA : null,
        solved,
        locks: net.locks,
      }
    }),
  )
  const at = (kind: Moment['kind']) => moments.find((m) => m.state === 'nominal' && m.moment.kind === kind)
  const restA = at('rest')?.amps ?? null
  const nominal = moments.filter((m) => m.state === 'nominal')
  const worstA = nominal.some((m) => m.amps === null) ? null : Math.max(...nominal.map((m) => m.amps ?? 0))
  const report: SupplyReport = {
    controller: controller.id,
    moments,
    locks: lockAnswers(moments, doors, refOf, ways, plan.celsius),
    restA,
    worstA,
    ratingA: supply?.amps ?? 0,
    chargerA: board.feeds ? 0 : (supply?.chargerA ?? 0),
    battery: null,
    inrushA: 0,
    unknown: ways.unknown,
    faults: [],
    overloads: [],
    notes: [],
  }
  for (const o of ways.open)
    report.faults.push(`The lock circuit of ${refOf(o.door)} is open: ${o.conductor} is not there.`)
  if (board.feeds) {
    feedFaults(report, board.feeds.watts, board.feeds.volts)
    return report
  }
  report.battery = batteryOf(plan, doors, sheets, restA, supply?.battery ?? null)
  supplyFaults(report, plan, supply)
  for (const b of boards.slice(1))
    if (boardOf(sheets, b).feeds)
      report.faults.push(`${b.ref} takes its power from the network: it can’t be fed from ${controller.ref}.`)
  for (const b of boards.slice(1))
    report.notes.push(
      `It feeds ${b.ref} too${b.cabinet === controller.cabinet ? '' : `, in ${b.cabinet}`}: what hangs on ${b.ref} is counted here.`,
    )
  boardFaults(report, boards, sheets)
  inrushFaults(report, boards, doors, sheets, supply?.tripA)
  return report
}

/** Ampere-hours of one lock movement: a release of some seconds. */
function movementAh(doors: readonly Door[], sheets: Sheets): number {
  return doors.reduce(
    (sum, d) =>
      sum +
      d.parts.reduce((s, p) => {
        const lock = sheetOf(sheets, p.sheet).lock
        return s + (lock?.fail === 'secure' ? (lock.pullA * d.behaviour.releaseS) / 3600 : 0)
      }, 0),
    0,
  )
}

function batteryOf(
  plan: PowerPlan,
  doors: readonly Door[],
  sheets: Sheets,
  restA: number | null,
  kind: { volts: number; peukert: number | null } | null,
): SupplyReport['battery'] {
  if (restA === null || !kind) return null
  const movingAh = movementAh(doors, sheets) * plan.movements
  const need = standbyNeed({ restA, movingAh, hours: plan.hours, celsius: plan.celsius, peukert: kind.peukert })
  const bankAh =
    plan.batteryCount > 0
      ? bankOf({ ah: plan.batteryAh, count: plan.batteryCount, wiring: plan.wiring, volts: kind.volts }).ah
      : 0
  const meanA = plan.hours > 0 ? restA + movingAh / plan.hours : restA
  return {
    need,
    bankAh,
    hours: standbyHours(bankAh, meanA, plan.celsius, kind.peukert),
    enough: bankIsEnough(bankAh, need.neededAh),
  }
}

function feedFaults(report: SupplyReport, watts: number, volts: number): void {
  const peakW = report.worstA === null ? null : report.worstA * volts
  if (peakW === null)
    report.faults.push('The converter’s lines collapse in a moment: shorten them, or take thicker cable.')
  else if (peakW > watts)
    report.faults.push(`Its door takes ${peakW.toFixed(1)} W at the worst moment; its converter gives ${watts} W.`)
  report.notes.push('It is fed from the network: it lives as long as the battery of its network switch.')
}

function supplyFaults(
  report: SupplyReport,
  plan: PowerPlan,
  supply:
    | {
        volts: number
        amps: number
        chargerA?: number
        outputs?: { id: string; fuseA: number }[]
        battery?: { volts: number }
      }
    | undefined,
): void {
  const { worstA, chargerA, ratingA, faults } = report
  const overload = (says: string) => {
    faults.push(says)
    report.overloads.push(says)
  }
  if (!supply) {
    faults.push('No supply is chosen for this cabinet.')
    return
  }
  if (worstA === null)
    faults.push('In one of the moments the lines collapse: there is no current to tell. See the locks below.')
  else if (worstA + chargerA > ratingA)
    overload(
      `At the worst moment ${worstA.toFixed(2)} A and ${chargerA.toFixed(2)} A for charging; the supply gives ${ratingA} A.`,
    )
  const fuse = supply.outputs?.find((o) => o.id === 'locks')
  const locksA = Math.max(
    0,
    ...report.moments
      .filter((m) => m.state === 'nominal')
      .map((m) =>
        m.solved.ok
          ? m.locks.reduce((sum, l) => sum + ((m.solved as { amps: Record<string, number> }).amps[l.node] ?? 0), 0)
          : 0,
      ),
  )
  if (fuse && locksA > fuse.fuseA)
    overload(`The locks draw ${locksA.toFixed(2)} A together; their output is fused at ${fuse.fuseA} A.`)
  const boardFuse = supply.outputs?.find((o) => o.id === 'board')
  const boardA = Math.max(
    0,
    ...report.moments
      .filter((m) => m.state === 'nominal' && m.solved.ok)
      .map(
        (m) =>
          (m.amps ?? 0) -
          m.locks.reduce((sum, l) => sum + ((m.solved as { amps: Record<string, number> }).amps[l.node] ?? 0), 0),
      ),
  )
  if (boardFuse && boardA > boardFuse.fuseA)
    overload(`Board and readers draw ${boardA.toFixed(2)} A; their output is fused at ${boardFuse.fuseA} A.`)
  const battery = report.battery
  if (battery && !battery.enough)
    faults.push(
      battery.bankAh > 0
        ? `${battery.bankAh} Ah of battery last ${battery.hours.toFixed(1)} h; ${plan.hours} h are asked for and want ${battery.need.neededAh.toFixed(1)} Ah.`
        : `No battery is planned; ${plan.hours} h want ${battery.need.neededAh.toFixed(1)} Ah.`,
    )
  if (supply.battery && plan.batteryCount > 0) {
    const volts = bankOf({
      ah: plan.batteryAh,
      count: plan.batteryCount,
      wiring: plan.wiring,
      volts: supply.battery.volts,
    }).volts
    const wanted = supply.volts > 20 ? 24 : 12
    if (volts !== wanted) faults.push(`The batteries as joined give ${volts} V; this supply charges ${wanted} V.`)
  }
  if (battery && battery.need.factors.rate === null)
    report.notes.push('The rate effect of the battery is not counted: its sheet does not tell it.')
}

/** A board that is fed on works from some volts on: its sheet tells which. */
function boardFaults(report: SupplyReport, boards: readonly Controller[], sheets: Sheets): void {
  for (const b of boards.slice(1)) {
    const least = boardOf(sheets, b).operatingV?.least
    const worst = report.moments.reduce<{ volts: number; m: MomentAnswer } | null>((low, m) => {
      const volts = m.solved.ok ? (m.solved.volts[`board/${b.id}`] ?? Infinity) : 0
      return low === null || volts < low.volts ? { volts, m } : low
    }, null)
    if (least !== undefined && worst && worst.volts < least)
      report.faults.push(
        `${b.ref} sees ${worst.volts.toFixed(1)} V (${inSentence(worst.m)}, ${sourceWords[worst.m.state]}) and works from ${least} V. Shorten its run, take thicker cable, or give it a supply of its own.`,
      )
  }
}

function rank(a: LockAnswer): number {
  if (a.enough) return 2
  return a.onlyAtEnd ? 1 : 0
}

/** A moment inside a sentence: a reference keeps its capitals. */
const inSentence = (m: MomentAnswer): string =>
  'door' in m.moment ? m.says : m.says.charAt(0).toLowerCase() + m.says.slice(1)

/** The worst of the moments at one lock. */
interface Worst {
  lock: LockAt
  m: MomentAnswer
  volts: number | null
}
const isShort = ({ lock, volts }: Worst): boolean => volts === null || volts < lock.facts.leastV
const isWorse = (a: Worst, b: Worst | undefined): boolean =>
  !b || (b.volts !== null && (a.volts === null || a.volts < b.volts))

function lockAnswers(
  moments: readonly MomentAnswer[],
  doors: readonly Door[],
  refOf: (door: string) => string,
  ways: SupplyWays,
  celsius: number,
): LockAnswer[] {
  /** While there are mains, and over everything. */
  const onMains = new Map<string, Worst>()
  const ever = new Map<string, Worst>()
  for (const m of moments) {
    for (const lock of m.locks) {
      const volts = m.solved.ok ? (m.solved.volts[lock.node] ?? null) : null
      // Only a lock that is energised needs its volts.
      if (m.solved.ok && (m.solved.amps[lock.node] ?? 0) === 0) continue
      const here = { lock, m, volts }
      if (m.state !== 'batteryEnd' && isWorse(here, onMains.get(lock.node))) onMains.set(lock.node, here)
      if (isWorse(here, ever.get(lock.node))) ever.set(lock.node, here)
    }
  }
  return [...ever.values()]
    .map((worst): LockAnswer => {
      const mains = onMains.get(worst.lock.node)
      // A lock that is short with mains is told by that: it is what a cable mends.
      const told = mains && isShort(mains) ? mains : worst
      const { lock, m, volts } = told
      const when = `${inSentence(m)}, ${sourceWords[m.state]}`
      const answer: LockAnswer = {
        door: lock.door,
        part: lock.part,
        leastV: lock.facts.leastV,
        volts,
        says:
          volts === null
            ? `${refOf(lock.door)} ${lock.part}: the line collapses (${when}).`
            : `${refOf(lock.door)} ${lock.part}: ${volts.toFixed(2)} V at the lock, needs ${lock.facts.leastV} V (${when}).`,
        mend: null,
        enough: !isShort(told),
        onlyAtEnd: isShort(told) && told !== mains,
        state: m.state,
      }
      return answer.enough ? answer : { ...answer, mend: mendOf(answer, moments, doors, ways, celsius) }
    })
    .sort((a, b) => rank(a) - rank(b) || a.door.localeCompare(b.door))
}

/** Capacitors that fill when power comes: all together, against what trips the supply. */
function inrushFaults(
  report: SupplyReport,
  boards: readonly Controller[],
  doors: readonly Door[],
  sheets: Sheets,
  tripA: number | undefined,
): void {
  const all = [
    ...boards.flatMap((b) => [b.sheet, ...(b.expanders ?? []).map((e) => e.sheet)]),
    ...doors.flatMap((d) =>
      d.parts.filter((p) => p.fed !== 'own' && sheetOf(sheets, p.sheet).leads.length > 0).map((p) => p.sheet),
    ),
  ]
  report.inrushA = all.reduce((sum, id) => sum + (sheetOf(sheets, id).inrush?.amps ?? 0), 0)
  if (tripA !== undefined && report.inrushA > tripA)
    report.faults.push(
      `In the first moment of power its consumers take ${report.inrushA.toFixed(1)} A together; the supply trips at ${tripA} A. Switch them on one after the other.`,
    )
  else if (tripA === undefined && report.inrushA > 0)
    report.notes.push(
      `In the first moment of power its consumers take ${report.inrushA.toFixed(1)} A together; the sheet of the supply does not tell where it trips.`,
    )
}

const thicker = [0.5, 0.75, 1, 1.5, 2.5]

/** The longest length of the lock's own cable, and the thinnest cable at its length, that would do in the moment that fails: tried in the whole tree. */
function mendOf(
  answer: LockAnswer,
  moments: readonly MomentAnswer[],
  doors: readonly Door[],
  ways: SupplyWays,
  celsius: number,
): string {
  const node = `${answer.door}/${answer.part}`
  const cable = doors.find((d) => d.id === answer.door)?.cables.find((c) => c.part === answer.part)
  const lock = ways.locks.find((l) => l.node === node)
  const worst = moments.find(
    (m) =>
      m.state === answer.state &&
      (m.solved.ok ? m.solved.volts[node] === answer.volts && (m.solved.amps[node] ?? 0) > 0 : answer.volts === null),
  )
  if (!cable || !lock || !worst) return 'Give its cable a length.'
  const { tree } = netAt(ways, worst.moment, worst.state)
  const own = loopOhm(cable.type, cable.lengthM, celsius)
  const wouldDo = (ohm: number): boolean => doesWith(tree, node, own, ohm, answer.leastV)
  if (!wouldDo(0)) {
    const bare = solveTree({ ...tree, nodes: tree.nodes.map((n) => (n.id === node ? { ...n, ohm: 0 } : n)) })
    if (bare.ok && (bare.volts[node] ?? 0) >= answer.leastV)
      return 'The rest of the way takes too much already: shorten the break glass run.'
    return bare.ok
      ? `The source itself gives ${bare.terminalV.toFixed(1)} V then: no cable mends that. Take a lock that works at fewer volts, or a supply that cuts off earlier.`
      : 'Something else on this supply pulls the line down: mend that first.'
  }
  const low = longestThatDoes(tree, node, own, cable, answer.leastV, celsius)
  const enough = thicker
    .map((mm2): CableType => ({ kind: 'iec', conductorClass: 2, mm2, cores: cable.type.cores }))
    .find((type) => wouldDo(loopOhm(type, cable.lengthM, celsius)))
  return `${cableName(cable.type)} would do up to ${low} m${enough ? `; at ${cable.lengthM} m take ${cableName(enough)}` : '; no cable up to 2.5 mm² would do at this length'}.`
}
