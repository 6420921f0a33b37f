import { fileURLToPath } from 'node:url'
import { clockFrom, type NetTable } from '@rauta/protocols'
import { startServer, type ServerOptions } from './server'
import { dataFolder, keyFile } from './places'
import { codeForTerminal } from './lan/trust'
import { StartError } from './store/startError'

const env = process.env
try {
  const options: ServerOptions = {
    dataFolder,
    keyFile,
    port: Number(env['PORT'] ?? 4380),
    clock: clockFrom(env['RAUTA_CLOCK']),
    table: env['RAUTA_NET'] ? (JSON.parse(env['RAUTA_NET']) as NetTable) : null,
    webFolder: env['RAUTA_WEB'] ?? fileURLToPath(new URL('../../web/dist', import.meta.url)),
    rigPage: env['RAUTA_RIG_PAGE'] ?? null,
    logLevel: env['RAUTA_LOG'] ?? 'warn',
    ...(env['RAUTA_LAN']
      ? {
          lan: {
            address: env['RAUTA_LAN'] === 'all' ? null : env['RAUTA_LAN'],
            port: Number(env['LAN_PORT'] ?? 4443),
            trustPort: Number(env['LAN_TRUST_PORT'] ?? 4388),
            announce: env['LAN_NAME'] !== 'off',
          },
        }
      : {}),
    startAnew: () => void startAnew(),
  }
  let running = await startServer(options)
  /** From what was laid ready: the old server ends before the new one opens the store. */
  async function startAnew(): Promise<void> {
    try {
      await running.close()
      running = await startServer(options)
    } catch (error) {
      console.error(error)
      process.exit(1)
    }
  }
  console.log(
    JSON.stringify({
      server: running.port,
      lan: running.lan,
      firstCode: running.firstCode,
      code: running.lan ? codeForTerminal(running.lan.trust) : null,
    }),
  )
  let ended = false
  const end = () => {
    if (ended) return
    ended = true
    void running.close().then(
      () => process.exit(0),
      () => process.exit(1),
    )
  }
  // Whatever nobody caught is told and ends nothing: doors are being worked at.
  const told = (error: unknown) => {
    running.context.logger.error(error, 'not caught')
  }
  process.on('uncaughtException', told)
  process.on('unhandledRejection', told)
  process.on('SIGINT', end)
  process.on('SIGTERM', end)
  process.on('disconnect', end)
} catch (error) {
  console.error(error instanceof StartError ? error.message : error)
  process.exit(1)
}
