/** Sends bytes on a line at a speed, and hands back whatever came within the time that a device has for its reply. */
export type BusLine = (bytes: Uint8Array, speed: number) => Promise<Uint8Array>

/** Address and speed of a device on a bus. */
export interface BusAt {
  address: number
  /** Bits a second. */
  speed: number
}

/** Who a device on a bus says it is, and what it can do. */
export interface BusIdentity {
  serial: string
  firmware: string
  /** Maker's registered number, model and version, as it tells them. */
  type: string
  readsCards: boolean
  /** Can be talked to so that nobody listens. */
  secures: boolean
}

/** One device on a bus, as it is talked to over its line. @throws DeviceError */
export interface BusDriver {
  identify(): Promise<BusIdentity>
  /** Talks to it under a key from then on; null for the one of the factory. @throws DeviceError `notAuthorized` for another key */
  open(key: Uint8Array | null): Promise<void>
  /** Gives it address and speed. @returns those that it will use: one with switches keeps its address */
  setAt(at: BusAt): Promise<BusAt>
  /** Gives it a key, under the channel that is open. */
  setKey(key: Uint8Array): Promise<void>
  /** Lets it flash and sound for a few seconds, so that it can be told from its neighbours. */
  blink(): Promise<void>
}

/** How devices on a bus are talked to. Found by the name that a device sheet gives. */
export interface BusProtocol {
  name: string
  /** Where a device is as it leaves the factory. */
  factory: BusAt
  /** The speeds at which it may be set, the usual one first. */
  speeds: readonly number[]
  highestAddress: number
  keyBytes: number
  driver(line: BusLine, at: BusAt, options?: { tries?: number }): BusDriver
  /** Address of whoever is alone on a line at a speed, wherever it is set. @throws DeviceError `garbled` for several, `silent` for none */
  alone(line: BusLine, speed: number): Promise<number>
}
