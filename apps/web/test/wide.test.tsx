import { act, fireEvent, render, screen, within } from '@testing-library/react'

const pushed: string[] = []
let mockPath = '/people'
jest.mock('expo-router', () => ({
  router: { push: (href: string) => pushed.push(href), replace: (href: string) => pushed.push(href) },
  usePathname: () => mockPath,
  useLocalSearchParams: () => ({}),
  Slot: () => null,
}))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

import { Beside } from '../src/parts/Beside'
import { listLayout } from '../src/places/shell/listRoutes'
import { firstPerson } from '../src/state/inOrder'
import { useChosen } from '../src/places/shell/chosen'
import { Screen } from '../src/parts/Screen'
import { Table, type TableColumn } from '../src/parts/Table'
import { AccessPage } from '../src/places/access/AccessPage'
import { RuleForm } from '../src/places/access/RuleForm'
import { ManyForm } from '../src/places/doors/ManyForm'
import { PeoplePage } from '../src/places/people/PeoplePage'
import { PersonForm } from '../src/places/people/PersonForm'
import { ScheduleForm } from '../src/places/time/ScheduleForm'
import { TimePage } from '../src/places/time/TimePage'
import { scaleOf } from '../src/signs/SiteGrid'
import { ProblemError } from '../src/state/api'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'
import { Action } from '../src/parts/Action'
import { smallJob } from './small'
import fc from 'fast-check'

const sent: [string, unknown][] = []
/** What comes later is read and compiled first, when a test is the first to ask for it. */
const late = { timeout: 30_000 }
const press = (role: 'button' | 'checkbox', name: string | RegExp) =>
  act(async () => {
    fireEvent.click(screen.getByRole(role, { name }))
  })
const type = (label: string, value: string) =>
  act(async () => {
    const field = screen.getByLabelText(label)
    fireEvent.change(field, { target: { value } })
    fireEvent.blur(field)
  })
const widths = (px: number) => {
  Object.defineProperty(document.documentElement, 'clientWidth', { value: px, configurable: true })
  window.dispatchEvent(new Event('resize'))
}

beforeEach(() => {
  localStorage.clear()
  sent.length = 0
  pushed.length = 0
  mockPath = '/people'
  const facts = smallJob([
    ['group.put', { id: 'g', name: 'Staff' }],
    ['schedule.put', { id: 's', name: 'Day', periods: [{ days: [1], from: '08:00', to: '17:00' }] }],
    ['rule.put', { id: 'r', group: 'g', schedule: 's', doors: ['D-02', 'D-01'] }],
    ['person.put', { id: 'p2', number: '10', name: 'Bodil Ek', cards: [], groups: [] }],
    ['person.put', { id: 'p1', number: '9', name: 'Alva Quist', cards: [], groups: ['g'] }],
  ])
  useJob.setState({
    base: facts,
    facts,
    ready: true,
    connection: 'live',
    outbox: [],
    send: (async (name: string, payload: unknown) => {
      sent.push([name, payload])
      return null
    }) as never,
  })
  useSession.setState({ me: { state: 'in', name: 'vesa', role: 'lead' }, expired: false })
})
afterEach(() => widths(390))

describe('a list beside its detail', () => {
  const Detail = () => (
    <Screen title="One of them" bar={<Action label="Do it" onPress={() => undefined} />}>
      {null}
    </Screen>
  )
  it('on a wide screen both stand there, the detail being what the page is about; on a phone the detail alone', async () => {
    widths(1280)
    const { unmount } = render(
      <Beside list={<PeoplePage chosen="p2" />}>
        <Detail />
      </Beside>,
    )
    expect(within(screen.getByRole('main')).getByRole('heading', { level: 1 }).textContent).toBe('One of them')
    const list = screen.getByRole('region', { name: '2 people' })
    expect((await within(list).findByRole('button', { name: 'Bodil Ek' }, late)).getAttribute('aria-current')).toBe(
      'true',
    )
    expect(screen.getAllByRole('main')).toHaveLength(1)
    unmount()
    widths(390)
    render(
      <Beside list={<PeoplePage chosen="p2" />}>
        <Detail />
      </Beside>,
    )
    expect(screen.queryByRole('region')).toBeNull()
    expect(screen.getByRole('main')).toBeTruthy()
  })

  it('where nothing is chosen the first of the list is', async () => {
    widths(1280)
    const Layout = listLayout(PeoplePage, firstPerson)
    render(<Layout />)
    expect((await screen.findByRole('button', { name: 'Alva Quist' }, late)).getAttribute('aria-current')).toBe('true')
  })

  it.each([
    ['/people', 'first'],
    ['/people/p%201', 'p 1'],
    ['/people/p1/edit', 'p1'],
  ])('of %s %s is chosen', (at, chosen) => {
    mockPath = at
    const Shows = () => <>{useChosen() ?? 'first'}</>
    render(<Shows />)
    expect(document.body.textContent).toBe(chosen)
  })
})

