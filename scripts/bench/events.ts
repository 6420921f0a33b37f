import type { Change, DeviceEvent } from '@rauta/core'
import { Site, siteFile } from '../../apps/server/test/site'
import { row } from './measure'

const cardsASecond = 100
/** Seconds in which cards are presented; the first and the last part are told apart. */
const seconds = 40
const part = 10

/** What a screen would show: told by the live stream, fetched, and at hand. Latency is counted from the moment that the device stamped it. */
async function follow(site: Site, seen: (event: DeviceEvent, at: number) => void, signal: AbortSignal): Promise<void> {
  const headers = { cookie: site.session }
  const stream = await fetch(`${site.base}/live`, { headers, signal })
  const reader = stream.body?.getReader()
  const decoder = new TextDecoder()
  let known = site.facts.rev
  let text = ''
  for (;;) {
    const read = await reader?.read()
    if (!read || read.done) return
    text += decoder.decode(read.value, { stream: true })
    if (!/event: rev/.test(text)) continue
    text = ''
    const answer = await fetch(`${site.base}/changes?after=${known}`, { headers, signal })
    const { entries } = (await answer.json()) as { entries: { rev: number; changes: Change[] }[] }
    const now = site.clock.now()
    known = entries.at(-1)?.rev ?? known
    for (const change of entries.flatMap((e) => e.changes))
      if (change.kind === 'event' && change.after) seen(change.after as DeviceEvent, now)
  }
}

const at = (sorted: readonly number[], share: number) => sorted[Math.floor(sorted.length * share)] ?? NaN

/** From a card at a reader to a screen, at a hundred cards a second. */
export async function eventsBench(): Promise<void> {
  const site = await new Site(siteFile(), undefined, 1).start()
  await site.plan(4)
  await site.take()
  await site.load()
  const began = site.clock.now()
  const latencies: { since: number; ms: number }[] = []
  const stop = new AbortController()
  const following = follow(
    site,
    (event, now) => {
      if (event.kind === 'refused')
        latencies.push({ since: event.received - began, ms: now - (event.at - event.offsetMs) })
    },
    stop.signal,
  ).catch(() => undefined)
  for (let i = 0; i < seconds * cardsASecond; i++) {
    const due = began + (i * 1000) / cardsASecond
    const wait = due - site.clock.now()
    if (wait > 1) await new Promise((done) => setTimeout(done, wait))
    site.rig.presentCard(`D-0${1 + (i % 4)}`, 'R1', (0x100000 + i).toString(16))
  }
  await new Promise((done) => setTimeout(done, 3000))
  stop.abort()
  await following
  const within = (from: number, to: number) =>
    latencies
      .filter((l) => l.since >= from * 1000 && l.since < to * 1000)
      .map((l) => l.ms)
      .sort((a, b) => a - b)
  const [early, late] = [within(0, part), within(seconds - part, seconds + 5)]
  row(
    `a card to the screen at ${cardsASecond} a second, ${latencies.length} of ${seconds * cardsASecond} seen, 99th percentile of the last ${part} s`,
    `${at(late, 0.99).toFixed(0)} ms (median ${at(late, 0.5).toFixed(0)})`,
    `of the first ${part} s ${at(early, 0.99).toFixed(0)} ms (median ${at(early, 0.5).toFixed(0)})`,
    (at(late, 0.99) / at(early, 0.99)).toFixed(2),
    '500 ms, flat',
  )
  await site.stop()
}
