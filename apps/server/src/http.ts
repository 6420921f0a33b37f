import { existsSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'
import { answers } from '@rauta/contracts'
import { accountRoutes } from './api/accounts'
import { jobRoutes } from './api/job'
import { keepRoutes, type Keeping } from './api/keep'
import { keyRoutes } from './api/keys'
import { lanRoutes } from './api/lan'
import { openApi } from './api/openapi'
import { paperRoutes } from './api/papers'
import { photoRoutes } from './api/photos'
import { flowRoutes } from './api/flows'
import { printRoutes } from './api/prints'
import { reachRoutes } from './api/reach'
import { mount, problems, type Route } from './api/route'
import { sessionRoutes, tokenOf } from './api/sessions'
import { Losses } from './changes/losses'
import type { Context } from './context'
import type { Photos } from './files/photos'
import type { LanFacts } from './lan/facts'
import type { LiveStream } from './live/stream'
import type { Accounts } from './security/accounts'
import { ownOrigins } from './security/origins'
import { Tries } from './security/tries'
import { newestOwnBackup } from './store/ownBackups'

export interface AppOptions {
  context: Context
  accounts: Accounts
  stream: LiveStream
  publicKey: string
  rigPage: string | null
  webFolder: string | null
  firstCode: string | null
  photos: Photos
  lan: () => LanFacts | null
  /** Null for a store in memory. */
  keeping: Keeping | null
  keyFile: string
  renewAuthority: () => Promise<LanFacts | null>
}

/** The HTTP interface and the built web application. */
export function makeApp(options: AppOptions): Express {
  const { context, accounts } = options
  const app = express()
  app.disable('x-powered-by')
  // Plain http on loopback: asking browsers to upgrade would break it.
  app.use(
    helmet({
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        directives: {
          'upgrade-insecure-requests': null,
          'script-src': ["'self'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'connect-src': ["'self'"],
          'worker-src': ["'self'", 'blob:'],
          'img-src': ["'self'", 'data:', 'blob:'],
        },
      },
    }),
  )
  app.use(
    compression({
      filter: (request, response) =>
        !(request as express.Request).originalUrl.startsWith('/api/v1/live') && compression.filter(request, response),
    }),
  )
  app.use(ownOrigins(options.lan))
  // Once over HTTPS, always over HTTPS; on loopback there is none.
  app.use((request, response, next) => {
    if (request.secure) response.setHeader('strict-transport-security', `max-age=${180 * 24 * 3600}`)
    next()
  })
  const api = express.Router()
  // What a job holds of people stays in no cache; what may says so itself.
  api.use((_request, response, next) => {
    response.setHeader('cache-control', 'no-store')
    next()
  })
  const health: Route = {
    method: 'get',
    path: '/health',
    says: 'Whether the server is ready',
    roles: 'anyone',
    answer: answers.health,
    async handle() {
      const { room } = context
      return {
        ready: true,
        ...(room ? { freeB: room.freeB(), full: !room.ready() } : {}),
        notices: context.notices.length,
        ...(options.keeping ? { backedUp: await newestOwnBackup(options.keeping.folder) } : {}),
      }
    },
  }
  const losses = new Losses(context.log)
  const routes = [
    health,
    ...sessionRoutes({
      accounts,
      tries: new Tries(),
      stream: options.stream,
      log: context.log,
      publicKey: options.publicKey,
      rigPage: options.rigPage,
      firstCode: options.firstCode,
    }),
    ...accountRoutes(accounts, options.stream, context.log),
    ...lanRoutes(options.lan),
    ...reachRoutes(context),
    ...flowRoutes(context, options.lan),
    ...keyRoutes({ context, keyFile: options.keyFile, renewAuthority: options.renewAuthority }),
    ...jobRoutes(context, { stream: options.stream, accounts, photos: options.photos, losses }),
    ...paperRoutes(context, losses),
    ...printRoutes(context, options.lan),
    ...photoRoutes(options.photos, context),
    ...(options.keeping ? keepRoutes(options.keeping) : []),
  ]
  mount(
    api,
    routes,
    async (request) => {
      const token = tokenOf(request)
      return token ? accounts.bySession(token) : null
    },
    (says, by) => void context.log.note('takenAway', says, by).catch((error: unknown) => context.logger.error(error)),
    () => context.room?.check(),
  )
  app.use('/api/v1', api)
  app.get('/api/openapi.json', (_request, response) => {
    response.json(openApi(routes))
  })
  app.use('/api', (_request, response) => {
    response
      .status(404)
      .type('application/problem+json')
      .send(
        JSON.stringify({
          type: 'about:blank',
          title: 'Not found',
          status: 404,
          says: 'There is nothing at this address.',
        }),
      )
  })
  const web = options.webFolder
  if (web && existsSync(join(web, 'index.html'))) {
    app.use('/_expo', express.static(join(web, '_expo'), { immutable: true, maxAge: '1y' }))
    app.use('/assets', express.static(join(web, 'assets'), { immutable: true, maxAge: '1y' }))
    app.get('/sw.js', (_request, response) => {
      response.setHeader('cache-control', 'no-cache')
      response.sendFile(join(web, 'sw.js'))
    })
    app.use(express.static(web, { index: false, cacheControl: false }))
    app.get('/{*rest}', (_request, response) => {
      response.setHeader('cache-control', 'no-cache')
      response.sendFile(join(web, 'index.html'))
    })
  }
  app.use(problems((error) => context.logger.error(error)))
  return app
}
