import { digestOf } from '../config/canonical'
import { difference, handWords, lasting, touching, waitingForHands, type Difference } from '../config/difference'
import { reachedWhole } from '../config/loads'
import { twoSided } from '../config/words'
import { heldConfig } from '../config/held'
import type { Config } from '../config/records'
import { everyTestPart, wantedConfig } from '../config/wanted'
import { checkOff } from '../cabinets/checkoff'
import { boardOf } from '../devices/board'
import { sheetOf, type Sheets } from '../devices/sheet'
import { hangsWords } from '../devices/words'
import type { Door } from '../doors/door'
import { all, type Facts } from '../job/facts'
import { stop, warn, marks, type Finding } from '../job/finding'
import { sendings } from '../cards/sending'
import { formatLimitFindings } from '../config/formatLimits'
import { rulesAt } from '../access/rights'
import { rightLimitFindings } from '../config/rightLimits'
import { timeLimitFindings } from '../config/timeLimits'
import { behaviourFindings } from '../doors/contradictions'
import { reactionFindings } from '../reactions/findings'
import { radioFindings } from '../radio/findings'
import { kitFindings, untestedFindings } from '../proving/script'
import { standings, type Standing } from '../proving/standing'
import { openDevices, reachMark } from './reach'
import { isEarned, type DoorMarks, type MarkState, type Sign } from './state'
import { planFindings } from '../wiring/findings'
import { judgeReading } from '../readings/judge'
import { newestOf } from '../readings/newest'
import { readingsFor } from '../readings/asked'
import { readingFacts, type Reading } from '../readings/records'
import type { Planned } from '../wiring/volts'

/** Config of each controller worked out once for many doors. */
export interface Worked {
  wanted: Config
  held: Config
  known: boolean
  /** What differs between them but for the test cards, worked out when it is first asked for. */
  differences(): readonly Difference[]
}
export type WorkedConfigs = (controller: string) => Worked

/** What a controller shall hold and was last read to hold. */
export function workedConfig(facts: Facts, id: string, sheets: Sheets): Worked {
  const controller = facts.controller[id]
  const wanted = controller ? wantedConfig(facts, controller, sheets).config : {}
  const held = heldConfig(facts, id)
  let found: readonly Difference[] | undefined
  return {
    wanted,
    held,
    known: facts.held[id] !== undefined,
    differences: () =>
      (found ??= lasting(difference(held, wanted), () => (controller ? everyTestPart(facts, controller, sheets) : {}))),
  }
}

/** Works out wanted and held per controller, remembering them for the facts given. */
export function workedConfigs(facts: Facts, sheets: Sheets): WorkedConfigs {
  const kept = new Map<string, Worked>()
  return (id) => {
    let worked = kept.get(id)
    if (!worked) kept.set(id, (worked = workedConfig(facts, id, sheets)))
    return worked
  }
}

/** What of a door’s marks hangs on the door, its wiring, its devices and their tests, and not on people, groups and times. */
export interface MarksBasis {
  plan: MarkState
  wire: MarkState
  reach: MarkState
  tests: readonly Standing[]
  /** What must not be signed for: devices that are talked to in clear. */
  open: Finding[]
}

/** @param neighbours doors on the same supply, where they are known already */
export function marksBasis(
  facts: Facts,
  door: Door,
  sheets: Sheets,
  configs: WorkedConfigs,
  neighbours: readonly Door[],
): MarksBasis {
  const worked = configs(door.placement?.controller ?? '')
  return {
    plan: planMark(facts, door, sheets, neighbours),
    wire: wireMark(facts, door, sheets, neighbours),
    reach: reachMark(facts, door, sheets),
    open: openDevices(facts, door, sheets),
    tests: standings(facts, door, sheets, worked.wanted, worked.held),
  }
}

/** The six marks, with what hangs on people, groups and times worked out on top of the rest. */
export function marksOn(
  facts: Facts,
  door: Door,
  sheets: Sheets,
  configs: WorkedConfigs,
  basis: MarksBasis,
): DoorMarks {
  const { plan, wire, reach, tests } = basis
  const load = loadMark(facts, door, sheets, configs, silent(plan))
  const prove = proveMark(tests, load, silent(plan))
  return { plan, wire, reach, load, prove, sign: signMark(facts, door, basis, { plan, wire, prove }) }
}

