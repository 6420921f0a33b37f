import type { Response } from 'express'
import type { LoadProgress } from '@rauta/contracts'
import type { JobLog } from '../changes/log'

const heartbeatMs = 20_000

/** Who listens, and whether they still may. */
interface Listener {
  name: string
  session: string
  mayListen: () => Promise<boolean>
}
const loadLine = (progress: LoadProgress): string => `event: load\ndata: ${JSON.stringify(progress)}\n\n`

/** Tells clients each new revision as server-sent events; they fetch what came after their own. */
export class LiveStream {
  private readonly clients = new Map<Response, Listener>()
  /** How far the loads are that are under way: told as it happens, and kept out of the log. */
  private readonly loads = new Map<string, LoadProgress>()
  constructor(private readonly log: JobLog) {
    log.onCommit((entry) => this.tell(`event: rev\ndata: ${entry.rev}\n\n`))
    setInterval(() => {
      this.tell(': still here\n\n')
      for (const [client, { mayListen }] of this.clients)
        void mayListen().then(
          (may) => may || this.end(client),
          () => undefined,
        )
    }, heartbeatMs).unref()
  }

  join(response: Response, listener: Listener): void {
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      connection: 'keep-alive',
      'x-accel-buffering': 'no',
    })
    response.write(`retry: 1500\nevent: rev\ndata: ${this.log.facts.rev}\n\n`)
    for (const progress of this.loads.values()) response.write(loadLine(progress))
    this.clients.set(response, listener)
    response.on('close', () => this.clients.delete(response))
  }

  /** @param progress null when the load has ended */
  load(id: string, progress: Omit<LoadProgress, 'id'> | null): void {
    if (progress === null) {
      this.loads.delete(id)
      return
    }
    const now = { id, ...progress }
    this.loads.set(id, now)
    this.tell(loadLine(now))
  }

  private tell(text: string): void {
    for (const client of this.clients.keys()) client.write(text)
  }

  /** Whoever listens with an account that was ended hears no more. */
  endFor(name: string): void {
    for (const [client, who] of this.clients) if (who.name === name) this.end(client)
  }
  endSession(session: string): void {
    for (const [client, who] of this.clients) if (who.session === session) this.end(client)
  }

  private end(client: Response): void {
    this.clients.delete(client)
    client.end()
  }

  close(): void {
    for (const client of this.clients.keys()) client.end()
    this.clients.clear()
  }
}
