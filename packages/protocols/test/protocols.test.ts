import fc from 'fast-check'
import {
  accessPointCodec,
  accessProfileCodec,
  credentialCodec,
  deviceTime,
  doorBehaviourCodec,
  doorCodec,
  doorWiringCodec,
  el,
  envelope,
  externalAuthorization,
  faultEnvelope,
  fromDuration,
  makeClock,
  makeToken,
  MalformedError,
  openEnvelope,
  parseXml,
  passwordDigest,
  probe,
  probeMatch,
  readDiscovery,
  readNotifications,
  scheduleCodec,
  sitePort,
  SoapFault,
  toDuration,
  TokenChecker,
  toSite,
  toWire,
  typesMatch,
  wirePort,
  writeNotification,
  type EntityCodec,
  type NetTable,
} from '../src'

describe('username token digest', () => {
  // ONVIF Application Programmer's Guide, worked example of the password digest.
  it('gives the programmer’s guide’s own digest', () => {
    expect(passwordDigest('LKqI6G/AikKCQrN0zqZFlg==', '2010-09-16T07:50:45Z', 'userpassword')).toBe(
      'tuOSpGlFlIXsozq4HFNeeGeFLEI=',
    )
  })
  const nonce = (n: number) => new Uint8Array(16).fill(n)
  const passwords = (user: string) => (user === 'a' ? 'right' : undefined)
  it('is refused when wrong, too old, too new, replayed, or of nobody', () => {
    const checker = new TokenChecker(60_000)
    const now = 1_000_000_000_000
    expect(checker.check(makeToken('a', 'right', now, nonce(1)), passwords, now)).toBeNull()
    expect(checker.check(makeToken('a', 'right', now, nonce(1)), passwords, now)).toBe('replayed')
    expect(checker.check(makeToken('a', 'wrong', now, nonce(2)), passwords, now)).toBe('wrong digest')
    expect(checker.check(makeToken('b', 'right', now, nonce(3)), passwords, now)).toBe('unknown user')
    expect(checker.check(makeToken('a', 'right', now - 61_000, nonce(4)), passwords, now)).toBe('too old')
    expect(checker.check(makeToken('a', 'right', now + 61_000, nonce(5)), passwords, now)).toBe('too old')
    expect(
      checker.check({ ...makeToken('a', 'right', now, nonce(6)), created: 'yesterday' }, passwords, now),
    ).not.toBeNull()
  })
})

describe('SOAP and XML', () => {
  it('carries any text through, escaped', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        // eslint-disable-next-line no-control-regex
        const clean = text.replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F]/g, '').replace(/\r\n?/g, '\n')
        expect(openEnvelope(envelope(el('tds:X', el('tds:Y', text.replace(/\r\n?/g, '\n'))))).body.textContent).toBe(
          clean,
        )
      }),
    )
  })
  it('turns a fault into an error with its reason', () => {
    const open = () => openEnvelope(faultEnvelope('Sender', 'ter:NotAuthorized', 'No & never'))
    expect(open).toThrow(SoapFault)
    try {
      open()
    } catch (error) {
      expect(error).toMatchObject({ reason: 'No & never', notAuthorized: true })
    }
  })
  it.each([
    ['not xml', 'this is not XML'],
    ['half an answer', envelope(el('tds:X', 'abc')).slice(0, 120)],
    ['nothing', ''],
    ['another document', '<html></html>'],
    ['a DOCTYPE', '<!DOCTYPE x [<!ENTITY a "b">]><x/>'],
    ['a flood', `<x>${'y'.repeat(1_000_001)}</x>`],
  ])('says what is wrong with %s', (_what, text) => {
    expect(() => openEnvelope(text)).toThrow(MalformedError)
  })
})

