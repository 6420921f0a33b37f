import {
  addressFault,
  addressOf,
  bankOf,
  cableName,
  conductorOhmPerKm,
  defaultBehaviour,
  FreeAddresses,
  ipv4,
  isKind,
  longestRunM,
  loopOhm,
  networkPower,
  partRoles,
  reservedRanges,
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
import { round, told, type Outcome } from './outcome'

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
    return {
      code: 2,
      out: 'lock.current: direct current only. On alternating current a coil and a cable behave otherwise.',
    }
  if (input.lengthM === 0) return { code: 2, out: 'lengthM: a cable of 0 m is no run. Say how far it is, one way.' }
  const run = {
    sourceV: input.sourceV,
    sourceOhm: input.sourceOhm ?? 0,
    copperOhm: loopOhm(input.cable, input.lengthM, celsius),
    lockA: input.lock.amps,
    lockNominalV: input.lock.nominalV,
  }
  const at = voltsAtLock(run)
  const enough = at.volts >= input.lock.leastV
  return told(enough, {
    cable: cableName(input.cable),
    ohmPerKm: round(conductorOhmPerKm(input.cable, celsius)),
    loopOhm: round(run.copperOhm),
    volts: round(at.volts),
    amps: round(at.amps),
    enough,
    longestM: Math.floor(longestRunM(run, input.cable, input.lock.leastV, celsius)),
  })
}

function treeVolts(input: WholeTree, celsius: number): Outcome {
  const lengthless = input.nodes.find((n) => n.ohm === undefined && !(n.cable && n.lengthM))
  if (lengthless) return { code: 2, out: `nodes: ${lengthless.id} needs a cable and a length above 0 m, or ohms.` }
  const nodes = input.nodes.map((n): TreeNode => ({
    id: n.id,
    parent: n.from,
    ohm: n.ohm ?? loopOhm(n.cable as CableType, n.lengthM ?? 0, celsius),
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
    if (error instanceof TreeFault) return { code: 2, out: `nodes: ${error.says}` }
    throw error
  }
}

export function battery(input: {
  restA: number
  hours: number
  movingAh?: number
  celsius?: number
  peukert?: number | null
  bank?: BatteryBank
}): Outcome {
  const question = {
    restA: input.restA,
    hours: input.hours,
    movingAh: input.movingAh ?? 0,
    celsius: input.celsius ?? 20,
    peukert: input.peukert ?? null,
  }
  const need = standbyNeed(question)
  const bank = input.bank ? bankOf(input.bank) : null
  const hours = bank
    ? standbyHours(bank.ah, question.restA + question.movingAh / question.hours, question.celsius, question.peukert)
    : null
  const enough = bank === null || bank.ah >= need.neededAh
  return told(enough, {
    arithmeticAh: round(need.arithmeticAh),
    neededAh: round(need.neededAh),
    factors: {
      ageing: need.factors.ageing,
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
    return set.ok ? told(true, { switches: set.switches, words: set.words }) : { code: 2, out: `address: ${set.says}` }
  }
  try {
    return told(true, { address: addressOf(coding, input.switches ?? []) })
  } catch (error) {
    return { code: 2, out: `switches: ${(error as Error).message}` }
  }
}

export function addresses(input: {
  network: string
  prefix: number
  gateway: string
  timeServer?: string
  reserved?: string
  devices: { ref: string; address?: string; factory?: string }[]
}): Outcome {
  if (ipv4(input.network) === null) return { code: 2, out: `network: ${input.network} is not an IPv4 address.` }
  const { ranges, faults } = reservedRanges(input.reserved ?? '')
  if (faults[0]) return { code: 2, out: `reserved: ${faults[0]}` }
  const network = {
    address: input.network,
    prefix: input.prefix,
    gateway: input.gateway,
    timeServer: input.timeServer ?? '',
  }
  const taken = new Map<string, string>()
  const reserved = (n: number) => ranges.some((r) => n >= r.from && n <= r.to)
  const faultOf = (address: string) =>
    reserved(ipv4(address) ?? 0) ? `${address} is reserved.` : addressFault(address, network, taken)
  const kept = input.devices.map((d) => {
    const fault = d.address ? faultOf(d.address) : null
    if (d.address && !fault) taken.set(d.address, d.ref)
    return { ...d, fault }
  })
  const free = new FreeAddresses({ ...network, reserved: input.reserved ?? '' }, taken.keys(), 1)
  const devices = kept.map((d) => {
    if (d.address && !d.fault) return { ref: d.ref, address: d.address }
    const address = free.take()
    if (!address) return { ref: d.ref, address: null, fault: 'The subnet is full.' }
    return { ref: d.ref, address, ...(d.fault ? { fault: d.fault } : {}) }
  })
  const factories = new Map<string, string[]>()
  for (const d of input.devices) if (d.factory) factories.set(d.factory, [...(factories.get(d.factory) ?? []), d.ref])
  return told(
    devices.every((d) => !('fault' in d)),
    {
      devices,
      collidingFactoryAddresses: [...factories]
        .filter(([, refs]) => refs.length > 1)
        .map(([address, refs]) => ({ address, refs })),
    },
  )
}

interface PlaceInput {
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

export function place(input: PlaceInput): Outcome {
  const faulty = (input.sheets ?? []).map((s) => ({ s, fault: sheetFaults(s)[0] })).find((x) => x.fault)
  if (faulty) return { code: 2, out: `sheets: ${faulty.s.id}, ${faulty.fault?.at}: ${faulty.fault?.says}` }
  const sheets = { ...shippedSheets, ...Object.fromEntries((input.sheets ?? []).map((s) => [s.id, s])) }
  const allowed =
    input.allowed ??
    Object.values(sheets)
      .filter((s) => s.controller)
      .map((s) => s.id)
  const strange = allowed.find((id) => !sheets[id]?.controller)
  if (strange) return { code: 2, out: `allowed: ${strange} is no controller that there is a sheet for.` }
  const doors: Door[] = []
  for (const d of input.doors) {
    const parts: Part[] = []
    for (const [role, sheet] of Object.entries(d.hardware)) {
      const facts = roleFacts[role as keyof typeof roleFacts]
      if (!partRoles.includes(role as never))
        return { code: 2, out: `doors: ${d.ref} has ${role}, which no part does. Roles: ${partRoles.join(', ')}.` }
      if (!sheets[sheet] || !isKind(sheets[sheet], facts.kind))
        return { code: 2, out: `doors: ${d.ref}, ${role}: ${sheet} is no ${facts.kind} that there is a sheet for.` }
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
