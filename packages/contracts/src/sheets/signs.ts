import { isKind, type DeviceKind, type DeviceSheet } from '@rauta/core'

type Signs = Pick<DeviceSheet, 'lamps' | 'sounds'>
const lamp = (name: string, means: string) => ({ lamp: name, means })
const sound = (name: string, means: string) => ({ sound: name, means })

/** Signs of life of the invented types, by kind: what says power, link, ready, granted, refused. */
const byKind: readonly [DeviceKind, (sheet: DeviceSheet) => Signs][] = [
  [
    'wirelessLock',
    () => ({
      sounds: [sound('Two notes, rising', 'cells put in: it lives'), sound('Four short', 'it looks for its hub')],
    }),
  ],
  [
    'reader',
    (sheet) => ({
      lamps: [
        lamp('Amber, steady', 'power is there'),
        ...(sheet.reading?.by === 'osdp' ? [lamp('Amber, two flashes', 'nobody asks it on the bus')] : []),
        ...(sheet.reading?.by === 'network' ? [lamp('Amber, breathing', 'no data link')] : []),
        lamp('White, steady', 'ready for a card'),
        lamp('Green, one second', 'granted'),
        lamp('Red, one second', 'refused'),
      ],
      sounds: [
        sound('One long at power', 'self-test passed'),
        sound('One short', 'something was read'),
        sound('Three short', 'refused'),
      ],
    }),
  ],
  [
    'supply',
    () => ({
      lamps: [
        lamp('MAINS steady', 'mains is there'),
        lamp('OUT steady', 'its output is there'),
        lamp('BATT slow', 'the battery is low or missing'),
        lamp('BATT steady', 'the battery is full'),
      ],
      sounds: [sound('Ticking', 'an output is overloaded')],
    }),
  ],
  [
    'expander',
    () => ({
      lamps: [
        lamp('PWR steady', 'power is there'),
        lamp('BUS flickers', 'its controller asks it'),
        lamp('BUS dark', 'wrong address, or the link is open'),
      ],
    }),
  ],
  [
    'hub',
    () => ({
      lamps: [
        lamp('PWR steady', 'power is there'),
        lamp('LINK flickers', 'data on the network'),
        lamp('AIR steady', 'all its locks were heard'),
        lamp('AIR slow', 'a lock is not heard'),
      ],
    }),
  ],
  [
    'converter',
    () => ({
      lamps: [
        lamp('PWR steady', 'power is there'),
        lamp('RX flickers', 'the reader sends'),
        lamp('TX flickers', 'it hands on'),
      ],
    }),
  ],
  [
    'switch',
    () => ({
      lamps: [
        lamp('Port left, steady', 'link'),
        lamp('Port left, flickers', 'data'),
        lamp('Port right, steady', 'it gives power'),
        lamp('Port right, slow', 'the budget is used up'),
      ],
    }),
  ],
  ['midspan', () => ({ lamps: [lamp('Port steady', 'it gives power'), lamp('Port slow', 'too much is asked for')] })],
  [
    'station',
    () => ({
      lamps: [
        lamp('Ring dim', 'power is there'),
        lamp('Ring turns', 'it looks for its server'),
        lamp('Ring steady', 'ready'),
        lamp('Ring green', 'let in'),
      ],
      sounds: [sound('Two notes, falling', 'the call was not taken')],
    }),
  ],
  [
    'opener',
    () => ({
      lamps: [lamp('Eye steady', 'power is there'), lamp('Eye fast', 'an obstacle')],
      sounds: [sound('Hum, then a click', 'it drives')],
    }),
  ],
]

/** A sheet with the signs of its kinds, where it tells none of its own. */
export function withSigns(sheet: DeviceSheet): DeviceSheet {
  const found = byKind.filter(([kind]) => isKind(sheet, kind)).map(([, signs]) => signs(sheet))
  const lamps = sheet.lamps ?? found.flatMap((f) => f.lamps ?? [])
  const sounds = sheet.sounds ?? found.flatMap((f) => f.sounds ?? [])
  return { ...sheet, ...(lamps.length ? { lamps } : {}), ...(sounds.length ? { sounds } : {}) }
}
