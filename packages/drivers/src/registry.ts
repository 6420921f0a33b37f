import type { Protocol } from './driver'
import type { BusProtocol } from './bus'
import { onvif } from './onvif'
import { osdpBus } from './osdp'

/** What a controller speaks whose sheet does not say. */
const usual = onvif.name
/** What a device on a bus speaks whose sheet does not say. */
const usualOnBus = osdpBus.name

/** The protocols that this computer can speak, by the names that device sheets give them. */
export class Protocols {
  private readonly byName: ReadonlyMap<string, Protocol>
  private readonly busByName: ReadonlyMap<string, BusProtocol>
  constructor(list: readonly Protocol[] = [onvif], buses: readonly BusProtocol[] = [osdpBus]) {
    this.byName = new Map(list.map((p) => [p.name, p]))
    this.busByName = new Map(buses.map((p) => [p.name, p]))
  }

  /** @returns undefined for a protocol that nobody here speaks */
  of(name: string | undefined): Protocol | undefined {
    return this.byName.get(name ?? usual)
  }
  /** What is spoken on a bus, by the name that sheets give it; the usual one where they give none. */
  onBus(name: string = usualOnBus): BusProtocol | undefined {
    return this.busByName.get(name)
  }
  get all(): Protocol[] {
    return [...this.byName.values()]
  }
}
