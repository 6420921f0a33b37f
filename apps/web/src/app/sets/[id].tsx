import { useLocalSearchParams } from 'expo-router'
import { DoorSetForm } from '../../places/lazyForms'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <DoorSetForm key={id} id={id} />
}
