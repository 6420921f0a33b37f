import { useLocalSearchParams } from 'expo-router'
import { SignPage } from '../../../places/sign/SignPage'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <SignPage key={id} id={id} />
}
