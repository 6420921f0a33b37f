import { isKind, sheetOf, type DeviceSheet, type Sheets } from '../devices/sheet'
import type { Part } from '../doors/door'

/** Whether a part is a wireless lock: lock and reader in one, joined by a hub. */
export const byRadio = (part: Part, sheets: Sheets): boolean => isKind(sheetOf(sheets, part.sheet), 'wirelessLock')

/** Port of a controller behind which a wireless lock is: the hub by its address, the lock by its place at the hub. */
export const radioPortName = (address: number, place: number): string => `hub ${address} lock ${place}`

const pattern = /^hub (\d{1,2}) lock (\d{1,2})$/

/** Hub and place of a port, or null for a port of another kind. */
export function radioPortOf(port: string): { address: number; place: number } | null {
  const found = pattern.exec(port)
  return found ? { address: Number(found[1]), place: Number(found[2]) } : null
}

/** The port of a wireless lock on a board; empty while it is at no hub of it. */
export function portByRadio({ radio }: Part, board: DeviceSheet): string {
  const address = radio && board.controller?.hubs?.find((h) => h.unit === radio.hub)?.address
  return radio && address !== undefined ? radioPortName(address, radio.place) : ''
}
