import { busSilent, deviceSilent } from './devices'
import * as leaf from './leaf'
import { cardStrange, inputSilent, readerSilent } from './points'
import type { Knowledge } from './written'

export type { Knowledge } from './written'

/** Everything that is known, by the kind of failure. */
export const knowledge = { readerSilent, cardStrange, inputSilent, ...leaf, deviceSilent, busSilent } satisfies Record<
  string,
  Knowledge
>

export type SubjectId = keyof typeof knowledge
