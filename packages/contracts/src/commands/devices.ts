import {
  addressFault,
  all,
  doorsOn,
  drop,
  feedFault,
  forgetHeld,
  hasLabel,
  hangingOn,
  claimSteps,
  isKind,
  jobOf,
  labelFault,
  labelHolder,
  labelTwins,
  macOf,
  mostLabelLines,
  moveSteps,
  put,
  sheetOf,
  stepsToDo,
  switchesFor,
  takenAddresses,
  wrongTypeWords,
  type Change,
  type Claim,
  type Controller,
  type Facts,
  type Found,
  type DeviceLabel,
  type Load,
  type Sheets,
} from '@rauta/core'
import { cableType, checkCores } from './cable'
import { defineCommand, everyFitter, existing, id, name, object, Refusal, text } from './command'

export const controllerSchema = object(
  {
    id,
    ref: { type: 'string', pattern: '^[A-Za-z0-9-]{1,8}$' },
    sheet: id,
    cabinet: name,
    supply: id,
    address: text,
    serial: text,
    mac: text,
    expanders: {
      type: 'array',
      maxItems: 16,
      items: object({ id: { type: 'string', pattern: '^E[0-9]{1,2}$' }, sheet: id }),
    },
    hubs: {
      type: 'array',
      maxItems: 64,
      items: object({ unit: id, address: { type: 'integer', minimum: 0, maximum: 63 } }),
    },
    fedFrom: object({
      controller: id,
      lengthM: { type: 'number', exclusiveMinimum: 0, maximum: 500 },
      type: cableType,
    }),
  },
  ['expanders', 'fedFrom', 'hubs'],
)

/** A planned controller, checked against its sheet and the site's addresses. An empty address is one that is still to come. */
export function putController(facts: Facts, p: Controller, sheets: Sheets): Change {
  if (!sheets[p.sheet]?.controller) throw new Refusal('Choose a controller from the device sheets.', 'sheet')
  if (p.fedFrom) checkFeed(facts, p, sheets)
  else if (!sheets[p.supply]?.supply) throw new Refusal('Choose a supply from the device sheets.', 'supply')
  const twin = all(facts, 'controller').find((c) => c.ref === p.ref && c.id !== p.id)
  if (twin) throw new Refusal(`${p.ref} is already used.`, 'ref')
  const job = existing(jobOf(facts), 'job', '')
  const fault = p.address === '' ? null : addressFault(p.address, job.network, takenAddresses(facts, p.id))
  if (fault) throw new Refusal(fault, 'address')
  const expanders = p.expanders ?? []
  const most = sheets[p.sheet]?.carries?.find((c) => c.kind === 'expander')?.most ?? 0
  if (expanders.length > most)
    throw new Refusal(
      `${sheets[p.sheet]?.name} carries ${most} expanders; ${expanders.length} are planned.`,
      'expanders',
    )
  const odd = expanders.find((e) => !sheets[e.sheet] || !isKind(sheetOf(sheets, e.sheet), 'expander'))
  if (odd) throw new Refusal(`${odd.id} is not an expander. Choose one from the device sheets.`, 'expanders')
  // Hubs are hung with a command of their own: whoever says nothing of them leaves them as they are.
  const hubs = p.hubs ?? facts.controller[p.id]?.hubs
  checkHubs(facts, hubs ? { ...p, hubs } : p, sheets)
  return put(facts, 'controller', hubs ? { ...p, hubs } : p)
}

/** Each hub once, at an address that no other one behind it has, and that its switches can show. @throws Refusal */
function checkHubs(facts: Facts, p: Controller, sheets: Sheets): void {
  const hubs = p.hubs ?? []
  const most = sheets[p.sheet]?.carries?.find((c) => c.kind === 'hub')?.most ?? 0
  if (hubs.length > most) throw new Refusal(`${p.ref} carries ${most} hubs; ${hubs.length} are planned.`, 'hubs')
  for (const [i, { unit, address }] of hubs.entries()) {
    const hub = existing(facts.unit[unit], 'hub', unit)
    const sheet = sheetOf(sheets, hub.sheet)
    if (!isKind(sheet, 'hub')) throw new Refusal(`${hub.ref} is no hub.`, 'hubs')
    const at = all(facts, 'controller').find((c) => c.id !== p.id && c.hubs?.some((h) => h.unit === unit))
    if (at) throw new Refusal(`${hub.ref} hangs on ${at.ref}. Take it off there first.`, 'hubs')
    const twin = hubs.slice(0, i).find((h) => h.unit === unit || h.address === address)
    if (twin) throw new Refusal(`Address ${address} behind ${p.ref} is already given. Choose another.`, 'address')
    const set = sheet.coding ? switchesFor(sheet.coding, address) : null
    if (set && !set.ok) throw new Refusal(set.says, 'address')
  }
}

