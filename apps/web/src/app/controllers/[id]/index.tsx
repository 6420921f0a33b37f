import { useLocalSearchParams } from 'expo-router'
import { ControllerPage } from '../../../places/controllers/ControllerPage'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <ControllerPage key={id} id={id} />
}
