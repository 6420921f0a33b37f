import { SheetsPage } from '../../places/sheets/SheetsPage'

export default function Route() {
  return <SheetsPage />
}
