import { useLocalSearchParams } from 'expo-router'
import { RuleForm } from '../../places/lazyForms'

export default function Route() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <RuleForm key={id} id={id} />
}
