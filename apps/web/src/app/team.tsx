import { TeamPage } from '../places/lazyForms'

export default function Route() {
  return <TeamPage />
}
