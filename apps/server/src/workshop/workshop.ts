import { fork, type ChildProcess } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Facts } from '@rauta/core'
import type { CraftName, Crafts } from './crafts'
import type { FromWorker, ToWorker } from './worker'

/** Why work was ended from outside. */
export type WorkshopFault = 'memory' | 'time' | 'ended' | 'busy'
export class WorkshopError extends Error {
  constructor(readonly code: WorkshopFault) {
    super(`The work was ended: ${code}.`)
  }
}
/** What the work itself could not do, in words. */
export class WorkError extends Error {
  constructor(
    readonly says: string,
    /** Whether what was brought is to blame. */
    readonly refused: boolean,
  ) {
    super(says)
  }
}

export interface WorkshopLimits {
  /** Of the process, all in all, bytes. */
  memoryB: number
  /** Without a word from the work, ms. */
  silentMs: number
  /** After which a process without work ends, and what it kept with it, ms. */
  idleMs: number
  /** Work that waits for its turn. */
  waiting: number
}
export const usualLimits: WorkshopLimits = { memoryB: 1 << 30, silentMs: 60_000, idleMs: 60_000, waiting: 20 }

const memoryLookMs = 200
const worker = fileURLToPath(new URL('./worker.ts', import.meta.url))

export interface WorkOptions {
  /** Told from time to time; work of many parts says how far it is. */
  onProgress?: (done: number, says: string) => void
  signal?: AbortSignal
}
type Input<C extends CraftName> = Parameters<Crafts[C]>[0]
type Output<C extends CraftName> = Awaited<ReturnType<Crafts[C]>>

interface Work {
  id: number
  craft: CraftName
  input: unknown
  options: WorkOptions
  done(output: unknown): void
  fail(error: Error): void
}

/**
 * A process of its own for what reads files made elsewhere, or draws long papers: one piece of work after the other,
 * with limits on memory and time. What goes beyond them is killed with the process; the server notices nothing of it.
 */
export class Workshop {
  private child: ChildProcess | null = null
  private current: Work | null = null
  private readonly queue: Work[] = []
  private lastId = 0
  private silent: NodeJS.Timeout | undefined
  private idle: NodeJS.Timeout | undefined
  private watch: NodeJS.Timeout | undefined
  /** Why the process ended; one that ends by itself in the middle of work has run out of memory. */
  private fault: WorkshopFault = 'memory'

  constructor(private readonly limits: WorkshopLimits = usualLimits) {}

  /** @throws WorkshopError, WorkError */
  run<C extends CraftName>(craft: C, input: Input<C>, options: WorkOptions = {}): Promise<Output<C>> {
    if (this.queue.length >= this.limits.waiting) return Promise.reject(new WorkshopError('busy'))
    return new Promise((done, fail) => {
      this.queue.push({ id: ++this.lastId, craft, input, options, done: done as Work['done'], fail })
      this.next()
    })
  }

  /** Whether its process is there, with what it keeps. */
  get alive(): boolean {
    return this.child !== null
  }

  /** Ends the process and all that waits for it. */
  close(): void {
    for (const { fail } of this.queue.splice(0)) fail(new WorkshopError('ended'))
    this.kill('ended')
  }

  private next(): void {
    if (this.current) return
    clearTimeout(this.idle)
    const work = this.queue.shift()
    if (!work) {
      this.idle = setTimeout(() => this.kill('ended'), this.limits.idleMs)
      this.idle.unref()
      return
    }
    this.current = work
    const child = (this.child ??= this.begin())
    child.ref()
    this.heard()
    const { id, craft, input, options } = work
    const stop = () => this.tell({ id, stop: true })
    options.signal?.addEventListener('abort', stop, { once: true })
    this.tell({ id, craft, input })
    if (options.signal?.aborted) stop()
  }

  private tell(message: ToWorker): void {
    if (this.child?.connected) this.child.send(message)
  }

  private begin(): ChildProcess {
    const child = fork(worker, [], {
      cwd: dirname(worker),
      execArgv: ['--import', 'tsx', `--max-old-space-size=${Math.floor(this.limits.memoryB / 2 ** 21)}`],
      env: { ...process.env, NODE_OPTIONS: '' },
      serialization: 'advanced',
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    })
    this.fault = 'memory'
    child.on('message', (message: FromWorker) => {
      if (child === this.child) this.take(message)
    })
    child.once('error', () => this.gone(child))
    child.once('exit', () => this.gone(child))
    this.watch = setInterval(() => {
      if (memoryOf(child.pid) > this.limits.memoryB) this.kill('memory')
    }, memoryLookMs)
    this.watch.unref()
    child.channel?.unref()
    return child
  }

  private take(message: FromWorker): void {
    const { current } = this
    if (message.id !== current?.id) return
    this.heard()
    if ('progress' in message) {
      current.options.onProgress?.(message.progress, message.says)
      return
    }
    this.finish()
    if ('output' in message) current.done(message.output)
    else current.fail(new WorkError(message.says, message.refused))
    this.next()
  }

  private heard(): void {
    clearTimeout(this.silent)
    this.silent = setTimeout(() => this.kill('time'), this.limits.silentMs)
    this.silent.unref()
  }

  private finish(): void {
    this.current = null
    clearTimeout(this.silent)
    this.child?.unref()
  }

  private kill(why: WorkshopFault): void {
    this.fault = why
    this.child?.kill('SIGKILL')
  }

  private gone(child: ChildProcess): void {
    if (child !== this.child) return
    this.child = null
    clearInterval(this.watch)
    clearTimeout(this.idle)
    const { current } = this
    this.finish()
    current?.fail(new WorkshopError(this.fault))
    if (this.queue.length) this.next()
  }
}

/** Resident memory of a process, bytes; 0 where the system does not tell. */
function memoryOf(pid: number | undefined): number {
  try {
    return Number(readFileSync(`/proc/${pid}/statm`, 'utf8').split(' ')[1] ?? 0) * 4096
  } catch {
    return 0
  }
}

/** The facts without what no paper speaks of: what devices hold, and what they told. */
export const forPaper = (facts: Facts): Facts => ({ ...facts, heldParts: {}, event: {} })
