import { heldConfig, jobOf, marksOf } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import type { Dialer } from '@rauta/drivers'
import { Site, siteFile } from './site'

type Post = Dialer['post']
type Answer = Awaited<ReturnType<Post>>
/** What a liar makes of a request: `real` asks the device itself. */
type Lie = (
  request: { path: string; body: string; timeoutMs: number; signal?: AbortSignal },
  real: () => Promise<Answer>,
) => Promise<Answer>

const liarAt = '10.7.1.21'
const honestAt = '10.7.1.22'
const honest = 'RG-4077'

const altered =
  (change: (text: string) => string): Lie =>
  async (_request, real) => {
    const answer = await real()
    return { ...answer, text: change(answer.text) }
  }
/** Lists that go on with another page each time; its mark says that there is something to read. */
const endless = (next: () => string): Lie =>
  altered((text) =>
    text
      .replace(/(<\w+:Get\w+ListResponse[^>/]*)(\/?)>/, (_all, open: string, empty: string) => {
        const more = `${open}><NextStartReference>${next()}</NextStartReference>`
        return empty ? `${more}</${open.slice(1).split(' ')[0]}>` : more
      })
      .replace(/Mark>\w+</, `Mark>other${page}<`),
  )
let page = 0
const silentUntil = ({ timeoutMs, signal }: { timeoutMs: number; signal?: AbortSignal }) =>
  new Promise<never>((_, reject) => {
    const fail = () => reject(Object.assign(new Error('silence')))
    setTimeout(fail, timeoutMs)
    signal?.addEventListener('abort', fail)
  })

const event = (n: number) =>
  `<wsnt:NotificationMessage xmlns:wsnt="http://docs.oasis-open.org/wsn/b-2" xmlns:tt="http://www.onvif.org/ver10/schema"><wsnt:Topic>tns1:Door/State/DoorPhysicalState</wsnt:Topic><wsnt:Message><tt:Message UtcTime="2031-01-01T00:00:00Z" PropertyOperation="Changed"><tt:Source><tt:SimpleItem Name="DoorToken" Value="D-01"/></tt:Source><tt:Data><tt:SimpleItem Name="State" Value="${n % 2 ? 'Open' : 'Closed'}"/><tt:SimpleItem Name="Boot" Value="flood"/><tt:SimpleItem Name="Sequence" Value="${n}"/></tt:Data></tt:Message></wsnt:Message></wsnt:NotificationMessage>`
let told = 0
const flood =
  (perLook: number): Lie =>
  async (request, real) => {
    if (!request.body.includes('PullMessages')) return await real()
    const events = Array.from({ length: perLook }, () => event(++told)).join('')
    return {
      status: 200,
      text: `<s:Envelope xmlns:s="http://www.w3.org/2003/05/soap-envelope"><s:Body><tev:PullMessagesResponse xmlns:tev="http://www.onvif.org/ver10/events/wsdl">${events}</tev:PullMessagesResponse></s:Body></s:Envelope>`,
    }
  }

/** What each liar does, and where in words it is said. */
const liars: { name: string; lie: Lie; says: RegExp; of?: 'watch' | 'tape' }[] = [
  {
    name: 'answers each question after three seconds',
    lie: async (_request, real) => {
      await new Promise((done) => setTimeout(done, 300))
      return await real()
    },
    says: /^$/,
  },
  { name: 'never answers', lie: (request) => silentUntil(request), says: /silence/ },
  { name: 'turns pages without end', lie: endless(() => `p${++page}`), says: /does not come to an end/ },
  { name: 'gives the same page again and again', lie: endless(() => 'p'), says: /does not come to an end/ },
  { name: 'answers with noise', lie: altered(() => 'ÿþ~ no message'), says: /cannot be understood/ },
  { name: 'answers with nothing', lie: altered(() => ''), says: /answered nothing/ },
  {
    name: 'answers with too much',
    lie: altered((text) => text.replace('</', `${' '.repeat(1_200_000)}</`)),
    says: /too large/,
  },
  {
    name: 'answers with elements without end in one another',
    lie: altered((text) => text.replace(/<(\w+:)?Body>/, (open) => `${open}${'<a>'.repeat(5000)}`)),
    says: /elements too deep|cannot be understood/,
  },
  {
    name: 'says it is another one',
    lie: altered((text) => text.replace(/RG-4001/g, 'RG-6666')),
    says: /Somebody else answers at 10\.7\.1\.21: RG-6666/,
  },
  {
    name: 'tells a time that is none',
    lie: altered((text) => text.replace(/UtcMs>\d+/, 'UtcMs>99999999999999999999')),
    says: /a time that is none/,
  },
  { name: 'floods with events', lie: flood(1000), says: /events a second, more than can happen/, of: 'tape' },
  { name: 'tells more at once than was asked for', lie: flood(1400), says: /it told 400 more at once/, of: 'tape' },
]

