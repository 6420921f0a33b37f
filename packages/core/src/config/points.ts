import { readKey } from './parts'
import { terminalsKind } from './parts/terminals'
import type { PartFunction } from '../doors/functions'
import type { Config, Json } from './records'

/** A wired point as a device holds it: which part of which door sits on a port, and what it does there. */
export interface HeldPoint {
  door: string
  part: string
  function: PartFunction
  /** The door has a second contact, so that each of them must be told apart. */ twoLeaves: boolean
}

const field = (value: Json | undefined, name: string): string => {
  const text = value !== null && typeof value === 'object' && !Array.isArray(value) ? value[name] : ''
  return typeof text === 'string' ? text : ''
}

/** The points of a configuration by the port they sit on, so that an event of a port can be told as one of a part. */
export function pointsByPort(config: Config): Map<string, HeldPoint> {
  const found = new Map<string, HeldPoint>()
  for (const [key, value] of Object.entries(config)) {
    const { kind, token } = readKey(key)
    if (kind !== terminalsKind || value === null || typeof value !== 'object' || Array.isArray(value)) continue
    const twoLeaves = Object.values(value).some((point) => field(point, 'function') === 'secondContact')
    for (const point of Object.values(value)) {
      const does = field(point, 'function') as PartFunction
      found.set(field(point, 'port'), {
        door: token,
        part: field(point, 'part'),
        function: does,
        twoLeaves: twoLeaves && does === 'contact',
      })
    }
  }
  return found
}
