import express from 'express'
import type { Server } from 'node:http'
import { play, type Hand } from '../site/hands'
import { harmable } from '../site/harms'
import { inputsOf } from '../site/moved'
import type { Rig } from '../site/rig'
import { sendsChoices, type ReaderSends } from '../site/sending'
import { pageHtml } from './page'

/** What the rig's page shows, as plain data. */
export function stateOf(rig: Rig) {
  return {
    now: rig.world.clock.now(),
    cards: rig.cards,
    devices: [...rig.units.values()].map((u) => ({
      serial: u.serial,
      model: u.file.model,
      address: u.memory.address,
      up: u.up,
      powered: u.powered,
      jumper: u.jumper,
      note: u.file.secret ? `${u.sheet?.factory.user ?? ''} / ${u.file.secret}` : '',
      network: !u.faults.networkCut,
      slowMs: u.faults.slowMs,
      clockOffMs: u.memory.clockOffMs,
      lamp: lampOf(u),
    })),
    hubs: [...rig.air.hubs.values()].map((h) => ({
      serial: h.serial,
      powered: h.powered,
      address: h.memory.address,
      key: keyWords(h.memory.key),
      pairing: h.pairing,
      locks: Object.keys(h.memory.places).length,
      shown: h.shown,
    })),
    doors: [...rig.openings.values()].map((o) => ({
      id: o.file.id,
      name: o.file.name,
      principle: o.file.lock.principle,
      leafOpen: o.leafOpen,
      holds: o.holds(),
      volts: o.volts(),
      glassBroken: o.glassBroken,
      feedPulled: o.feedPulled,
      readers: o.file.readers.map((r) => ({
        id: r.id,
        side: r.side,
        bus: busStateOf(rig, r.bus?.serial),
        radio: lockStateOf(rig, r.serial),
        sends: sendsName(rig.sendsOf(o.file.id, r.id)),
      })),
      sendsChoices: Object.keys(sendsChoices),
      exit: !!o.file.exit,
      breakGlass: o.file.breakGlass,
      second: !!o.file.lock2,
      leaf2Open: o.leaf2Open,
      opener: !!o.file.opener,
      openerOff: o.openerOff,
      worked: Object.keys(o.file.worked ?? {}).map((part) => ({ part, on: o.isWorked(part) })),
      driven: Object.entries(o.file.driven ?? {}).map(([part, at]) => ({
        part,
        on: rig.units.get(at.serial)?.energised(at.relay) ?? false,
      })),
      panel: o.file.panel ? { set: o.panelSet } : null,
      handle: o.file.handle,
      harms: Object.entries(harmable(o.file)).map(([part, can]) => ({ part, can, now: o.harms.of(part) })),
      inputs: inputsOf(o.file),
      screws: rig.inputsOn(o.file.lock.serial),
      controller: o.file.lock.serial,
    })),
  }
}

/** Name of a way to send; empty for one that is the site's own. */
const sendsName = (sends: ReaderSends): string =>
  Object.entries(sendsChoices).find(([, choice]) => JSON.stringify(choice) === JSON.stringify(sends))?.[0] ?? ''

const keyWords = (key: string | null): string => (key === null ? 'none' : 'has one')

/** How a wireless lock stands, where the reader is one. */
function lockStateOf(rig: Rig, serial: string) {
  const lock = rig.air.locks.get(serial)
  return lock ? { serial, key: keyWords(lock.memory.key), batteryLow: lock.memory.batteryLow } : null
}

/** How a reader on a bus stands, where it is one. */
function busStateOf(rig: Rig, serial: string | undefined) {
  const reader = serial === undefined ? undefined : rig.busReaders.get(serial)
  return reader
    ? {
        serial: reader.file.serial,
        ...reader.memory,
        key: reader.memory.key === null ? 'of the factory' : 'of its own',
        highest: reader.file.switches ? 31 : 126,
        shown: reader.shown,
      }
    : null
}

/** Serves the rig's page and its hands on loopback only. */
export async function servePage(rig: Rig, port: number): Promise<Server> {
  const app = express()
  app.use(express.json({ limit: '200kb' }))
  app.get('/', (_request, response) => {
    response.type('html').send(pageHtml)
  })
  app.get('/rig/state', (_request, response) => {
    response.json(stateOf(rig))
  })
  app.post('/rig/hands', (request, response) => {
    const hands = (request.body as { hands?: Hand[] }).hands
    if (!Array.isArray(hands)) {
      response.status(400).json({ says: 'Send {"hands": [...]}' })
      return
    }
    play(rig, hands).then(
      (done) => response.json({ done }),
      (error: Error) => response.status(400).json({ says: error.message }),
    )
  })
  return new Promise((resolve, reject) => {
    const server = app.listen(port, '127.0.0.1', (error?: Error) => (error ? reject(error) : resolve(server)))
  })
}

function lampOf(u: { up: boolean; powered: boolean }): string {
  if (u.up) return 'RUN steady'
  return u.powered ? 'RUN slow' : 'dark'
}
