import type { Controller } from './records'
import { sheetOf, type DeviceSheet, type Sheets, type Terminal } from './sheet'

/** A controller as it hangs in its cabinet: its own terminals and those of the expanders behind it (`E1.3` is screw 3 of expander E1), and the hubs behind it. */
export function boardOf(sheets: Sheets, controller: Pick<Controller, 'sheet' | 'expanders' | 'hubs'>): DeviceSheet {
  const sheet = withHubs(sheetOf(sheets, controller.sheet), controller.hubs)
  const expanders = controller.expanders ?? []
  if (expanders.length === 0) return sheet
  const terminals = expanders.flatMap((e) =>
    sheetOf(sheets, e.sheet).terminals.map((t): Terminal => ({
      ...t,
      id: `${e.id}.${t.id}`,
      group: '*',
      port: `${e.id} ${t.port}`,
    })),
  )
  return { ...sheet, terminals: [...sheet.terminals, ...terminals] }
}

const withHubs = (sheet: DeviceSheet, hubs: Controller['hubs']): DeviceSheet =>
  hubs?.length && sheet.controller ? { ...sheet, controller: { ...sheet.controller, hubs } } : sheet
