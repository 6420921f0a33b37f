import { all, type Facts } from '@rauta/core'
import { answers, bodies, cabinetsOf, sheetsFor, type CommandName, type Role } from '@rauta/contracts'
import { largestPaper } from '@rauta/papers/limits'
import { v7 } from 'uuid'
import type { Losses } from '../changes/losses'
import type { Context } from '../context'
import type { ListKindName } from '../files/listKinds'
import type { Taking } from '../files/paperAtHand'
import { Papers } from '../files/papers'
import { WorkError, WorkshopError } from '../workshop/workshop'
import { heldPeople } from '../reach/heldPeople'
import { fewAtOnce } from './fewAtOnce'
import { attach, xlsx } from './attachment'
import { everyone, HttpProblem, type Route } from './route'

const fitters = ['lead', 'engineer'] as const

/** One kind of list as its routes need it: where it lies, what it is called, how it is taken over and written. */
interface ListRoutes {
  kind: ListKindName
  path: string
  /** `door schedule`: as it stands in sentences. */
  called: string
  command: CommandName
  /** Who may take it away. */
  roles: readonly Role[]
  /** What the command takes, from what was read. */
  payloadOf(taking: Taking): object
  taken(rows: number): string
  csv(facts: Facts): Promise<string>
  xlsx(facts: Facts, empty: boolean): Promise<Uint8Array>
}

/** Lists of the job: files in, looked through, taken over; out again as CSV and as a workbook; an empty one to fill in. */
export function paperRoutes(context: Context, losses: Losses): Route[] {
  const { workshop } = context
  const doors = (facts: Facts) => ({
    doors: all(facts, 'door').sort((a, b) => a.walk - b.walk || a.ref.localeCompare(b.ref)),
    areas: all(facts, 'area'),
    cabinets: cabinetsOf(facts),
    sheets: sheetsFor(facts),
  })
  const people = (facts: Facts) => ({
    people: all(facts, 'person').sort(
      (a, b) => a.number.localeCompare(b.number, 'en', { numeric: true }) || a.name.localeCompare(b.name, 'en'),
    ),
    groups: facts.group,
  })
  const lists: ListRoutes[] = [
    {
      kind: 'doors',
      path: 'door-schedule',
      called: 'door schedule',
      command: 'doors.import',
      roles: everyone,
      payloadOf: ({ rows, ...rest }) => ({ ...rest, doors: rows }),
      taken: (rows) => `${rows} doors taken over.`,
      csv: (facts) => workshop.run('scheduleCsv', doors(facts)),
      xlsx: (facts, empty) => workshop.run('schedule', { ...doors(facts), ...(empty ? { doors: [] } : {}) }),
    },
    {
      kind: 'people',
      path: 'people-list',
      called: 'list of people',
      command: 'people.import',
      roles: fitters,
      payloadOf: ({ rows, ...rest }) => ({ ...rest, people: rows }),
      taken: (rows) => (rows === 1 ? '1 person taken over.' : `${rows} people taken over.`),
      csv: (facts) => workshop.run('peopleCsv', people(facts)),
      xlsx: (facts, empty) => workshop.run('peopleXlsx', { ...people(facts), ...(empty ? { people: [] } : {}) }),
    },
  ]
  return lists.flatMap((list) => {
    const papers = new Papers(list.kind)
    context.ending.addEventListener('abort', () => papers.close())
    const held = list.kind === 'people' ? [heldRoute(papers, context)] : []
    return [...bringRoutes(list, papers, context, losses), ...takeAwayRoutes(list, context), ...held]
  })
}

const gone = () =>
  new HttpProblem(404, 'Not here any more', 'This file is not here any more. Bring it again; nothing was changed.')

function bringRoutes(list: ListRoutes, papers: Papers, { log, clock }: Context, losses: Losses): Route[] {
  const { path, called } = list
  return [
    {
      method: 'post',
      path: `/${path}`,
      says: `A ${called} (XLSX or CSV, the bytes as they are; its name in \`?file=\`), looked through; nothing is changed yet`,
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
      path: `/${path}/:id/columns`,
      says: 'Another sheet, row of titles or meaning of columns; looked through again',
      roles: fitters,
      body: bodies.columns,
      answer: answers.paper,
      async handle(request, _response, account) {
        const id = String(request.params['id'])
        const view = await papers.choose(id, account.name, request.body as never, log.facts)
        if (!view) throw gone()
        return view
      },
    },
    {
      method: 'post',
      path: `/${path}/:id/take`,
      says: 'Takes the good rows over, as one change',
      roles: fitters,
      body: bodies.takePaper,
      answer: answers.taken,
      async handle(request, _response, account) {
        const id = String(request.params['id'])
        const taking = await papers.payload(id, account.name, log.facts)
        if (!taking) throw gone()
        if (taking.rows.length === 0) {
          papers.drop(id)
          return { says: 'Nothing to take over: the job is as the file says.', rev: log.facts.rev }
        }
        const command = { id: v7(), name: list.command, payload: list.payloadOf(taking), seen: log.facts.rev }
        const { sure } = request.body as { sure?: boolean }
        const lost = sure ? [] : await losses.of(command, account)
        if (lost.length) return { says: 'Doors that were signed would lose marks.', rev: log.facts.rev, losses: lost }
        papers.drop(id)
        const { rev } = await log.run(command, account)
        return { says: list.taken(taking.rows.length), rev }
      },
    },
  ]
}

/** Devices that are asked at the same moment. */
const mostAsked = 2

/** What a device holds of people is a list like any other: looked through, and taken over or left. */
function heldRoute(papers: Papers, context: Context): Route {
  const asking = fewAtOnce(mostAsked, 'devices are being asked for their people')
  return {
    method: 'post',
    path: '/controllers/:controller/people-list',
    says: 'The people that a controller holds, looked through; nothing is changed yet',
    roles: fitters,
    answer: answers.paper,
    async handle(request, response, account) {
      const id = String(request.params['controller'])
      const { log, clock } = context
      const table = await asking(response, (gone) => heldPeople(context, id, gone))
      if (table.rows.length < 2) throw new HttpProblem(409, 'Refused', `${table.name} holds nobody.`)
      return await papers.bringTable(table, `People on ${table.name}`, account.name, log.facts, clock.now())
    },
  }
}

function takeAwayRoutes({ path, called, roles, csv, xlsx: workbook }: ListRoutes, { log }: Context): Route[] {
  return [
    {
      method: 'get',
      path: `/${path}.csv`,
      says: `The ${called} as CSV`,
      roles,
      answer: { media: 'text/csv' },
      takes: () => `Took the ${called} as CSV`,
      async handle(_request, response) {
        attach(response, 'text/csv; charset=utf-8', `${path}.csv`, await csv(log.facts))
      },
    },
    {
      method: 'get',
      path: `/${path}.xlsx`,
      says: `The ${called} as a workbook; with \`?empty=1\` a template to fill in`,
      roles,
      answer: { media: xlsx },
      takes: (request) =>
        request.query['empty'] === '1' ? `Took an empty ${called}` : `Took the ${called} as a workbook`,
      async handle(request, response) {
        const empty = request.query['empty'] === '1'
        attach(response, xlsx, `${path}${empty ? '-template' : ''}.xlsx`, await workbook(log.facts, empty))
      },
    },
  ]
}