function checkFeed(facts: Facts, p: Controller, sheets: Sheets): void {
  checkCores(p.fedFrom?.type, 'fedFrom')
  const fault = feedFault(p, { ...facts.controller, [p.id]: p })
  if (fault) throw new Refusal(fault, 'fedFrom')
  if (sheets[p.sheet]?.feeds)
    throw new Refusal(`${sheets[p.sheet]?.name} takes its power from the network: no supply feeds it.`, 'fedFrom')
  const from = facts.controller[p.fedFrom?.controller ?? '']
  if (from && sheets[from.sheet]?.feeds)
    throw new Refusal(`${from.ref} takes its power from the network and feeds nothing but its own door.`, 'fedFrom')
}

export const controllerPut = defineCommand<Controller>()({
  name: 'controller.put',
  roles: everyFitter,
  schema: controllerSchema,
  apply: (facts, p, { sheets }) => [putController(facts, p, sheets)],
  words: (_f, p) => `Planned ${p.ref}${p.address ? ` at ${p.address}` : ''}`,
})

export const controllerRemove = defineCommand<{ id: string }>()({
  name: 'controller.remove',
  roles: ['lead'],
  schema: object({ id }),
  apply(facts, p) {
    const controller = existing(facts.controller[p.id], 'controller', p.id)
    const { first } = hangingOn(facts, 'controller', p.id)
    if (first) throw new Refusal(`${controller.ref} stays: ${first}`)
    const doors = doorsOn(facts, p.id)
    const found = all(facts, 'found').filter((f) => f.controller === p.id)
    return [
      ...doors.map((d) => put(facts, 'door', { ...d, placement: null })),
      ...found.map((f) => put(facts, 'found', { ...f, controller: null })),
      ...(['cabinet', 'powerPlan', 'claim', 'reach'] as const).flatMap((kind) => drop(facts, kind, p.id)),
      ...forgetHeld(facts, p.id),
      ...drop(facts, 'unitFeed', `controller/${p.id}`),
      ...drop(facts, 'controller', p.id),
    ]
  },
  words: (f, p) => `Removed ${f.controller[p.id]?.ref ?? ''} from the plan`,
})

export const foundMatch = defineCommand<{ found: string; controller: string | null }>()({
  name: 'found.match',
  roles: everyFitter,
  schema: object({ found: id, controller: { anyOf: [id, { type: 'null' }] } }),
  apply(facts, p, { sheets }) {
    const found = existing(facts.found[p.found], 'found device', p.found)
    if (p.controller === null) return [put(facts, 'found', { ...found, controller: null })]
    const controller = existing(facts.controller[p.controller], 'controller', p.controller)
    const other = all(facts, 'found').find((f) => f.controller === p.controller && f.id !== p.found)
    const wrong = wrongTypeWords(found.model, controller, sheets)
    if (wrong) throw new Refusal(wrong)
    return [
      ...(other ? [put(facts, 'found', { ...other, controller: null })] : []),
      put(facts, 'found', { ...found, controller: controller.id, chosen: true }),
      put(facts, 'controller', { ...controller, serial: found.serial, mac: found.mac }),
    ]
  },
  words: (f, p) =>
    p.controller
      ? `Matched ${f.found[p.found]?.serial ?? ''} to ${f.controller[p.controller]?.ref ?? ''}`
      : `Took ${f.found[p.found]?.serial ?? ''} off the plan`,
})

/** What was found stands where its label says; what was matched to a device that has another label stands nowhere. */
function matchedBy(facts: Facts, labels: readonly DeviceLabel[]): Change[] {
  const found = all(facts, 'found')
  const labelled = new Set(labels.map((l) => l.controller))
  const free = (f: Found) => f.controller === null || labelled.has(f.controller)
  const places = new Map<string, string>()
  for (const label of labels) {
    const having = found.filter((f) => hasLabel(f, label))
    const one = having.find((f) => f.controller === label.controller) ?? having.find(free)
    if (one) places.set(one.id, label.controller)
  }
  return found
    .filter((f) => places.has(f.id) || labelled.has(f.controller ?? ''))
    .map((f) => put(facts, 'found', { ...unchosen(f), controller: places.get(f.id) ?? null }))
}

const unchosen = ({ chosen: _by, ...found }: Found): Found => found

