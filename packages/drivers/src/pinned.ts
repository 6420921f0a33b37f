import { createHash } from 'node:crypto'
import { Agent } from 'node:https'
import type { Duplex } from 'node:stream'
import { connect, type ConnectionOptions, type TLSSocket } from 'node:tls'
import { DeviceError } from './errors'

/** A device vouches for itself: no authority signs it, and its name says nothing. What counts is that it is the same one as at the taking. */
const fromItself: ConnectionOptions = { rejectUnauthorized: false, servername: '' }

/** SHA-256 of what a device shows, hex; empty where it shows nothing. */
const shownBy = (socket: TLSSocket): string => {
  const { raw } = socket.getPeerCertificate() as { raw?: Buffer }
  return raw ? createHash('sha256').update(raw).digest('hex') : ''
}

/** Connections to the one device that has this certificate: to any other nothing is sent, since a connection is handed over only after it was looked at. */
export class PinnedAgent extends Agent {
  constructor(private readonly fingerprint: string) {
    // A session that is taken up again shows no certificate.
    super({ keepAlive: true, maxCachedSessions: 0 })
  }

  override createConnection(
    options: ConnectionOptions,
    callback?: (error: Error | null, stream: Duplex) => void,
  ): Duplex | null | undefined {
    const socket = connect({ ...options, ...fromItself }, () => {
      if (shownBy(socket) === this.fingerprint) {
        callback?.(null, socket)
        return
      }
      socket.destroy()
      callback?.(
        new DeviceError(
          'another',
          `Somebody else answers at ${String(options.host)}: its certificate is not the one that was there when the device was taken into service. Nothing was sent. If the device was reset or replaced, take it into service again.`,
        ),
        socket,
      )
    })
    socket.once('error', (error) => callback?.(error, socket))
    return undefined
  }
}

/** One agent for each certificate: its connections serve many requests. */
export class PinnedAgents {
  private readonly agents = new Map<string, PinnedAgent>()
  of(fingerprint: string): PinnedAgent {
    const kept = this.agents.get(fingerprint) ?? new PinnedAgent(fingerprint)
    this.agents.set(fingerprint, kept)
    return kept
  }
}

/** Looks at the certificate of whoever listens there. @throws DeviceError */
export function certificateAt(host: string, port: number, timeoutMs: number, signal?: AbortSignal): Promise<string> {
  return new Promise((resolve, reject) => {
    const socket = connect({ host, port, ...fromItself, timeout: timeoutMs }, () => {
      const shown = shownBy(socket)
      socket.destroy()
      if (shown) resolve(shown)
      else reject(new DeviceError('malformed', 'It shows no certificate.'))
    })
    const fail = (code: 'silent' | 'connectionRefused' | 'stopped') => () => {
      socket.destroy()
      reject(new DeviceError(code, `Nothing answers over HTTPS at port ${port}.`))
    }
    socket.once('timeout', fail('silent'))
    socket.once('error', fail('connectionRefused'))
    signal?.addEventListener('abort', fail('stopped'), { once: true })
  })
}
