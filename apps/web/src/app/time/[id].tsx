import { useLocalSearchParams } from 'expo-router'
import { ScheduleForm } from '../../places/lazyForms'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <ScheduleForm key={id} id={id} />
}
