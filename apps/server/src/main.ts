import { homedir } from 'node:os'
import { join, resolve } from 'node:path'
import { createHash } from 'node:crypto'
import { fileURLToPath } from 'node:url'
import { clockFrom, type NetTable } from '@rauta/protocols'
import { startServer } from './server'
import { codeForTerminal } from './lan/trust'
import { StartError } from './store/startError'

const env = process.env
const dataFolder = resolve(env['RAUTA_DATA'] ?? join(homedir(), '.local', 'share', 'rauta'))
/** Outside the data folder, so that a copy of the data alone opens no device. */
const keyFile = resolve(
  env['RAUTA_KEY'] ??
    join(homedir(), '.config', 'rauta', `${createHash('sha256').update(dataFolder).digest('hex').slice(0, 12)}.key`),
)

try {
  const running = await startServer({
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
  })
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
