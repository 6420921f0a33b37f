import { useLocalSearchParams } from 'expo-router'
import { RuleForm } from '../../places/access/AccessPage'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <RuleForm key={id} id={id} />
}
