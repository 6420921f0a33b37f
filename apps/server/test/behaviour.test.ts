import { heldConfig, marksOf, scriptFor, wantedConfig, type Behaviour, type Door } from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'
import { goodCard, Site, serial, siteFile } from './site'

/** What a door does beyond its plain times: told to its controller, obeyed by it, read back, and proved at the door. */
describe('a door’s own rules over the wire', () => {
  let site: Site
  const entry = 'D-01'
  const lobby = 'D-02'
  const show = (card: string, door = entry, reader = 'R1', after = 0) => ({
    do: 'card' as const,
    door,
    reader,
    card,
    after,
  })
  const doorOf = (id: string): Door => {
    const found = site.facts.door[id]
    if (!found) throw new Error(`no door ${id}`)
    return found
  }
  const behave = async (id: string, over: Partial<Behaviour>) => {
    const { releaseS, heldOpenS, relockDelayS, contactIdle, exitIdle, forcedAlarm } = doorOf(id).behaviour
    const plain = { releaseS, heldOpenS, relockDelayS, contactIdle, exitIdle, forcedAlarm }
    await site.command('door.edit', { id, fields: { behaviour: { ...plain, ...over } } })
    await site.load()
  }
  const tests = (id: string) => scriptFor(site.facts, doorOf(id), shippedSheets)
  const firmware = (id: string) => site.unit().doors.state(id)

  beforeAll(async () => {
    site = await new Site(
      siteFile((s) => {
        Object.assign(s.cards, { second: '582717' })
        s.doors[1]?.readers.push({ id: 'R2', side: 'inside', serial, port: 'reader 4' })
      }),
    ).start()
    await site.plan(2)
    await site.command('door.edit', {
      id: lobby,
      fields: {
        hardware: {
          entryReader: 'reader-slim',
          exitReader: 'reader-slim',
          lock: 'strike-secure',
          contact: 'contact-frame',
          exit: 'button-exit',
        },
      },
    })
    await site.command('testCards.put', { ...site.facts.testCards['kit'], second: { facility: 88, number: 10007 } })
    await site.command('schedule.put', {
      id: 'day',
      name: 'Day',
      periods: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '06:00', to: '18:00' }],
    })
    await site.command('schedule.put', {
      id: 'night',
      name: 'Night',
      periods: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '22:00', to: '05:00' }],
    })
    await site.take()
    await site.load()
  })
  afterAll(() => site.stop())

  it('a warning before the alarm, a delay before unlocking and locking at opening are obeyed and proved', async () => {
    await behave(entry, { preAlarmS: 8, unlockAfterS: 3, relockAt: 'opening' })
    const held = heldConfig(site.facts, 'a1')
    expect(held[`door/${entry}`]).toMatchObject({ preAlarm: 8 })
    expect(held[`behaviour/${entry}`]).toEqual({ unlockAfter: 3, relockAt: 'opening' })
    const kept = [show('good'), { after: 4500, do: 'lean' as const, door: entry, ms: 3000 }]
    expect(await site.prove(entry, 'unlock-delay', [show('good')])).toMatchObject({ verdict: 'passed' })
    expect(
      await site.prove(entry, 'relock-opening', [...kept, { after: 3000, do: 'close', door: entry }]),
    ).toMatchObject({ verdict: 'passed' })
    expect(
      await site.prove(entry, 'pre-alarm', [...kept, { after: 24_000, do: 'close', door: entry }], 60_000),
    ).toMatchObject({ verdict: 'passed' })
    // Whoever leaves waits for nothing.
    const pressed = await site.prove(entry, 'exit-button', [
      { do: 'press', door: entry },
      { after: 300, do: 'push', door: entry },
      { after: 1500, do: 'close', door: entry },
      { do: 'release', door: entry },
    ])
    expect(pressed).toMatchObject({ verdict: 'passed' })
  })

  it('a controller that keeps another delay than was wanted fails the test of it', async () => {
    await behave(entry, { unlockAfterS: 3 })
    const { DoorBehaviour } = site.unit().memory.entities
    // It answers as it was told, and does something else.
    const told = DoorBehaviour[entry]
    Object.defineProperty(DoorBehaviour, entry, {
      value: { ...told, unlockAfterS: 7 },
      writable: true,
      configurable: true,
      enumerable: true,
    })
    expect(await site.prove(entry, 'unlock-delay', [show('good')])).toMatchObject({ verdict: 'failed' })
    if (told) DoorBehaviour[entry] = told
  })

  it('two people come in together, one alone is refused, and another card of the same person is no second person', async () => {
    await behave(entry, { pairWithinS: 6 })
    expect(await site.prove(entry, 'alone', [show('good')])).toMatchObject({ verdict: 'passed' })
    expect(
      await site.prove(entry, 'good-card', [
        show('good'),
        show('second', entry, 'R1', 1500),
        { after: 1000, do: 'lean', door: entry, ms: 3000 },
        { after: 1500, do: 'close', door: entry },
      ]),
    ).toMatchObject({ verdict: 'passed' })
    const credentials = site.unit().memory.entities.CredentialData
    const second = Object.values(credentials).find((c) => c.value === '582717')
    const good = Object.values(credentials).find((c) => c.value === '582711')
    if (!second || !good) throw new Error('no test cards')
    const holder = second.holder
    second.holder = good.holder
    await site.hands([show('good'), show('second', entry, 'R1', 500)])
    await site.clock.sleep(1000)
    expect(firmware(entry).unlocked).toBe(false)
    second.holder = holder
    await site.clock.sleep(8000)
  })

  it('nobody enters twice within a time; the test cards are forgotten for each test', async () => {
    await behave(entry, { reentryS: 600 })
    for (let n = 0; n < 2; n++)
      expect(await site.prove(entry, 'good-card', goodCard(entry))).toMatchObject({ verdict: 'passed' })
    const again = [show('good'), show('good', entry, 'R1', 7000)]
    expect(await site.prove(entry, 'reentry', again)).toMatchObject({ verdict: 'passed' })
    await site.hands([show('good')])
    await site.until('it to be refused', (f) =>
      Object.values(f.event).some((e) => e.kind === 'refused' && e.state === 'reentry'),
    )
  })

  it('who is in is not let in again before they went out; told only, where that is set', async () => {
    await behave(lobby, { passback: 'refuse' })
    const twice = [show('good', lobby), show('good', lobby, 'R1', 7000)]
    expect(await site.prove(lobby, 'passback', twice)).toMatchObject({ verdict: 'passed' })
    expect(
      await site.prove(lobby, 'passback-out', [
        show('good', lobby),
        show('good', lobby, 'R2', 7000),
        show('good', lobby, 'R1', 7000),
      ]),
    ).toMatchObject({ verdict: 'passed' })
    await behave(lobby, { passback: 'tell' })
    expect(await site.prove(lobby, 'passback', twice)).toMatchObject({ verdict: 'passed' })
    // Who goes out without ever having come in is let out all the same.
    await behave(lobby, { passback: 'refuse' })
    expect(await site.prove(lobby, 'reader-R2', [show('good', lobby, 'R2')])).toMatchObject({ verdict: 'passed' })
    expect(firmware(lobby).unlocked).toBe(false)
  })

  it('free, barred and freed by the first person: by rehearsal, and every way out works in barred hours', async () => {
    await behave(lobby, { freeOn: 'day', barredOn: 'night', firstPerson: true })
    expect(heldConfig(site.facts, 'a1')[`behaviour/${lobby}`]).toEqual({
      freeOn: 'day',
      barredOn: 'night',
      firstPerson: true,
    })
    expect(heldConfig(site.facts, 'a1')['schedule/night']).toMatchObject({ name: 'Night' })
    const push = [
      { after: 500, do: 'push' as const, door: lobby },
      { after: 1500, do: 'close' as const, door: lobby },
    ]
    expect(await site.prove(lobby, 'free-hours', push)).toMatchObject({ verdict: 'passed' })
    expect(await site.prove(lobby, 'first-person', [show('good', lobby), ...push, ...push])).toMatchObject({
      verdict: 'passed',
    })
    expect(await site.prove(lobby, 'barred-hours', [show('good', lobby)])).toMatchObject({ verdict: 'passed' })
    const ways = tests(lobby).filter((t) => t.id.startsWith('barred-exit'))
    expect(ways.map((t) => t.id)).toEqual(['barred-exit-X1', 'barred-exit-R2'])
    expect(
      await site.prove(lobby, 'barred-exit-X1', [
        { do: 'press', door: lobby },
        ...push,
        { do: 'release', door: lobby },
      ]),
    ).toMatchObject({ verdict: 'passed' })
    expect(await site.prove(lobby, 'barred-exit-R2', [show('good', lobby, 'R2'), ...push])).toMatchObject({
      verdict: 'passed',
    })
    // Every other test is done with the door as people's rights have it, whatever the hour is.
    expect(tests(lobby).filter((t) => t.id !== 'before-load' && t.rehearse === null)).toEqual([])
    expect(await site.prove(lobby, 'good-card', goodCard(lobby))).toMatchObject({ verdict: 'passed' })
  })

  it('free hours are proved also while the door is free already', async () => {
    await behave(lobby, { freeOn: 'always' })
    await site.until('it to be free', () => firmware(lobby).unlocked)
    expect(
      await site.prove(lobby, 'free-hours', [
        { after: 500, do: 'push', door: lobby },
        { after: 1500, do: 'close', door: lobby },
      ]),
    ).toMatchObject({ verdict: 'passed' })
    expect(await site.prove(lobby, 'good-card', goodCard(lobby))).toMatchObject({ verdict: 'passed' })
    await site.until('it to be free again', () => firmware(lobby).unlocked)
  })

  it('nothing counts that happened before the controller was ready', async () => {
    await site.command('trial.start', { door: lobby, test: 'good-card' })
    const begun = site.facts.trial[lobby]
    expect(begun?.waits).toBe(true)
    const ready = await site.until('it to be ready', (f) => !f.trial[lobby]?.waits && f.trial[lobby])
    expect(ready.startedAt).toBeGreaterThan(begun?.startedAt ?? Infinity)
    await site.command('trial.answer', { door: lobby, test: 'good-card', answer: 'stop', says: '' })
    await site.until('it to be free again', () => firmware(lobby).unlocked)
  })

  it('a test that the controller can’t be made ready for is not judged, and says why', async () => {
    await behave(lobby, { freeOn: 'day' })
    const { doors } = site.unit()
    doors.rehearse = () => {
      throw new Error('It does not.')
    }
    const proof = await site.prove(lobby, 'free-hours', [])
    Reflect.deleteProperty(doors, 'rehearse')
    expect(proof).toMatchObject({ verdict: 'not judged' })
    expect(proof.says).toContain('could not be made ready')
  })

  it('what the type of controller can’t keep stops the door, and is not sent', () => {
    const a1 = site.facts.controller['a1']
    const door = {
      ...doorOf(lobby),
      behaviour: { ...doorOf(lobby).behaviour, passback: 'refuse' as const, reentryS: 60 },
    }
    if (!a1) throw new Error('no controller')
    const facts = {
      ...site.facts,
      door: { ...site.facts.door, [lobby]: door },
      controller: { a1: { ...a1, sheet: 'controller-2' } },
    }
    const { load } = marksOf(facts, door, shippedSheets)
    expect(load.findings.filter((f) => f.rule === 'not-kept').map((f) => f.grade)).toEqual(['stop'])
    expect(load.sign).toBe('stopped')
    expect(wantedConfig(facts, facts.controller.a1, shippedSheets).config[`behaviour/${lobby}`]).toEqual({
      freeOn: 'day',
      reentry: 60,
    })
  })

  it('the controller frees and bars by its own clock, and goes back from a test by itself', async () => {
    await behave(lobby, { freeOn: 'day', barredOn: 'night' })
    const at = async (hour: number) => {
      const unit = site.unit()
      const local = new Date(unit.deviceNow() + 2 * 3600_000)
      unit.memory.clockOffMs += (hour - local.getUTCHours()) * 3600_000
      unit.doors.lookAtHours()
      await site.clock.sleep(200)
      return unit.doors.modeOf(lobby)
    }
    expect(await at(12)).toBe('Unlocked')
    expect(firmware(lobby).unlocked).toBe(true)
    expect(await at(20)).toBe('Locked')
    expect(firmware(lobby).unlocked).toBe(false)
    expect(await at(23)).toBe('Blocked')
    expect(await at(3)).toBe('Blocked')
    // Whoever leaves is let out, barred or not.
    const wiring = site.unit().memory.entities.DoorWiring[lobby]
    const button = wiring?.inputs.find((i) => i.function === 'exitButton')
    if (!wiring || !button) throw new Error('not wired')
    site.unit().doors.inputChanged(button.port, true)
    expect(firmware(lobby).unlocked).toBe(true)
    await site.clock.sleep(6000)
    site.unit().doors.rehearse(wiring, 'Free', 5)
    expect(site.unit().doors.modeOf(lobby)).toBe('Unlocked')
    await site.clock.sleep(7000)
    expect(site.unit().doors.modeOf(lobby)).toBe('Blocked')
  })
})
