import { switchesFor, type BusDevice } from '@rauta/core'
import {
  ability,
  type BusAt,
  type BusDriver,
  type BusLine,
  type BusProtocol,
  type Driver,
  DeviceError,
} from '@rauta/drivers'
import type { Context } from '../../context'
import { provenDriver } from '../inService'

/** How long a device on a bus has for its reply, ms (from memory: 200). */
const replyMs = 200

/** A bus as it is reached through the controller that it hangs on. */
export interface Bus {
  protocol: BusProtocol
  /** Of the controller. */
  controller: Driver
  line: BusLine
  at(where: BusAt, options?: { tries?: number }): BusDriver
}

/** The bus that a device is planned on. @throws DeviceError where its controller is not in service, or lets nobody on its buses */
export async function busOf(context: Context, device: BusDevice, signal?: AbortSignal): Promise<Bus> {
  const controller = await provenDriver(context, device.controller, signal)
  const ref = context.log.facts.controller[device.controller]?.ref ?? 'Its controller'
  if (!controller) throw new DeviceError('silent', `${ref} is not in service.`)
  const protocol = context.protocols.onBus()
  if (!protocol) throw new DeviceError('unsupported', 'Nothing here speaks on a bus.')
  const send = ability(controller, 'onBus')
  const line: BusLine = (bytes, speed) =>
    send({ port: device.port, speed, waitMs: replyMs, bytes }).catch((error: unknown) => {
      // A controller that is silent says nothing of what hangs on its bus.
      if (error instanceof DeviceError && error.code === 'silent')
        throw new DeviceError('lost', error.says, { cause: error })
      throw error
    })
  return { protocol, controller, line, at: (where, options) => protocol.driver(line, where, options) }
}

/** Where a device on a bus is wanted: at its planned address, and at the speed at which its controller talks. */
export const wantedAt = ({ address }: BusDevice, { factory }: BusProtocol): BusAt => ({
  address: address ?? factory.address,
  speed: factory.speed,
})

/** How its switches have to stand for its planned address; null for one that is set over the bus. */
export function switchesOf({ sheet, address }: BusDevice): string | null {
  if (!sheet.coding) return null
  const set = switchesFor(sheet.coding, address ?? 0)
  return set.ok ? set.words : ''
}