/** All six marks of a door, worked out from facts. @param neighbours doors on the same controller, where they are known already */
export function marksOf(
  facts: Facts,
  door: Door,
  sheets: Sheets,
  configs: WorkedConfigs = workedConfigs(facts, sheets),
  neighbours: readonly Door[] = all(facts, 'door'),
): DoorMarks {
  return marksOn(facts, door, sheets, configs, marksBasis(facts, door, sheets, configs, neighbours))
}

/** The first mark that is neither given nor not needed, or null for a door that is signed. */
export function nextMark(state: DoorMarks): MarkState | null {
  return marks.map((m) => state[m]).find((m) => !isEarned(m)) ?? null
}

const incomplete = new Set(['no-lock', 'no-reader', 'not-placed', 'lead-loose', 'no-bus-address', 'no-hub'])

const unheardRules = new Set(['untold', 'untested', 'no-bus-address', 'no-hub'])

/** A part that is wired and that its controller is not told of, or that no test would prove: it stops the door before Load. */
const silent = (plan: MarkState): Finding | undefined => plan.findings.find((f) => unheardRules.has(f.rule))

function planMark(facts: Facts, door: Door, sheets: Sheets, neighbours: readonly Door[]): MarkState {
  const findings = [
    ...planFindings(door, facts.controller, sheets, neighbours, facts.powerPlan, sendings(facts)),
    ...untestedFindings(facts, door, sheets),
    ...kitFindings(facts, door, sheets),
    ...radioFindings(facts, door, sheets),
  ]
  const stops = findings.filter((f) => f.grade === 'stop')
  const faults = stops.filter((f) => !incomplete.has(f.rule))
  if (faults[0]) return { mark: 'plan', sign: 'stopped', share: 0.5, says: faults[0].says, findings }
  if (stops[0])
    return {
      mark: 'plan',
      sign: door.parts.length ? 'underWay' : 'todo',
      share: door.parts.length ? 0.5 : 0,
      says: stops[0].says,
      findings,
    }
  return { mark: 'plan', sign: 'given', share: 1, says: 'Every part has its terminal.', findings }
}

const listed = new WeakMap<Facts['door'], readonly Door[]>()
/** Every door as a list that stays the same while no door changes: what is worked out for a supply is kept by it. */
function everyDoor(facts: Facts): readonly Door[] {
  const list = listed.get(facts.door) ?? all(facts, 'door')
  listed.set(facts.door, list)
  return list
}

/** A door's surroundings from the facts. */
export const plannedOf = (facts: Facts, sheets: Sheets, doors: readonly Door[] = everyDoor(facts)): Planned => ({
  controllers: facts.controller,
  doors,
  sheets,
})

/** What an `ended` tick is true of: the cable and the terminals its conductors sit on. */
export function endingDigest(door: Door, cable: string): string {
  const planned = door.cables.find((c) => c.id === cable)
  const terminals = Object.entries(door.placement?.terminals ?? {})
    .filter(([key]) => key.startsWith(`${planned?.part}.`))
    .sort()
  return digestOf({
    controller: door.placement?.controller ?? '',
    part: door.parts.find((p) => p.id === planned?.part) ?? null,
    type: (planned?.planned ?? planned)?.type ?? null,
    terminals,
  })
}

