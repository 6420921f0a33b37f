import { router } from 'expo-router'
import { DoorForm } from '../../places/plan/DoorForm'

export default function Route() {
  return <DoorForm onDone={(d) => router.push(`/doors/${d}/plan`)} />
}
