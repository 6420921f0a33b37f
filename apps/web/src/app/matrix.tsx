import { MatrixPage } from '../places/access/MatrixPage'

export default function Route() {
  return <MatrixPage />
}
