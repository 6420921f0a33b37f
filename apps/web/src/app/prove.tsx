import { ProveList } from '../places/prove/ProveList'

export default function Route() {
  return <ProveList />
}
