import {
  answers,
  batchMost,
  bodies,
  everyFitter,
  sheetsFor,
  undoAndRedo,
  type BatchResult,
  type CommandRequest,
  type WaitingFile,
} from '@rauta/contracts'
import { all, jobIdentity, jobOf, Keeper, snapshotOf } from '@rauta/core'
import type { Context } from '../context'
import { recordFile } from '../files/record'
import type { Photos } from '../files/photos'
import type { LiveStream } from '../live/stream'
import { isTrace } from '../changes/entry'
import type { Losses } from '../changes/losses'
import type { Accounts } from '../security/accounts'
import { forPaper } from '../workshop/workshop'
import { orderDoor, type Order } from '../live/orders'
import { attach, fileName } from './attachment'
import { refOf } from './prints'
import { tokenOf } from './sessions'
import { everyone, HttpProblem, pageMost, wholeNumber, type Route } from './route'

/** The job: its facts, its changes, commands, the live stream, and the records of its doors. */
export function jobRoutes(
  context: Context,
  { stream, accounts, photos, losses }: { stream: LiveStream; accounts: Accounts; photos: Photos; losses: Losses },
): Route[] {
  const { log } = context
  const keeper = new Keeper()
  const door = (id: string) => {
    const found = Object.hasOwn(log.facts.door, id) ? log.facts.door[id] : undefined
    if (!found) throw new HttpProblem(404, 'Not found', `There is no door ${id} in this job.`)
    return found
  }
  return [
    {
      method: 'get',
      path: '/facts',
      says: 'Every record as it stands, with the revision',
      roles: everyone,
      answer: answers.facts,
      async handle() {
        keeper.take(log.facts, sheetsFor(log.facts))
        return { ...snapshotOf(log.facts, (id) => keeper.configs(id).wanted), aside: context.notices }
      },
    },
    {
      method: 'get',
      path: '/held',
      says: 'Shares of what devices were last read to hold, whole (`ids`, with commas between them)',
      roles: everyone,
      answer: answers.records,
      async handle(request) {
        const ids = String(request.query['ids'] ?? '').split(',')
        return {
          rev: log.facts.rev,
          records: ids.flatMap((id) =>
            Object.hasOwn(log.facts.heldParts, id) ? [{ kind: 'heldParts', data: log.facts.heldParts[id] }] : [],
          ),
        }
      },
    },
    {
      method: 'get',
      path: '/events',
      says: 'Events received before a moment (`before`, ms since 1970 UTC), newest first, a page of them',
      roles: everyone,
      answer: answers.events,
      async handle(request) {
        const before = wholeNumber(request, 'before', Number.MAX_SAFE_INTEGER)
        return { events: (await log.eventsBetween(0, before, pageMost)).reverse() }
      },
    },
    {
      method: 'get',
      path: '/doors/:id/chain',
      says: 'Records of a door’s chain, newest first, a page of those before number `before`',
      roles: everyone,
      answer: answers.chain,
      async handle(request) {
        const before = wholeNumber(request, 'before', Number.MAX_SAFE_INTEGER)
        return { records: await log.newestOfChain(door(String(request.params['id'])).id, pageMost, before) }
      },
    },
    {
      method: 'get',
      path: '/changes',
      says: 'What came after a revision (`after`), in order',
      roles: everyone,
      answer: answers.changes,
      async handle(request, _response, { role }) {
        const after = wholeNumber(request, 'after', 0)
        const entries = await log.after(after)
        return {
          rev: log.facts.rev,
          job: jobIdentity(jobOf(log.facts)),
          entries: role === 'lead' ? entries : entries.map((e) => (isTrace(e) ? { ...e, by: '', says: '' } : e)),
        }
      },
    },
    {
      method: 'get',
      path: '/plan-edits',
      says: 'What Undo and Redo of the plan would do now',
      roles: everyone,
      answer: answers.planEdits,
      handle: async () => undoAndRedo(await log.planEdits(), log.facts.undone),
    },
    {
      method: 'post',
      path: '/commands',
      says: 'Changes the job; the same id is applied once',
      roles: everyone,
      body: bodies.command,
      answer: answers.command,
      handle: (request, _response, account) => log.run(request.body as CommandRequest, account),
    },
    {
      method: 'post',
      path: '/commands/preview',
      says: 'What a command would cost doors that were signed; nothing of it is kept',
      roles: everyone,
      body: bodies.command,
      answer: answers.losses,
      handle: async (request, _response, account) => ({
        losses: await losses.of(request.body as CommandRequest, account),
      }),
    },
    {
      method: 'post',
      path: '/commands/batch',
      says: 'Many commands in their order, in one transaction; what is refused is told and holds nothing up',
      roles: everyone,
      body: bodies.batch,
      answer: answers.batch,
      async handle(request, _response, account) {
        const results = await log.runAll((request.body as { records: CommandRequest[] }).records, account)
        return { rev: log.facts.rev, results }
      },
    },
    {
      method: 'post',
      path: '/waiting',
      says: 'Brings in records that waited on somebody’s phone, from the file that they were saved to',
      roles: ['lead'],
      body: bodies.waiting,
      answer: answers.batch,
      async handle(request, _response, account) {
        const file = request.body as WaitingFile
        if (file.job !== jobIdentity(jobOf(log.facts)))
          throw new HttpProblem(409, 'Another job', 'This file holds records of another job. Bring it in there.', 'job')
        const author = (await accounts.list()).find((a) => a.name === file.by)
        if (!author)
          throw new HttpProblem(
            409,
            'Nobody by that name',
            `There is no account called ${file.by} here. Add it under Team, then bring the file in.`,
            'by',
          )
        const results: BatchResult[] = []
        for (let i = 0; i < file.records.length; i += batchMost)
          results.push(...(await log.runAll(file.records.slice(i, i + batchMost), author, account.name)))
        return { rev: log.facts.rev, results }
      },
    },
    {
      method: 'get',
      path: '/live',
      says: 'New revisions as server-sent events',
      roles: everyone,
      answer: { media: 'text/event-stream' },
      async handle(request, response, { name, session }) {
        const token = tokenOf(request) ?? ''
        stream.join(response, { name, session, mayListen: async () => !!(await accounts.bySession(token, true)) })
      },
    },
    {
      method: 'post',
      path: '/doors/:id/order',
      says: 'Tells a door to let go, stand open or locked, or go back to its settings; nothing of it is ever queued',
      roles: everyFitter,
      body: bodies.order,
      answer: answers.ok,
      async handle(request, _response, account) {
        const id = String(request.params['id'])
        await orderDoor(context, door(id).id, request.body as Order, account.name)
        return { says: 'Done.' }
      },
    },
    {
      method: 'get',
      path: '/doors/:id/record.json',
      says: 'The door’s record with its chain',
      roles: everyone,
      answer: { media: 'application/json' },
      takes: (request) => `Took the record of ${refOf(log.facts.door, request)} as data`,
      async handle(request, response) {
        const of = door(String(request.params['id']))
        const chain = await log.chain(of.id)
        if (chain.length === 0) throw new HttpProblem(409, 'Nothing yet', `Nothing is recorded of ${of.ref} yet.`)
        const file = log.sealed(recordFile(log.facts, of, chain))
        attach(response, 'application/json', `${fileName(file.door.ref)}-record.json`, JSON.stringify(file, null, 1))
      },
    },
    {
      method: 'get',
      path: '/doors/:id/record.pdf',
      says: 'The door’s record for people',
      roles: everyone,
      answer: { media: 'application/pdf' },
      takes: (request) => `Took the record of ${refOf(log.facts.door, request)} as PDF`,
      async handle(request, response, account) {
        const of = door(String(request.params['id']))
        const taken = all(log.facts, 'photo')
          .filter((p) => p.door === of.id)
          .map((p) => p.id)
        const pdf = await context.workshop.run('record', {
          facts: forPaper(log.facts),
          door: of.id,
          pictures: await photos.among(taken),
          chain: await log.chain(of.id),
          made: { by: account.name, at: context.clock.now() },
        })
        attach(response, 'application/pdf', `${fileName(of.ref)}-record.pdf`, pdf)
      },
    },
  ]
}
