import { create } from 'zustand'

type Choice = 'device' | 'daylight' | 'plant'
const key = 'rauta.ground'
const kept = (): Choice => {
  const value = typeof localStorage === 'undefined' ? null : localStorage.getItem(key)
  return value === 'daylight' || value === 'plant' ? value : 'device'
}

/** What a person has set on this device only. */
export const useSettings = create<{ ground: Choice; setGround(ground: Choice): void }>((set) => ({
  ground: kept(),
  setGround(ground) {
    localStorage.setItem(key, ground)
    set({ ground })
  },
}))
