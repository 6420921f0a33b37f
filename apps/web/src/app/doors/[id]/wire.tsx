import { useLocalSearchParams } from 'expo-router'
import { WirePage } from '../../../places/wire/WirePage'

export default function Route() {
  const { id, part } = useLocalSearchParams<{ id: string; part?: string }>()
  return <WirePage key={`${id}-${part ?? ''}`} id={id} {...(part ? { part } : {})} />
}
