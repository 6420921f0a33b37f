import { clockFrom, type NetTable } from '@rauta/protocols'
import { servePage } from './page/server'
import { Rig } from './site/rig'

/** The rig as a process of its own: `RAUTA_NET`, `RAUTA_CLOCK`, `RIG_SITE`, `RIG_MEMORY`, `RIG_PORT`. */
const env = process.env
const rig = new Rig({
  clock: clockFrom(env['RAUTA_CLOCK']),
  table: JSON.parse(env['RAUTA_NET'] ?? '{}') as NetTable,
  siteFile: env['RIG_SITE'] ?? '',
  memoryFolder: env['RIG_MEMORY'] ?? null,
})
await rig.start()
const server = await servePage(rig, Number(env['RIG_PORT'] ?? 0))
const at = server.address()
console.log(JSON.stringify({ rig: typeof at === 'object' && at ? at.port : 0 }))
const end = () => {
  void rig.stop().then(() => {
    server.close()
    server.closeAllConnections()
    process.exit(0)
  })
}
process.on('SIGINT', end)
process.on('SIGTERM', end)
process.on('disconnect', end)
