import { randomBytes } from 'node:crypto'
import { makeClock, osdp } from '@rauta/protocols'
import { BusLine } from '../../packages/standins/src/bus/line'
import { BusReader } from '../../packages/standins/src/bus/peripheral'
import { World } from '../../packages/standins/src/site/world'
import { median, row, time } from './measure'

const speed = 115_200
const readers = 32
const rounds = 10
/** A device turns round from hearing to speaking in so long on the rig's lines, ms. */
const turnMs = 3

/** A whole round of encrypted questions to a full bus, against the time that the bytes alone need on the wire. */
export async function busBench(): Promise<void> {
  const line = new BusLine(new World(makeClock(1)))
  let onWireMs = 0
  const exchange = (bytes: Uint8Array) =>
    new Promise<Uint8Array>((resolve) =>
      line.send(bytes, speed, 200, (came) => {
        onWireMs += ((bytes.length + came.length) * 10_000) / speed + turnMs
        resolve(came)
      }),
    )
  const keys: Uint8Array[] = []
  for (let address = 0; address < readers; address++) {
    const key = randomBytes(16)
    keys.push(new Uint8Array(key))
    line.readers.push(
      new BusReader(
        {
          serial: (0x0b000000 + address).toString(16),
          model: 'reader-bus',
          vendor: '00A5C3',
          version: 1,
          firmware: '1.0.0',
          address,
          speed,
          key: key.toString('hex'),
          terminator: address === readers - 1,
        },
        null,
        () => undefined,
      ),
    )
  }
  const asked: osdp.BusControl[] = []
  for (const [address, key] of keys.entries()) {
    const control = new osdp.BusControl(address, exchange, (count) => new Uint8Array(randomBytes(count)))
    await control.open(key)
    asked.push(control)
  }
  const took: number[] = []
  const bare: number[] = []
  for (let i = 0; i < rounds; i++) {
    onWireMs = 0
    took.push(
      await time(async () => {
        for (const control of asked) await control.ask(osdp.commands.poll)
      }),
    )
    bare.push(onWireMs)
  }
  row(
    `OSDP, ${readers} encrypted readers asked in turn at ${speed} bit/s`,
    `${median(took).toFixed(0)} ms a round`,
    `their bytes on the wire, and ${turnMs} ms of turning round each ${median(bare).toFixed(0)} ms`,
    (median(took) / median(bare)).toFixed(2),
    '1.2',
  )
}
