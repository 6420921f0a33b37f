import { useLocalSearchParams } from 'expo-router'
import { RuleForm } from '../../places/lazyForms'

export default function Route() {
  const { group, person, door } = useLocalSearchParams<{ group?: string; person?: string; door?: string }>()
  return <RuleForm key={`${group ?? ''} ${person ?? ''} ${door ?? ''}`} from={{ group, person, door }} />
}
