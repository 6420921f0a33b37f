import { PapersPage } from '../places/wire/PapersPage'

export default function Route() {
  return <PapersPage />
}
