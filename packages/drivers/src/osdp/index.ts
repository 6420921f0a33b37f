import { randomBytes } from 'node:crypto'
import { MalformedError, osdp } from '@rauta/protocols'
import type { BusAt, BusDriver, BusLine, BusProtocol } from '../bus'
import { DeviceError, type DeviceErrorCode } from '../errors'

const { BusControl, BusError, commands, replies } = osdp

const ours: Readonly<Record<osdp.BusErrorCode, [code: DeviceErrorCode, says: string]>> = {
  silent: ['silent', 'does not answer'],
  garbled: ['garbled', 'is answered for by several at once, or by noise'],
  refused: ['refused', 'refuses'],
  encryptionWanted: ['notAuthorized', 'wants to be talked to under its key'],
  noSecureChannel: ['unsupported', 'cannot be talked to so that nobody listens'],
  wrongKey: ['notAuthorized', 'has another key'],
  channelLost: ['lost', 'lost the channel'],
  busy: ['slow', 'is busy'],
}

/** Has the errors of the bus told as every driver's. */
async function inOurErrors<T>({ address, speed }: BusAt, work: () => Promise<T>): Promise<T> {
  try {
    return await work()
  } catch (error) {
    const at = address === osdp.broadcastAddress ? `What is on the bus at ${speed} bit/s` : `Address ${address}`
    if (error instanceof MalformedError) throw new DeviceError('malformed', `${at}: ${error.says}`, { cause: error })
    if (!(error instanceof BusError)) throw error
    const [code, says] = ours[error.code]
    const reason = error.code === 'refused' ? ` (${error.reason})` : ''
    throw new DeviceError(code, `${at} ${says}${reason}.`, { cause: error })
  }
}

/** Flashes a second and beeps as often; tenths of a second. */
const blinkTenths = { on: 3, off: 3, all: 50, beeps: 5 }

const controlOf = (line: BusLine, { address, speed }: BusAt, tries?: number) =>
  new BusControl(
    address,
    (bytes) => line(bytes, speed),
    (count) => new Uint8Array(randomBytes(count)),
    tries,
  )

function osdpDriver(line: BusLine, at: BusAt, { tries }: { tries?: number } = {}): BusDriver {
  const control = controlOf(line, at, tries)
  const told = <T>(work: () => Promise<T>) => inOurErrors(at, work)
  const expect = async (code: number, data: Uint8Array | undefined, reply: number): Promise<Uint8Array> => {
    const came = await control.ask(code, data)
    if (came.code !== reply) throw new DeviceError('malformed', `Address ${at.address} answers something else.`)
    return came.data
  }
  return {
    identify: () =>
      told(async () => {
        const who = osdp.busIdentity.read(await expect(commands.identify, undefined, replies.identity))
        const can = osdp.busCapabilities.read(
          await expect(commands.capabilities, Uint8Array.of(0), replies.capabilities),
        )
        return {
          serial: who.serial,
          firmware: who.firmware,
          type: `${who.vendor}-${who.model}-${who.version}`,
          readsCards: can.cards > 0,
          secures: can.secureChannel,
        }
      }),
    open: (key) => told(() => control.open(key)),
    setAt: (wanted) =>
      told(async () =>
        osdp.busCommunication.read(
          await expect(commands.communication, osdp.busCommunication.write(wanted), replies.communication),
        ),
      ),
    setKey: (key) =>
      told(async () => {
        await expect(commands.key, osdp.keySetting.write(key), replies.done)
      }),
    blink: () =>
      told(async () => {
        const { on, off, all, beeps } = blinkTenths
        await expect(commands.lamp, osdp.lampFlash(on, off, all), replies.done)
        await expect(commands.sound, osdp.soundBeeps(on, off, beeps), replies.done)
      }),
  }
}

/** Devices that speak OSDP (IEC 60839-11-5) on an EIA-485 bus. */
export const osdpBus: BusProtocol = {
  name: 'osdp',
  factory: { address: 0, speed: osdp.busSpeeds[0] },
  speeds: osdp.busSpeeds,
  highestAddress: osdp.broadcastAddress - 1,
  keyBytes: 16,
  driver: osdpDriver,
  async alone(line, speed) {
    const at = { address: osdp.broadcastAddress, speed }
    const { address } = await inOurErrors(at, () => controlOf(line, at).ask(commands.identify, Uint8Array.of(0)))
    return address
  },
}
