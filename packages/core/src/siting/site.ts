import type { CabinetPlace, Controller } from '../devices/records'
import { isKind, sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import type { Door, Placement } from '../doors/door'
import { unitWanted } from '../doors/ownUnit'
import { noGroup, proposePlacement, wantsOf } from '../wiring/placement'
import { byRef } from '../job/order'
import { smallestSupply, supplyThatCarries } from '../supplies/choose'
import { longestReaderRunM, runLengthM } from './length'
import { finish, leastCableM, leastControllers, spread, type Search, type Watch } from './spread'

export interface SitingInput {
  doors: readonly Door[]
  controllers: readonly Controller[]
  /** Cabinets by name, with their places where known. */
  cabinets: readonly string[]
  places: Readonly<Record<string, CabinetPlace>>
  sheets: Sheets
  /** Doors that stay where they are whatever comes: pinned, or a cable of theirs is ended. */
  fixed: ReadonlySet<string>
  /** True: every door that is not fixed may move. False: doors that have a place keep it. */
  anew: boolean
  /** Port groups to leave free on each controller. */
  spare: number
  /** New controllers at most. */
  most?: number
  /** Sheet ids of controllers that may be planned. */
  allowed: readonly string[]
  makeId: (n: number) => string
}

export interface SitedDoor {
  door: string
  placement: Placement
  lengthM: number | null
  why: string
}
export interface Siting {
  /** Planned anew, and those that get an expander. */
  controllers: Controller[]
  doors: SitedDoor[]
  left: { door: string; says: string }[]
  newControllers: number
  cableM: number
  /** Nothing can go under these. */
  bound: { controllers: number; cableM: number }
  /** Doors without a length to any cabinet: there is no shortest cable for them. */
  unknownLength: string[]
}

/** Proposes controllers and terminals for all doors at once: fewest controllers, then shortest cable. */
export const siteDoors = (input: SitingInput, watch?: Watch): Siting => finish(siteSteps(input), watch)

/**
 * The same as a search that can be left between two steps. Where it takes more controllers than the bound, it is tried once more with
 * what is there left alone: now and then room that does not quite suit costs a controller.
 */
export function* siteSteps(input: SitingInput): Search<Siting> {
  const first = yield* siteOnce(input, new Set())
  const better =
    first.newControllers > first.bound.controllers && input.controllers.length > 0
      ? yield* siteOnce(input, new Set(input.controllers.map((c) => c.id)))
      : first
  const taken =
    better.newControllers < first.newControllers && better.left.length <= first.left.length
      ? { ...better, bound: first.bound }
      : first
  return { ...taken, controllers: withSupplies(taken, input) }
}

/** New controllers get the smallest supply that carries what they got. */
function withSupplies(siting: Siting, input: SitingInput): Controller[] {
  const before = new Set(input.controllers.map((c) => c.id))
  // A run that nobody measured counts as long as siting takes it for, or as ten metres where there is nothing to go by.
  const doors = sitedSoFar(input, siting).map((d) => {
    const lengthM = siting.doors.find((s) => s.door === d.id)?.lengthM ?? 10
    return { ...d, cables: d.cables.map((c) => (c.lengthM > 0 ? c : { ...c, lengthM })) }
  })
  return siting.controllers.map((c) =>
    before.has(c.id) ? c : { ...c, supply: supplyThatCarries(c, doors, input.sheets) ?? c.supply },
  )
}

function* siteOnce(input: SitingInput, closed: ReadonlySet<string>): Search<Siting> {
  const stays = (d: Door) => !!d.placement && (!input.anew || input.fixed.has(d.id) || !!d.pinned)
  const kept = input.doors.filter(stays)
  const open = input.doors.filter((d) => !stays(d)).map((d) => ({ ...d, placement: null }))
  const siting: Siting = {
    controllers: [],
    doors: [],
    left: [],
    newControllers: 0,
    cableM: 0,
    bound: { controllers: 0, cableM: 0 },
    unknownLength: [],
  }
  // One order whatever the order of the rows: the same doors give the same plan.
  const [onUnits, inOrder] = split([...open].sort(byRef), (d) => !!unitWanted(d, input.sheets))
  siteOnUnits(input, kept, onUnits, siting)
  if (input.cabinets.length === 0)
    return {
      ...siting,
      left: [
        ...siting.left,
        ...inOrder.map((d) => ({ door: d.id, says: 'There is no cabinet yet. Say where cabinets hang.' })),
      ],
    }
  const byRadio = (d: Door) => wantsOf(d, input.sheets).length === 0
  for (const radio of [false, true])
    yield* siteClass(
      {
        ...input,
        closed,
        controllers: [
          ...input.controllers.filter((c) => !siting.controllers.some((n) => n.id === c.id)),
          ...siting.controllers,
        ],
      },
      kept,
      inOrder.filter((d) => byRadio(d) === radio),
      radio,
      siting,
    )
  return siting
}

const split = <T>(list: readonly T[], which: (t: T) => boolean): [T[], T[]] => [
  list.filter(which),
  list.filter((t) => !which(t)),
]

/** Doors whose reader drives their lock go on that unit: one that is planned and free, or one of their own. */
function siteOnUnits(input: SitingInput, kept: readonly Door[], doors: readonly Door[], siting: Siting): void {
  for (const door of doors) {
    const unit = unitWanted(door, input.sheets)
    if (!unit) continue
    const taken = [...kept, ...sitedSoFar(input, siting)]
    const on = (controller: Controller) => proposePlacement(door, controller, input.sheets, taken)
    const planned = input.controllers
      .filter((c) => c.sheet === unit.sheet)
      .map(on)
      .find((p) => p.ok)
    const proposal = planned ?? on(trialController(unit.sheet, 0, input))
    if (!proposal.ok) siting.left.push({ door: door.id, says: proposal.says })
    else if (!planned && input.most !== undefined && siting.newControllers >= input.most)
      siting.left.push({
        door: door.id,
        says: `It is placed on its own ${sheetOf(input.sheets, unit.sheet).name}, and no more than ${input.most} new controllers are allowed.`,
      })
    else {
      let { controller } = proposal.placement
      if (!planned) {
        controller = newController(input, unit.sheet, `${door.ref} wall`, siting, unit.ip).id
        siting.bound.controllers++
      }
      const why = `${unit.id} drives the lock of its own door.`
      siting.doors.push({ door: door.id, placement: { ...proposal.placement, controller }, lengthM: null, why })
    }
  }
}

interface Choice {
  sheet: DeviceSheet
  capacity: number
}

function* siteClass(
  input: SitingInput & { closed: ReadonlySet<string> },
  kept: readonly Door[],
  doors: readonly Door[],
  radio: boolean,
  siting: Siting,
  again: { bound: number; original: ReadonlySet<string> } | null = null,
): Search<void> {
  if (doors.length === 0) return
  const { sheets, cabinets } = input
  const choices = input.allowed
    .map((id) => sheetOf(sheets, id))
    .map((sheet) => ({ sheet, capacity: capacityOf(sheet, radio) - (radio ? 0 : input.spare) }))
    .filter((c) => c.capacity > 0)
    .sort((a, b) => a.capacity - b.capacity)
  const fits = new Map<string, string | null>()
  const fitting = doors.filter((d) => {
    const key = signature(d)
    if (!fits.has(key)) fits.set(key, whyNowhere(d, choices, input))
    const says = fits.get(key) ?? null
    if (says !== null) siting.left.push({ door: d.id, says })
    return says === null
  })
  const hosts = choices.filter(({ sheet }) => fitting.every((d) => hostable(d, sheet, input)))
  const largest = (hosts.length ? hosts : choices).at(-1)
  if (!largest || fitting.length === 0) return
  const known = fitting.map((d) => cabinets.map((c) => runLengthM(d, c, input.places)))
  const cost = known.map((row, i) => {
    const limit = radio ? Infinity : longestReaderRunM(fitting[i] as Door, sheets)
    // Without any length every cabinet is as good as another; with some, an unknown one is out of the question.
    return row.every((l) => l === null) ? row.map(() => 0) : row.map((l) => (l === null || l > limit ? Infinity : l))
  })
  if (!again)
    siting.unknownLength.push(...fitting.filter((_, i) => known[i]?.every((l) => l === null)).map((d) => d.id))
  const taken = [...kept, ...sitedSoFar(input, siting)]
  // The second time only what takes every one of the doors that found no port group of their kind.
  const takesAll = (c: Controller) => !again || fitting.every((d) => proposePlacement(d, c, sheets, taken).ok)
  const existing = input.controllers.filter(
    (c) =>
      !input.closed.has(c.id) &&
      cabinets.includes(c.cabinet) &&
      capacityOf(sheetOf(sheets, c.sheet), radio) > 0 &&
      takesAll(c),
  )
  const free = cabinets.map((name) =>
    existing
      .filter((c) => c.cabinet === name)
      .reduce((sum, c) => sum + freeOn(c, taken, sheets, radio, input.spare), 0),
  )
  const question = {
    cost,
    capacity: largest.capacity,
    free,
    ...(input.most === undefined ? {} : { most: Math.max(0, input.most - siting.newControllers) }),
  }
  const found = yield* spread(question)
  // What was planned a moment ago may be planned otherwise, so it counts for nothing in what no plan can go under.
  const ownFree = again
    ? cabinets.map((name) =>
        existing
          .filter((c) => c.cabinet === name && again.original.has(c.id))
          .reduce((sum, c) => sum + freeOn(c, kept, sheets, radio, input.spare), 0),
      )
    : free
  const bound = leastControllers({ ...question, free: ownFree })
  siting.bound.controllers += again ? Math.max(0, bound - again.bound) : bound
  if (!again) siting.bound.cableM += leastCableM(cost)
  for (const i of found.left)
    siting.left.push({
      door: fitting[i]?.id ?? '',
      says: whyLeft(cost[i] ?? [], known[i] ?? [], fitting[i] as Door, input),
    })
  const outside = cabinets.flatMap((cabinet, c) => {
    const mine = fitting.filter((_, i) => found.assigned.at[i] === c)
    return fillCabinet(
      input,
      kept,
      existing.filter((x) => x.cabinet === cabinet),
      hosts.length ? hosts : choices,
      cabinet,
      found.counts[c] ?? 0,
      mine,
      radio,
      siting,
    ).map((door) => ({ door, cabinet }))
  })
  if (outside.length === 0) return
  if (!again) {
    const now = [
      ...input.controllers.filter((c) => !siting.controllers.some((n) => n.id === c.id)),
      ...siting.controllers,
    ]
    yield* siteClass(
      { ...input, controllers: now },
      kept,
      outside.map((o) => o.door),
      radio,
      siting,
      { bound, original: new Set(input.controllers.map((c) => c.id)) },
    )
  } else
    for (const { door, cabinet } of outside)
      siting.left.push({ door: door.id, says: `${cabinet} has no door port left that takes it.` })
}

/** Doors that this search has given a place. */
function sitedSoFar(input: SitingInput, siting: Siting): Door[] {
  const byId = new Map(input.doors.map((d) => [d.id, d]))
  return siting.doors.flatMap((s) => {
    const door = byId.get(s.door)
    return door ? [{ ...door, placement: s.placement }] : []
  })
}

/** Doors that a controller takes in its cabinet. A unit with a reader of its own takes the door that it reads for, and no other. */
function capacityOf(sheet: DeviceSheet, radio: boolean): number {
  if (sheet.controller?.ownReader !== undefined) return 0
  return radio
    ? (sheet.carries?.find((x) => x.kind === 'wirelessLock')?.most ?? 0)
    : (sheet.controller?.portGroups.length ?? 0)
}
const signature = (d: Door) => d.parts.map((p) => `${p.role}:${p.sheet}`).join(' ')

function freeOn(controller: Controller, kept: readonly Door[], sheets: Sheets, radio: boolean, spare: number): number {
  const used = kept.filter(
    (d) => d.placement?.controller === controller.id && (d.placement.portGroup === noGroup) === radio,
  ).length
  return Math.max(0, capacityOf(sheetOf(sheets, controller.sheet), radio) - used - (radio ? 0 : spare))
}

const trialController = (sheet: string, expanders: number, input: SitingInput): Controller => ({
  id: 'trial',
  ref: 'a new controller',
  sheet,
  cabinet: '',
  supply: '',
  address: '',
  serial: '',
  mac: '',
  expanders: expandersTo(expanders, input.sheets),
})
const expandersTo = (n: number, sheets: Sheets): { id: string; sheet: string }[] =>
  Array.from({ length: n }, (_, i) => ({ id: `E${i + 1}`, sheet: expanderSheet(sheets) ?? '' }))
/** Any expander that there is a sheet for. */
const expanderSheet = (sheets: Sheets): string | undefined =>
  Object.values(sheets).find((s) => isKind(s, 'expander'))?.id
const mostExpanders = (sheet: DeviceSheet, sheets: Sheets): number =>
  expanderSheet(sheets) ? (sheet.carries?.find((c) => c.kind === 'expander')?.most ?? 0) : 0

function hostable(door: Door, sheet: DeviceSheet, input: SitingInput): boolean {
  for (let n = 0; n <= mostExpanders(sheet, input.sheets); n++)
    if (proposePlacement(door, trialController(sheet.id, n, input), input.sheets, []).ok) return true
  return false
}

function whyNowhere(door: Door, choices: readonly Choice[], input: SitingInput): string | null {
  if (door.parts.length === 0) return 'It has no hardware yet: choose its parts first.'
  let says = 'No controller that may be planned serves such a door.'
  for (const { sheet } of [...choices].reverse()) {
    if (hostable(door, sheet, input)) return null
    const tried = proposePlacement(
      door,
      trialController(sheet.id, mostExpanders(sheet, input.sheets), input),
      input.sheets,
      [],
    )
    if (!tried.ok) says = `${tried.says} Take a controller type with more of them, or fewer parts.`
  }
  return says
}

function whyLeft(cost: readonly number[], known: readonly (number | null)[], door: Door, input: SitingInput): string {
  if (cost.every((c) => c === Infinity)) {
    const nearest = Math.min(...known.map((l) => l ?? Infinity))
    return `Its nearest cabinet is ${nearest.toFixed(0)} m away; its readers bear ${longestReaderRunM(door, input.sheets)} m. Plan a cabinet nearer to it, or readers on a bus.`
  }
  return `Every cabinet in its reach is full${input.most === undefined ? '' : ` with the ${input.most} new controllers allowed`}. One more controller would take it.`
}

/** Controllers that are there first, then as few and as small new ones as hold the rest; expanders where a door asks for them. Gives back the doors that found no port group of their kind. */
function fillCabinet(
  input: SitingInput,
  kept: readonly Door[],
  existing: readonly Controller[],
  choices: readonly Choice[],
  cabinet: string,
  count: number,
  doors: readonly Door[],
  radio: boolean,
  siting: Siting,
): Door[] {
  const here: Controller[] = [...existing]
  const sited: Door[] = [...kept, ...sitedSoFar(input, siting)]
  const waiting = [...doors]
  let more = count
  let at = 0
  while (waiting.length > 0) {
    if (at >= here.length) {
      if (more <= 0) break
      const size = Math.min(waiting.length, choices.at(-1)?.capacity ?? 1)
      // Spread what is left evenly over the controllers that are still to come.
      const share = Math.ceil(waiting.length / more)
      const choice = choices.find((c) => c.capacity >= Math.min(size, share)) ?? choices.at(-1)
      if (!choice) break
      here.push(newController(input, choice.sheet.id, cabinet, siting))
      more--
    }
    const controller = here[at] as Controller
    if (!putNext(input, controller, here, at, waiting, sited, radio, siting)) at++
  }
  return waiting
}

function newController(input: SitingInput, sheet: string, cabinet: string, siting: Siting, address = ''): Controller {
  const refs = new Set([...input.controllers, ...siting.controllers].map((c) => c.ref))
  let n = 1
  while (refs.has(`A${n}`)) n++
  const made: Controller = {
    id: input.makeId(siting.newControllers),
    ref: `A${n}`,
    sheet,
    cabinet,
    supply: input.controllers[0]?.supply ?? smallestSupply(input.sheets),
    address,
    serial: '',
    mac: '',
  }
  siting.controllers.push(made)
  siting.newControllers++
  return made
}

function putNext(
  input: SitingInput,
  controller: Controller,
  here: Controller[],
  at: number,
  waiting: Door[],
  sited: Door[],
  radio: boolean,
  siting: Siting,
): boolean {
  if (freeOn(controller, sited, input.sheets, radio, input.spare) <= 0) return false
  const sheet = sheetOf(input.sheets, controller.sheet)
  for (const [i, door] of waiting.entries()) {
    const there = controller.expanders ?? []
    for (let n = there.length; n <= Math.max(there.length, mostExpanders(sheet, input.sheets)); n++) {
      // Those that are there stay what they are: doors hang on their screws.
      const tried: Controller =
        n === there.length
          ? controller
          : { ...controller, expanders: [...there, ...expandersTo(n, input.sheets).slice(there.length)] }
      const proposal = proposePlacement(door, tried, input.sheets, sited)
      if (!proposal.ok) continue
      if (tried !== controller) {
        here[at] = tried
        siting.controllers = [...siting.controllers.filter((c) => c.id !== tried.id), tried]
      }
      const lengthM = runLengthM(door, controller.cabinet, input.places)
      waiting.splice(i, 1)
      sited.push({ ...door, placement: proposal.placement })
      siting.cableM += lengthM ?? 0
      siting.doors.push({
        door: door.id,
        placement: proposal.placement,
        lengthM,
        why: whyThere(door, tried, lengthM, input, n > 0),
      })
      return true
    }
  }
  return false
}

function whyThere(
  door: Door,
  controller: Controller,
  lengthM: number | null,
  input: SitingInput,
  expander: boolean,
): string {
  const tail = expander ? ` An expander gives it the inputs that its door port lacks.` : ''
  if (lengthM === null) return `${controller.cabinet}: no length is known, so any cabinet with room was as good.${tail}`
  const nearest = Math.min(...input.cabinets.map((c) => runLengthM(door, c, input.places) ?? Infinity))
  return lengthM <= nearest
    ? `${controller.cabinet} is its nearest cabinet, ${lengthM.toFixed(0)} m.${tail}`
    : `${controller.cabinet} at ${lengthM.toFixed(0)} m: its nearest, at ${nearest.toFixed(0)} m, is full, and to move it here costs least.${tail}`
}
