import { commands, type CommandName, type CommandPayloads } from '../src'

/** What is sent is held to the command's payload where it is written; the compiler is the test, and `npm test` runs it. */
const send = <N extends CommandName>(name: N, payload: CommandPayloads[N]): [string, unknown] => [name, payload]

describe('commands are typed end to end', () => {
  it('a payload that is none does not compile', () => {
    send('tick.set', { door: 'D-01', cable: 'W1', what: 'pulled', done: true })
    // @ts-expect-error a tick has no such step
    send('tick.set', { door: 'D-01', cable: 'W1', what: 'eaten', done: true })
    // @ts-expect-error a field is missing
    send('tick.set', { door: 'D-01', cable: 'W1', what: 'pulled' })
    // @ts-expect-error a field that nobody knows
    send('group.remove', { id: 'g', gently: true })
    // @ts-expect-error a command that is not there
    send('group.vanish', { id: 'g' })
    expect(send('group.remove', { id: 'g' })).toEqual(['group.remove', { id: 'g' }])
  })
  it('every command there is has its name among the types', () => {
    const named: Record<CommandName, true> = Object.fromEntries(Object.keys(commands).map((n) => [n, true])) as never
    expect(Object.keys(named).length).toBe(Object.keys(commands).length)
    for (const [name, command] of Object.entries(commands)) expect(command.name).toBe(name)
  })
})
