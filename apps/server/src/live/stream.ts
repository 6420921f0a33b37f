import type { Request, Response } from 'express'
import type { LoadProgress } from '@rauta/contracts'
import type { JobLog } from '../changes/log'

const heartbeatMs = 20_000
const loadLine = (progress: LoadProgress): string => `event: load\ndata: ${JSON.stringify(progress)}\n\n`

/** Tells clients each new revision as server-sent events; they fetch what came after their own. */
export class LiveStream {
  private readonly clients = new Set<Response>()
  /** How far the loads are that are under way: told as it happens, and kept out of the log. */
  private readonly loads = new Map<string, LoadProgress>()
  constructor(private readonly log: JobLog) {
    log.onCommit((entry) => this.tell(`event: rev\ndata: ${entry.rev}\n\n`))
    setInterval(() => this.tell(': still here\n\n'), heartbeatMs).unref()
  }

  join(_request: Request, response: Response): void {
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      connection: 'keep-alive',
      'x-accel-buffering': 'no',
    })
    response.write(`retry: 1500\nevent: rev\ndata: ${this.log.facts.rev}\n\n`)
    for (const progress of this.loads.values()) response.write(loadLine(progress))
    this.clients.add(response)
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
    for (const client of this.clients) client.write(text)
  }

  close(): void {
    for (const client of this.clients) client.end()
    this.clients.clear()
  }
}
