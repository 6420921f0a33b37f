import { spawn, type ChildProcess } from 'node:child_process'
import { createSocket } from 'node:dgram'
import { connect, createServer, type AddressInfo, type Server, type Socket } from 'node:net'
import { timeReply } from '@rauta/protocols'
import { knock, knockForTime } from '../src/contact'

const host = '127.0.0.1'
const never = new AbortController().signal
const portOf = (server: Server) => (server.address() as AddressInfo).port

describe('knocking', () => {
  it('tells that somebody takes it, and leaves nothing open', async () => {
    const server = createServer().listen(0, host)
    await new Promise((done) => server.once('listening', done))
    const left = new Promise((done) =>
      server.once('connection', (socket: Socket) => socket.once('close', done).resume()),
    )
    expect(await knock(host, portOf(server), 2000, never)).toMatchObject({ outcome: 'open' })
    await left
    const free = portOf(server)
    await new Promise((done) => server.close(done))
    expect(await knock(host, free, 2000, never)).toMatchObject({ outcome: 'refused' })
  })

  it('tells that nobody says anything: a computer whose queue is full throws it away', async () => {
    // A process that takes nobody: stopped, with the queue of its socket full.
    const child: ChildProcess = spawn(
      process.execPath,
      [
        '-e',
        "const s=require('net').createServer().listen({port:0,host:'127.0.0.1',backlog:1},()=>console.log(s.address().port))",
      ],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    )
    const port = Number(await new Promise<Buffer>((done) => child.stdout?.once('data', done)))
    child.kill('SIGSTOP')
    const fill = Array.from({ length: 6 }, () => connect({ host, port }).on('error', () => undefined))
    try {
      await new Promise((done) => setTimeout(done, 300))
      const said = await knock(host, port, 700, never)
      expect(said.outcome).toBe('silent')
      expect(said.tookMs).toBeGreaterThan(600)
    } finally {
      for (const socket of fill) socket.destroy()
      child.kill('SIGKILL')
    }
  })

  it('is stopped by whoever waits for it', async () => {
    const stop = new AbortController()
    const socket = createSocket('udp4')
    await new Promise<void>((done) => socket.bind(0, host, done))
    const asked = knockForTime(host, socket.address().port, Date.now, 10_000, stop.signal)
    stop.abort(new Error('enough'))
    await expect(asked).rejects.toThrow('enough')
    await expect(knock(host, 9, 1000, stop.signal)).rejects.toThrow('enough')
    socket.close()
  })
})

describe('asking for the time', () => {
  const server = async (answer: (question: Buffer) => Uint8Array[]) => {
    const socket = createSocket('udp4')
    socket.on('message', (question, from) => {
      for (const reply of answer(question)) socket.send(reply, from.port, from.address)
    })
    await new Promise<void>((done) => socket.bind(0, host, done))
    return socket
  }
  it('takes the answer to this question, past others that come before it', async () => {
    const socket = await server((question) => [
      Buffer.from('no answer at all'),
      timeReply(Buffer.alloc(48, 0x23), 0) ?? Buffer.alloc(0),
      timeReply(question, 61_000) ?? Buffer.alloc(0),
    ])
    const said = await knockForTime(host, socket.address().port, () => 1000, 3000, never)
    expect(said).toMatchObject({ outcome: 'open', time: { offsetMs: 60_000 } })
    socket.close()
  })
  it('tells silence and refusal apart', async () => {
    const socket = await server(() => [Buffer.from('nothing of the kind')])
    const { port } = socket.address()
    expect(await knockForTime(host, port, Date.now, 300, never)).toMatchObject({ outcome: 'silent' })
    await new Promise<void>((done) => socket.close(done))
    expect(await knockForTime(host, port, Date.now, 2000, never)).toMatchObject({ outcome: 'refused' })
  })
})
