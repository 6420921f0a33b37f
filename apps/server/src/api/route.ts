import { Ajv } from 'ajv'
import formats from 'ajv-formats'
import express, { type NextFunction, type Request, type RequestHandler, type Response, type Router } from 'express'
import { complaintField, complaintSays, Misfit, Refusal, roles, type Problem, type Role } from '@rauta/contracts'
import { DeviceError, type DeviceErrorCode } from '@rauta/drivers'
import type { SignedIn } from '../security/accounts'
import { WorkshopError } from '../workshop/workshop'
import { StoreFullError } from '../store/room'

const ajv = new Ajv({ strict: false, allErrors: false })
formats.default(ajv)

/** One route: its schema and its handler. The OpenAPI document is made from these. */
export interface Route {
  method: 'get' | 'post'
  /** Express path under /api/v1. */
  path: string
  says: string
  /** Who may; `anyone` needs no sign-in. */
  roles: readonly Role[] | 'anyone'
  body?: object
  /** Is done even where the disk is full. */
  littleRoom?: true
  /** The body is taken as bytes, so many at most. */
  raw?: number
  answer: object | { media: string }
  /** What is noted of it when it was done: what somebody took away. */
  takes?: (request: Request) => string
  /** @param account of whoever is signed in; its session is empty where nobody is */
  handle(request: Request, response: Response, account: SignedIn): Promise<unknown>
}

export class HttpProblem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly says: string,
    readonly field?: string,
  ) {
    super(says)
  }
}

export const everyone: readonly Role[] = roles

/** Most records of a list that grows, in one answer. */
export const pageMost = 100

/** A whole number of the query, or what stands where none is given. @throws HttpProblem */
export function wholeNumber(request: Request, name: string, otherwise: number): number {
  const given = request.query[name]
  const value = given === undefined ? otherwise : Number(given === '' ? NaN : given)
  if (!Number.isSafeInteger(value) || value < 0)
    throw new HttpProblem(422, 'Not as it should be', `\`${name}\` must be a whole number, 0 or more.`, name)
  return value
}

/** Puts routes on a router, checking bodies and answers against their schemas. */
export function mount(
  router: Router,
  routes: readonly Route[],
  accountOf: (request: Request) => Promise<SignedIn | null>,
  /** Notes what somebody took away. */
  note: (says: string, by: string) => void,
  /** Throws where nothing can be written now. */
  room: () => void = () => undefined,
): void {
  for (const route of routes) {
    const body = route.body ? ajv.compile(route.body) : null
    const answer = 'media' in route.answer ? null : ajv.compile(route.answer)
    const accounts = new WeakMap<Request, SignedIn | null>()
    router[route.method](
      route.path,
      // Nobody's bytes are read before it is known whose they are.
      (request, _response, next) => {
        void (async () => {
          const account = await accountOf(request)
          if (route.roles !== 'anyone') {
            if (!account) throw new HttpProblem(401, 'Not signed in', 'Sign in first; what you typed is still here.')
            if (!route.roles.includes(account.role))
              throw new HttpProblem(403, 'Not allowed', `A ${account.role} may not do this.`)
          }
          accounts.set(request, account)
          next()
        })().catch(next)
      },
      ...(route.method === 'post' ? [inFlight(route), bodyOf(route)] : []),
      (request, response, next) => {
        void (async () => {
          const account = accounts.get(request) ?? null
          if (body && !body(request.body)) {
            const error = body.errors?.[0]
            throw new HttpProblem(
              422,
              'Not as it should be',
              error ? complaintSays(error) : 'The request is not right.',
              (error && complaintField(error)) || undefined,
            )
          }
          if (route.method === 'post' && !route.littleRoom) room()
          const result = await route.handle(request, response, account ?? { name: '', role: 'viewer', session: '' })
          if (route.takes) note(route.takes(request), account?.name ?? '')
          if (response.headersSent || result === undefined) return
          if (answer && !answer(result))
            throw new Error(`${route.path} answers what its schema does not allow: ${ajv.errorsText(answer.errors)}`)
          response.json(result)
        })().catch(next)
      },
    )
  }
}

const mostJson = 2_000_000
/** Bytes of all bodies that are being read at one time, at most: two of the largest files and what comes beside them. */
const mostInFlight = 80_000_000
let inFlightB = 0

const bodyOf = (route: Route): RequestHandler =>
  route.raw
    ? express.raw({ type: '*/*', limit: route.raw })
    : express.json({
        limit: mostJson,
        type: (request) => request.headers['content-type']?.startsWith('application/json') ?? false,
      })

/** Refuses a body that is too large before it is read, and one for which there is no room beside those under way. */
function inFlight(route: Route): RequestHandler {
  const most = route.raw ?? mostJson
  return (request, response, next) => {
    const told = Number(request.headers['content-length'] ?? most)
    if (!(told <= most)) {
      next(Object.assign(new Error('too large'), { type: 'entity.too.large' }))
      return
    }
    if (inFlightB + told > mostInFlight) {
      next(
        new HttpProblem(
          503,
          'Too much at once',
          'Too many files are coming in at once. Wait a moment, then try again.',
        ),
      )
      return
    }
    inFlightB += told
    response.once('close', () => {
      inFlightB -= told
    })
    next()
  }
}

/** Every failure as RFC 9457 problem details, with `says` for people. */
export function problems(log: (error: unknown) => void) {
  return (error: unknown, _request: Request, response: Response, next: NextFunction): void => {
    if (response.headersSent) {
      next(error)
      return
    }
    const problem = problemOf(error)
    if (problem.status >= 500) log(error)
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem))
  }
}

const deviceTitles: Partial<Record<DeviceErrorCode, string>> = {
  notAuthorized: 'The device refused',
  refused: 'The device refused',
  malformed: 'The device answered something else',
  unsupported: 'The device cannot do this',
}

function problemOf(error: unknown): Problem {
  const make = (status: number, title: string, says: string, field?: string): Problem => ({
    type: 'about:blank',
    title,
    status,
    says,
    ...(field ? { field } : {}),
  })
  if (error instanceof HttpProblem) return make(error.status, error.title, error.says, error.field)
  if (error instanceof Misfit) return make(422, 'Not as it should be', error.says, error.field)
  if (error instanceof Refusal) return make(409, 'Refused', error.says, error.field)
  if (error instanceof StoreFullError)
    return make(
      507,
      'The disk is full',
      `The laptop’s disk is full: ${Math.floor(error.freeB / 1e6)} MB are free. Make room there; what you entered is kept and goes on by itself.`,
    )
  if (error instanceof DeviceError) return make(502, deviceTitles[error.code] ?? 'Not reached', error.says)
  if (error instanceof WorkshopError)
    return error.code === 'busy'
      ? make(503, 'Too much at once', 'Too many papers are being made. Wait a moment, then try again.')
      : make(
          500,
          'Not made',
          'This paper could not be made: it took more than a paper may. Try again, or make less of it at once.',
        )
  const http = error as { status?: number; type?: string }
  if (http.type === 'entity.too.large')
    return make(413, 'Too large', 'This is too large: a file may have 30 MB at most, any other request 2 MB.')
  if (http.type === 'entity.parse.failed') return make(400, 'Not JSON', 'The request is not JSON.')
  return make(
    500,
    'Something went wrong here',
    'Something went wrong in the server. What you entered is still with you; try again.',
  )
}
