import {
  addressOf,
  anyOhmPerKm,
  bankIsEnough,
  isTabled,
  offTableFactor,
  type SingleRun,
  bankOf,
  cableName,
  defaultBehaviour,
  isKind,
  longestRunM,
  networkPower,
  partRoles,
  roleFacts,
  sheetFaults,
  solveTree,
  standbyHours,
  standbyNeed,
  switchesFor,
  TreeFault,
  voltsAtLock,
  type BatteryBank,
  type CableType,
  type Consumer,
  type DeviceSheet,
  type Door,
  type Part,
  type SwitchCoding,
  type TreeNode,
} from '@rauta/core'
import { siteDoors } from '@rauta/core/siting'
import { shippedSheets } from '@rauta/contracts'
import { refuseTwins } from './input'
import { Bad, round, told, type Outcome } from './outcome'

interface OneRun {
  sourceV: number
  sourceOhm?: number
  celsius?: number
  cable: CableType
  lengthM: number
  lock: { nominalV: number; amps: number; leastV: number; current?: 'direct' | 'alternating' }
}
interface WholeTree {
  sourceV: number
  sourceOhm?: number
  celsius?: number
  nodes: {
    id: string
    from: string | null
    cable?: CableType
    lengthM?: number
    /** Of this cable; the input's where it is not said. */
    celsius?: number
    ohm?: number
    diodeV?: number
    leastV?: number
    consumers?: Consumer[]
  }[]
}

/** Volts at the end of one run, or at every point of a tree. A line that cannot deliver says so and has no number. */
export function volts(input: OneRun | WholeTree): Outcome {
  const celsius = input.celsius ?? 20
  return 'nodes' in input ? treeVolts(input, celsius) : runVolts(input, celsius)
}

function runVolts(input: OneRun, celsius: number): Outcome {
  if (input.lock.current === 'alternating')
    throw new Bad('lock.current: direct current only. On alternating current a coil and a cable behave otherwise.')
  if (input.lengthM === 0) throw new Bad('lengthM: a cable of 0 m is no run. Say how far it is, one way.')
  if (input.lock.leastV > input.lock.nominalV)
    throw new Bad(`lock.leastV: it cannot need ${input.lock.leastV} V when it is made for ${input.lock.nominalV} V.`)
  checkCable(input.cable, 'cable')
  const run = {
    sourceV: input.sourceV,
    sourceOhm: input.sourceOhm ?? 0,
    copperOhm: copperOhm(input.cable, input.lengthM, celsius),
    lockA: input.lock.amps,
    lockNominalV: input.lock.nominalV,
  }
  const at = voltsAtLock(run)
  const enough = at.volts >= input.lock.leastV
  return told(enough, {
    cable: cableName(input.cable),
    ohmPerKm: round(anyOhmPerKm(input.cable, celsius)),
    ...(isTabled(input.cable) ? {} : { says: notTabled(input.cable) }),
    loopOhm: round(run.copperOhm),
    volts: round(at.volts),
    amps: round(at.amps),
    enough,
    longestM: Math.floor(longestAny(run, input.cable, input.lock.leastV, celsius)),
  })
}

const copperOhm = (cable: CableType, lengthM: number, celsius: number): number =>
  (2 * lengthM * anyOhmPerKm(cable, celsius)) / 1000

/** The longest run at any cross-section. */
function longestAny(run: SingleRun, cable: CableType, leastV: number, celsius: number): number {
  const one: CableType = cable.kind === 'iec' ? { ...cable, mm2: 1 } : cable
  return (longestRunM(run, one, leastV, celsius) * anyOhmPerKm(one, celsius)) / anyOhmPerKm(cable, celsius)
}

const notTabled = (cable: CableType): string =>
  `IEC 60228 has no ${cable.kind === 'iec' ? cable.mm2 : ''} mm² in the table here: worked out from copper’s resistivity with ${Math.round((offTableFactor - 1) * 100)} % on top.`