function wireMark(facts: Facts, door: Door, sheets: Sheets, neighbours: readonly Door[]): MarkState {
  const planned = plannedOf(facts, sheets, neighbours)
  const controller = facts.controller[door.placement?.controller ?? '']
  const sheet = controller ? boardOf(sheets, controller) : null
  const findings: Finding[] = []
  /** Of readings that nobody asked for: told after the others. */
  const besides: Finding[] = []
  let done = 0
  let total = 0
  let stale = ''
  let missing = ''
  const need = (met: boolean, says: string) => {
    total += 1
    if (met) done += 1
    else missing ||= says
  }
  for (const cable of door.cables) {
    const tick = facts.tick[`${door.id}/${cable.id}`]
    need(!!tick?.pulled, `${cable.id} to ${cable.part} is still to be pulled.`)
    need(!!tick?.ended, `${cable.id} to ${cable.part} is still to be terminated.`)
    need(!!tick?.tested, `${cable.id} to ${cable.part} is still to be tested.`)
    if (tick?.ended?.on && tick.ended.on !== endingDigest(door, cable.id))
      stale ||= `${cable.id} was terminated before its terminals, cable or part changed. Look at it again and tick it anew.`
    const newest = newestOf(facts, door.id, cable.id)
    const asked = readingsFor(door, cable.id, sheets, sheet)
    const judge = (reading: Reading, into: Finding[]) => {
      const verdict = judgeReading(reading, door, planned, newest)
      if (!verdict && asked.includes(reading.kind))
        into.push(warn('wire', 'no-length', `${cable.id} has a reading but no length to judge it by.`, cable.id))
      if (verdict && !verdict.in)
        into.push(
          stop(
            'wire',
            'reading',
            `${cable.id} ${readingFacts[reading.kind].name}: ${reading.value} ${verdict.expected.unit}. ${verdict.says}`,
            cable.id,
          ),
        )
    }
    for (const kind of asked) {
      const reading = newest.find((r) => r.kind === kind)
      need(!!reading, `${cable.id}: ${readingFacts[kind].name} is still to be measured.`)
      if (reading) judge(reading, findings)
    }
    for (const reading of newest) if (!asked.includes(reading.kind)) judge(reading, besides)
  }
  if (sheet?.controller && controller) {
    const open = checkOff(controller, facts, sheets).filter((item) => !facts.cabinet[controller.id]?.done[item.id])
    need(open.length === 0, `${hangsWords(controller, sheet)}, ${controller.ref}: ${open.length} still to check off.`)
  }
  findings.push(...besides)
  const share = total ? done / total : 0
  const bad = findings.find((f) => f.grade === 'stop')
  if (door.parts.length > 0 && door.parts.every((p) => sheetOf(sheets, p.sheet).leads.length === 0))
    return {
      mark: 'wire',
      sign: 'notNeeded',
      share: 1,
      says: 'No cable at this door: its battery and its mounting are looked at instead.',
      findings,
    }
  if (door.cables.length === 0)
    return { mark: 'wire', sign: 'todo', share: 0, says: 'No cable is planned yet.', findings }
  if (bad) return { mark: 'wire', sign: 'stopped', share, says: bad.says, findings }
  if (stale) return { mark: 'wire', sign: 'stale', share, says: stale, findings }
  if (done === total)
    return {
      mark: 'wire',
      sign: 'given',
      share: 1,
      says: 'Every cable is pulled, terminated, tested and in tolerance.',
      findings,
    }
  return { mark: 'wire', sign: anyTick(facts, door) ? 'underWay' : 'todo', share, says: missing, findings }
}

const anyTick = (facts: Facts, door: Door) =>
  door.cables.some((c) => facts.tick[`${door.id}/${c.id}`]) || all(facts, 'reading').some((r) => r.door === door.id)

function loadMark(
  facts: Facts,
  door: Door,
  sheets: Sheets,
  configs: WorkedConfigs,
  unheard: Finding | undefined,
): MarkState {
  const controller = facts.controller[door.placement?.controller ?? '']
  const findings = [...behaviourFindings(facts, door, sheets), ...reactionFindings(facts, door, sheets)]
  const state = (sign: Sign, share: number, says: string): MarkState => ({ mark: 'load', sign, share, says, findings })
  if (!controller) return state('todo', 0, 'The door is on no controller yet.')
  if (unheard) return state(incomplete.has(unheard.rule) ? 'todo' : 'stopped', 0, unheard.says)
  const contradiction = findings.find((f) => f.grade === 'stop')
  if (contradiction) return state('stopped', 0, contradiction.says)
  if (rulesAt(facts, door.id).length === 0) {
    const says = `No rule lets anybody pass ${door.ref}. No rule means refused.`
    findings.push(stop('load', 'no-rule', says))
    return state('todo', 0, says)
  }
  const { wanted, held, known, differences } = configs(controller.id)
  const board = boardOf(sheets, controller)
  findings.push(
    ...timeLimitFindings(controller.ref, board, wanted),
    ...formatLimitFindings(controller.ref, board, wanted),
    ...rightLimitFindings(facts, door, controller.ref, board),
  )
  const full = findings.find((f) => f.grade === 'stop')
  if (full) return state('stopped', 0, full.says)
  if (!known) return state('todo', 0, `${controller.ref} has not been loaded.`)
  const fault = facts.held[controller.id]?.fault
  if (fault) return state('stale', 1, `${controller.ref} could not be read back: ${fault}`)
  const open = touching(differences(), door.id, held, wanted)
  if (open.length === 0) return state('given', 1, `${controller.ref} holds what the job wants of this door, read back.`)
  const hands = waitingForHands(open)
  if (hands) return state('underWay', 0.9, handWords(facts, hands))
  const loads = all(facts, 'load').filter((l) => l.controller === controller.id)
  const lines = differenceWords(open, facts, controller.ref)
  const running = loads.find((l) => l.state === 'running' || l.state === 'queued')
  if (loads.some(reachedWhole)) return state('stale', 1, lines)
  if (running)
    return state('underWay', running.total ? running.done / running.total : 0, `${controller.ref}: ${running.says}`)
  return state('todo', 0, `${controller.ref} has not been loaded for this door.`)
}

