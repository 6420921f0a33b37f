import { router } from 'expo-router'
import { DoorForm } from '../../places/lazyForms'

export default function Route() {
  return <DoorForm onDone={(d) => router.push(`/doors/${d}/plan`)} />
}