/** @throws Bad for a cable that says too little or too much of itself */
function checkCable(cable: CableType, where: string): void {
  const { kind } = cable
  const has = (field: string) => Object.hasOwn(cable, field)
  const wants = kind === 'iec' ? ['conductorClass', 'mm2'] : ['gauge']
  const missing = wants.find((f) => !has(f))
  if (missing) throw new Bad(`${where} needs ${missing} for kind ${kind}.`)
  const strange = (kind === 'iec' ? ['gauge'] : ['conductorClass', 'mm2']).find(has)
  if (strange) throw new Bad(`${where}: ${strange} does not go with kind ${kind}.`)
  if ((cable.perConductor ?? 1) * 2 > cable.cores && (cable.perConductor ?? 1) > 1)
    throw new Bad(
      `${where}: ${cable.cores} cores are too few for ${cable.perConductor} cores a conductor, out and back.`,
    )
}

function treeVolts(input: WholeTree, celsius: number): Outcome {
  const lengthless = input.nodes.find((n) => n.ohm === undefined && !(n.cable && n.lengthM))
  if (lengthless) throw new Bad(`nodes: ${lengthless.id} needs a cable and a length above 0 m, or ohms.`)
  refuseTwins(input.nodes.map((n) => n.id), 'nodes') // prettier-ignore
  for (const n of input.nodes) if (n.cable) checkCable(n.cable, `nodes: ${n.id}, cable`)
  const nodes = input.nodes.map((n): TreeNode => ({
    id: n.id,
    parent: n.from,
    ohm: n.ohm ?? copperOhm(n.cable as CableType, n.lengthM ?? 0, n.celsius ?? celsius),
    consumers: n.consumers ?? [],
    ...(n.diodeV ? { diodeV: n.diodeV } : {}),
  }))
  try {
    const solved = solveTree({ sourceV: input.sourceV, sourceOhm: input.sourceOhm ?? 0, nodes })
    if (!solved.ok) return told(false, { collapses: true, at: solved.at, says: solved.says })
    const low = input.nodes
      .filter((n) => n.leastV !== undefined && (solved.volts[n.id] ?? 0) < n.leastV)
      .map((n) => n.id)
    return told(low.length === 0, {
      collapses: false,
      terminalV: round(solved.terminalV),
      sourceA: round(solved.sourceA),
      nodes: input.nodes.map((n) => ({
        id: n.id,
        volts: round(solved.volts[n.id] ?? 0),
        amps: round(solved.amps[n.id] ?? 0),
      })),
      tooLow: low,
    })
  } catch (error) {
    if (error instanceof TreeFault) throw new Bad(`nodes: ${error.says}`)
    throw error
  }
}

interface Bank {
  ah: number
  volts: number
  count?: number
  wiring?: 'series' | 'parallel'
  /** Strings of batteries in series, side by side. */
  series?: number
  parallel?: number
}

/** Ampere-hours and volts of a bank in series, in parallel or both. @throws Bad where it says both ways, or neither */
function wholeBank(bank: Bank): BatteryBank & { strings: number } {
  const { ah, volts, count, wiring, series, parallel } = bank
  const strings = series !== undefined || parallel !== undefined
  if (strings && (count !== undefined || wiring !== undefined))
    throw new Bad('bank: say count and wiring, or series and parallel.')
  if (strings) return { ah, count: series ?? 1, wiring: 'series', volts, strings: parallel ?? 1 }
  if (count === undefined || wiring === undefined) throw new Bad('bank needs count and wiring, or series and parallel.')
  return { ah, count, wiring, volts, strings: 1 }
}

/** Sizes that lead batteries are sold in, ampere-hours (common practice, no source). */
const usualSizes = [1.2, 2.1, 3.2, 4, 7, 12, 17, 24, 38, 65, 100]

