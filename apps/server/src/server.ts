import { setMaxListeners } from 'node:events'
import type { Server } from 'node:http'
import { randomBytes } from 'node:crypto'
import { pino } from 'pino'
import { publicKeyOf } from '@rauta/core/chain'
import { makeDialer } from '@rauta/drivers'
import type { Clock, NetTable } from '@rauta/protocols'
import { JobLog } from './changes/log'
import type { Context } from './context'
import { makeApp } from './http'
import { Judging } from './live/judging'
import { LiveStream } from './live/stream'
import { Subscriber } from './live/subscriber'
import { LoadEngine } from './loads/engine'
import { ClaimRunner } from './reach/claims'
import { listen } from './reach/search'
import { Watcher } from './reach/watch'
import { Accounts } from './security/accounts'
import { sealingKey, Vault } from './security/vault'
import { openStore, StartError } from './store/open'

export interface ServerOptions { dataFolder: string | null; keyFile: string; port: number; clock: Clock; table: NetTable | null; webFolder: string | null; rigPage: string | null; logLevel: string }
export interface Running { port: number; context: Context; close(): Promise<void> }

const job = 'job-1'
const signingKey = 'job/signing-key'

/** Starts everything; resolves when requests are answered. @throws StartError */
export async function startServer(options: ServerOptions): Promise<Running> {
  const store = await openStore(options.dataFolder)
  const vault = new Vault(store.db, job, sealingKey(options.keyFile))
  let chainKey = await vault.get(signingKey).catch(() => { throw new StartError(`The key in ${options.keyFile} does not open this store’s secrets. Put the right key file back.`) })
  if (!chainKey) await vault.put(signingKey, (chainKey = randomBytes(32).toString('hex')))
  const ending = new AbortController()
  setMaxListeners(0, ending.signal) // every request under way listens to it
  const log = await JobLog.open(store.db, job, options.clock, chainKey)
  const context: Context = { log, vault, clock: options.clock, dialer: makeDialer(options.table), logger: pino({ level: options.logLevel }), ending: ending.signal }
  const stream = new LiveStream(log)
  const watcher = new Watcher(context)
  const claims = new ClaimRunner(context)
  const loads = new LoadEngine(context, watcher)
  const subscriber = new Subscriber(context)
  new Judging(context)
  const app = makeApp({ context, accounts: new Accounts(store.db, options.clock), stream, publicKey: publicKeyOf(chainKey), rigPage: options.rigPage, webFolder: options.webFolder })
  const server = await listenOn(app.listen(options.port, '127.0.0.1'), options.port).catch(async (error: unknown) => {
    await store.close()
    throw error
  })
  listen(context, (found) => claims.heard(found))
  watcher.start()
  subscriber.start()
  claims.resume()
  loads.resume()
  const at = server.address()
  return {
    port: typeof at === 'object' && at ? at.port : options.port, context,
    async close() {
      ending.abort()
      stream.close()
      server.close()
      server.closeAllConnections()
      await log.idle()
      await new Promise((done) => setTimeout(done, 50))
      await log.idle()
      await store.close()
    },
  }
}

function listenOn(server: Server, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    server.once('listening', () => resolve(server))
    server.once('error', (error: { code?: string; message: string }) => reject(new StartError(error.code === 'EADDRINUSE' ? `Port ${port} is in use. Stop what uses it, or choose another with PORT.` : `Port ${port} cannot be used: ${error.message}`)))
  })
}
