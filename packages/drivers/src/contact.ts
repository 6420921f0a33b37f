import { createSocket } from 'node:dgram'
import { connect } from 'node:net'
import { timeAnswer, timeQuestion, type TimeAnswer } from '@rauta/protocols'

/**
 * What came of knocking: somebody took it; somebody said no; nobody said anything in the time given; or this computer knows no way there.
 * A firewall may answer for the device (`refused`) or throw away (`silent`): which of the two stands behind it can't be told from here.
 */
export type Contact = 'open' | 'refused' | 'silent' | 'noWay'
export interface Knock {
  outcome: Contact
  tookMs: number
}

const noWay = new Set(['EHOSTUNREACH', 'ENETUNREACH', 'EHOSTDOWN', 'ENETDOWN', 'EADDRNOTAVAIL', 'EACCES', 'EPERM'])
const contactOf = (error: NodeJS.ErrnoException): Contact => {
  if (error.code === 'ETIMEDOUT') return 'silent'
  return noWay.has(error.code ?? '') ? 'noWay' : 'refused'
}

/** Opens a connection and closes it, with nothing said on it. @throws the signal's reason where it is stopped */
export function knock(host: string, port: number, timeoutMs: number, signal: AbortSignal): Promise<Knock> {
  return new Promise((resolve, reject) => {
    signal.throwIfAborted()
    const from = performance.now()
    const socket = connect({ host, port })
    const stopped = () => {
      socket.destroy()
      reject(signal.reason as Error)
    }
    const end = (outcome: Contact) => {
      signal.removeEventListener('abort', stopped)
      socket.destroy()
      resolve({ outcome, tookMs: performance.now() - from })
    }
    signal.addEventListener('abort', stopped, { once: true })
    socket.setTimeout(timeoutMs, () => end('silent'))
    socket.once('connect', () => end('open'))
    // One that comes after the end is nobody's any more.
    socket.on('error', (error) => end(contactOf(error)))
  })
}

/** Asks a time server. `open` only with an answer that is one to this very question. @throws the signal's reason where it is stopped */
export function knockForTime(
  host: string,
  port: number,
  now: () => number,
  timeoutMs: number,
  signal: AbortSignal,
): Promise<Knock & { time?: TimeAnswer }> {
  return new Promise((resolve, reject) => {
    signal.throwIfAborted()
    const from = performance.now()
    const socket = createSocket('udp4')
    const sentAt = now()
    const question = timeQuestion(sentAt)
    const timer = setTimeout(() => end({ outcome: 'silent' }), timeoutMs)
    const stopped = () => {
      close()
      reject(signal.reason as Error)
    }
    const close = () => {
      clearTimeout(timer)
      signal.removeEventListener('abort', stopped)
      socket.removeAllListeners()
      socket.on('error', () => undefined)
      socket.close()
    }
    const end = (said: { outcome: Contact; time?: TimeAnswer }) => {
      close()
      resolve({ ...said, tookMs: performance.now() - from })
    }
    signal.addEventListener('abort', stopped, { once: true })
    socket.once('error', (error) => end({ outcome: contactOf(error) }))
    socket.on('message', (data) => {
      const time = timeAnswer(question, data, sentAt, now())
      if (time) end({ outcome: 'open', time })
    })
    // Joined to the one address, so that the system tells when nobody listens there, and strangers are not heard.
    socket.connect(port, host, () => socket.send(question))
  })
}