export function battery(input: {
  restA: number
  hours: number
  movingAh?: number
  celsius?: number
  peukert?: number | null
  ageing?: number
  derating?: number
  sizes?: number[]
  bank?: Bank
}): Outcome {
  const question = {
    restA: input.restA,
    hours: input.hours,
    movingAh: input.movingAh ?? 0,
    celsius: input.celsius ?? 20,
    peukert: input.peukert ?? null,
    ...(input.ageing === undefined ? {} : { ageing: input.ageing }),
    ...(input.derating === undefined ? {} : { derating: input.derating }),
  }
  const need = standbyNeed(question)
  const given = input.bank && wholeBank(input.bank)
  const one = given && bankOf(given)
  const bank = one ? { ah: one.ah * given.strings, volts: one.volts } : null
  const meanA = question.hours > 0 ? question.restA + question.movingAh / question.hours : question.restA
  const hours = bank ? standbyHours(bank.ah, meanA, question.celsius, question.peukert, question) : null
  const enough = bank === null || bankIsEnough(bank.ah, need.neededAh)
  const sizes = [...(input.sizes ?? usualSizes)].sort((a, b) => a - b)
  return told(enough, {
    arithmeticAh: round(need.arithmeticAh),
    neededAh: round(need.neededAh),
    nextSizeAh: sizes.find((ah) => bankIsEnough(ah, need.neededAh)) ?? null,
    factors: {
      ageing: need.factors.ageing,
      derating: need.factors.derating,
      cold: round(need.factors.cold),
      rate: need.factors.rate === null ? 'not counted' : round(need.factors.rate),
    },
    ...(bank
      ? { bank: { ah: bank.ah, volts: bank.volts, hours: hours === Infinity ? null : round(hours ?? 0, 2), enough } }
      : {}),
  })
}

export function poe(input: {
  volts: number
  budgetW: number
  ports: { id: string; highestClass: number }[]
  devices: { name: string; port: string; lengthM: number; class: number; restW: number; peakW: number }[]
}): Outcome {
  refuseTwins(input.ports.map((p) => p.id), 'ports') // prettier-ignore
  refuseTwins(input.devices.map((d) => d.name), 'devices') // prettier-ignore
  const turned = input.devices.find((d) => d.restW > d.peakW)
  if (turned)
    throw new Bad(
      `devices: ${turned.name} draws ${turned.restW} W at rest and ${turned.peakW} W at its peak; the peak is the larger.`,
    )
  const answer = networkPower(
    input,
    input.devices.map((d) => ({
      consumer: d.name,
      port: d.port,
      lengthM: d.lengthM,
      draw: { class: d.class, restW: d.restW, peakW: d.peakW },
    })),
  )
  return told(answer.faults.length === 0 && answer.ports.every((p) => p.faults.length === 0), answer)
}

export function switches(input: {
  coding: Partial<SwitchCoding> & Pick<SwitchCoding, 'kind' | 'positions'>
  address?: number
  switches?: number[]
}): Outcome {
  const coding: SwitchCoding = { order: 'leastFirst', inverted: false, offset: 0, factory: [], ...input.coding }
  if (input.address !== undefined) {
    const set = switchesFor(coding, input.address)
    if (!set.ok) throw new Bad(`address: ${set.says}`)
    return told(true, { switches: set.switches, words: set.words })
  }
  try {
    return told(true, { address: addressOf(coding, input.switches ?? []) })
  } catch (error) {
    throw new Bad(`switches: ${(error as Error).message}`)
  }
}

export interface PlaceInput {
  doors: {
    ref: string
    hardware: Record<string, string>
    at?: { x: number; y: number }
    distances?: Record<string, number>
  }[]
  cabinets: { name: string; at?: { x: number; y: number } }[]
  spare?: number
  most?: number
  allowed?: string[]
  sheets?: DeviceSheet[]
}

