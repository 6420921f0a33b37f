import { PaperError } from '@rauta/papers'
import { crafts, type CraftName } from './crafts'

/** What a worker is told, and what it tells: one piece of work at a time, by its number. */
export type ToWorker = { id: number; craft: CraftName; input: unknown } | { id: number; stop: true }
export type FromWorker =
  | { id: number; progress: number; says: string }
  | { id: number; output: unknown }
  | { id: number; says: string; refused: boolean }

const stopped = new Set<number>()
const tell = (message: FromWorker) => process.send?.(message)

process.on('message', (message: ToWorker) => {
  const { id } = message
  if ('stop' in message) {
    stopped.add(id)
    return
  }
  const craft = crafts[message.craft] as (input: unknown, tools: unknown) => unknown
  const tools = {
    progress: (done: number, says: string) => tell({ id, progress: done, says }),
    stopped: () => stopped.has(id),
  }
  void (async () => {
    try {
      tell({ id, output: await craft(message.input, tools) })
    } catch (error) {
      tell({ id, says: (error as Error).message, refused: error instanceof PaperError })
    }
  })()
})
process.on('disconnect', () => process.exit(0))