export const controllersLabel = defineCommand<{ labels: DeviceLabel[] }>()({
  name: 'controllers.label',
  roles: everyFitter,
  schema: object({
    labels: {
      type: 'array',
      minItems: 1,
      maxItems: mostLabelLines,
      items: object({ controller: id, serial: text, mac: text }),
    },
  }),
  apply(facts, { labels }) {
    const twins = labelTwins(labels)
    const changes = labels.map((label, i) => {
      const was = existing(facts.controller[label.controller], 'controller', label.controller)
      const fault = labelFault(label, facts)
      if (fault) throw new Refusal(fault)
      if (!label.serial && !label.mac) throw new Refusal(`${was.ref}: the label has neither a serial nor a MAC.`)
      const holder = labelHolder(label, labels, facts)
      if (holder) throw new Refusal(`${holder.ref} has the serial or MAC of ${was.ref} already.`)
      if (label.mac !== '' && macOf(label.mac) !== label.mac)
        throw new Refusal(`${label.mac} is no MAC. Write it as 00:1B:44:11:3A:B7.`)
      if (twins[i] !== null) throw new Refusal(`${was.ref}: its label stands twice in the list.`)
      return put(facts, 'controller', { ...was, serial: label.serial || was.serial, mac: label.mac || was.mac })
    })
    return [...changes, ...matchedBy(facts, labels)]
  },
  words: (_f, { labels }) => `Entered the labels of ${labels.length === 1 ? '1 device' : `${labels.length} devices`}`,
})

/** The last signs of a serial are enough to tell devices on one wall apart; fewer could be anybody's. */
const fewestSigns = 4

export const claimCompare = defineCommand<{ controller: string; label: string }>()({
  name: 'claim.compare',
  live: true,
  roles: everyFitter,
  schema: object({ controller: id, label: name }),
  apply(facts, p, { by, at }) {
    const claim = existing(facts.claim[p.controller], 'taking of', p.controller)
    const found = existing(facts.found[claim.found], 'found device', claim.found)
    const label = p.label.replace(/\s/g, '').toUpperCase()
    if (label.length < fewestSigns)
      throw new Refusal(`Enter at least the last ${fewestSigns} signs of the serial on the label.`, 'label')
    if (!found.serial.toUpperCase().endsWith(label))
      throw new Refusal(
        `The device says its serial is ${found.serial || 'none'}, and the label says otherwise: this is another device. Match the right one under Reach.`,
        'label',
      )
    return [put(facts, 'claim', { ...claim, compared: { by, at, on: found.serial } })]
  },
  words: (f, p) => `Compared ${f.controller[p.controller]?.ref ?? ''} with its label`,
})

const uncompared = ({ compared: _of, ...claim }: Claim): Claim => claim

export const claimStart = defineCommand<{ controller: string }>()({
  name: 'claim.start',
  live: true,
  roles: everyFitter,
  schema: object({ controller: id }),
  apply(facts, p, { by, at }) {
    const controller = existing(facts.controller[p.controller], 'controller', p.controller)
    const found = all(facts, 'found').find((f) => f.controller === controller.id)
    if (!found) throw new Refusal(`${controller.ref} is matched to no found device yet. Search, then match it.`)
    const earlier = facts.claim[controller.id]
    // One that came to its end is no beginning for a device that was reset or replaced since.
    const before = earlier?.steps.some((s) => s.state !== 'done') ? earlier : undefined
    const claim: Claim = before
      ? {
          ...(before.found === found.id ? before : uncompared(before)),
          found: found.id,
          steps: before.steps.map((s) =>
            s.state === 'failed' || s.state === 'running' ? { ...s, state: 'todo', says: '' } : s,
          ),
        }
      : {
          id: controller.id,
          found: found.id,
          steps: stepsToDo(claimSteps, at),
          eraseAgreed: null,
          resetStep: -1,
          startedBy: by,
        }
    return [put(facts, 'claim', claim)]
  },
  words: (f, p) => `Began taking ${f.controller[p.controller]?.ref ?? ''} into service`,
})

export const claimMove = defineCommand<{ controller: string }>()({
  name: 'claim.move',
  live: true,
  roles: everyFitter,
  schema: object({ controller: id }),
  apply(facts, p, { by, at }) {
    const controller = existing(facts.controller[p.controller], 'controller', p.controller)
    const reach = facts.reach[controller.id]
    const found = all(facts, 'found').find((f) => f.controller === controller.id)
    if (!reach?.owned || !found)
      throw new Refusal(`${controller.ref} is not in service. Take it into service: that gives it its address.`)
    const before = facts.claim[controller.id]
    if (before?.steps.some((s) => s.state !== 'done'))
      throw new Refusal(`${controller.ref} is being worked on already. Let that come to its end first.`)
    if (!controller.address) throw new Refusal(`${controller.ref} has no planned address. Give it one first.`)
    return [
      put(facts, 'claim', {
        id: controller.id,
        found: found.id,
        only: 'network',
        steps: stepsToDo(moveSteps, at),
        eraseAgreed: before?.eraseAgreed ?? null,
        resetStep: -1,
        startedBy: by,
        ...(reach.secured ? { secured: reach.secured } : {}),
        ...(reach.user === undefined ? {} : { user: reach.user }),
      }),
    ]
  },
  words: (f, p) => `Sets the address of ${f.controller[p.controller]?.ref ?? ''} anew`,
})

