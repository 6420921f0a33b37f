import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { deviceKinds, openingKinds } from '@rauta/core'
import { commands, shippedSheets } from '@rauta/contracts'
import * as demo from '../src/job'
import * as planned from '../src/planned'
import { handsFor } from '../src/hands'

interface SiteFile {
  devices: {
    serial: string
    model: string
    mac: string
    address?: string
    secret?: string
    powered: boolean
    holds?: object
  }[]
  doors: { id: string; readers: { serial: string }[]; lock: { serial: string } }[]
  cards: Record<string, string>
  radio?: { hubs: { controller: string; model: string }[]; locks: { serial: string; model: string }[] }
}
const site = JSON.parse(readFileSync(fileURLToPath(new URL('../site.json', import.meta.url)), 'utf8')) as SiteFile

describe('the demo job', () => {
  it('has 4 areas, 12 doors, 5 controllers of both types, 14 people in 4 groups', () => {
    expect([
      demo.areas.length,
      demo.doors.length,
      demo.controllers.length,
      demo.holders.length + demo.otherHolders.length,
      demo.groups.length,
    ]).toEqual([4, 12, 5, 14, 4])
    expect(new Set(demo.controllers.map((c) => c.sheet))).toEqual(new Set(['controller-2', 'controller-4']))
  })
  it('names only areas, controllers, sheets, groups and schedules that are there', () => {
    const areas = new Set(demo.areas.map((a) => a.id))
    for (const door of demo.doors) {
      expect([areas.has(door.from), areas.has(door.to)]).toEqual([true, true])
      if (door.controller) expect(demo.controllers.some((c) => c.id === door.controller)).toBe(true)
      for (const sheet of Object.values(door.hardware)) expect(shippedSheets[sheet]).toBeDefined()
    }
    for (const rule of demo.rules) {
      expect(demo.groups.some((g) => g.id === rule.group) && demo.schedules.some((s) => s.id === rule.schedule)).toBe(
        true,
      )
      for (const door of rule.doors) expect(demo.doors.some((d) => d.id === door)).toBe(true)
    }
  })
  it('plans 36 more, of every kind of opening and with every kind of device', () => {
    expect(demo.doors.length + planned.doors.length).toBe(48)
    expect(new Set(planned.doors.map((d) => d.opening ?? 'door'))).toEqual(new Set(openingKinds))
    const used = [
      ...[...demo.doors, ...planned.doors].flatMap((d) => Object.values(d.hardware)),
      ...planned.controllers.flatMap((c) => [
        c.sheet,
        c.supply,
        ...('expanders' in c ? c.expanders.map((e) => e.sheet) : []),
      ]),
      ...planned.units.map((u) => u.sheet),
      ...demo.controllers.map((c) => c.sheet),
    ]
    const kinds = new Set(
      used.flatMap((id) => {
        const sheet = shippedSheets[id]
        return sheet ? [sheet.kind, ...(sheet.also ?? [])] : []
      }),
    )
    expect(deviceKinds.filter((kind) => !kinds.has(kind))).toEqual([])
    const areas = new Set([...demo.areas, ...planned.areas].map((a) => a.id))
    for (const door of planned.doors) expect([areas.has(door.from), areas.has(door.to)]).toEqual([true, true])
  })
  it('is wired by a file of its own whose devices match the plan by serial', () => {
    for (const controller of demo.controllers) {
      const device = site.devices.find((d) => d.serial === controller.serial)
      expect([controller.ref, device?.model]).toEqual([controller.ref, controller.sheet])
    }
    expect(site.devices.filter((d) => d.holds)).toHaveLength(1)
    expect(site.devices.filter((d) => d.secret)).toHaveLength(1)
    expect(site.devices.filter((d) => !d.powered)).toHaveLength(1)
    for (const door of site.doors)
      for (const serial of [door.lock.serial, ...door.readers.map((r) => r.serial)])
        expect([...site.devices, ...(site.radio?.locks ?? [])].some((d) => d.serial === serial)).toBe(true)
    // Hubs and locks are what the plan says that they are.
    for (const { controller, model } of site.radio?.hubs ?? [])
      expect([site.devices.find((d) => d.serial === controller)?.model, shippedSheets[model]?.kind]).toEqual([
        'controller-radio',
        'hub',
      ])
    for (const { serial, model } of site.radio?.locks ?? []) {
      const door = site.doors.find((d) => d.lock.serial === serial)
      expect([door?.id, planned.doors.find((d) => d.id === door?.id)?.hardware['lock']]).toEqual([door?.id, model])
    }
  })
  it('no two devices share a serial, a MAC or a place to come up at', () => {
    for (const key of ['serial', 'mac'] as const)
      expect(new Set(site.devices.map((d) => d[key])).size).toBe(site.devices.length)
    const places = site.devices.map((d) => d.address ?? shippedSheets[d.model]?.controller?.factory.address)
    expect(new Set(places).size).toBe(places.length)
  })
  it('knows hands for every test and a card for every name', () => {
    const times = { heldOpenS: 20, magnetic: true, waits: 7000 }
    for (const test of [
      'reader-R1',
      'before-load',
      'told',
      'good-card',
      'release-time',
      'unknown-card',
      'lost-card',
      'hours-card',
      'exit-button',
      'exit-sensor',
      'handle',
      'forced',
      'held-open',
      'break-glass',
      'holds',
      'alone',
      'unlock-delay',
      'relock-opening',
      'reentry',
      'passback',
      'passback-out',
      'pre-alarm',
      'free-hours',
      'first-person',
      'barred-hours',
    ]) {
      for (const hand of handsFor(test, 'Q-01', times))
        if (hand['do'] === 'card') expect(site.cards[String(hand['card'])]).toMatch(/^[0-9A-F]{6}$/)
    }
    expect(() => handsFor('dance', 'Q-01', times)).toThrow('No hands for dance')
  })
  it('two demos on two ports have networks of their own', () => {
    expect(demo.netFor(4380).ports['80']).toBe(18080)
    expect(demo.netFor(4390)).not.toEqual(demo.netFor(4380))
    expect(commands['area.put']).toBeDefined()
  })
})
