import type { Config, Holds, Operation } from '@rauta/core'
import type { DeviceTime, Notification } from '@rauta/protocols'

export interface Identity {
  model: string
  firmware: string
  serial: string
  mac: string
  address: string
  hostname: string
}
export interface Secret {
  user: string
  password: string
}

export interface Watch {
  /** Waits for events; an empty list after a quiet spell. @throws SoapFault where the subscription is gone, UnreachableError */
  pull(): Promise<Notification[]>
  renew(): Promise<void>
  end(): Promise<void>
}

/** What a driver can do with one device at one address under one secret. Every call is safe to repeat. */
export interface Driver {
  time(): Promise<
    DeviceTime & { /** Device clock minus ours, ms, the round trip halved. */ offsetMs: number; roundTripMs: number }
  >
  identify(): Promise<Identity>
  holds(): Promise<Holds>
  setSecret(password: string): Promise<void>
  erase(): Promise<void>
  setNetwork(wanted: {
    hostname: string
    address: string
    prefix: number
    gateway: string
    timeServer: string
  }): Promise<void>
  setClock(wanted: { zone: string; daylightSaving: boolean }): Promise<void>
  restart(): Promise<void>
  read(): Promise<Config>
  write(operation: Operation): Promise<void>
  watch(): Promise<Watch>
}
