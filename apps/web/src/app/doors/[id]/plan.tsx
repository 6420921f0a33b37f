import { useLocalSearchParams } from 'expo-router'
import { PlanPage } from '../../../places/plan/PlanPage'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <PlanPage key={id} id={id} />
}
