import { randomBytes } from 'node:crypto'
import {
  deviceTime,
  el,
  envelope,
  makeToken,
  MalformedError,
  openEnvelope,
  servicePaths,
  type Clock,
  type DeviceTime,
  type Element,
  type Markup,
  type ServicePrefix,
} from '@rauta/protocols'
import type { Dialer } from '../dialer'
import type { Secret } from '../driver'

export interface SessionOptions {
  dialer: Dialer
  clock: Clock
  address: string
  port: number
  secret: Secret | null
  signal?: AbortSignal
  timeoutMs?: number
}

/** One way to talk to a device: signs each request in the device's own time, which is read first and needs no sign-in. */
export class OnvifSession {
  private offsetMs: number | null = null
  constructor(readonly options: SessionOptions) {}

  /** Body of the answer. @throws SoapFault, MalformedError, UnreachableError */
  async call(
    service: ServicePrefix,
    body: Markup,
    extra: { path?: string; timeoutMs?: number; open?: boolean } = {},
  ): Promise<Element> {
    const { secret, clock } = this.options
    if (secret && !extra.open && this.offsetMs === null) await this.time()
    const token =
      secret && !extra.open
        ? makeToken(secret.user, secret.password, clock.now() + (this.offsetMs ?? 0), randomBytes(16))
        : undefined
    return openEnvelope(
      (await this.post(extra.path ?? servicePaths[service], envelope(body, token), extra.timeoutMs)).text,
    ).body
  }

  async time(): Promise<DeviceTime & { offsetMs: number; roundTripMs: number }> {
    const { clock } = this.options
    const before = clock.now()
    const body = await this.call('tds', el('tds:GetSystemDateAndTime'), { open: true })
    const after = clock.now()
    const time = deviceTime.read(body)
    this.offsetMs = time.utcMs - (before + after) / 2
    return { ...time, offsetMs: this.offsetMs, roundTripMs: after - before }
  }

  private async post(path: string, text: string, timeoutMs = this.options.timeoutMs ?? 8000) {
    const { dialer, address, port, clock, signal } = this.options
    // Time-outs follow the clock's factor, but never fall under a second of this computer's own time.
    const answer = await dialer.post(address, port, path, text, {
      timeoutMs: Math.max(1500, timeoutMs / clock.factor),
      ...(signal ? { signal } : {}),
    })
    if (!answer.text) throw new MalformedError(`The device answered nothing (HTTP ${answer.status}).`)
    return answer
  }
}
