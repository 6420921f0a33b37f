import {
  announceDecider,
  deviceInformation,
  deviceTime,
  el,
  envelope,
  externalAuthorization,
  hello,
  MalformedError,
  openEnvelope,
  osdp,
  probe,
  readDiscovery,
  readNotifications,
  scopeValue,
  SoapFault,
  writeNotification,
} from '../src'
import { numbers } from '../../core/test/trees'

/** A codec with something that it reads, and what is done with whatever comes in its place. */
export interface Codec {
  name: string
  sound: Uint8Array[]
  read(bytes: Uint8Array): void
}

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text)
const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes)

const announcement = {
  endpoint: 'urn:uuid:2',
  types: 'tds:Device',
  scopes: ['onvif://www.onvif.org/name/A%201', 'onvif://www.onvif.org/MAC/02:00:00:00:00:01'],
  xaddrs: ['http://127.0.0.1/onvif/device_service'],
}
const notification = writeNotification({
  topic: 'tns1:Door/State/DoorPhysicalState',
  utcMs: 1_900_000_000_000,
  operation: 'Changed',
  source: { DoorToken: 'D-01' },
  data: { State: 'Open', Boot: 'b-1', Sequence: '7' },
})
const frame = (code: number, data: Uint8Array, security: osdp.Frame['security'] = null): Uint8Array =>
  osdp.encodeFrame({ address: 3, reply: true, sequence: 1, security, code, data })

const { replies } = osdp
const who = { vendor: '00A5C3', model: 1, version: 2, serial: '0A0000F1', firmware: '1.4.0' }
const can = {
  cards: 1,
  lamps: 1,
  sounder: true,
  crc: true,
  secureChannel: true,
  defaultKey: true,
  largest: 128,
  readers: 1,
}
const channel = (): osdp.SecureChannel =>
  new osdp.SecureChannel(osdp.sessionKeys(osdp.defaultKey, new Uint8Array(8)), new Uint8Array(16))

/** Every codec that reads what devices and strangers send. */
export const codecs: readonly Codec[] = [
  {
    name: 'OSDP',
    sound: [
      frame(replies.identity, osdp.busIdentity.write(who)),
      frame(replies.capabilities, osdp.busCapabilities.write(can)),
      frame(replies.card, osdp.cardRead.write([1, 0, 1, 1, 0, 0, 1])),
      frame(replies.communication, osdp.busCommunication.write({ address: 3, speed: 9600 })),
      frame(replies.localStatus, osdp.localStatus.write({ tamper: true, powerLow: false })),
      frame(replies.clientCryptogram, new Uint8Array(32), {
        type: osdp.blocks.clientCryptogram,
        data: Uint8Array.of(0),
      }),
      osdp.encodeFrame(
        {
          address: 3,
          reply: true,
          sequence: 1,
          security: { type: osdp.blocks.sealedReply, data: new Uint8Array() },
          code: replies.card,
          data: channel().seal('reply', Uint8Array.of(1, 2, 3)),
        },
        (covered) => channel().sign('reply', covered),
      ),
    ],
    read(bytes) {
      for (const { data, covered, mac } of osdp.framesIn(bytes).frames) {
        for (const read of [
          osdp.busIdentity.read,
          osdp.busCapabilities.read,
          osdp.busCommunication.read,
          osdp.cardRead.read,
          osdp.localStatus.read,
          osdp.keySetting.read,
        ])
          try {
            read(data)
          } catch (error) {
            if (!(error instanceof MalformedError)) throw error
          }
        channel().open('reply', data)
        channel().accepts('reply', covered, mac)
      }
    },
  },
  {
    name: 'discovery',
    sound: [bytesOf(hello('urn:uuid:1', announcement)), bytesOf(probe('urn:uuid:3'))],
    read(bytes) {
      const message = readDiscovery(textOf(bytes))
      if (message.kind === 'hello') scopeValue(message.announcement.scopes, 'name')
    },
  },
  {
    name: 'ONVIF',
    sound: [
      bytesOf(envelope(deviceTime.write({ utcMs: 1_900_000_000_000, zone: '<+02>-2', daylightSaving: false }))),
      bytesOf(
        envelope(
          deviceInformation.write({ manufacturer: 'Rig', model: 'm', firmware: '1', serial: 's', hardware: 'h' }),
        ),
      ),
      bytesOf(envelope(el('tev:PullMessagesResponse', notification))),
      bytesOf(envelope(announceDecider.write('D-01'))),
      bytesOf(
        envelope(
          externalAuthorization.write({
            accessPoint: 'D-01.R1',
            credential: 'c',
            granted: false,
            reason: 'NotPermitted',
          }),
        ),
      ),
    ],
    read(bytes) {
      const { body } = openEnvelope(textOf(bytes))
      for (const read of [
        deviceTime.read,
        deviceInformation.read,
        readNotifications,
        externalAuthorization.read,
        announceDecider.read,
      ])
        try {
          read(body)
        } catch (error) {
          if (!(error instanceof MalformedError)) throw error
        }
    },
  },
]

/** A frame with something done to it: bits turned over, bytes put in, taken out, doubled, cut off, or another frame's end. */
export function hurt(codec: Codec, number: (below: number) => number): Uint8Array {
  const pick = () => codec.sound[number(codec.sound.length)] as Uint8Array
  let bytes = Uint8Array.from(pick())
  for (let times = 1 + number(4); times > 0; times--) {
    const at = number(bytes.length + 1)
    const head = bytes.subarray(0, at)
    switch (number(6)) {
      case 0:
        bytes = bytes.map((byte, i) => (i === at ? byte ^ (1 << number(8)) : byte))
        break
      case 1:
        bytes = Uint8Array.from([...head, number(256), ...bytes.subarray(at)])
        break
      case 2:
        bytes = Uint8Array.from([...head, ...bytes.subarray(at + 1 + number(8))])
        break
      case 3:
        bytes = Uint8Array.from([...head, ...head.subarray(number(head.length + 1)), ...bytes.subarray(at)])
        break
      case 4:
        bytes = Uint8Array.from(head)
        break
      default:
        bytes = Uint8Array.from([...head, ...pick().subarray(number(40))])
    }
  }
  return bytes
}

/** A hurt OSDP frame is no frame for its check alone: some are given a sound one, so that what lies behind it is reached. */
export function mendedCheck(bytes: Uint8Array): Uint8Array {
  if (bytes.length < 8) return bytes
  const body = bytes.slice(0, -2)
  body[0] = 0x53
  body[2] = bytes.length & 0xff
  body[3] = bytes.length >> 8
  body[4] = (body[4] as number) | 0x04
  const crc = osdp.crc16(body)
  return Uint8Array.from([...body, crc & 0xff, crc >> 8])
}

/** What a codec makes of bytes: null where it reads or refuses them, else what it threw. */
export function thrownBy(codec: Codec, bytes: Uint8Array): unknown {
  try {
    codec.read(bytes)
    return null
  } catch (error) {
    return error instanceof MalformedError || error instanceof SoapFault ? null : error
  }
}

/** The bytes of one seed. */
export function bytesFor(codec: Codec, seed: number): Uint8Array {
  const next = numbers(seed)
  const number = (below: number) => Math.floor(next() * below)
  const bytes = hurt(codec, number)
  return codec.name === 'OSDP' && number(2) ? mendedCheck(bytes) : bytes
}
