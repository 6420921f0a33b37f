import { all } from '@rauta/core'
import { answers, bodies, cabinetsOf, sheetsFor } from '@rauta/contracts'
import { largestPaper } from '@rauta/papers/limits'
import { v7 } from 'uuid'
import type { Losses } from '../changes/losses'
import type { Context } from '../context'
import { Papers } from '../files/papers'
import { WorkError, WorkshopError } from '../workshop/workshop'
import { attach, xlsx } from './attachment'
import { everyone, HttpProblem, type Route } from './route'

const fitters = ['lead', 'engineer'] as const

/** The door schedule: files in, looked through, taken over; out again as CSV and as a workbook; an empty one to fill in. */
export function paperRoutes({ log, clock, workshop, ending }: Context, losses: Losses): Route[] {
  const papers = new Papers()
  ending.addEventListener('abort', () => papers.close())
  const gone = () =>
    new HttpProblem(404, 'Not here any more', 'This file is not here any more. Bring it again; nothing was changed.')
  const source = () => ({
    doors: all(log.facts, 'door').sort((a, b) => a.walk - b.walk || a.ref.localeCompare(b.ref)),
    areas: all(log.facts, 'area'),
    cabinets: cabinetsOf(log.facts),
    sheets: sheetsFor(log.facts),
  })
  return [
    {
      method: 'post',
      path: '/door-schedule',
      says: 'A door schedule (XLSX or CSV, the bytes as they are; its name in `?file=`), looked through; nothing is changed yet',
      roles: fitters,
      raw: largestPaper,
      answer: answers.paper,
      async handle(request, _response, account) {
        const file = String(request.query['file'] ?? 'the list').slice(0, 200)
        const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0)
        try {
          return await papers.bring(bytes, file, account.name, log.facts, clock.now())
        } catch (error) {
          if (error instanceof WorkError && error.refused)
            throw new HttpProblem(422, 'Not as it should be', error.says, 'file')
          if (error instanceof WorkshopError)
            throw new HttpProblem(
              422,
              'Not as it should be',
              `${file} takes more ${error.code === 'time' ? 'time' : 'memory'} to read than a list may. Copy the list alone into a new workbook, or save it as CSV.`,
              'file',
            )
          throw error
        }
      },
    },
    {
      method: 'post',
      path: '/door-schedule/:id/columns',
      says: 'Another sheet, row of titles or meaning of columns; looked through again',
      roles: fitters,
      body: bodies.columns,
      answer: answers.paper,
      async handle(request, _response, account) {
        const view = await papers.choose(String(request.params['id']), account.name, request.body as never, log.facts)
        if (!view) throw gone()
        return view
      },
    },
    {
      method: 'post',
      path: '/door-schedule/:id/take',
      says: 'Takes the good rows over, as one change',
      roles: fitters,
      body: bodies.takePaper,
      answer: answers.taken,
      async handle(request, _response, account) {
        const id = String(request.params['id'])
        const payload = await papers.payload(id, account.name, log.facts)
        if (!payload) throw gone()
        if (payload.doors.length === 0) {
          papers.drop(id)
          return { says: 'Nothing to take over: the job is as the file says.', rev: log.facts.rev }
        }
        const command = { id: v7(), name: 'doors.import', payload, seen: log.facts.rev }
        const { sure } = request.body as { sure?: boolean }
        const lost = sure ? [] : await losses.of(command, account)
        if (lost.length) return { says: 'Doors that were signed would lose marks.', rev: log.facts.rev, losses: lost }
        papers.drop(id)
        const { rev } = await log.run(command, account)
        return { says: `${payload.doors.length} doors taken over.`, rev }
      },
    },
    {
      method: 'get',
      path: '/door-schedule.csv',
      says: 'The door schedule as CSV',
      roles: everyone,
      answer: { media: 'text/csv' },
      takes: () => 'Took the door schedule as CSV',
      async handle(_request, response) {
        attach(response, 'text/csv; charset=utf-8', 'door-schedule.csv', await workshop.run('scheduleCsv', source()))
      },
    },
    {
      method: 'get',
      path: '/door-schedule.xlsx',
      says: 'The door schedule as a workbook; with `?empty=1` a template to fill in',
      roles: everyone,
      answer: { media: xlsx },
      takes: (request) =>
        request.query['empty'] === '1' ? 'Took an empty door schedule' : 'Took the door schedule as a workbook',
      async handle(request, response) {
        const empty = request.query['empty'] === '1'
        const all_ = source()
        attach(
          response,
          xlsx,
          `${empty ? 'door-schedule-template' : 'door-schedule'}.xlsx`,
          await workshop.run('schedule', empty ? { ...all_, doors: [] } : all_),
        )
      },
    },
  ]
}