describe('a table', () => {
  interface Row {
    id: string
    ref: string
  }
  const columns: TableColumn<Row>[] = [
    { id: 'ref', head: 'Reference', value: (r) => r.ref },
    { id: 'id', head: 'Mark', value: (r) => r.id },
  ]
  const rows = ['Q-10', 'Q-2', 'A-3'].map((ref, i) => ({ id: `m${i}`, ref }))
  const order = () =>
    screen.getAllByRole('button').flatMap((b) => (b.hasAttribute('data-row') ? [b.getAttribute('aria-label')] : []))
  const opened: string[] = []
  const show = () =>
    render(
      <Table
        label="Things"
        rows={rows}
        columns={columns}
        chosen="m1"
        nameOf={(r) => r.ref}
        onOpen={(r) => opened.push(r.id)}
      />,
    )

  it('stands as given until a head is pressed; then by it, Q-2 before Q-10, and the other way round', async () => {
    show()
    expect(order()).toEqual(['Q-10', 'Q-2', 'A-3'])
    await press('button', 'Sort by Reference')
    expect(order()).toEqual(['A-3', 'Q-2', 'Q-10'])
    expect(screen.getByRole('columnheader', { name: /Reference/ }).getAttribute('aria-sort')).toBe('ascending')
    await press('button', 'Sort by Reference')
    expect(order()).toEqual(['Q-10', 'Q-2', 'A-3'])
    expect(screen.getByRole('columnheader', { name: /Reference/ }).getAttribute('aria-sort')).toBe('descending')
  })

  it('is one stop of Tab, at what is chosen; arrows, Home and End go through it, Enter opens', () => {
    show()
    opened.length = 0
    const at = (name: string) => screen.getByRole('button', { name })
    expect(rows.map((r) => at(r.ref).tabIndex)).toEqual([-1, 0, -1])
    at('Q-2').focus()
    const key = (name: string) => fireEvent.keyDown(document.activeElement as Element, { key: name })
    const here = () => document.activeElement?.getAttribute('aria-label')
    key('ArrowDown')
    expect(here()).toBe('A-3')
    key('ArrowDown')
    expect(here()).toBe('A-3')
    key('Home')
    expect(here()).toBe('Q-10')
    key('ArrowUp')
    expect(here()).toBe('Q-10')
    key('End')
    key('Enter')
    fireEvent.click(screen.getByText('m0'))
    expect(opened).toEqual(['m2', 'm0'])
  })
})

describe('people and access on a wide screen', () => {
  it('people are a table, by name; a number sorts as a number', async () => {
    widths(1280)
    render(<PeoplePage />)
    await screen.findByRole('table', { name: 'People' }, late)
    const names = () =>
      within(screen.getByRole('table', { name: 'People' }))
        .getAllByRole('row')
        .slice(1)
        .map((r) => within(r).getAllByRole('cell')[0]?.textContent)
    expect(names()).toEqual(['Alva Quist', 'Bodil Ek'])
    expect(screen.getByText('No card. In no group, and no right of their own.')).toBeTruthy()
    await press('button', 'Sort by Number')
    expect(names()).toEqual(['Alva Quist', 'Bodil Ek'])
    await press('button', 'Sort by Number')
    expect(names()).toEqual(['Bodil Ek', 'Alva Quist'])
    await press('button', 'Alva Quist')
    expect(pushed).toEqual(['/people/p1'])
  })
  it('rules are a table with their doors in order', async () => {
    widths(1280)
    render(<AccessPage />)
    const row = within(await screen.findByRole('table', { name: 'Rules' }, late)).getAllByRole('row')[1] as HTMLElement
    expect(
      within(row)
        .getAllByRole('cell')
        .map((c) => c.textContent),
    ).toEqual(['Staff', 'Day', '', 'D-01D-02'])
  })
})

