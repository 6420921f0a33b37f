import { useLocalSearchParams } from 'expo-router'
import { ReadsPage } from '../../../places/lazyForms'

export default function Route() {
  const { id, part } = useLocalSearchParams<{ id: string; part?: string }>()
  return <ReadsPage key={id} id={id} part={part} />
}
