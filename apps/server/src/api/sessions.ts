import type { CookieOptions, Request, Response } from 'express'
import { answers, bodies, type Role } from '@rauta/contracts'
import { jobOf, type SiteNetwork } from '@rauta/core'
import { v7 } from 'uuid'
import type { JobLog } from '../changes/log'
import type { LiveStream } from '../live/stream'
import { weakness, type Accounts } from '../security/accounts'
import { sameSecret } from '../security/sameSecret'
import { everyone, HttpProblem, type Route } from './route'

/** Cookies know no ports: two servers on one computer would sign each other's people out. */
const cookieName = (request: Request): string => `rauta_session_${request.socket.localPort ?? 0}`
const cookie: CookieOptions = { httpOnly: true, sameSite: 'strict', path: '/', maxAge: 12 * 3600_000 }

export function tokenOf(request: Request): string | null {
  const match = new RegExp(`(?:^|;\\s*)${cookieName(request)}=([^;]+)`).exec(request.headers.cookie ?? '')
  return match?.[1] ?? null
}

interface SessionParts {
  accounts: Accounts
  stream: LiveStream
  log: JobLog
  publicKey: string
  rigPage: string | null
  /** Asked for with the first account, where others could come before. */ firstCode: string | null
}

/** Signing in and out, the first use, and the accounts. */
export function sessionRoutes({ accounts, stream, log, publicKey, rigPage, firstCode }: SessionParts): Route[] {
  let beginning = false
  const begunAlready = () => new HttpProblem(409, 'Done already', 'The first account was made already. Sign in.')
  async function begin(request: Request, response: Response): Promise<{ says: string }> {
    const { name, password, code, job } = request.body as {
      name: string
      password: string
      code?: string
      job: { name: string; client: string; site: string; zone: string; network: SiteNetwork }
    }
    if (!(await accounts.none())) throw begunAlready()
    if (firstCode !== null && !sameSecret((code ?? '').replaceAll(' ', ''), firstCode))
      throw new HttpProblem(
        403,
        'The code is missing or wrong',
        'Write the eight digits that stand in the terminal where Rauta was started.',
        'code',
      )
    checkPassword(name, password)
    if (!jobOf(log.facts))
      await log.run({ id: v7(), name: 'job.create', seen: 0, payload: { ...job, publicKey } }, { name, role: 'lead' })
    await accounts.add(name, password, 'lead')
    const signed = await accounts.signIn(name, password)
    if (signed) response.cookie(cookieName(request), signed.token, { ...cookie, secure: request.secure })
    return { says: `${job.name} is begun.` }
  }
  return [
    {
      method: 'get',
      path: '/me',
      says: 'Who is signed in; `new` before the first account',
      roles: 'anyone',
      answer: answers.me,
      async handle(request) {
        const token = tokenOf(request)
        const account = token ? await accounts.bySession(token) : null
        if (account) return { state: 'in', ...account, ...(rigPage ? { rigPage } : {}) }
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
        const signed = await accounts.signIn(name, password)
        if (!signed) throw new HttpProblem(401, 'Not signed in', 'Name or password is wrong.')
        response.cookie(cookieName(request), signed.token, { ...cookie, secure: request.secure })
        return { says: `Signed in as ${signed.account.name}.` }
      },
    },
    {
      method: 'post',
      path: '/sign-out',
      littleRoom: true,
      says: 'Signs out',
      roles: 'anyone',
      answer: answers.ok,
      async handle(request, response) {
        const token = tokenOf(request)
        if (token) await accounts.signOut(token)
        response.clearCookie(cookieName(request), { path: '/' })
        return { says: 'Signed out.' }
      },
    },
    {
      method: 'get',
      path: '/accounts',
      says: 'Who may sign in',
      roles: everyone,
      answer: answers.accounts,
      handle: () => accounts.list(),
    },
    {
      method: 'post',
      path: '/accounts',
      says: 'Adds an account',
      roles: ['lead'],
      body: bodies.account,
      answer: answers.ok,
      async handle(request) {
        const { name, password, role } = request.body as {
          name: string
          password: string
          role: 'lead' | 'engineer' | 'witness' | 'viewer'
        }
        checkPassword(name, password)
        if (!(await accounts.add(name, password, role)))
          throw new HttpProblem(409, 'Refused', `There is an account called ${name} already.`, 'name')
        return { says: `${name} may sign in as ${role}.` }
      },
    },
    {
      method: 'post',
      path: '/accounts/:name/role',
      says: 'Gives an account another role',
      roles: ['lead'],
      body: bodies.role,
      answer: answers.ok,
      async handle(request) {
        const name = String(request.params['name'])
        const { role } = request.body as { role: Role }
        refuse(await accounts.setRole(name, role), name)
        return { says: `${name} may sign in as ${role}.` }
      },
    },
    {
      method: 'post',
      path: '/accounts/:name/password',
      says: 'Gives an account a new password; whoever is signed in with it is signed out',
      roles: ['lead'],
      body: bodies.newPassword,
      answer: answers.ok,
      async handle(request) {
        const name = String(request.params['name'])
        const { password } = request.body as { password: string }
        checkPassword(name, password)
        if (!(await accounts.setPassword(name, password))) refuse('unknown', name)
        stream.endFor(name)
        return { says: `${name} signs in with the new password from now on.` }
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
        if (!(await accounts.isPassword(name, old)))
          throw new HttpProblem(422, 'Not as it should be', 'The password until now is another one.', 'old')
        checkPassword(name, password)
        await accounts.setPassword(name, password, tokenOf(request))
        return { says: 'Your password is changed. Other phones with the old one are signed out.' }
      },
    },
    {
      method: 'post',
      path: '/accounts/:name/end',
      says: 'Ends an account; what was recorded with it stays',
      roles: ['lead'],
      answer: answers.ok,
      async handle(request, _response, account) {
        const name = String(request.params['name'])
        if (name === account.name)
          throw new HttpProblem(409, 'Refused', 'Nobody ends their own account. Let another lead do it.')
        refuse(await accounts.end(name), name)
        stream.endFor(name)
        return { says: `${name} can no longer sign in. What ${name} recorded stays.` }
      },
    },
  ]
}

/** @throws HttpProblem for a password that is too easily guessed */
function checkPassword(name: string, password: string): void {
  const weak = weakness(name, password)
  if (weak) throw new HttpProblem(422, 'Not as it should be', weak, 'password')
}

/** @throws HttpProblem where an account could not be altered */
function refuse(outcome: 'set' | 'ended' | 'unknown' | 'last lead', name: string): void {
  if (outcome === 'unknown') throw new HttpProblem(404, 'Not found', `There is no account ${name}.`)
  if (outcome === 'last lead')
    throw new HttpProblem(409, 'Refused', `${name} is the only lead. Make somebody else a lead first.`)
}
