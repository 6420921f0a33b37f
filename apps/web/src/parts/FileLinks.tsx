import { View } from 'react-native'
import { Action } from './Action'
import { saveFrom } from './save'

const words = { pdf: 'PDF', csv: 'CSV', xlsx: 'Workbook' } as const
type Kind = keyof typeof words

/** The same thing as files of several kinds, each to be saved. */
export function FileLinks({ path, name, kinds = ['pdf', 'csv', 'xlsx'], query = '' }: { path: string; name: string; kinds?: readonly Kind[]; query?: string }) {
  return (
    <View style={{ flexDirection: 'row', gap: 8 }}>
      {kinds.map((kind) => <View key={kind} style={{ flex: 1 }}><Action kind="plain" label={kinds.length === 1 ? `${name}, ${words[kind]}` : words[kind]} name={`${name} as ${words[kind]}`} onPress={() => saveFrom(`/api/v1${path}.${kind}${query}`)} /></View>)}
    </View>
  )
}
