import { useLocalSearchParams } from 'expo-router'
import { ControllerForm } from '../../../places/lazyForms'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <ControllerForm key={id} id={id} />
}
