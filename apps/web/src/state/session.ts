import { create } from 'zustand'
import { get, post } from './api'

export interface Me { state: 'new' | 'out' | 'in'; name?: string; role?: 'lead' | 'engineer' | 'witness' | 'viewer'; rigPage?: string }

interface Session {
  me: Me | null
  /** Signed out by the server while a screen was open: the screen stays and a sign-in stands above it. */
  expired: boolean
  look(): Promise<void>
  signIn(name: string, password: string): Promise<void>
  signOut(): Promise<void>
  expire(): void
}

/** Asked as soon as this module is there, before anything is drawn: the answer is waited for at the first look. */
let early: Promise<Me | null> | null = typeof document === 'undefined' ? null : get<Me>('/me').catch(() => null)

export const useSession = create<Session>((set) => ({
  me: null,
  expired: false,
  async look() {
    const first = early
    early = null
    set({ me: (await first) ?? (await get<Me>('/me')), expired: false })
  },
  async signIn(name, password) {
    await post('/sign-in', { name, password })
    set({ me: await get<Me>('/me'), expired: false })
  },
  async signOut() {
    await post('/sign-out')
    set({ me: { state: 'out' } })
  },
  expire() { set({ expired: true }) },
}))

export const canFit = (me: Me | null): boolean => me?.role === 'lead' || me?.role === 'engineer'
