import { answersFor, diagnose, failureOfProof, type LookId, type Proof } from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import { harmable, type Hand, type Harm, type Opening } from '@rauta/standins'
import { serial, Site, siteFile } from './site'

/** D-01 is a strike that opens by volts; D-02 a magnet that lets go without them, with a break glass in its feed. */
const file = siteFile((site) => {
  const magnet = site.doors[1]
  if (!magnet) throw new Error('no second door')
  magnet.lock = { ...magnet.lock, principle: 'magnetic', fail: 'safe', coilOhm: 24 }
  magnet.breakGlass = true
  magnet.handle = false
})

let site: Site
beforeAll(async () => {
  site = await new Site(file).start()
  await site.plan(2)
  await site.command('door.edit', {
    id: 'D-02',
    fields: {
      handle: false,
      hardware: {
        entryReader: 'reader-slim',
        lock: 'magnet-300',
        contact: 'contact-frame',
        exit: 'button-exit',
        breakGlass: 'break-glass',
      },
    },
  })
  await site.command('door.placeProposed', { id: 'D-02', controller: 'a1' })
  await site.take()
  await site.load()
}, 120_000)

const opening = (door: string): Opening => {
  const found = site.rig.openings.get(door)
  if (!found) throw new Error(`no ${door}`)
  return found
}

/** What eyes and a meter at the rig's own copper say: of each look the answer that is true of the site as it is, from its causes alone. */
interface Seen {
  voltsReleased: number
  voltsLocked: number
  opened: boolean
}
const volts = (v: number): string => (v > 10.2 ? 'full' : v > 2 ? 'low' : 'none')
function truth(door: string, look: LookId, harm: (part: string) => Harm | null, seen: Seen): string {
  const answers: Partial<Record<LookId, () => string>> = {
    lamp: () => (harm('R1') === 'dark' ? 'dark' : 'lit'),
    blink: () => (harm('R1') === 'dark' ? 'no' : 'yes'),
    readerVolts: () => (harm('R1') === 'dark' ? 'none' : 'there'),
    whose: () => 'its',
    whoseLock: () => 'its',
    again: () => 'same',
    printed: () => 'yes',
    dataRest: () => ({ data0Loose: 'not0', data1Loose: 'not1' })[harm('R1') as string] ?? 'both',
    colours: () => (opening(door).file.readers[0]?.dataSwapped ? 'crossed' : 'right'),
    sends: () =>
      site.rig.sendsOf(door, 'R1').order ? 'order' : site.rig.sendsOf(door, 'R1').format ? 'format' : 'asSet',
    bridge: () => (harm('X1') === 'bridged' ? 'silent' : 'told'),
    across: () => ({ loose: 'open', bridged: 'closed', turned: 'turned' })[harm('X1') as string] ?? 'follows',
    atPart: () => 'changes',
    opened: () => (seen.opened ? 'yes' : 'no'),
    pressed: () => (harm('K1') === 'stuck' ? 'lets' : 'stays'),
    voltsReleased: () => volts(seen.voltsReleased),
    voltsLocked: () => volts(seen.voltsLocked),
    voltsPressed: () => (harm('K1') === 'bridged' || harm('B1') === 'stuck' ? 'full' : 'none'),
    acrossGlass: () => (harm('B1') === 'stuck' ? 'closed' : 'open'),
    offRelay: () => (harm('K1') === 'bridged' ? 'still' : 'gone'),
    contactAcross: () => ({ loose: 'open', bridged: 'closed', turned: 'turned' })[harm('C1') as string] ?? 'follows',
    glass: () => (opening(door).glassBroken ? 'broken' : 'whole'),
    feed: () => (opening(door).feedPulled ? 'none' : 'there'),
    standing: () => 'locked',
  }
  const answer = answers[look]
  if (!answer) throw new Error(`nobody at this site can look at ${look}`)
  return answer()
}

const presses: Hand[] = [
  { do: 'press', door: '' },
  { after: 400, do: 'release', door: '' },
]
const reads: Hand[] = [{ do: 'card', door: '', reader: 'R1', card: 'good' }]
const at = (door: string, hands: readonly Hand[]): Hand[] => hands.map((h) => ({ ...h, door }) as Hand)

/** Runs a test at a site that somebody harmed: hands do what it asks, and whoever stands there says that it failed. */
async function fails(door: string, test: string, hands: readonly Hand[]): Promise<{ proof: Proof; seen: Seen }> {
  const before = new Set(Object.keys(site.facts.proof))
  await site.command('trial.start', { door, test })
  await site.clock.sleep(600)
  const leaf = opening(door)
  const seen: Seen = { voltsReleased: leaf.volts(), voltsLocked: leaf.volts(), opened: false }
  await site.hands(at(door, hands))
  await site.clock.sleep(800)
  seen.voltsReleased = leaf.volts()
  seen.opened = leaf.push()
  await site.clock.sleep(800)
  if (seen.opened) leaf.close()
  await site.clock.sleep(800)
  if (site.facts.trial[door]) await site.command('trial.answer', { door, test, answer: 'failed', says: 'It did not.' })
  const proof = await site.until('the failure to be recorded', (f) =>
    Object.values(f.proof).find((p) => !before.has(p.id) && p.door === door && p.test === test),
  )
  expect([proof.verdict, proof.says]).toEqual(['failed', proof.says])
  return { proof, seen }
}

