import type { Request, Response } from 'express'
import { answers } from '@rauta/contracts'
import type { Context } from '../context'
import { listNames, tableOf, usualOptions, type ListName, type ListOptions } from '../files/listTables'
import { Printing } from '../files/printing'
import type { LanFacts } from '../lan/facts'
import type { Account } from '../security/accounts'
import { forPaper } from '../workshop/workshop'
import { attach, fileName, xlsx } from './attachment'
import { everyone, HttpProblem, type Route } from './route'

/** Sheets and lists on paper: a wire sheet per door, a sheet per controller and cabinet, lists as PDF, CSV and workbook. */
export function printRoutes({ log, clock, workshop }: Context, lan: () => LanFacts | null): Route[] {
  const printing = new Printing(workshop)
  const paper = (request: Request, account: Account) => ({
    facts: forPaper(log.facts),
    origin: originOf(request, lan()),
    made: { by: account.name, at: clock.now() },
  })
  const missing = (what: string) => new HttpProblem(404, 'Not found', `There is no ${what} of that name in this job.`)
  const existing = <T>(table: Readonly<Record<string, T>>, id: unknown, what: string): T => {
    const record = Object.hasOwn(table, String(id)) ? table[String(id)] : undefined
    if (record === undefined) throw missing(what)
    return record
  }
  const pdf = { media: 'application/pdf' }
  const print = (id: unknown) => {
    const found = printing.of(String(id))
    if (!found) throw new HttpProblem(404, 'Not here any more', 'These sheets are not here any more. Make them again.')
    return found
  }
  return [
    {
      method: 'get',
      path: '/doors/:id/wire-sheet.pdf',
      says: 'The wire sheet of a door',
      roles: everyone,
      answer: pdf,
      takes: (request) => `Took the wire sheet of ${refOf(log.facts.door, request)}`,
      async handle(request, response, account) {
        const door = existing(log.facts.door, request.params['id'], 'door')
        attach(
          response,
          'application/pdf',
          `${fileName(door.ref)}-wire.pdf`,
          await workshop.run('wireSheet', { ...paper(request, account), door: door.id }),
        )
      },
    },
    {
      method: 'get',
      path: '/controllers/:id/sheet.pdf',
      says: 'The strip and check-off of a controller',
      roles: everyone,
      answer: pdf,
      takes: (request) => `Took the sheet of ${refOf(log.facts.controller, request)}`,
      async handle(request, response, account) {
        const controller = existing(log.facts.controller, request.params['id'], 'controller')
        attach(
          response,
          'application/pdf',
          `${fileName(controller.ref)}.pdf`,
          await workshop.run('controllerSheet', { ...paper(request, account), controller: controller.id }),
        )
      },
    },
    {
      method: 'get',
      path: '/cabinets/:name/sheet.pdf',
      says: 'Everything in a cabinet',
      roles: everyone,
      answer: pdf,
      takes: (request) => `Took the sheet of ${String(request.params['name'])}`,
      async handle(request, response, account) {
        const name = String(request.params['name'])
        if (!Object.values(log.facts.controller).some((c) => c.cabinet === name)) throw missing('cabinet')
        attach(
          response,
          'application/pdf',
          `${fileName(name)}.pdf`,
          await workshop.run('cabinetSheet', { ...paper(request, account), name }),
        )
      },
    },
    {
      method: 'post',
      path: '/wire-sheets',
      says: 'Begins to make the wire sheets of all doors',
      roles: everyone,
      answer: answers.print,
      handle: async (request, _response, account) =>
        printing.start(log.facts, originOf(request, lan()), account.name, clock.now()),
    },
    {
      method: 'get',
      path: '/wire-sheets/:id',
      says: 'How far the sheets are',
      roles: everyone,
      answer: answers.print,
      handle: async (request) => print(request.params['id']),
    },
    {
      method: 'post',
      path: '/wire-sheets/:id/stop',
      says: 'Stops; what is made stays',
      roles: everyone,
      answer: answers.print,
      async handle(request) {
        print(request.params['id'])
        return printing.stop(String(request.params['id']))
      },
    },
    {
      method: 'get',
      path: '/wire-sheets/:id/file.pdf',
      says: 'The sheets that are made',
      roles: everyone,
      answer: pdf,
      takes: () => 'Took the wire sheets of all doors',
      async handle(request, response) {
        const { id, state } = print(request.params['id'])
        const file = printing.file(id)
        if (!file)
          throw new HttpProblem(
            409,
            'Not ready',
            state === 'failed' ? 'The sheets could not be made.' : 'The sheets are not ready yet.',
          )
        attach(response, 'application/pdf', 'wire-sheets.pdf', file)
      },
    },
    ...listNames.flatMap((which): Route[] =>
      (['pdf', 'csv', 'xlsx'] as const).map((kind): Route => ({
        method: 'get',
        path: `/lists/${which}.${kind}`,
        says: `${which} as ${kind.toUpperCase()}; \`drum\` and \`ends\` in metres for cuts`,
        roles: everyone,
        answer: { media: { pdf: 'application/pdf', csv: 'text/csv', xlsx }[kind] },
        takes: () => `Took the list of ${which} as ${kind.toUpperCase()}`,
        handle: (request, response, account) => list(which, kind, request, response, account),
      })),
    ),
  ]

  async function list(
    which: ListName,
    kind: 'pdf' | 'csv' | 'xlsx',
    request: Request,
    response: Response,
    account: Account,
  ): Promise<void> {
    const options = optionsOf(request)
    if (kind === 'pdf') {
      attach(
        response,
        'application/pdf',
        `${which}.pdf`,
        await workshop.run('list', { ...paper(request, account), which, options }),
      )
      return
    }
    const table = tableOf(which, paper(request, account), options)
    if (kind === 'csv')
      attach(response, 'text/csv; charset=utf-8', `${which}.csv`, await workshop.run('tableCsv', table))
    else attach(response, xlsx, `${which}.xlsx`, await workshop.run('table', table))
  }
}

/** Where the job is opened: what stands on paper must open from a phone, so the lasting origin where there is one. */
export const originOf = (request: Request, lan: LanFacts | null): string =>
  lan?.origin ?? `${request.protocol}://${request.get('host') ?? '127.0.0.1'}`

/** How people call the record that a request names. */
export const refOf = (table: Readonly<Record<string, { ref: string }>>, request: Request): string => {
  const id = String(request.params['id'])
  return (Object.hasOwn(table, id) ? table[id]?.ref : undefined) ?? id
}

function optionsOf(request: Request): ListOptions {
  const metres = (key: string, usual: number, least: number) => {
    const text = request.query[key]
    if (text === undefined) return usual
    const value = Number(String(text).replace(',', '.'))
    if (!(value >= least && value <= 5000))
      throw new HttpProblem(
        422,
        'Not as it should be',
        `${String(text)} is no length. Write metres, from ${least} to 5000.`,
        key,
      )
    return value
  }
  return { drumM: metres('drum', usualOptions.drumM, 1), endsM: metres('ends', usualOptions.endsM, 0) }
}