describe('forms say at each field what is wrong with it', () => {
  const refuse = (says: string, field: string) =>
    act(() =>
      useJob.setState({
        send: (async () => {
          throw new ProblemError(422, says, field)
        }) as never,
      }),
    )

  it('a person: a blank name, and a card’s number that is none, each at its field, with all that was typed', async () => {
    render(<PersonForm />)
    await type('Number', '7')
    await press('button', 'Add a card')
    await type('Facility, card 1', 'six')
    await type('Number, card 1', '12')
    await press('button', 'Save the person')
    expect(sent).toEqual([])
    expect(screen.getByText('This must not be blank.')).toBeTruthy()
    expect(screen.getByText('This must be a whole number.')).toBeTruthy()
    expect(screen.getByLabelText('Facility, card 1').getAttribute('aria-invalid')).toBe('true')
    expect(screen.getByLabelText('Number, card 1').getAttribute('aria-invalid')).toBeNull()
    expect((screen.getByLabelText('Facility, card 1') as HTMLInputElement).value).toBe('six')
    await type('Facility, card 1', '61')
    await type('Name', 'Cilla Holm')
    await press('button', 'Save the person')
    expect(sent).toMatchObject([
      ['person.put', { name: 'Cilla Holm', number: '7', cards: [{ facility: 61, number: 12, state: 'in use' }] }],
    ])
    expect(pushed).toEqual(['/people'])
  })

  it('what the server alone knows of one card stands under that card', async () => {
    refuse('Card 61 12 already belongs to Alva Quist.', 'cards.0')
    render(<PersonForm id="p2" />)
    await press('button', 'Add a card')
    await type('Facility, card 1', '61')
    await type('Number, card 1', '12')
    await press('button', 'Save the person')
    expect(screen.getAllByText('Card 61 12 already belongs to Alva Quist.')).toHaveLength(1)
  })

  it('a rule without a door is refused at its doors, and saved beside its list on a wide screen', async () => {
    widths(1280)
    render(<RuleForm />)
    await press('button', 'Save the rule')
    expect(sent).toEqual([])
    expect(screen.getByRole('alert').textContent).toBe('Choose a door, or a set of doors.')
    await press('checkbox', 'D-02 Back')
    await press('button', 'Save the rule')
    expect(sent).toMatchObject([['rule.put', { doors: ['D-02'] }]])
    expect(pushed).toEqual([`/access/${(sent[0]?.[1] as { id: string }).id}`])
  })

  it('many doors: only what is filled in is sent, a time that is none says so at its field, nothing chosen cannot be sent', async () => {
    render(<ManyForm />)
    const button = () => screen.getByRole('button', { name: /^Change them/ })
    const says = () => [button().getAttribute('aria-disabled'), button().getAttribute('aria-label')]
    expect(says()).toEqual(['true', 'Change them, nothing to change yet'])
    await type('Passages a day', '7')
    expect(says()).toEqual(['true', 'Change them, no door ticked yet'])
    await type('Passages a day', '')
    await press('checkbox', 'Inside, 2 doors')
    expect(button().getAttribute('aria-disabled')).toBe('true')
    await type('Release time, s', 'soon')
    await press('button', 'Change them, 2 doors')
    expect(sent).toEqual([])
    expect(screen.getByLabelText('Release time, s').getAttribute('aria-invalid')).toBe('true')
    await type('Release time, s', '7,5')
    fireEvent.click(
      within(screen.getByRole('radiogroup', { name: 'On an escape route' })).getByRole('radio', { name: 'Yes' }),
    )
    await press('button', 'Change them, 2 doors')
    expect(sent).toEqual([
      ['doors.edit', { doors: ['D-01', 'D-02'], fields: { escapeRoute: true, behaviour: { releaseS: 7.5 } } }],
    ])
    expect(pushed).toEqual(['/doors'])
  })

  it('a schedule: times are picked, midnight as an end is the end of the day, an empty period is refused at it', async () => {
    render(<ScheduleForm id="s" />)
    expect(screen.getByLabelText('From, period 1').getAttribute('type')).toBe('time')
    await type('From, period 1', '00:00')
    await type('To, period 1', '00:00')
    await press('button', 'Save the schedule')
    expect(sent).toMatchObject([['schedule.put', { periods: [{ from: '00:00', to: '24:00' }] }]])
    refuse('A period from 22:00 to 22:00 is empty.', 'periods.0')
    await type('From, period 1', '22:00')
    await type('To, period 1', '22:00')
    await press('button', 'Save the schedule')
    expect(screen.getByText('A period from 22:00 to 22:00 is empty.')).toBeTruthy()
  })

  it('a special day: the date is picked; one that is missing says so at its field; the form begins again', async () => {
    render(<TimePage />)
    await screen.findByLabelText('What for', {}, late)
    await type('What for', 'Feast')
    await press('button', 'Add the day')
    expect(sent).toEqual([])
    expect(screen.getByLabelText('Date').getAttribute('aria-invalid')).toBe('true')
    await type('Date', '2027-06-25')
    await press('button', 'Open for some hours')
    await type('Open from, 1', '09:00')
    await type('Open to, 1', '00:00')
    await press('button', 'Add the day')
    expect(sent).toMatchObject([
      ['specialDay.put', { date: '2027-06-25', name: 'Feast', periods: [{ from: '09:00', to: '24:00' }] }],
    ])
    expect((screen.getByLabelText('Date') as HTMLInputElement).value).toBe('')
    expect(screen.getByLabelText('What for').getAttribute('aria-invalid')).toBeNull()
  })
})

it('the site’s grid: whatever stands on it is in view, and a tap on it gives its place back', () => {
  const place = fc.record({ x: fc.integer({ min: -3000, max: 3000 }), y: fc.integer({ min: -3000, max: 3000 }) })
  fc.assert(
    fc.property(fc.array(place, { maxLength: 12 }), fc.integer({ min: 200, max: 1200 }), (points, width) => {
      const { toX, toY, at, lines, stepM } = scaleOf(points, width)
      for (const p of points) {
        const [px, py] = [toX(p.x), toY(p.y)]
        if (px < 0 || px > width || py < 0 || py > 340) return false
        const back = at(px, py)
        if (Math.abs(back.x - p.x) > 1e-6 || Math.abs(back.y - p.y) > 1e-6) return false
      }
      return lines.x.every((x) => x % stepM === 0) && lines.x.length < 60 && lines.y.length < 60
    }),
  )
})