/** The first thing that differs, with both values, and how many more. */
function differenceWords(open: readonly Difference[], facts: Facts, ref: string): string {
  const lines = twoSided(open.slice(0, 1), facts)
  const first = lines[0]
  const others = lines.length - 1 + open.length - 1
  if (!first) return `${ref} holds something else than the job wants.`
  const more = others > 0 ? ` And ${others} more.` : ''
  return `${first.what}: ${ref} holds ${first.holds}, the job wants ${first.willHold === 'removed' ? 'it gone' : first.willHold}.${more}`
}

function proveMark(tests: readonly Standing[], load: MarkState, unheard: Finding | undefined): MarkState {
  const called = tests.filter((t) => t.state !== 'not applicable')
  const passed = called.filter((t) => t.state === 'passed').length
  const share = called.length ? passed / called.length : 0
  const state = (sign: Sign, says: string): MarkState => ({ mark: 'prove', sign, share, says, findings: [] })
  const failed = called.filter((t) => t.state === 'failed')
  const stale = called.filter((t) => t.state === 'stale')
  if (called.length === 0) return state('todo', 'No test is called for until the door is placed.')
  if (unheard) return state(incomplete.has(unheard.rule) ? 'todo' : 'stopped', unheard.says)
  if (failed[0]) return state('stopped', `${failed[0].test.title}: ${failed[0].proof?.says ?? 'failed'}`)
  if (stale.length)
    return state(
      'stale',
      `${stale.length} ${stale.length === 1 ? 'proof is' : 'proofs are'} stale: ${stale.map((t) => t.test.title.toLowerCase()).join(', ')}.`,
    )
  if (passed === called.length) return state('given', `All ${passed} tests passed.`)
  const left = `${called.length - passed} of ${called.length} tests left.`
  return state(passed ? 'underWay' : 'todo', load.sign === 'given' || passed ? left : 'Load the door first.')
}

/** Digest of what a signature stands on now: the proofs that count and the newest readings. */
export function signBasis(facts: Facts, door: Door, tests: readonly Standing[]): string {
  const proofs = tests
    .filter((t) => t.state === 'passed')
    .map((t) => t.proof?.id ?? '')
    .sort()
  const readings = door.cables.flatMap((c) => newestOf(facts, door.id, c.id).map((r) => r.id)).sort()
  return digestOf({ door: door.id, proofs, readings })
}

export function openSnags(facts: Facts, door: string) {
  return all(facts, 'snag').filter((s) => s.door === door && s.closedAt === null)
}

function signMark(
  facts: Facts,
  door: Door,
  { tests, open }: Pick<MarksBasis, 'tests' | 'open'>,
  { plan, wire, prove }: Pick<DoorMarks, 'plan' | 'wire' | 'prove'>,
): MarkState {
  const state = (sign: Sign, share: number, says: string): MarkState => ({
    mark: 'sign',
    sign,
    share,
    says,
    findings: open,
  })
  const signed = all(facts, 'signature').filter((s) => s.door === door.id)
  const basis = signBasis(facts, door, tests)
  const by = (role: 'engineer' | 'witness') =>
    signed.filter((s) => s.role === role && s.basis === basis).sort((a, b) => b.at - a.at)[0]
  const engineer = by('engineer')
  const witness = by('witness')
  if (plan.sign === 'stopped')
    return signed.length
      ? state('stale', 1, `What was signed no longer stands. ${plan.says}`)
      : state('todo', 0, plan.says)
  if (!isEarned(wire) || prove.sign !== 'given') {
    return signed.length
      ? state('stale', 1, 'What was signed no longer stands.')
      : state('todo', 0, 'Waits for Wire and Prove.')
  }
  const [first] = open
  if (first) return state('stopped', 0, first.says)
  if (engineer && witness) {
    const snags = openSnags(facts, door.id)
    return snags.length
      ? state('underWay', 0.9, `Accepted with ${snags.length}.`)
      : state('given', 1, `Signed by ${witness.name}.`)
  }
  if (engineer || witness)
    return state('underWay', 0.5, engineer ? 'The witness still has to sign.' : 'The engineer still has to sign.')
  return signed.length
    ? state('stale', 1, 'Proofs are newer than the signature. Sign again.')
    : state('todo', 0, 'Ready to be signed.')
}