describe('ONVIF structures are read as they were written', () => {
  const name = fc.string({ minLength: 1, maxLength: 20, unit: fc.constantFrom('a', 'B', '1', '&', '<', '"', 'ä', '€') })
  const token = fc.string({ minLength: 1, maxLength: 12, unit: fc.constantFrom('a', 'b', '1', '-', '.') })
  const tenth = fc.integer({ min: 0, max: 36000 }).map((n) => n / 10)
  function keeps<T extends { token: string }>(codec: EntityCodec<T>, values: fc.Arbitrary<T>) {
    fc.assert(
      fc.property(values, (value) => {
        const body = openEnvelope(envelope(codec.write(value))).body
        expect(codec.read(body)).toEqual(value)
      }),
      { numRuns: 50 },
    )
  }
  it('a door’s own rules', () => {
    const set = fc.record(
      {
        token,
        unlockAfterS: tenth,
        relockAt: fc.constant('Opening'),
        freeOn: token,
        barredOn: token,
        firstPerson: fc.constant(true),
        code: fc.constantFrom('WithCard', 'InsteadOfCard', 'Alone'),
        pairWithinS: tenth,
        reentryS: tenth,
        passback: fc.constantFrom('Hard', 'Soft'),
        passbackS: tenth,
        decidedBy: fc.constant('Server'),
        reachS: tenth,
        without: fc.constantFrom('Shut', 'Open', 'Local'),
      },
      { requiredKeys: ['token'] },
    )
    keeps(doorBehaviourCodec, set)
  })
  it('what is decided about somebody, and nothing that is no decision', () => {
    const value = fc.record({ accessPoint: token, credential: token, granted: fc.boolean(), reason: name })
    fc.assert(
      fc.property(value, (decided) =>
        expect(externalAuthorization.read(openEnvelope(envelope(externalAuthorization.write(decided))).body)).toEqual(
          decided,
        ),
      ),
      { numRuns: 50 },
    )
    const odd = el('tac:ExternalAuthorization', el('tac:AccessPointToken', 'D.R1'), el('tac:CredentialToken', 'c'))
    expect(() => externalAuthorization.read(openEnvelope(envelope(odd)).body)).toThrow(MalformedError)
    const other = el(
      'tac:ExternalAuthorization',
      el('tac:AccessPointToken', 'D.R1'),
      el('tac:CredentialToken', 'c'),
      el('tac:Decision', 'Perhaps'),
    )
    expect(() => externalAuthorization.read(openEnvelope(envelope(other)).body)).toThrow('Perhaps is no decision.')
  })
  it('doors', () => {
    keeps(doorCodec, fc.record({ token, name, releaseS: tenth, openS: tenth, relockDelayS: tenth }))
  })
  it('access points', () => {
    keeps(accessPointCodec, fc.record({ token, name, areaFrom: token, areaTo: token, entity: token }))
  })
  it('access profiles', () => {
    keeps(
      accessProfileCodec,
      fc.record({ token, name, policies: fc.array(fc.record({ schedule: token, entity: token }), { maxLength: 4 }) }),
    )
  })
  it('schedules', () => {
    keeps(
      scheduleCodec,
      fc.record({
        token,
        name,
        standard: fc.constant('BEGIN:VCALENDAR\r\nEND:VCALENDAR'),
        specialDays: fc.array(
          fc.record({
            group: token,
            ranges: fc.array(fc.record({ from: fc.constant('08:00:00'), until: fc.constant('12:00:00') }), {
              maxLength: 2,
            }),
          }),
          { maxLength: 2 },
        ),
      }),
    )
  })
  const moment = fc.constantFrom('2027-01-04T22:00:00Z', '2031-12-31T00:00:00Z')
  it('credentials with their state, and what they pass as between which moments', () => {
    keeps(
      credentialCodec,
      fc.record({
        token,
        holder: name,
        format: fc.constant('WIEGAND26'),
        value: fc.constantFrom('3D1141', '000000'),
        profiles: fc.array(fc.record({ token, validFrom: moment, validTo: moment }, { requiredKeys: ['token'] }), {
          maxLength: 3,
        }),
        enabled: fc.boolean(),
      }),
    )
    const code = fc.stringMatching(/^[0-9]{4,8}$/)
    keeps(
      credentialCodec,
      fc.record(
        {
          token,
          holder: name,
          format: fc.constant('code'),
          value: fc.constant('0'),
          profiles: fc.constant([]),
          enabled: fc.boolean(),
          code,
          duress: code,
        },
        { requiredKeys: ['token', 'holder', 'format', 'value', 'profiles', 'enabled', 'code'] },
      ),
    )
  })
  it('the wiring of the extension', () => {
    const named = { part: token, function: token, port: name }
    keeps(
      doorWiringCodec,
      fc.record({
        token,
        forcedAlarm: fc.boolean(),
        readers: fc.array(
          fc.record(
            { ...named, accessPoint: token, address: fc.nat(126) },
            { requiredKeys: ['part', 'function', 'port', 'accessPoint'] },
          ),
          { maxLength: 2 },
        ),
        inputs: fc.array(fc.record({ ...named, releaseS: tenth }, { requiredKeys: ['part', 'function', 'port'] }), {
          maxLength: 4,
        }),
        outputs: fc.array(fc.record({ ...named, afterS: tenth }, { requiredKeys: ['part', 'function', 'port'] }), {
          maxLength: 3,
        }),
      }),
    )
  })
  it('the device’s time, to the millisecond where it has them', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4_000_000_000_000 }), (utcMs) => {
        expect(
          deviceTime.read(
            openEnvelope(envelope(deviceTime.write({ utcMs, zone: '<+02>-2', daylightSaving: true }))).body,
          ),
        ).toEqual({ utcMs, zone: '<+02>-2', daylightSaving: true })
      }),
    )
  })
  it('notifications', () => {
    const n = {
      topic: 'Door/State/DoorAlarm',
      utcMs: 1_700_000_000_123,
      operation: 'Changed' as const,
      source: { DoorToken: 'd' },
      data: { State: 'Normal', Boot: 'b&1' },
    }
    expect(
      readNotifications(openEnvelope(envelope(el('tev:PullMessagesResponse', writeNotification(n)))).body),
    ).toEqual([n])
  })
  it('durations as ISO 8601', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1_000_000 }), (ms) => {
        expect(fromDuration(toDuration(ms / 1000))).toBeCloseTo(ms / 1000, 6)
      }),
    )
    expect(fromDuration('P1DT2H3M4.5S')).toBe(93784.5)
    expect(() => fromDuration('5 s')).toThrow(MalformedError)
    expect(() => fromDuration('PT')).toThrow(MalformedError)
  })
})

