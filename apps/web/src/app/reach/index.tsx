import { BenchPage } from '../../places/reach/BenchPage'

export default function Route() {
  return <BenchPage />
}
