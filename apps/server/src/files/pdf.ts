import {
  all,
  boardOf,
  cableName,
  chainHead,
  inCurrentOrder,
  jobOf,
  judgeReading,
  netOf,
  newestOf,
  openSnags,
  partDeviceId,
  plannedOf,
  reachedWhole,
  readingFacts,
  sheetOf,
  standings,
  workedConfigs,
  type ChainRecord,
  type Door,
  type Facts,
  type Reach,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { waitedOf } from '../changes/links'
import { drawPictures, type Pictures } from './pictures'
import { footOf, inner, PdfFile, type Column, type Made, type Page } from './page'

/** A door's record for people: A4, plan, readings, pictures, device, proofs with evidence, signatures and the head of the chain. @param pictures bytes of those that have arrived */
export async function recordPdf(
  facts: Facts,
  door: Door,
  { pictures, chain, made }: { pictures: Pictures; chain: readonly ChainRecord[]; made: Made },
): Promise<Buffer> {
  const job = jobOf(facts)
  const out = new PdfFile(
    `${door.ref} ${door.name}: record`,
    job?.name ?? '',
    footOf(`${door.ref} ${door.name}, record`, facts, made),
  )
  const page = out.page()
  const time = timeWriter(job?.zone ?? 'UTC')
  page.title(`${door.ref} ${door.name}`)
  page.line(`${job?.name ?? ''} · ${job?.client ?? ''} · ${job?.site ?? ''}`)
  page.line(`Times in ${job?.zone ?? 'UTC'}`)
  planPart(page, facts, door)
  wirePart(page, facts, door, time)
  drawPictures(
    page,
    all(facts, 'photo')
      .filter((p) => p.door === door.id)
      .sort((a, b) => a.at - b.at),
    pictures,
    time,
  )
  devicePart(page, facts, door, time)
  provePart(page, facts, door, time)
  latePart(page, chain, time)
  signPart(page, facts, door, time)
  return out.end()
}

function timeWriter(zone: string): (ms: number) => string {
  const format = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    day: '2-digit',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
  })
  return (ms) => format.format(ms)
}

function planPart(page: Page, facts: Facts, door: Door): void {
  const controller = facts.controller[door.placement?.controller ?? '']
  page.heading('Plan')
  page.row(
    'Leads',
    `from ${facts.area[door.from]?.name ?? ''} to ${facts.area[door.to]?.name ?? ''}${door.escapeRoute ? ', on an escape route' : ''}`,
  )
  for (const part of door.parts) page.row(part.id, sheetOf(sheetsFor(facts), part.sheet).name)
  page.row(
    'Behaviour',
    `release ${door.behaviour.releaseS} s, open ${door.behaviour.heldOpenS} s, delay before relock ${door.behaviour.relockDelayS} s`,
  )
  if (!controller) return
  page.heading(`Conductors to ${controller.ref}, cabinet ${controller.cabinet}`)
  const net = netOf(door, boardOf(sheetsFor(facts), controller), sheetsFor(facts))
  for (const c of inCurrentOrder(net.conductors))
    page.row(`${c.part} ${c.leadName} (${c.colour})`, `${c.cable} to terminal ${c.terminal.id} ${c.terminal.label}`)
  for (const link of net.links) page.row('Link at the strip', link.says)
}

const stepWords = { pulled: 'pulled', ended: 'terminated', tested: 'tested' } as const

function wirePart(page: Page, facts: Facts, door: Door, time: (ms: number) => string): void {
  const planned = plannedOf(facts, sheetsFor(facts))
  page.heading('Wire')
  for (const cable of door.cables) {
    const tick = facts.tick[`${door.id}/${cable.id}`]
    const done = (['pulled', 'ended', 'tested'] as const)
      .map((w) => (tick?.[w] ? `${stepWords[w]} by ${tick[w].by}` : `not ${stepWords[w]}`))
      .join(', ')
    page.row(
      `${cable.id} to ${cable.part}`,
      `${cableName(cable.type)}, ${cable.lengthM} m${cable.planned ? ` as built (planned ${cableName(cable.planned.type)}, ${cable.planned.lengthM} m)` : ''}; ${done}`,
    )
    for (const reading of newestOf(facts, door.id, cable.id)) {
      const verdict = judgeReading(reading, door, planned)
      const { name, unit } = readingFacts[reading.kind]
      const who = `(${reading.by}, ${time(reading.at)})`
      if (!verdict)
        page.row('', `${name} ${reading.value} ${unit}: not judged, the plan lacks what it is worked out from ${who}`)
      else
        page.row(
          '',
          `${name} ${reading.value} ${unit}${verdict.value === reading.value ? '' : ` (${verdict.value.toFixed(2)} ${unit} without the meter’s leads)`}, worked out ${verdict.expected.value.toFixed(2)} ${unit}: ${verdict.in ? 'in tolerance' : 'out of tolerance'} ${who}`,
        )
    }
  }
}

