import type { Finding } from '@rauta/core'
import { Notice } from './Screen'

const tone = { stop: 'madder', warn: 'ochre', note: 'slate' } as const

/** What the computation has to say of a door, each in its grade. */
export const Findings = ({ list }: { list: readonly Finding[] }) =>
  list.map((f) => (
    <Notice key={f.says} tone={tone[f.grade]}>
      {f.says}
    </Notice>
  ))
