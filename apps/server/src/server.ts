import { setMaxListeners } from 'node:events'
import type { Server } from 'node:http'
import { randomBytes, randomInt } from 'node:crypto'
import { pino } from 'pino'
import { publicKeyOf } from '@rauta/core/chain'
import { makeDialer, Protocols } from '@rauta/drivers'
import type { Clock, NetTable } from '@rauta/protocols'
import { JobLog } from './changes/log'
import type { Context } from './context'
import { makeApp } from './http'
import { Photos } from './files/photos'
import type { LanFacts } from './lan/facts'
import type { Lan, LanOptions } from './lan/lan'
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

export interface ServerOptions {
  dataFolder: string | null
  keyFile: string
  port: number
  clock: Clock
  table: NetTable | null
  webFolder: string | null
  rigPage: string | null
  logLevel: string
  /** What devices may speak; all that this version knows where it is not said. */
  protocols?: Protocols
  /** Serves the local network too, over HTTPS. */ lan?: LanOptions
}
export interface Running {
  port: number
  context: Context
  lan: LanFacts | null
  /** What the first account needs, where this server is open to a network and has no account yet. */ firstCode:
    string | null
  close(): Promise<void>
}

const job = 'job-1'
const signingKey = 'job/signing-key'

/** Starts everything; resolves when requests are answered. @throws StartError */
export async function startServer(options: ServerOptions): Promise<Running> {
  const store = await openStore(options.dataFolder)
  const vault = new Vault(store.db, job, sealingKey(options.keyFile))
  let chainKey = await vault.get(signingKey).catch(() => {
    throw new StartError(
      `The key in ${options.keyFile} does not open this store’s secrets. Put the right key file back.`,
    )
  })
  if (!chainKey) await vault.put(signingKey, (chainKey = randomBytes(32).toString('hex')))
  const ending = new AbortController()
  setMaxListeners(0, ending.signal) // every request under way listens to it
  const logger = pino({ level: options.logLevel })
  const log = await JobLog.open(store.db, job, options.clock, chainKey)
  for (const { says } of log.aside) logger.error(`${says} It is left out of the job.`)
  const stream = new LiveStream(log)
  const context: Context = {
    log,
    vault,
    clock: options.clock,
    dialer: makeDialer(options.table),
    protocols: options.protocols ?? new Protocols(),
    logger,
    ending: ending.signal,
    loadProgress: (id, progress) => stream.load(id, progress),
  }
  const watcher = new Watcher(context)
  const claims = new ClaimRunner(context)
  const loads = new LoadEngine(context, watcher)
  const subscriber = new Subscriber(context, watcher)
  new Judging(context)
  const accounts = new Accounts(store.db, options.clock)
  const publicKey = publicKeyOf(chainKey)
  // On a network whoever comes first could make themselves lead: the code stands in the terminal only.
  const firstCode = options.lan && (await accounts.none()) ? String(randomInt(0, 1e8)).padStart(8, '0') : null
  let lan: Lan | null = null
  const app = makeApp({
    context,
    accounts,
    stream,
    publicKey,
    rigPage: options.rigPage,
    webFolder: options.webFolder,
    firstCode,
    photos: new Photos(store.db, job),
    lan: () => lan?.facts() ?? null,
  })
  const server = await listenOn(app.listen(options.port, '127.0.0.1'), options.port).catch(async (error: unknown) => {
    stream.close()
    await store.close()
    throw error
  })
  // Certificates take their time to load, and most starts need none.
  if (options.lan)
    lan = await (
      await import('./lan/lan')
    )
      .openLan(app, context, publicKey, options.lan)
      .catch(async (error: unknown) => {
        stream.close()
        server.close()
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
    port: typeof at === 'object' && at ? at.port : options.port,
    context,
    lan: lan?.facts() ?? null,
    firstCode,
    async close() {
      ending.abort()
      stream.close()
      await lan?.close()
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
    server.once('error', (error: { code?: string; message: string }) =>
      reject(
        new StartError(
          error.code === 'EADDRINUSE'
            ? `Port ${port} is in use. Stop what uses it, or choose another with PORT.`
            : `Port ${port} cannot be used: ${error.message}`,
        ),
      ),
    )
  })
}
