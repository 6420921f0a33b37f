import type { DeviceEvent } from '@rauta/core'

/** The server's own note that events may be missing between two moments of its clock. */
export function gapEvent(controller: string, from: number, to: number, why: string): DeviceEvent {
  return {
    id: `${controller}:gap:${Math.round(to)}`,
    controller,
    boot: '',
    seq: 0,
    at: Math.round(to),
    received: Math.round(to),
    offsetMs: 0,
    kind: 'gap',
    door: '',
    reader: '',
    card: '',
    state: String(Math.round(to - from)),
    says: `Events may be missing: ${why}`,
  }
}
