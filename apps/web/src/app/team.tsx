import { TeamPage } from '../places/job/TeamPage'

export default function Route() {
  return <TeamPage />
}
