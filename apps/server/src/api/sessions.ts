import type { CookieOptions, Request, Response } from 'express'
import { answers, bodies } from '@rauta/contracts'
import { jobOf, type SiteNetwork } from '@rauta/core'
import { v7 } from 'uuid'
import type { JobLog } from '../changes/log'
import type { LiveStream } from '../live/stream'
import type { Accounts } from '../security/accounts'
import { sameSecret } from '../security/sameSecret'
import type { Tries } from '../security/tries'
import { checkPassword, noting } from './noting'
import { everyone, HttpProblem, pageMost, wholeNumber, type Route } from './route'

/** Cookies know no ports: two servers on one computer would sign each other's people out. */
const cookieName = (request: Request): string => `rauta_session_${request.socket.localPort ?? 0}`
const cookie: CookieOptions = { httpOnly: true, sameSite: 'strict', path: '/', maxAge: 12 * 3600_000 }

export function tokenOf(request: Request): string | null {
  const match = new RegExp(`(?:^|;\\s*)${cookieName(request)}=([^;]+)`).exec(request.headers.cookie ?? '')
  return match?.[1] ?? null
}

interface SessionParts {
  accounts: Accounts
  tries: Tries
  stream: LiveStream
  log: JobLog
  publicKey: string
  rigPage: string | null
  /** Asked for with the first account, where others could come before. */ firstCode: string | null
}