export const claimAgree = defineCommand<{ controller: string }>()({
  name: 'claim.agreeErase',
  live: true,
  roles: everyFitter,
  schema: object({ controller: id }),
  apply(facts, p, { by, at }) {
    const claim = existing(facts.claim[p.controller], 'taking of', p.controller)
    const holds = facts.found[claim.found]?.holds
    if (!holds) throw new Refusal('What the device holds has not been read yet.')
    return [put(facts, 'claim', { ...claim, eraseAgreed: { by, at, holds } })]
  },
  words: (f, p) => `Agreed to erase what ${f.controller[p.controller]?.ref ?? ''} holds`,
})

export const claimResetStep = defineCommand<{ controller: string; step: number }>()({
  name: 'claim.resetStep',
  live: true,
  roles: everyFitter,
  schema: object({ controller: id, step: { type: 'integer', minimum: 0, maximum: 20 } }),
  apply(facts, p) {
    const claim = existing(facts.claim[p.controller], 'taking of', p.controller)
    return [put(facts, 'claim', { ...claim, resetStep: p.step })]
  },
  words: (f, p) => `Reset by hand of ${f.controller[p.controller]?.ref ?? ''}: step ${p.step + 1}`,
})

export const firmwareAccept = defineCommand<{ controller: string }>()({
  name: 'firmware.accept',
  roles: everyFitter,
  schema: object({ controller: id }),
  apply(facts, p, { by, at }) {
    const reach = facts.reach[p.controller]
    const claim = facts.claim[p.controller]
    if (!reach && !claim) throw new Refusal('This device has not been reached yet.')
    if (!reach) throw new Refusal('Its firmware has not been read yet.')
    return [put(facts, 'reach', { ...reach, firmwareAccepted: { by, at, on: reach.firmware } })]
  },
  words: (f, p) =>
    `Accepted firmware ${f.reach[p.controller]?.firmware ?? ''} of ${f.controller[p.controller]?.ref ?? ''}`,
})

export const loadStart = defineCommand<{ id: string; controller: string; only?: Load['only'] }>()({
  name: 'load.start',
  live: true,
  roles: everyFitter,
  schema: object({ id, controller: id, only: { enum: ['testCards'] } }, ['only']),
  apply(facts, p, { by, at }) {
    const controller = existing(facts.controller[p.controller], 'controller', p.controller)
    if (!facts.reach[controller.id]?.owned)
      throw new Refusal(`${controller.ref} is not in service yet. Take it into service under Reach first.`)
    const open = all(facts, 'load').find(
      (l) => l.controller === controller.id && (l.state === 'queued' || l.state === 'running' || l.state === 'waits'),
    )
    if (open) throw new Refusal(`${controller.ref} is being loaded already.`)
    return [
      put(facts, 'load', {
        id: p.id,
        controller: controller.id,
        ...(p.only ? { only: p.only } : {}),
        state: 'queued',
        total: 0,
        done: 0,
        says: 'Waits for its turn.',
        by,
        startedAt: at,
        endedAt: 0,
        digest: '',
      }),
    ]
  },
  words: (f, p) => `Loads ${f.controller[p.controller]?.ref ?? ''}`,
})

export const loadStop = defineCommand<{ id: string }>()({
  name: 'load.stop',
  live: true,
  roles: everyFitter,
  schema: object({ id }),
  apply(facts, p, { at }) {
    const load = existing(facts.load[p.id], 'load', p.id)
    if (load.state !== 'queued' && load.state !== 'running' && load.state !== 'waits')
      throw new Refusal('This load has ended already.')
    return [
      put(facts, 'load', {
        ...load,
        state: 'stopped',
        says: `Stopped after ${load.done} of ${load.total}. What was sent stays; load again to finish.`,
        endedAt: at,
      }),
    ]
  },
  words: (f, p) => `Stopped the load of ${f.controller[f.load[p.id]?.controller ?? '']?.ref ?? ''}`,
})
