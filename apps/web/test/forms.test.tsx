import { act, fireEvent, render, screen, within } from '@testing-library/react'

const pushed: string[] = []
jest.mock('expo-router', () => ({
  router: { push: (href: string) => pushed.push(href), replace: (href: string) => pushed.push(href) },
  usePathname: () => '/x',
  useLocalSearchParams: () => ({}),
}))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

import { RuleForm } from '../src/places/access/RuleForm'
import Elsewhere from '../src/places/doors/Elsewhere'
import { DoorForm } from '../src/places/plan/DoorForm'
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
