import { RadioPage } from '../places/radio/RadioPage'

export default function Route() {
  return <RadioPage />
}
