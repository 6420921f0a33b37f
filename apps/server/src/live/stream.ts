import type { Request, Response } from 'express'
import type { JobLog } from '../changes/log'

const heartbeatMs = 20_000

/** Tells clients each new revision as server-sent events; they fetch what came after their own. */
export class LiveStream {
  private readonly clients = new Set<Response>()
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
    this.clients.add(response)
    response.on('close', () => this.clients.delete(response))
  }

  private tell(text: string): void {
    for (const client of this.clients) client.write(text)
  }

  close(): void {
    for (const client of this.clients) client.end()
    this.clients.clear()
  }
}
