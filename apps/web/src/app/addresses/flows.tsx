import { FlowsPage } from '../../places/addresses/FlowsPage'

export default function Route() {
  return <FlowsPage />
}
