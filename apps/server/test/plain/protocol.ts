import {
  DeviceError,
  type Abilities,
  type Driver,
  type Protocol,
  type Pulled,
  type SessionOptions,
} from '@rauta/drivers'
import type { Config } from '@rauta/core'
import type { PlainDevice } from './device'

/** The driver of the plain device: everything but counting what it holds, so that what a device cannot do is met too. */
function plainDriver({ dialer, clock, address, port, secret, signal, timeoutMs = 4000 }: SessionOptions): Driver {
  const ask = async <T>(what: string, value?: unknown): Promise<T> => {
    const body = JSON.stringify({ ask: what, ...secret, with: value })
    const { status, text } = await dialer.post(address, port, '/', body, {
      timeoutMs: Math.max(1500, timeoutMs / clock.factor),
      ...(signal ? { signal } : {}),
    })
    let answer: T & { says?: string }
    try {
      answer = JSON.parse(text) as T & { says?: string }
    } catch (cause) {
      throw new DeviceError('malformed', 'This is no JSON.', { cause })
    }
    if (status === 200) return answer
    throw new DeviceError(status === 401 ? 'notAuthorized' : 'refused', answer.says ?? String(status))
  }
  return {
    async time() {
      const before = clock.now()
      const { utcMs, zone } = await ask<{ utcMs: number; zone: string }>('time')
      if (typeof utcMs !== 'number') throw new DeviceError('malformed', 'It tells no time.')
      return { utcMs, zone, offsetMs: utcMs - (before + clock.now()) / 2, roundTripMs: clock.now() - before }
    },
    identify: () => ask('who'),
    setSecret: (password) => ask('password', password),
    erase: () => ask('erase'),
    setNetwork: (wanted) => ask('address', wanted.address),
    setClock: (wanted) => ask('clock', wanted.zone),
    restart: () => ask('restart'),
    read: () => ask<Config>('read'),
    write: (operation) => ask('write', operation),
    watch: async () => ({
      pull: () => ask<Pulled>('events'),
      renew: async () => undefined,
      end: async () => undefined,
    }),
  } satisfies Driver & Partial<Abilities>
}

/** Taken in fewer steps than usual: it holds nothing that could be counted, and needs no erasing. */
export const plainProtocol = (device: PlainDevice): Protocol => ({
  name: 'plain',
  port: 80,
  driver: plainDriver,
  steps: ['identity', 'secret', 'network', 'restart', 'clock', 'firmware', 'ready'],
  async search(_dialer, onDevice) {
    onDevice({
      endpoint: 'plain-1',
      address: device.address,
      port: 80,
      name: 'plain',
      model: 'plain-controller',
      mac: '02:00:00:00:00:60',
      serial: 'PL-1',
    })
  },
})
