import { v7 } from 'uuid'

const key = 'rauta.phone'
let made = ''

/** This browser's own name among those of the job; it says nothing about who holds it. */
export function thisPhone(): string {
  try {
    made ||= localStorage.getItem(key) ?? ''
    if (!made) localStorage.setItem(key, (made = v7()))
  } catch {
    made ||= v7()
  }
  return made
}