/** Looks as it is asked, answers what is true, by the same commands as a phone; and what it comes to. */
async function searched(door: string, { proof, seen }: { proof: Proof; seen: Seen }) {
  const failure = failureOfProof(site.facts, proof, shippedSheets)
  if (!failure) throw new Error(`${proof.says}: no failure that anybody knows`)
  const looked: string[] = []
  for (;;) {
    const now = diagnose(failure, answersFor(site.facts, failure))
    if (!now.next) return { failure, looked, settled: now.settled?.id, left: now.left.map((c) => c.id) }
    const { look } = now.next
    const answer = truth(door, look, (part) => opening(door).harms.of(part), seen)
    looked.push(`${look}: ${answer}`)
    await site.command('look.answer', { failure: proof.id, look, answer })
  }
}

async function mended(door: string): Promise<void> {
  for (const part of Object.keys(harmable(opening(door).file)))
    await site.hands([{ do: 'harm', door, part, harm: null }])
  await site.hands([
    { do: 'mendFeed', door },
    { do: 'mendGlass', door },
    { do: 'sends', door, reader: 'R1', choice: null },
    { do: 'close', door },
  ])
  await site.clock.sleep(7000)
}

const harmed = (part: string, harm: Harm): Hand[] => [{ do: 'harm', door: '', part, harm }]
const causes: [string, string, Hand[], string, Hand[]][] = [
  ['readerDark', 'D-01', harmed('R1', 'dark'), 'good-card', reads],
  ['dataOpen', 'D-01', harmed('R1', 'loose'), 'good-card', reads],
  ['data0Dead', 'D-01', harmed('R1', 'data0Loose'), 'good-card', reads],
  ['data1Dead', 'D-01', harmed('R1', 'data1Loose'), 'good-card', reads],
  [
    'orderTurned',
    'D-01',
    [{ do: 'sends', door: '', reader: 'R1', choice: '26 bits, bits turned' }],
    'good-card',
    reads,
  ],
  ['otherFormat', 'D-01', [{ do: 'sends', door: '', reader: 'R1', choice: '34 bits' }], 'good-card', reads],
  ['inputCut', 'D-01', harmed('X1', 'loose'), 'exit-button', presses],
  ['inputOther', 'D-01', [{ do: 'move', door: '', part: 'X1', input: 'input 8' }], 'exit-button', presses],
  ['lockCut', 'D-01', harmed('K1', 'loose'), 'good-card', reads],
  ['lockStuck', 'D-01', harmed('K1', 'stuck'), 'good-card', reads],
  ['contactBridged', 'D-01', harmed('C1', 'bridged'), 'good-card', reads],
  ['lockOtherContact', 'D-02', harmed('K1', 'otherContact'), 'good-card', reads],
  ['lockBridged', 'D-02', harmed('K1', 'bridged'), 'good-card', reads],
  ['lockStuck', 'D-02', harmed('K1', 'stuck'), 'good-card', reads],
  ['feedOff', 'D-02', [{ do: 'pullFeed', door: '' }], 'holds', []],
  ['glassOpen', 'D-02', [{ do: 'breakGlass', door: '' }], 'holds', []],
  ['lockCut', 'D-02', harmed('K1', 'loose'), 'holds', []],
  ['glassPast', 'D-02', harmed('K1', 'bridged'), 'break-glass', [{ do: 'breakGlass', door: '' }]],
  ['glassStuck', 'D-02', harmed('B1', 'stuck'), 'break-glass', [{ do: 'breakGlass', door: '' }]],
]

describe('from symptom to cause, from the physical cause alone', () => {
  it.each(causes)(
    '%s at %s',
    async (cause, door, harms, test, hands) => {
      await site.hands(at(door, harms))
      await site.clock.sleep(300)
      const result = await searched(door, await fails(door, test, hands))
      expect([result.failure.subject, result.looked, result.settled ?? result.left]).toEqual([
        expect.any(String) as string,
        expect.any(Array) as string[],
        cause,
      ])
      if (cause === 'inputOther') await site.hands([{ do: 'move', door, part: 'X1', input: 'input 2' }])
      await mended(door)
    },
    60_000,
  )
  it('with nothing wrong there is nothing to look for', async () => {
    const proof = await site.prove(
      'D-01',
      'exit-button',
      at('D-01', [...presses, { after: 500, do: 'push', door: '' }, { after: 800, do: 'close', door: '' }]),
    )
    expect(proof.verdict).toBe('passed')
    expect(failureOfProof(site.facts, proof, shippedSheets)).toBeNull()
    const answer = await site.ask('POST', '/commands', {
      id: 'x',
      name: 'look.answer',
      payload: { failure: proof.id, look: 'across', answer: 'open' },
      seen: site.facts.rev,
    })
    expect(answer.status).not.toBe(200)
  }, 60_000)
})

it('what cannot be wrong with a part is refused by the rig', async () => {
  await expect(site.hands([{ do: 'harm', door: 'D-01', part: 'B1', harm: 'stuck' }])).rejects.toThrow(/no B1/)
  await expect(site.hands([{ do: 'harm', door: 'D-01', part: 'X1', harm: 'dark' }])).rejects.toThrow(/It can be: loose/)
  await expect(site.hands([{ do: 'harm', door: 'D-01', part: 'constructor', harm: null }])).rejects.toThrow(
    /no constructor/,
  )
  expect(Object.keys(harmable(opening('D-02').file))).toContain('B1')
  expect(site.unit(serial).up).toBe(true)
})
