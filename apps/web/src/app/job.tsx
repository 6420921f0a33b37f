import { JobPage } from '../places/job/JobPage'

export default function Route() {
  return <JobPage />
}
