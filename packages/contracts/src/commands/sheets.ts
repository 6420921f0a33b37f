import { all, drop, put, sheetFaults, type DeviceSheet } from '@rauta/core'
import { sheetSchema } from '../sheets/schema'
import { shippedSheets } from '../sheets/shipped'
import { defineCommand, everyFitter, existing, object, Refusal } from './command'

export const sheetPut = defineCommand<DeviceSheet>()({
  name: 'sheet.put',
  roles: everyFitter,
  schema: sheetSchema,
  apply(facts, p) {
    if (shippedSheets[p.id]) throw new Refusal(`${p.id} is a sheet that ships with Rauta. Give yours another id.`, 'id')
    const fault = sheetFaults(p)[0]
    if (fault) throw new Refusal(fault.says, fault.at)
    const wasController = !!facts.sheet[p.id]?.controller
    const user = all(facts, 'controller').find((c) => c.sheet === p.id)
    if (wasController && !p.controller && user)
      throw new Refusal(`${user.ref} is planned as this controller; the sheet must stay one.`, 'controller')
    return [put(facts, 'sheet', p)]
  },
  words: (_f, p) => `Device sheet ${p.name}`,
})

export const sheetRemove = defineCommand<{ id: string }>()({
  name: 'sheet.remove',
  roles: ['lead'],
  schema: object({ id: { type: 'string', maxLength: 40 } }),
  apply(facts, p) {
    existing(facts.sheet[p.id], 'device sheet', p.id)
    const door = all(facts, 'door').find((d) => d.parts.some((x) => x.sheet === p.id))
    if (door) throw new Refusal(`${door.ref} has this device. Choose another there first.`)
    const planned =
      all(facts, 'controller').find(
        (c) => c.sheet === p.id || c.supply === p.id || c.expanders?.some((e) => e.sheet === p.id),
      ) ?? all(facts, 'unit').find((u) => u.sheet === p.id)
    if (planned) throw new Refusal(`${planned.ref} is planned with this sheet. Choose another there first.`)
    return drop(facts, 'sheet', p.id)
  },
  words: (_f, p) => `Removed device sheet ${p.id}`,
})
