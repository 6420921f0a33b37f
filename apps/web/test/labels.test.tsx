import { act, fireEvent, render, screen, within } from '@testing-library/react'

jest.mock('expo-router', () => ({ router: { push: () => undefined }, usePathname: () => '/', Link: () => null }))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

import { applyChanges, put, type Found } from '@rauta/core'
import { BenchPage } from '../src/places/reach/BenchPage'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'
import { found } from '../../../packages/contracts/test/found'
import { smallJob } from './small'

const sent: [string, unknown][] = []
const settle = () => act(() => new Promise((done) => setTimeout(done, 20)))
const type = async (text: string) => {
  fireEvent.change(screen.getByRole('textbox', { name: 'Labels' }), { target: { value: text } })
  await settle()
}
const lines = () =>
  within(screen.getByRole('list', { name: 'What comes of each line' }))
    .getAllByRole('listitem')
    .map((l) => l.textContent)

beforeEach(() => {
  sent.length = 0
  useSession.setState({ me: { state: 'in', name: 'inka', role: 'engineer' } })
  useJob.setState({
    facts: smallJob(),
    ready: true,
    send: async (name, payload) => {
      sent.push([name, payload])
      return null
    },
  })
})

describe('labels as a list', () => {
  it('are looked through as they are pasted, what is bad first, and entered in one tap; what was left out stays', async () => {
    render(<BenchPage />)
    expect(screen.queryByRole('button', { name: /^Enter/ })).toBeNull()
    await type('A1 0A61C001 02:00:5E:10:00:01\nA9 0A61C009')
    expect(lines()[0]).toMatch(/^bad.*A9 0A61C009.*no planned device/)
    expect(lines()[1]).toBe('newA1: 0A61C001, 02:00:5E:10:00:01')
    fireEvent.click(screen.getByRole('button', { name: /^Enter 1 label/ }))
    await settle()
    expect(sent).toEqual([
      ['controllers.label', { labels: [{ controller: 'a1', serial: '0A61C001', mac: '02:00:5E:10:00:01' }] }],
    ])
    expect(screen.getByText('Entered 1 label. 1 line left out.')).toBeTruthy()
    expect((screen.getByRole('textbox', { name: 'Labels' }) as HTMLTextAreaElement).value).toBe('A9 0A61C009')
  })
  it('keep their titles over what was left out', async () => {
    render(<BenchPage />)
    await type('Type;Device;Serial\nx;A1;0A61C001\nx;A9;0A61C009')
    fireEvent.click(screen.getByRole('button', { name: /^Enter 1 label/ }))
    await settle()
    expect((screen.getByRole('textbox', { name: 'Labels' }) as HTMLTextAreaElement).value).toBe(
      'Type;Device;Serial\nx;A9;0A61C009',
    )
    expect(lines()).toEqual(['badx;A9;0A61C009“A9” is no planned device, no serial and no MAC.'])
  })
  it('that are refused stay as they were typed, with the reason', async () => {
    useJob.setState({
      send: async () => {
        throw new Error('A2 has the serial or MAC of A1 already.')
      },
    })
    render(<BenchPage />)
    await type('A1 0A61C001')
    fireEvent.click(screen.getByRole('button', { name: /^Enter 1 label/ }))
    await settle()
    expect(screen.getByRole('alert').textContent).toMatch(/A2 has the serial/)
    expect((screen.getByRole('textbox', { name: 'Labels' }) as HTMLTextAreaElement).value).toBe('A1 0A61C001')
  })
  it('are entered by those who fit, not by whoever looks on', () => {
    useSession.setState({ me: { state: 'in', name: 'v', role: 'viewer' } })
    render(<BenchPage />)
    expect(screen.queryByRole('textbox', { name: 'Labels' })).toBeNull()
  })
})

describe('a device that was found', () => {
  const show = (record: Found) => {
    const facts = smallJob()
    useJob.setState({ facts: applyChanges(facts, [put(facts, 'found', record)], facts.rev + 1) })
    render(<BenchPage />)
  }
  it('of another type than its planned place is named there, at once', () => {
    show(found({ model: 'controller-4', controller: 'a1' }))
    expect(
      screen.getByRole('button', { name: /^A1: The device says it is a Door controller, 4 doors; A1 is/ }),
    ).toBeTruthy()
  })
  it('in another subnet comes with the address that this computer needs, planned or not', () => {
    show(found({ address: '192.168.90.10', routable: false, controller: 'a1' }))
    expect(
      screen.getByRole('button', {
        name: /^A1: .*Give its network adapter 192\.168\.90\.254.*until A1 stands at 10\.1\.1\.21/,
      }),
    ).toBeTruthy()
  })
  it('that gave itself an address is told as that', () => {
    show(found({ routable: false, address: '169.254.3.4' }))
    expect(screen.getByText(/which it gave itself .*until the device has its own/)).toBeTruthy()
  })
})
