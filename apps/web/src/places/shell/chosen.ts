import { usePathname } from 'expo-router'

/** What stands beside a list: the id in the address, where there is one. */
export function useChosen(): string | undefined {
  const id = usePathname().split('/')[2]
  return id === undefined ? undefined : decodeURIComponent(id)
}
