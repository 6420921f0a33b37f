import { v7 } from './uuid'
import type { CommandAnswer } from '@rauta/contracts'

interface Snapshot {
  rev: number
  records: { kind: string; data: { id: string } & Record<string, unknown> }[]
}

/** The server as anybody sees it: the demo is made through the same interface that people use. */
export class Client {
  private cookie = ''
  private seen = 0
  constructor(readonly base: string) {}

  async post<T>(path: string, body: unknown): Promise<T> {
    const response = await fetch(`${this.base}/api/v1${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: this.cookie },
      body: JSON.stringify(body),
    })
    const set = response.headers.get('set-cookie')
    if (set) this.cookie = set.split(';')[0] ?? ''
    const answer = (await response.json()) as T & { says?: string }
    if (!response.ok) throw new Error(`${path}: ${answer.says ?? response.status}`)
    return answer
  }

  async get<T>(path: string): Promise<T> {
    const response = await fetch(`${this.base}/api/v1${path}`, { headers: { cookie: this.cookie } })
    if (!response.ok) throw new Error(`${path}: HTTP ${response.status}`)
    return (await response.json()) as T
  }

  async command(name: string, payload: Record<string, unknown>): Promise<CommandAnswer> {
    const answer = await this.post<CommandAnswer>('/commands', { id: v7(), name, payload, seen: this.seen })
    this.seen = Math.max(this.seen, answer.rev)
    return answer
  }

  /** Records of one kind by id. */
  async records<T>(kind: string): Promise<Record<string, T>> {
    const snapshot = await this.get<Snapshot>('/facts')
    this.seen = snapshot.rev
    return Object.fromEntries(
      snapshot.records.filter((r) => r.kind === kind).map((r) => [r.data.id, r.data as unknown as T]),
    )
  }

  /** Waits until a look at the facts gives something; `limitMs` of real time. */
  async until<T>(what: string, look: () => Promise<T | null | undefined | false>, limitMs = 20_000): Promise<T> {
    const end = Date.now() + limitMs
    for (;;) {
      const found = await look()
      if (found) return found
      if (Date.now() > end) throw new Error(`Waited ${limitMs / 1000} s in vain for: ${what}`)
      await new Promise((done) => setTimeout(done, 40))
    }
  }
}