/** Signing in and out, the first use, and who is signed in where. */
export function sessionRoutes({ accounts, tries, stream, log, publicKey, rigPage, firstCode }: SessionParts): Route[] {
  let beginning = false
  const note = noting(log)

  /** Runs what asks for a password, unless too many were wrong before. @throws HttpProblem */
  async function tried<T>(
    request: Request,
    name: string,
    work: () => Promise<T | null>,
  ): Promise<{ right: T; wrongBefore: number } | null> {
    const address = request.socket.remoteAddress ?? ''
    const waitS = await tries.begin(name, address)
    if (waitS > 0)
      throw new HttpProblem(
        429,
        'Too many tries',
        `Too many wrong tries. Wait ${waitS < 90 ? `${waitS} s` : `${Math.ceil(waitS / 60)} minutes`}, then try again.`,
      )
    const right = await work()
    if (right !== null) return { right, wrongBefore: await tries.right(name, address) }
    const told = tries.wrong(name, address, Date.now())
    if (told !== null)
      await note('wrongPassword', `${countWords(told)} for ${name.slice(0, 80)}, from ${fromOf(request)}`, '')
    return null
  }

  async function begun(request: Request, response: Response, name: string, password: string): Promise<boolean> {
    const from = fromOf(request)
    const tryOnce = await tried(request, name, () => accounts.signIn(name, password, from))
    if (!tryOnce) return false
    const { right: signed, wrongBefore } = tryOnce
    await note(
      'signedIn',
      `Signed in, from ${from}${wrongBefore ? ` after ${countWords(wrongBefore)}` : ''}`,
      signed.account.name,
    )
    response.cookie(cookieName(request), signed.token, { ...cookie, secure: request.secure })
    return true
  }

  const begunAlready = () => new HttpProblem(409, 'Done already', 'The first account was made already. Sign in.')
  async function begin(request: Request, response: Response): Promise<{ says: string }> {
    const { name, password, code, job } = request.body as {
      name: string
      password: string
      code?: string
      job: { name: string; client: string; site: string; zone: string; network: SiteNetwork }
    }
    if (!(await accounts.none())) throw begunAlready()
    const coded = () => firstCode === null || sameSecret((code ?? '').replaceAll(' ', ''), firstCode)
    if (!(await tried(request, 'the first code', async () => (coded() ? true : null))))
      throw new HttpProblem(
        403,
        'The code is missing or wrong',
        'Write the eight digits that stand in the terminal where Rauta was started.',
        'code',
      )
    await checkPassword(name, password)
    if (!jobOf(log.facts))
      await log.run({ id: v7(), name: 'job.create', seen: 0, payload: { ...job, publicKey } }, { name, role: 'lead' })
    await accounts.add(name, password, 'lead')
    await begun(request, response, name, password)
    return { says: `${job.name} is begun.` }
  }
  return [
    {
      method: 'get',
      path: '/me',
      says: 'Who is signed in; `new` before the first account',
      roles: 'anyone',
      answer: answers.me,
      async handle(_request, _response, { name, role, session }) {
        if (session) return { state: 'in', name, role, ...(rigPage ? { rigPage } : {}) }
        return (await accounts.none())
          ? { state: 'new', ...(firstCode === null ? {} : { asksCode: true }) }
          : { state: 'out' }
      },
    },
    {
      method: 'post',
      path: '/first',
      says: 'Makes the lead’s account and the first job, once',
      roles: 'anyone',
      body: bodies.firstUse,
      answer: answers.ok,
      async handle(request, response) {
        // However many ask at the same moment, one of them is first.
        if (beginning) throw begunAlready()
        beginning = true
        try {
          return await begin(request, response)
        } finally {
          beginning = false
        }
      },
    },
    {
      method: 'post',
      path: '/sign-in',
      littleRoom: true,
      says: 'Signs in',
      roles: 'anyone',
      body: bodies.signIn,
      answer: answers.ok,
      async handle(request, response) {
        const { name, password } = request.body as { name: string; password: string }
        if (!(await begun(request, response, name, password)))
          throw new HttpProblem(401, 'Not signed in', 'Name or password is wrong.')
        return { says: `Signed in as ${name}.` }
      },
    },
    {
      method: 'post',
      path: '/sign-out',
      littleRoom: true,
      says: 'Signs out',
      roles: 'anyone',
      answer: answers.ok,
      async handle(request, response, { name, session }) {
        if (session) {
          await accounts.endSession(session)
          stream.endSession(session)
          await note('signedOut', 'Signed out', name)
        }
        response.clearCookie(cookieName(request), { path: '/' })
        return { says: 'Signed out.' }
      },
    },
    {
      method: 'get',
      path: '/sessions',
      says: 'Where one is signed in; for the lead, where everybody is',
      roles: everyone,
      answer: answers.sessions,
      async handle(_request, _response, { name, role, session }) {
        const list = await accounts.sessions(role === 'lead' ? undefined : name)
        return { sessions: list.map((s) => ({ ...s, own: s.id === session })) }
      },
    },
    {
      method: 'post',
      path: '/sessions/:id/end',
      says: 'Signs a phone out; the lead may sign out anybody’s',
      roles: everyone,
      littleRoom: true,
      answer: answers.ok,
      async handle(request, _response, { name, role }) {
        const id = String(request.params['id'])
        const session = (await accounts.sessions()).find((s) => s.id === id)
        if (!session || (role !== 'lead' && session.name !== name))
          throw new HttpProblem(404, 'Not found', 'This phone is signed out already.')
        await accounts.endSession(id)
        stream.endSession(id)
        await note('signedOut', `Signed ${session.name} out, ${session.from}`, name)
        return { says: `${session.name} is signed out there.` }
      },
    },
    {
      method: 'get',
      path: '/trace',
      says: 'Who signed in, mistyped, took papers away, or changed accounts and keys; newest first, a page of what came before revision `before`',
      roles: ['lead'],
      answer: answers.trace,
      async handle(request) {
        return { notes: await log.notes(pageMost, wholeNumber(request, 'before', Number.MAX_SAFE_INTEGER)) }
      },
    },
    {
      method: 'post',
      path: '/me/password',
      says: 'Changes one’s own password; other phones with it are signed out',
      roles: everyone,
      body: bodies.ownPassword,
      answer: answers.ok,
      async handle(request, _response, { name }) {
        const { old, password } = request.body as { old: string; password: string }
        if (!(await tried(request, name, async () => ((await accounts.isPassword(name, old)) ? true : null))))
          throw new HttpProblem(422, 'Not as it should be', 'The password until now is another one.', 'old')
        await checkPassword(name, password)
        const others = (await accounts.sessions(name)).map((s) => s.id)
        await accounts.setPassword(name, password, tokenOf(request))
        const left = new Set((await accounts.sessions(name)).map((s) => s.id))
        for (const session of others) if (!left.has(session)) stream.endSession(session)
        await note('account', 'Changed their own password', name)
        return { says: 'Your password is changed. Other phones with the old one are signed out.' }
      },
    },
  ]
}

const countWords = (wrong: number): string => (wrong === 1 ? 'one wrong password' : `${wrong} wrong passwords`)

const kinds: readonly (readonly [RegExp, string])[] = [
  [/iphone/i, 'iPhone'],
  [/ipad/i, 'iPad'],
  [/android/i, 'Android'],
  [/windows/i, 'Windows'],
  [/mac os/i, 'Mac'],
  [/linux/i, 'Linux'],
]
/** Where a request comes from, for people: the kind of phone or computer as far as it says, and its address. */
function fromOf(request: Request): string {
  const agent = request.headers['user-agent'] ?? ''
  const kind = kinds.find(([pattern]) => pattern.test(agent))?.[1] ?? 'a program'
  return `${kind} at ${(request.socket.remoteAddress ?? 'an unknown address').replace(/^::ffff:/, '')}`
}
