import { useEffect, useState } from 'react'
import { Action } from '../../parts/Action'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { get, saysOf } from '../../state/api'
import { useSession } from '../../state/session'
import { AccountLine, AddAccount, OwnPassword, type Account } from './Accounts'
import { Keys } from './Keys'
import { Phones } from './Phones'
import { SignedIn } from './SignedIn'
import { Trace } from './Trace'

/** Who may sign in, one's own password, phones, and what only the lead looks after. */
export function TeamPage() {
  const me = useSession((s) => s.me)
  const signOut = useSession((s) => s.signOut)
  const [list, setList] = useState<Account[]>([])
  const [says, setSays] = useState('')
  const look = () =>
    get<Account[]>('/accounts')
      .then(setList)
      .catch((e: unknown) => setSays(saysOf(e)))
  useEffect(() => {
    void look()
  }, [])
  const done = (told: string) => {
    setSays(told)
    void look()
  }
  return (
    <Screen columns title="Team" under={`Signed in as ${me?.name ?? ''}, ${me?.role ?? ''}`}>
      {says ? <Notice tone="slate">{says}</Notice> : null}
      <Sheet flush title="Who may sign in">
        {list.map((a) => (
          <AccountLine key={a.name} account={a} onDone={done} />
        ))}
      </Sheet>
      {me?.role === 'lead' ? <AddAccount onDone={done} /> : null}
      <Sheet>
        <OwnPassword />
        <Action kind="plain" label="Sign out" onPress={signOut} />
      </Sheet>
      <SignedIn />
      <Phones />
      {me?.role === 'lead' ? (
        <>
          <Trace />
          <Keys />
        </>
      ) : null}
    </Screen>
  )
}
