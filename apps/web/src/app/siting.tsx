import { SitingPage } from '../places/siting/SitingPage'

export default function Route() {
  return <SitingPage />
}
