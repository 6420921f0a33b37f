import { Missing } from '../places/shell/Missing'

export default function NotFound() {
  return <Missing what="place" which="at this address" />
}
