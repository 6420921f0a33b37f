import { act, fireEvent, render, screen, within } from '@testing-library/react'

const pushed: string[] = []
jest.mock('expo-router', () => ({
  router: { push: (href: string) => pushed.push(href), replace: (href: string) => pushed.push(href) },
  usePathname: () => '/x',
  useLocalSearchParams: () => ({}),
}))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

import { DoorSetForm } from '../src/places/access/DoorSetForm'
import { RuleForm } from '../src/places/access/RuleForm'
import Elsewhere from '../src/places/doors/Elsewhere'
import { BehaviourPage } from '../src/places/plan/BehaviourPage'
import { DoorForm } from '../src/places/plan/DoorForm'
import { FirstUse } from '../src/places/start/FirstUse'
import { ProblemError } from '../src/state/api'
import { ControllerForm } from '../src/places/controllers/ControllerForm'
import { AddAccount, OwnPassword } from '../src/places/job/Accounts'
import { JobPage } from '../src/places/job/JobPage'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'
import { smallJob } from './small'

const sent: [string, unknown][] = []
const press = (role: 'button' | 'checkbox', name: string | RegExp) =>
  act(async () => {
    fireEvent.click(screen.getByRole(role, { name }))
  })
const day = { days: [1], from: '08:00', to: '17:00' }
beforeEach(() => {
  localStorage.clear()
  sent.length = 0
  pushed.length = 0
  const facts = smallJob([
    ['area.put', { id: 'deep', code: 'D', name: 'Deep inside', parent: 'in' }],
    ['door.add', { id: 'D-03', fields: { ref: 'D-03', name: 'Store', from: 'in', to: 'deep', handle: true } }],
    ['group.put', { id: 'g', name: 'Staff' }],
    ['schedule.put', { id: 's', name: 'Day', periods: [day] }],
    ['door.edit', { id: 'D-01', fields: { ends: { seriesOhm: 1000, parallelOhm: 2000, at: 'device' } } }],
    ['person.put', { id: 'p', number: '1', name: 'Alva Quist', cards: [], groups: ['g'] }],
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

describe('a rule', () => {
  it('takes all doors of an area, those inside it too, in one tap; tapped again they are off', async () => {
    render(<RuleForm />)
    await press('checkbox', 'Inside, 3 doors')
    await press('button', 'Save the rule')
    expect(sent).toMatchObject([['rule.put', { group: 'g', schedule: 's', doors: ['D-01', 'D-02', 'D-03'] }]])
    await press('checkbox', 'Deep inside, 1 door')
    await press('button', 'Save the rule')
    expect(sent[1]).toMatchObject(['rule.put', { doors: ['D-01', 'D-02'] }])
  })
})

describe('a right of one person', () => {
  const type = (label: string, value: string) =>
    act(async () => {
      fireEvent.change(screen.getByLabelText(label), { target: { value } })
    })
  it('names no group, ends by itself, and leads back to the person', async () => {
    render(<RuleForm from={{ person: 'p' }} />)
    await press('button', 'Save the rule')
    screen.getByText('Choose a door, or a set of doors.')
    expect(sent).toEqual([])
    await press('checkbox', /^D-03 /)
    await type('Counts from, empty for at once', '2027-02-02')
    await type('Counts until the end of, empty for no end', '2027-02-01')
    await press('button', 'Save the rule')
    screen.getByText(/before it begins/)
    await type('Counts until the end of, empty for no end', '2027-02-03')
    await press('button', 'Save the rule')
    const { id: _id, ...payload } = sent[0]?.[1] as { id: string }
    expect(payload).toEqual({
      person: 'p',
      doors: ['D-03'],
      schedule: 's',
      validFrom: '2027-02-02',
      validUntil: '2027-02-03',
    })
    expect(pushed).toEqual(['/people/p'])
  })
  it('begins at a door with that door, and goes back there', async () => {
    render(<RuleForm from={{ door: 'D-02' }} />)
    await press('button', 'Save the rule')
    expect(sent[0]).toMatchObject(['rule.put', { group: 'g', doors: ['D-02'] }])
    expect(pushed).toEqual(['/doors/D-02'])
  })
})

describe('a set of doors', () => {
  it('needs a name and a door', async () => {
    render(<DoorSetForm />)
    await press('button', 'Save the set')
    screen.getByText('This must not be blank.')
    await act(async () => {
      fireEvent.change(screen.getByLabelText('Name of the set'), { target: { value: ' Store doors ' } })
    })
    await press('checkbox', /^D-03 /)
    await press('button', 'Save the set')
    expect(sent[0]).toMatchObject(['doorSet.put', { name: 'Store doors', doors: ['D-03'] }])
  })
})

describe('a door like another', () => {
  const facts = () => useJob.getState().facts
  it('has its hardware, behaviour and resistors, and the next reference', async () => {
    const like = facts().door['D-01']
    render(<DoorForm {...(like ? { like } : {})} onDone={(id) => pushed.push(id)} />)
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Reference' }).value).toBe('D-04')
    await press('button', 'Add the door')
    expect(sent).toMatchObject([
      [
        'door.add',
        {
          id: 'D-04',
          fields: {
            ref: 'D-04',
            handle: true,
            hardware: { entryReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame' },
            behaviour: like?.behaviour,
            ends: { seriesOhm: 1000 },
          },
        },
      ],
    ])
    expect(pushed).toEqual(['D-04'])
  })
  it('another way out is asked where the door is on no escape route, and sent', async () => {
    const door = facts().door['D-01']
    render(<DoorForm {...(door ? { door } : {})} onDone={() => undefined} />)
    await press('checkbox', 'Whoever is inside has another way out')
    await press('button', 'Save the changes')
    expect(sent).toEqual([['door.edit', { id: 'D-01', fields: { otherWayOut: true } }]])
    await press('checkbox', 'On an escape route')
    expect(screen.queryByRole('checkbox', { name: /another way out/ })).toBeNull()
  })
})

describe('what is found besides doors', () => {
  it('is a list of its own, and leads there', async () => {
    render(<Elsewhere text="quist" noDoor />)
    const rows = within(screen.getByRole('list', { name: 'Not doors' })).getAllByRole('listitem')
    expect(rows.map((r) => r.textContent)).toEqual(['PersonAlva QuistStaff'])
    await press('button', 'Person Alva Quist')
    expect(pushed).toEqual(['/people/p'])
  })
  it('says where nothing has it', () => {
    render(<Elsewhere text="zzz" noDoor />)
    expect(screen.getByText('Nothing in this job has “zzz” in it.')).toBeTruthy()
  })
})

describe('a form is its command’s payload', () => {
  const type = (name: string, value: string) =>
    act(async () => {
      const field = screen.getByRole('textbox', { name })
      fireEvent.change(field, { target: { value } })
      fireEvent.blur(field)
    })
  it('every field that its schema refuses says so in words at the field, is marked, and what was typed stays', async () => {
    render(<ControllerForm />)
    await type('Reference on the drawing', 'A 1 and more')
    await type('Cabinet', '')
    await press('button', 'Save the controller')
    expect(sent).toEqual([])
    expect(screen.getByText(/This is not written as it should be: it has up to 8 letters/)).toBeTruthy()
    expect(screen.getByText('This must not be blank.')).toBeTruthy()
    const field = screen.getByRole<HTMLInputElement>('textbox', { name: 'Reference on the drawing' })
    expect([field.value, field.getAttribute('aria-invalid')]).toEqual(['A 1 and more', 'true'])
    await type('Reference on the drawing', 'A7')
    expect(field.getAttribute('aria-invalid')).toBeNull()
  })
  it('what only the server knows stands at its field too, and the cursor goes there', async () => {
    useJob.setState({
      send: (async () => {
        throw new ProblemError(409, 'A1 is already used.', 'ref')
      }) as never,
    })
    render(<ControllerForm />)
    await type('Reference on the drawing', 'A1')
    await type('Cabinet', 'Riser')
    await press('button', 'Save the controller')
    expect(screen.getByText('A1 is already used.')).toBeTruthy()
    await act(async () => {
      await new Promise((done) => setTimeout(done, 80))
    })
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Reference on the drawing')
  })
  it('a number that is none is refused at its field, with the others kept', async () => {
    render(<JobPage />)
    await screen.findByRole('textbox', { name: 'Prefix' }, { timeout: 30_000 })
    await type('Prefix', 'twenty')
    await type('Gateway', '10.1.1.254')
    await press('button', 'Save site and network')
    expect(screen.getByText('This must be a whole number.')).toBeTruthy()
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Gateway' }).value).toBe('10.1.1.254')
    expect(sent).toEqual([])
    await type('Prefix', '24')
    await press('button', 'Save site and network')
    expect(sent).toMatchObject([['job.edit', { fields: { network: { prefix: 24, gateway: '10.1.1.254' } } }]])
  })
})

describe('each form says at its field what is wrong with it', () => {
  const type = (name: string | RegExp, value: string) =>
    act(async () => {
      const field = screen.getByLabelText(name, { selector: 'input' })
      fireEvent.change(field, { target: { value } })
      fireEvent.blur(field)
    })
  const invalid = () =>
    [...document.querySelectorAll('[aria-invalid="true"]')].map((field) => field.getAttribute('aria-label'))
  const fetched = globalThis.fetch
  const answered = (status: number, body: object) => {
    const asked = jest.fn(
      async (_url: string, init?: RequestInit) =>
        ({ ok: status < 400, status, json: async () => (init?.method === 'GET' ? [] : body) }) as Response,
    )
    globalThis.fetch = asked as typeof fetch
    return asked
  }
  afterEach(() => {
    globalThis.fetch = fetched
  })

  it('a door: reference, place on the grid and seconds, the numbers as they were typed', async () => {
    render(<DoorForm onDone={(id) => pushed.push(id)} />)
    await type('Reference', '')
    await type('Name', '  ')
    await type('Passages per day', '12.5')
    await type('East on the grid, m', 'far')
    await press('button', 'Add the door')
    expect(sent).toEqual([])
    expect(invalid()).toEqual(['Reference', 'Name', 'Passages per day', 'East on the grid, m', 'North, m'])
    await type('Reference', 'Q 04')
    await type('Name', 'Stores')
    await type('Passages per day', '12')
    await type('East on the grid, m', '3,5')
    await type('North, m', '-2')
    expect(invalid()).toEqual([])
    await press('button', 'Add the door')
    // A reference with a blank makes no address: the door has an id of its own.
    expect(sent).toMatchObject([['door.add', { fields: { ref: 'Q 04', passagesPerDay: 12, at: { x: 3.5, y: -2 } } }]])
    expect((sent[0]?.[1] as { id: string }).id).toMatch(/^[0-9a-f-]{36}$/)
  })

  it('behaviour: every time that is none', async () => {
    render(<BehaviourPage id="D-01" />)
    await type('Release time, s', 'long')
    await type('Delay before relock, s', '-1')
    await press('button', 'Save the behaviour')
    expect(sent).toEqual([])
    expect(invalid()).toEqual(['Release time, s', 'Delay before relock, s'])
    await type('Release time, s', '7,5')
    await type('Delay before relock, s', '0')
    await press('button', 'Save the behaviour')
    expect(sent).toMatchObject([['door.edit', { fields: { behaviour: { releaseS: 7.5, relockDelayS: 0 } } }]])
  })

  it('an account: a short password while it is typed, a name that is taken when the server says so; the password stays', async () => {
    const asked = answered(409, { says: 'There is an account called ann already.', field: 'name' })
    render(<AddAccount onDone={(says) => pushed.push(says)} />)
    await type('Name', 'ann')
    await type(/^Password/, 'short')
    await press('button', 'Add the account')
    expect(screen.getByText('This is too short: 10 letters at least.')).toBeTruthy()
    expect(asked).not.toHaveBeenCalled()
    await type(/^Password/, 'long enough now')
    await press('button', 'Add the account')
    expect(invalid()).toEqual(['Name'])
    expect(screen.getByText('There is an account called ann already.')).toBeTruthy()
    expect(screen.getByLabelText<HTMLInputElement>(/^Password/, { selector: 'input' }).value).toBe('long enough now')
    answered(200, { says: 'bo may sign in as engineer.' })
    await type('Name', 'bo')
    await press('button', 'Add the account')
    expect(pushed).toEqual(['bo may sign in as engineer.'])
    expect(screen.getByLabelText<HTMLInputElement>(/^Password/, { selector: 'input' }).value).toBe('')
  })

  it('one’s own password: the one until now is refused at its field', async () => {
    answered(403, { says: 'The password until now is wrong.', field: 'old' })
    render(<OwnPassword />)
    await press('button', 'Change my password')
    await type('Password until now', 'not this one')
    await type(/^New password/, 'a new long one')
    await press('button', 'Change it')
    expect(invalid()).toEqual(['Password until now'])
  })

  it('the first job: the network by the job’s names, as the schema and as the server say', async () => {
    const asked = answered(422, { says: 'The gateway is not in the subnet.', field: 'network.gateway' })
    render(<FirstUse />)
    await type('Prefix', '40')
    await press('button', 'Begin the job')
    expect(invalid()).toEqual(['Your name', 'Password, 10 characters or more', 'Job', 'Prefix'])
    await type('Your name', 'vesa')
    await type('Password, 10 characters or more', 'long enough now')
    await type('Job', 'Ferry terminal')
    await type('Prefix', '24')
    await press('button', 'Begin the job')
    expect(asked).toHaveBeenCalledTimes(1)
    expect(invalid()).toEqual(['Gateway'])
    expect(screen.getByText('The gateway is not in the subnet.')).toBeTruthy()
  })
})
