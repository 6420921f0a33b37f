import { useLocalSearchParams } from 'expo-router'
import { ControllerForm } from '../../../places/controllers/ControllersPage'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <ControllerForm key={id} id={id} />
}