function devicePart(page: Page, facts: Facts, door: Door, time: (ms: number) => string): void {
  const reach = facts.reach[door.placement?.controller ?? '']
  if (!reach) return
  const firmware = ({ firmware: version, firmwareAccepted: accepted }: Reach) =>
    `${version}${accepted ? `, accepted by ${accepted.by}, ${time(accepted.at)}` : ''}`
  page.heading('Device')
  page.row('Address', reach.address)
  page.row('Serial, MAC', `${reach.serial}, ${reach.mac}`)
  page.row('Firmware', firmware(reach))
  for (const part of door.parts) {
    const own = facts.reach[partDeviceId(door.id, part.id)]
    if (own)
      page.row(
        part.id,
        `${own.address}; serial ${own.serial}; firmware ${firmware(own)}${own.onBus?.state === 'secured' ? '; encrypted under a key of its own' : ''}`,
      )
  }
  const load = all(facts, 'load')
    .filter((l) => l.controller === reach.id && reachedWhole(l))
    .sort((a, b) => b.endedAt - a.endedAt)[0]
  if (load) page.row('Configuration', `digest ${load.digest}, read back ${time(load.endedAt)}`)
}

const testColumns: readonly Column[] = [
  { title: 'Test', width: 230 },
  { title: 'Result', width: 90 },
  { title: 'By', width: 70 },
  { title: 'When', width: inner - 390 },
]

function provePart(page: Page, facts: Facts, door: Door, time: (ms: number) => string): void {
  const worked = workedConfigs(facts, sheetsFor(facts))(door.placement?.controller ?? '')
  const list = standings(facts, door, sheetsFor(facts), worked.wanted, worked.held)
  page.heading('Tests')
  page.table(
    testColumns,
    list.map(({ test, state, proof }) => [
      test.title,
      state === 'todo' ? 'to do' : state,
      proof?.by ?? '',
      proof ? time(proof.at) : '',
    ]),
  )
  page.heading('Log of the tests')
  for (const { test, state, proof } of list) {
    const why = proof ? `${proof.says} (${proof.by}, ${time(proof.at)})` : test.notApplicable
    page.row(test.title, why ? `${state}: ${why}` : state)
    for (const item of (proof?.evidence ?? []) as { at?: number; says?: string; boot?: string; seq?: number }[])
      if (item.at && item.says) page.row('', `${time(item.at)} ${item.says} [${item.boot} ${item.seq}]`)
  }
  const snags = openSnags(facts, door.id)
  page.heading('Open snags')
  if (snags.length === 0) page.line('None.')
  for (const snag of snags) page.row(snag.owner, snag.says)
}

/** Records that came later than they were made: what the phone claims, and what can be believed of it. */
function latePart(page: Page, chain: readonly ChainRecord[], time: (ms: number) => string): void {
  const late = chain.flatMap((record) => {
    const waited = waitedOf(record)
    return waited ? [{ record, waited }] : []
  })
  if (late.length === 0) return
  page.heading('Came later than they were made')
  for (const { record, waited } of late) {
    const claimed = time(record.at - waited.claimedMs)
    const made =
      waited.claimedMs > waited.plausibleMs
        ? `made after ${time(record.at - waited.plausibleMs)}; its phone claims ${claimed}, and had heard from here after that`
        : `made ${claimed} by its phone’s clock`
    const through = waited.broughtInBy === undefined ? '' : `, brought in by ${waited.broughtInBy}`
    page.row(`Record ${record.n}, ${record.kind}`, `${record.by}: ${made}; received ${time(record.at)}${through}`)
  }
}

function signPart(page: Page, facts: Facts, door: Door, time: (ms: number) => string): void {
  page.heading('Signatures')
  for (const s of all(facts, 'signature')
    .filter((x) => x.door === door.id)
    .sort((a, b) => a.at - b.at))
    page.stroke(s.stroke, `${s.name}, ${s.role}, ${time(s.at)}, under fingerprint ${s.head.slice(0, 16)}`)
  page.heading('Chain')
  page.line(`Fingerprint of the record, ${facts.head[door.id]?.n ?? 0} entries:`)
  page.line(chainHead(facts, door.id), 'mono')
  page.line('Public key of the job (Ed25519):')
  page.line(jobOf(facts)?.publicKey ?? '', 'mono')
  page.line(
    `Check the record file with: npm run -s rauta -- verify record.json --key FILE --head ${facts.head[door.id]?.n ?? 0}:HEAD`,
  )
}
