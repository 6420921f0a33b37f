import type { Protocol } from './driver'
import { onvif } from './onvif'

/** What a controller speaks whose sheet does not say. */
const usual = onvif.name

/** The protocols that this computer can speak, by the names that device sheets give them. */
export class Protocols {
  private readonly byName: ReadonlyMap<string, Protocol>
  constructor(list: readonly Protocol[] = [onvif]) {
    this.byName = new Map(list.map((p) => [p.name, p]))
  }

  /** @returns undefined for a protocol that nobody here speaks */
  of(name: string | undefined): Protocol | undefined {
    return this.byName.get(name ?? usual)
  }
  get all(): Protocol[] {
    return [...this.byName.values()]
  }
}
