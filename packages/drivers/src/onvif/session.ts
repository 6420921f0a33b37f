import { randomBytes } from 'node:crypto'
import {
  deviceTime,
  el,
  envelope,
  makeToken,
  MalformedError,
  openEnvelope,
  servicePaths,
  SoapFault,
  type Element,
  type Markup,
  type ServicePrefix,
} from '@rauta/protocols'
import type { DeviceClock, SessionOptions } from '../driver'
import { DeviceError, hasCode } from '../errors'

/** How often an answer that is lost is asked for. */
const mostTries = 5
/** How long an answer is waited for, ms. */
const usualTimeoutMs = 8000

interface CallExtra {
  path?: string
  timeoutMs?: number
  /** Needs no sign-in. */
  open?: boolean
  /** Is not asked twice: what it did the first time would be lost, or is done to somebody else by then. */
  once?: true
}

/** One way to talk to a device: signs each request in the device's own time, which is read first and needs no sign-in. */
export class OnvifSession {
  private offsetMs: number | null = null
  constructor(readonly options: SessionOptions) {}

  /** Body of the answer. One that is lost on its way is asked for again, under a new nonce: a device takes none twice. @throws DeviceError */
  async call(service: ServicePrefix, body: Markup, extra: CallExtra = {}): Promise<Element> {
    const { secret, signal } = this.options
    if (secret && !extra.open && this.offsetMs === null) await this.time()
    for (let attempt = 1; ; attempt++) {
      try {
        return await this.ask(service, body, extra)
      } catch (error) {
        if (!hasCode(error, 'lost') || extra.once || attempt >= mostTries || signal?.aborted) throw error
      }
    }
  }

  private async ask(service: ServicePrefix, body: Markup, extra: CallExtra): Promise<Element> {
    const { secret, clock } = this.options
    const token =
      secret && !extra.open
        ? makeToken(secret.user, secret.password, clock.now() + (this.offsetMs ?? 0), randomBytes(16))
        : undefined
    const { text } = await this.post(extra.path ?? servicePaths[service], envelope(body, token), extra.timeoutMs)
    return understood(() => openEnvelope(text).body)
  }

  async time(): Promise<DeviceClock> {
    const { clock } = this.options
    const before = clock.now()
    const body = await this.call('tds', el('tds:GetSystemDateAndTime'), { open: true })
    const after = clock.now()
    const time = understood(() => deviceTime.read(body))
    this.offsetMs = time.utcMs - (before + after) / 2
    return { utcMs: time.utcMs, zone: time.zone, offsetMs: this.offsetMs, roundTripMs: after - before }
  }

  /** Time-outs follow the clock's factor, but never fall under a second of this computer's own time. */
  patienceMs(timeoutMs = this.options.timeoutMs ?? usualTimeoutMs): number {
    return Math.max(1500, timeoutMs / this.options.clock.factor)
  }

  private async post(path: string, text: string, timeoutMs?: number) {
    const { dialer, address, port, secured, signal } = this.options
    const answer = await dialer.post(address, secured?.port ?? port, path, text, {
      timeoutMs: this.patienceMs(timeoutMs),
      fresh: true,
      ...(secured ? { fingerprint: secured.fingerprint } : {}),
      ...(signal ? { signal } : {}),
    })
    if (!answer.text) throw new DeviceError('malformed', `The device answered nothing (HTTP ${answer.status}).`)
    return answer
  }
}

/** A fault or a misshapen answer as the drivers' one error. */
export function understood<T>(read: () => T): T {
  try {
    return read()
  } catch (error) {
    if (error instanceof SoapFault) throw new FaultError(error)
    if (error instanceof MalformedError) throw new DeviceError('malformed', error.says, { cause: error })
    throw error
  }
}

/** A SOAP fault; its subcode stays within this folder. */
export class FaultError extends DeviceError {
  readonly subcode: string
  constructor(fault: SoapFault) {
    super(fault.notAuthorized ? 'notAuthorized' : 'refused', fault.reason, { cause: fault })
    this.subcode = fault.subcode
  }
}
