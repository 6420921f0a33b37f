import { useLocalSearchParams } from 'expo-router'
import { EnrolPage } from '../../places/people/EnrolPage'

export default function Route() {
  const { person } = useLocalSearchParams<{ person?: string }>()
  return <EnrolPage key={person ?? ''} first={person} />
}
