import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { DoorFile } from '../src'
import { inputsOf, MovedStore, withInput } from '../src/site/moved'

const file: DoorFile = {
  id: 'T-01',
  name: 'T',
  lock: {
    principle: 'magnetic',
    fail: 'safe',
    feedV: 13.6,
    loopOhm: 1,
    coilOhm: 24,
    leastV: 10,
    serial: 's',
    relay: 'relay 1',
  },
  readers: [],
  contact: { serial: 's', input: 'input 1' },
  exit: { serial: 's', input: 'input 8' },
  worked: { X2: { serial: 's', input: 'input 3', rests: 'open' } },
  breakGlass: false,
  handle: false,
}

describe('conductors that hands have moved', () => {
  it('each part’s input is named, and goes where it is put; one that is not there goes nowhere', () => {
    expect(inputsOf(file)).toEqual([
      { part: 'X1', input: 'input 8' },
      { part: 'C1', input: 'input 1' },
      { part: 'X2', input: 'input 3' },
    ])
    expect(withInput(file, 'X1', 'input 2')?.exit).toEqual({ serial: 's', input: 'input 2' })
    expect(withInput(file, 'X2', 'input 2')?.worked?.['X2']).toEqual({ serial: 's', input: 'input 2', rests: 'open' })
    for (const part of ['C2', 'R1', 'constructor', '']) expect(withInput(file, part, 'input 2')).toBeNull()
  })
  it('stay where they were put when the rig starts again', () => {
    const folder = mkdtempSync(join(tmpdir(), 'rauta-moved-'))
    try {
      new MovedStore(folder).keep('T-01', 'X1', 'input 2')
      expect(new MovedStore(folder).asLeft(file).exit?.input).toBe('input 2')
      expect(new MovedStore(folder).asLeft({ ...file, id: 'T-02' }).exit?.input).toBe('input 8')
      expect(new MovedStore(null).asLeft(file)).toBe(file)
    } finally {
      rmSync(folder, { recursive: true })
    }
  })
})