describe('WS-Discovery', () => {
  const announcement = {
    endpoint: 'urn:uuid:1',
    types: 'tds:Device',
    scopes: ['onvif://www.onvif.org/name/a%20b'],
    xaddrs: ['http://10.0.0.1/onvif/device_service'],
  }
  it('reads a probe and its answer', () => {
    expect(readDiscovery(probe('urn:uuid:p'))).toEqual({ kind: 'probe', messageId: 'urn:uuid:p', types: 'tds:Device' })
    expect(readDiscovery(probeMatch('urn:uuid:m', 'urn:uuid:p', announcement))).toEqual({
      kind: 'match',
      relatesTo: 'urn:uuid:p',
      announcement,
    })
  })
  it('answers only to types it has', () => {
    expect(typesMatch('', ['Device'])).toBe(true)
    expect(typesMatch('dn:NetworkVideoTransmitter tds:Device', ['Device'])).toBe(false)
  })
  it('is not upset by strangers', () => {
    expect(() => parseXml('\u0000\u0001')).toThrow(MalformedError)
  })
})

describe('the table that stands in for a site’s network', () => {
  const table: NetTable = {
    prefixes: [
      { site: '10.61.0.0', wire: '127.61.0.0', length: 16 },
      { site: '192.168.90.0', wire: '127.168.90.0', length: 24 },
    ],
    ports: { '80': 18080 },
    interfaces: [],
  }
  it('maps one to one and back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 255 }), (a, b) => {
        const wire = toWire(table, `10.61.${a}.${b}`)
        expect(wire).toBe(`127.61.${a}.${b}`)
        expect(toSite(table, wire ?? '')).toBe(`10.61.${a}.${b}`)
      }),
    )
    expect(toWire(table, '172.16.0.1')).toBeNull()
    expect(sitePort(table, wirePort(table, 80))).toBe(80)
  })
})

describe('the clock with a factor', () => {
  it('runs timers in its own time', async () => {
    const clock = makeClock(100, Date.now(), 0)
    const before = clock.now()
    await clock.sleep(2000)
    expect(clock.now() - before).toBeGreaterThanOrEqual(1900)
  })
})
