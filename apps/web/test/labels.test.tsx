import { act, fireEvent, render, screen, within } from '@testing-library/react'

jest.mock('expo-router', () => ({ router: { push: () => undefined }, usePathname: () => '/', Link: () => null }))
jest.mock('expo-router/head', () => ({ __esModule: true, default: () => null }))

import { BenchPage } from '../src/places/reach/BenchPage'
import { useJob } from '../src/state/job'
import { useSession } from '../src/state/session'
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