/** Names that stand twice, and cabinets that are spoken of and are not there. @throws Bad */
function checkPlaces({ doors, cabinets }: PlaceInput): void {
  refuseTwins(doors.map((d) => d.ref), 'doors') // prettier-ignore
  refuseTwins(cabinets.map((c) => c.name), 'cabinets') // prettier-ignore
  const known = new Set(cabinets.map((c) => c.name))
  for (const d of doors) {
    const stray = Object.keys(d.distances ?? {}).find((name) => !known.has(name))
    if (stray !== undefined)
      throw new Bad(`doors: ${d.ref} has a distance to ${stray}, which is not among the cabinets.`)
  }
}

export function place(input: PlaceInput): Outcome {
  const faulty = (input.sheets ?? []).map((s) => ({ s, fault: sheetFaults(s)[0] })).find((x) => x.fault)
  if (faulty) throw new Bad(`sheets: ${faulty.s.id}, ${faulty.fault?.at}: ${faulty.fault?.says}`)
  const sheets = { ...shippedSheets, ...Object.fromEntries((input.sheets ?? []).map((s) => [s.id, s])) }
  const allowed =
    input.allowed ??
    Object.values(sheets)
      .filter((s) => s.controller)
      .map((s) => s.id)
  const strange = allowed.find(
    (id) => !Object.hasOwn(sheets, id) || !(sheets as Record<string, DeviceSheet>)[id]?.controller,
  )
  if (strange) throw new Bad(`allowed: ${strange} is no controller that there is a sheet for.`)
  checkPlaces(input)
  const doors: Door[] = []
  for (const d of input.doors) {
    const parts: Part[] = []
    for (const [role, sheet] of Object.entries(d.hardware)) {
      if (!partRoles.includes(role as never))
        throw new Bad(`doors: ${d.ref} has ${role}, which no part does. Roles: ${partRoles.join(', ')}.`)
      const facts = roleFacts[role as keyof typeof roleFacts]
      if (!Object.hasOwn(sheets, sheet) || !isKind(sheets[sheet] as DeviceSheet, facts.kind))
        throw new Bad(`doors: ${d.ref}, ${role}: ${sheet} is no ${facts.kind} that there is a sheet for.`)
      parts.push({ id: facts.id, role: role as Part['role'], sheet })
    }
    doors.push({
      id: d.ref,
      ref: d.ref,
      name: d.ref,
      from: '',
      to: '',
      escapeRoute: false,
      passagesPerDay: 0,
      walk: doors.length,
      handle: false,
      parts,
      cables: [],
      placement: null,
      behaviour: defaultBehaviour,
      testCardsOff: false,
      ...(d.at ? { at: d.at } : {}),
      ...(d.distances ? { distances: d.distances } : {}),
    })
  }
  const places = Object.fromEntries(input.cabinets.flatMap((c) => (c.at ? [[c.name, { id: c.name, ...c.at }]] : [])))
  const s = siteDoors({
    doors,
    controllers: [],
    cabinets: input.cabinets.map((c) => c.name),
    places,
    sheets,
    fixed: new Set(),
    anew: true,
    spare: input.spare ?? 0,
    ...(input.most === undefined ? {} : { most: input.most }),
    allowed,
    makeId: (n) => `new-${n + 1}`,
  })
  const refOf = new Map(s.controllers.map((c) => [c.id, c.ref]))
  return told(s.left.length === 0, {
    controllers: s.controllers.map((c) => ({
      ref: c.ref,
      sheet: c.sheet,
      cabinet: c.cabinet,
      ...(c.expanders?.length ? { expanders: c.expanders.map((e) => e.sheet) } : {}),
    })),
    bound: s.bound,
    cableM: s.unknownLength.length === doors.length ? null : round(s.cableM, 1),
    doors: s.doors.map((d) => ({
      ref: d.door,
      controller: refOf.get(d.placement.controller),
      portGroup: d.placement.portGroup,
      terminals: d.placement.terminals,
      lengthM: d.lengthM,
      why: d.why,
    })),
    left: s.left.map((l) => ({ ref: l.door, says: l.says })),
  })
}
