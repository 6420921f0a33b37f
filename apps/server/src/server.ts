import { setMaxListeners } from 'node:events'
import type { Server } from 'node:http'
import { randomBytes, randomInt } from 'node:crypto'
import { pino } from 'pino'
import { jobOf } from '@rauta/core'
import { publicKeyOf } from '@rauta/core/chain'
import { makeDialer, Protocols } from '@rauta/drivers'
import type { Clock, NetTable } from '@rauta/protocols'
import { holdsNatively } from './changes/links'
import { JobLog } from './changes/log'
import type { Context } from './context'
import { makeApp } from './http'
import { Photos } from './files/photos'
import type { LanFacts } from './lan/facts'
import type { Lan, LanOptions } from './lan/lan'
import { Judging } from './live/judging'
import { Deciding } from './live/deciding'
import { Rehearsals } from './live/rehearsals'
import { LiveStream } from './live/stream'
import { Subscriber } from './live/subscriber'
import { LoadEngine } from './loads/engine'
import { ClaimRunner } from './reach/claims'
import { Listening } from './reach/listening'
import { Sparing } from './reach/sparing'
import { Watcher } from './reach/watch'
import { Accounts } from './security/accounts'
import { settleJobKey } from './security/jobKey'
import { openVault } from './security/openVault'
import type { SetAside } from './store/facts'
import { alteredChains } from './store/alteredChains'
import { alteredLog } from './store/mend'
import { keepBackups } from './store/ownBackups'
import { Workshop } from './workshop/workshop'
import { openStore } from './store/open'
import type { RoomLimits } from './store/room'
import { StartError } from './store/startError'

export interface ServerOptions {
  dataFolder: string | null
  keyFile: string
  port: number
  clock: Clock
  table: NetTable | null
  webFolder: string | null
  rigPage: string | null
  logLevel: string
  /** How much of the disk is kept free; as usual where it is not said. */
  room?: RoomLimits
  /** Called when a backup lies ready to take the store’s place: whoever started the server starts it anew. */
  startAnew?: () => void
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
/** Between two looks into the log, ms: what people do goes first. */
const logPauseMs = 100
const chainPauseMs = 20

/** Starts everything; resolves when requests are answered. @throws StartError */
export async function startServer(options: ServerOptions): Promise<Running> {
  const store = await openStore(options.dataFolder, options.room)
  const { vault, chainKey, nextChainKey } = await openVault(store.db, job, options.keyFile)
  const ending = new AbortController()
  setMaxListeners(0, ending.signal) // every request under way listens to it
  const logger = pino({ level: options.logLevel })
  const log = await JobLog.open(store, job, options.clock, chainKey)
  await settleJobKey(log, vault, nextChainKey)
  const notices: SetAside[] = [
    ...log.aside,
    ...(chainKey === null
      ? [
          {
            kind: 'key',
            id: 'missing',
            says: `The key file ${options.keyFile} is missing or is another one: devices cannot be reached and nothing can be recorded or signed. Put it back, then start Rauta again.`,
          },
        ]
      : []),
  ]
  for (const { says } of notices) logger.error(says)
  const stream = new LiveStream(log)
  const context: Context = {
    log,
    vault,
    clock: options.clock,
    dialer: makeDialer(options.table),
    protocols: options.protocols ?? new Protocols(),
    sparing: new Sparing(options.clock),
    logger,
    notices,
    room: store.room,
    workshop: new Workshop(),
    ending: ending.signal,
    listen: () => listening.begin(),
    loadProgress: (id, progress) => stream.load(id, progress),
  }
  const watcher = new Watcher(context)
  const claims = new ClaimRunner(context)
  const listening = new Listening(
    () => context,
    (found) => claims.heard(found),
  )
  const loads = new LoadEngine(context, watcher)
  const deciding = new Deciding(context)
  const subscriber = new Subscriber(context, watcher, deciding)
  new Judging(context)
  new Rehearsals(context, deciding)
  const accounts = new Accounts(store.db, options.clock)
  const publicKey = chainKey === null ? (jobOf(log.facts)?.publicKey ?? '') : publicKeyOf(chainKey)
  // On a network whoever comes first could make themselves lead: the code stands in the terminal only.
  const firstCode = options.lan && (await accounts.none()) ? String(randomInt(0, 1e8)).padStart(8, '0') : null
  let lan: Lan | null = null
  const token = randomBytes(24).toString('base64url')
  const keeping =
    options.dataFolder === null
      ? null
      : { store, folder: options.dataFolder, token, startAnew: options.startAnew ?? (() => undefined) }
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
    keeping,
    keyFile: options.keyFile,
    renewAuthority: () => lan?.renewAuthority() ?? Promise.resolve(null),
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
  listening.resume()
  watcher.start()
  subscriber.start()
  deciding.start()
  // Needed by nobody at once; a long log takes its time.
  const pause = () => options.clock.sleep(logPauseMs, ending.signal)
  const notice = (damage: readonly SetAside[]) => {
    for (const found of damage.filter((d) => !notices.some((n) => n.says === d.says))) {
      logger.error(found.says)
      notices.push(found)
    }
  }
  const lookThrough = async () => {
    notice(await alteredLog(store.db, job, pause))
    notice(
      await alteredChains(
        store.db,
        job,
        () => log.facts,
        holdsNatively,
        () => options.clock.sleep(chainPauseMs, ending.signal),
      ),
    )
  }
  void lookThrough().catch((error: unknown) => {
    if (!ending.signal.aborted) logger.error(error)
  })
  claims.resume()
  loads.resume()
  const at = server.address()
  const port = typeof at === 'object' && at ? at.port : options.port
  store.tell({ port, token })
  if (options.dataFolder !== null)
    keepBackups(
      store,
      options.dataFolder,
      () => log.facts.rev,
      (error) => logger.error(error),
      ending.signal,
    )
  return {
    port,
    context,
    lan: lan?.facts() ?? null,
    firstCode,
    async close() {
      ending.abort()
      context.workshop.close()
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
