import type { ReleaseAnswer } from '@rauta/core'
import type { Tone } from '../../parts/Text'

export const inWords: Record<ReleaseAnswer['in'], string> = { free: 'free', works: 'as always', shut: 'shut' }
export const outWords: Record<ReleaseAnswer['out'], string> = {
  free: 'free',
  works: 'as always',
  handle: 'by handle',
  shut: 'nobody',
}
export const toneOf = (a: ReleaseAnswer): Tone => (a.out === 'shut' ? 'madder' : a.in === 'free' ? 'ochre' : 'ink')
