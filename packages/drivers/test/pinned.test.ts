import { createHash, X509Certificate } from 'node:crypto'
import { createServer, type Server } from 'node:https'
import { ownCertificate } from '../../standins/src/device/certificate'
import { makeDialer } from '../src'

describe('a certificate that was pinned', () => {
  let server: Server
  let port = 0
  let fingerprint = ''
  const bodies: string[] = []
  beforeAll(async () => {
    const own = await ownCertificate('RG-1')
    fingerprint = createHash('sha256').update(new X509Certificate(own.certificate).raw).digest('hex')
    server = createServer({ key: own.key, cert: own.certificate }, (request, response) => {
      let body = ''
      request.on('data', (part: Buffer) => (body += part.toString()))
      request.on('end', () => {
        bodies.push(body)
        response.end('<ok/>')
      })
    })
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
    const at = server.address()
    port = typeof at === 'object' && at ? at.port : 0
  })
  afterAll(() => {
    server.close()
    server.closeAllConnections()
  })
  const table = () => ({
    prefixes: [{ site: '10.9.1.0', wire: '127.0.0.0', length: 24 }],
    ports: {},
    interfaces: [{ name: 'x', address: '10.9.1.5', prefix: 24 }],
  })
  const at = '10.9.1.1'

  it('is looked at, and then opens the way for that device alone, request after request', async () => {
    const dialer = makeDialer(table())
    expect(await dialer.certificateOf(at, port, 3000)).toBe(fingerprint)
    for (let i = 0; i < 3; i++)
      expect(await dialer.post(at, port, '/x', `body ${i}`, { timeoutMs: 3000, fingerprint })).toMatchObject({
        status: 200,
        text: '<ok/>',
      })
    expect(bodies).toEqual(['body 0', 'body 1', 'body 2'])
  })

  it('of another device sends nothing to it', async () => {
    const dialer = makeDialer(table())
    bodies.length = 0
    const wrong = fingerprint.replace(/./, (c) => (c === '0' ? '1' : '0'))
    await expect(dialer.post(at, port, '/x', 'secret', { timeoutMs: 3000, fingerprint: wrong })).rejects.toMatchObject({
      code: 'another',
    })
    await new Promise((done) => setTimeout(done, 100))
    expect(bodies).toEqual([])
  })

  it('where nobody speaks TLS, or nobody is, is an error in words', async () => {
    const dialer = makeDialer(table())
    await expect(dialer.certificateOf(at, 1, 1000)).rejects.toMatchObject({ code: 'connectionRefused' })
    await expect(dialer.post(at, 1, '/x', 'secret', { timeoutMs: 1000, fingerprint })).rejects.toMatchObject({
      code: 'connectionRefused',
    })
  })
})