describe('devices that lie, are slow or never end', () => {
  let site: Site
  let lie: Lie | null = null
  let asked = 0
  beforeAll(async () => {
    site = await new Site(
      siteFile((f) => {
        f.devices.push({
          serial: honest,
          mac: '02:00:00:00:00:77',
          model: 'controller-4',
          firmware: '3.2.1',
          address: '192.168.90.77',
          powered: true,
          clockOffMs: 0,
        })
      }),
    ).start()
    await site.plan(1)
    await site.command('controller.put', {
      id: 'a2',
      ref: 'A2',
      sheet: 'controller-4',
      cabinet: 'Riser',
      supply: 'supply-5',
      address: honestAt,
      serial: honest,
      mac: '',
    })
    await site.take()
    await site.command('claim.start', { controller: 'a2' })
    await site.until('its firmware', (f) => f.claim['a2']?.steps.find((s) => s.name === 'firmware')?.state === 'waits')
    await site.command('firmware.accept', { controller: 'a2' })
    await site.until('it in service', (f) => f.reach['a2']?.owned)
    await site.load()
    const job = jobOf(site.facts)
    if (!job) throw new Error('no job')
    await site.command('job.edit', { fields: { limits: { ...job.limits, watchS: 8 } } })
    const { dialer } = site.server.context
    const { post } = dialer
    dialer.post = async (address, port, path, body, options) => {
      const real = () => post(address, port, path, body, options)
      if (address !== liarAt) return await real()
      asked += 1
      return lie ? await lie({ path, body, ...options }, real) : await real()
    }
  }, 120_000)
  afterAll(() => site.stop())

  const unit = () => site.unit(honest)
  /** A stranger's card on the honest device, put there past everybody: how long until it is a difference, ms of the site. */
  async function noticedAfter(token: string): Promise<number> {
    unit().memory.entities.CredentialData[token] = {
      token,
      holder: 'Nobody',
      format: 'WIEGAND26',
      value: 'ABCDEF',
      profiles: [],
      enabled: true,
    }
    const from = site.clock.now()
    await site.until(`${token} to be seen`, (f) => heldConfig(f, 'a2')[`credential/${token}`], 30_000)
    return site.clock.now() - from
  }

  it.each(liars)(
    'one that $name is said to, holds up no other, and is believed again when it is itself',
    async ({ name, lie: this_, says, of = 'watch' }) => {
      lie = this_
      const told_ = await site.until(
        `${name} to be said`,
        (f) => {
          if (of === 'tape') return Object.values(f.event).find((e) => e.kind === 'gap' && says.test(e.says))?.says
          return says.test(f.reach['a1']?.says ?? 'x') ? `${f.reach['a1']?.says ?? ''} ` : null
        },
        60_000,
      )
      expect(told_.trim()).toMatch(says)
      const interval = (jobOf(site.facts)?.limits.watchS ?? 20) * 1000
      // The interval and the look itself; a busy machine is given two seconds of its own time beside.
      expect(await noticedAfter(`at-${name.replace(/\W/g, '')}`)).toBeLessThan(interval + 5_000 + 2000 * site.speed)
      lie = null
      await site.until('it is itself again', (f) => f.reach['a1']?.says === '' && f.reach['a1'].silentMs === 0, 60_000)
    },
    120_000,
  )

  it('one whose clock is in another century is said to be so, and is told in its own time', async () => {
    const device = site.unit()
    const before = device.memory.clockOffMs
    device.memory.clockOffMs = Date.UTC(2450, 0) - site.clock.now()
    const reached = () => {
      const door = site.facts.door['D-01']
      return door ? marksOf(site.facts, door, sheetsFor(site.facts)).reach.says : ''
    }
    await site.until('it to be said', () => /^The clock of A1 is \d{9,}\.\d s off/.test(reached()))
    device.memory.clockOffMs = before
    await site.until('it to be right again', () => /answers at/.test(reached()))
  })

  it('one that answers at once with nothing is not asked as fast as it answers', async () => {
    lie = flood(0)
    await site.clock.sleep(3000 * site.speed)
    const before = asked
    await site.clock.sleep(2000 * site.speed)
    lie = null
    expect(asked - before).toBeLessThan(60)
  }, 30_000)
})
