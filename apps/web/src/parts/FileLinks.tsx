import { useState } from 'react'
import { View } from 'react-native'
import { saysOf } from '../state/api'
import { Action } from './Action'
import { saveFile } from './save'
import { Notice } from './Screen'

const words = { pdf: 'PDF', csv: 'CSV', xlsx: 'Workbook', json: 'JSON' } as const
type Kind = keyof typeof words

/** The same thing as files of several kinds, each to be saved. */
export function FileLinks({
  path,
  name,
  kinds = ['pdf', 'csv', 'xlsx'],
  query = '',
}: {
  path: string
  name: string
  kinds?: readonly Kind[]
  query?: string
}) {
  const [wrong, setWrong] = useState('')
  const save = (kind: Kind) =>
    saveFile(`${path}.${kind}${query}`)
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <View style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {kinds.map((kind) => (
          <View key={kind} style={{ flex: 1 }}>
            <Action
              kind="plain"
              label={kinds.length === 1 ? `${name}, ${words[kind]}` : words[kind]}
              name={`${name} as ${words[kind]}`}
              onPress={() => save(kind)}
            />
          </View>
        ))}
      </View>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
    </View>
  )
}
