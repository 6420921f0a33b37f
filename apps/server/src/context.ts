import type { Clock } from '@rauta/protocols'
import { DeviceError, type Dialer, type Driver, type Protocol, type Protocols, type Secret } from '@rauta/drivers'
import { sheetOf, type Controller, type Facts, type Secured } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import type { JobLog } from './changes/log'
import { spared, type Sparing } from './reach/sparing'
import type { Vault } from './security/vault'
import type { SetAside } from './store/facts'
import type { Room } from './store/room'
import type { Workshop } from './workshop/workshop'
import type { Logger } from 'pino'

/** What every part of the server works with. */
export interface Context {
  log: JobLog
  vault: Vault
  clock: Clock
  dialer: Dialer
  protocols: Protocols
  /** Wrong passwords, by device. */
  sparing: Sparing
  logger: Logger
  /** What everybody should know of the store: what could not be read, was made anew, or is missing. */
  notices: readonly SetAside[]
  /** Room on the disk of the store; null where it is kept in memory. */
  room: Room | null
  /** Where papers are drawn. */
  workshop: Workshop
  /** Aborted when the server ends; loops stop at it. */
  ending: AbortSignal
  /** From now on devices that announce themselves are heard. */
  listen(): void
  /** Tells every screen how far a load is; null when it has ended. */
  loadProgress(id: string, progress: { total: number; done: number } | null): void
}

export function factorySecret(facts: Facts, controller: Controller): Secret {
  const factory = sheetOf(sheetsFor(facts), controller.sheet).controller?.factory
  return { user: factory?.user ?? '', password: factory?.password ?? '' }
}

/** What a planned controller speaks. @throws DeviceError where nobody here speaks it */
export function protocolOf(context: Context, controller: Controller): Protocol {
  const { name, protocol } = sheetOf(sheetsFor(context.log.facts), controller.sheet)
  return spoken(context, protocol, name)
}

/** A protocol by its name. @throws DeviceError where nobody here speaks it */
export function spoken(context: Context, protocol: string | undefined, who: string): Protocol {
  const found = context.protocols.of(protocol)
  if (!found) throw new DeviceError('unsupported', `${who} speaks ${protocol}, and this version of Rauta does not.`)
  return found
}

export function driverAt(
  context: Context,
  protocol: Protocol,
  address: string,
  secret: Secret | null,
  options: {
    port?: number
    signal?: AbortSignal
    timeoutMs?: number
    secured?: Secured | undefined
    /** A password that it has just refused is not tried again for a while. */
    patient?: true
  } = {},
): Driver {
  const { port = protocol.port, patient, ...rest } = options
  const driver = protocol.driver({ dialer: context.dialer, clock: context.clock, address, port, secret, ...rest })
  return secret ? spared(driver, context.sparing, address, secret, patient) : driver
}
