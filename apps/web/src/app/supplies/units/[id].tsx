import { useLocalSearchParams } from 'expo-router'
import { UnitPage } from '../../../places/supplies/UnitPage'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <UnitPage key={id} id={id} />
}
