import { switchesFor } from '../devices/coding'
import type { Controller } from '../devices/records'
import { sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import type { Facts } from '../job/facts'
import { bankOf } from '../power/battery'
import { cableName } from '../power/conductor'

/** One thing to check off in a cabinet; `after`: what must be done before. */
export interface CheckItem {
  id: string
  says: string
  after: string[]
}

const boxItem = (id: string, name: string, sheet: DeviceSheet): CheckItem[] =>
  sheet.box?.length ? [{ id, says: `In the box of ${name}: ${sheet.box.map(uncapital).join(', ')}`, after: [] }] : []

/** A word inside a sentence; what is written in capitals stays so. */
const uncapital = (text: string) => (/^[A-Z][a-z]/.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text)

/** Each item after what must come before it, otherwise as they were; a sheet that asks for a circle keeps its order. */
function inOrder(items: readonly CheckItem[]): CheckItem[] {
  const left = [...items]
  const done: CheckItem[] = []
  while (left.length) {
    const at = left.findIndex((i) => i.after.every((id) => !left.some((o) => o.id === id)))
    done.push(...left.splice(Math.max(0, at), 1))
  }
  return done
}

/** The check-off of the cabinet that a controller sits in, worked out from what goes in: boxes, mounting, what its sheet asks for, links, feed, battery. */
export function checkOff(controller: Controller, facts: Facts, sheets: Sheets): CheckItem[] {
  const sheet = sheetOf(sheets, controller.sheet)
  const own = (sheet.controller?.cabinet ?? []).map((i): CheckItem => ({
    id: i.id,
    says: i.says,
    after: i.after ?? [],
  }))
  const boxes = [
    ...boxItem('box', controller.ref, sheet),
    ...(controller.expanders ?? []).flatMap((e) => boxItem(`box-${e.id}`, e.id, sheetOf(sheets, e.sheet))),
  ]
  const mounting = (sheet.mounting ?? []).map((says, i): CheckItem => ({
    id: `mount-${i + 1}`,
    says,
    after: boxes.map((b) => b.id),
  }))
  const items = [
    ...boxes,
    ...mounting,
    ...own,
    ...links(controller, sheets),
    ...feed(controller, facts),
    ...battery(controller, facts, sheets),
  ]
  const there = new Set(items.map((i) => i.id))
  return inOrder(items.map((i) => ({ ...i, after: i.after.filter((id) => there.has(id)) })))
}

/** Expanders: their links and how their switches stand, counted from the first. */
function links(controller: Controller, sheets: Sheets): CheckItem[] {
  return (controller.expanders ?? []).map((e, i): CheckItem => {
    const sheet = sheetOf(sheets, e.sheet)
    const link = sheet.box?.find((b) => /link|lead/i.test(b))
    const set = sheet.coding ? switchesFor(sheet.coding, sheet.coding.offset + i) : null
    return {
      id: `link-${e.id}`,
      says: `${e.id} ${sheet.name}: linked to ${i === 0 ? controller.ref : `E${i}`}${link ? ` with its ${uncapital(link)}` : ''}${set?.ok ? `; address ${(sheet.coding?.offset ?? 0) + i}: ${set.words}` : ''}`,
      after: [`box-${e.id}`],
    }
  })
}

function feed(controller: Controller, facts: Facts): CheckItem[] {
  const from = controller.fedFrom && facts.controller[controller.fedFrom.controller]
  return controller.fedFrom && from
    ? [
        {
          id: 'fed',
          says: `Fed on from ${from.ref} in ${from.cabinet}: ${controller.fedFrom.lengthM} m of ${cableName(controller.fedFrom.type)}, plus on plus`,
          after: [],
        },
      ]
    : []
}

function battery(controller: Controller, facts: Facts, sheets: Sheets): CheckItem[] {
  const plan = facts.powerPlan[controller.id]
  const kind = sheets[controller.supply]?.supply?.battery
  if (controller.fedFrom || !plan || !kind || plan.batteryCount === 0) return []
  const bank = bankOf({ ah: plan.batteryAh, count: plan.batteryCount, wiring: plan.wiring, volts: kind.volts })
  return [
    {
      id: 'bank',
      says:
        plan.batteryCount === 1
          ? `One battery, ${plan.batteryAh} Ah, ${kind.volts} V`
          : `${plan.batteryCount} batteries of ${plan.batteryAh} Ah in ${plan.wiring}: ${bank.volts} V, ${bank.ah} Ah; measure before they are joined`,
      after: ['supply'],
    },
  ]
}

/** What of `after` is still open, for one item. */
export const stillBefore = (
  item: CheckItem,
  items: readonly CheckItem[],
  done: Readonly<Record<string, unknown>>,
): CheckItem[] => items.filter((i) => item.after.includes(i.id) && !done[i.id])
