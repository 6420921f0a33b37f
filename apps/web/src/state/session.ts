import { create } from 'zustand'
import { AwayError, get, post } from './api'
import { forgetKept } from './kept/facts'

export interface Me {
  state: 'new' | 'out' | 'in'
  name?: string
  role?: 'lead' | 'engineer' | 'witness' | 'viewer'
  rigPage?: string
  /** The first account needs the code from the terminal. */ asksCode?: boolean
}

interface Session {
  me: Me | null
  /** Signed out by the server while a screen was open: the screen stays and a sign-in stands above it. */
  expired: boolean
  /** Neither the server nor this phone can say who is here. */
  unknown: boolean
  look(): Promise<void>
  signIn(name: string, password: string): Promise<void>
  signOut(): Promise<void>
  expire(): void
}

/** Asked as soon as this module is there, before anything is drawn: the answer is waited for at the first look. */
let early: Promise<Me | null> | null = typeof document === 'undefined' ? null : get<Me>('/me', 6000).catch(() => null)

const keptKey = 'rauta.me'
/** Who was here last on this phone: known before anything is asked or opened. */
export function keptMe(): Me | null {
  try {
    const kept = JSON.parse(localStorage.getItem(keptKey) ?? 'null') as Me | null
    return kept?.state === 'in' && kept.name ? kept : null
  } catch {
    return null
  }
}
function keepMe(me: Me | null): void {
  try {
    if (me?.state === 'in') localStorage.setItem(keptKey, JSON.stringify(me))
    else localStorage.removeItem(keptKey)
  } catch {
    /* a private window: then the server is asked each time */
  }
}

export const useSession = create<Session>((set, read) => ({
  me: keptMe(),
  expired: false,
  unknown: false,
  async look() {
    // Who was here last is shown at once; the server's word comes on top of it.
    const asked = early ?? get<Me>('/me', 6000)
    early = null
    const kept = keptMe()
    if (kept && read().me === null) set({ me: kept })
    try {
      const me = (await asked) ?? (await get<Me>('/me', 6000))
      if (me.state === 'out' && kept) {
        set({ expired: true })
        return
      }
      set({ me, expired: false, unknown: false })
      keepMe(me)
    } catch (error) {
      if (!(error instanceof AwayError) || !kept) set({ unknown: true })
    }
  },
  async signIn(name, password) {
    await post('/sign-in', { name, password })
    const me = await get<Me>('/me')
    set({ me, expired: false })
    keepMe(me)
  },
  async signOut() {
    await post('/sign-out')
    keepMe(null)
    await forgetKept()
    set({ me: { state: 'out' } })
  },
  expire() {
    set({ expired: true })
  },
}))

export const canFit = (me: Me | null): boolean => me?.role === 'lead' || me?.role === 'engineer'
