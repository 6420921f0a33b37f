import type { PaperView } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { Action } from '../../parts/Action'
import { Notice } from '../../parts/Screen'
import { post, saysOf } from '../../state/api'

/** The people that a device holds as a list that is looked through: what is wanted of it is taken into the job. */
export function ReadPeople({ id, label }: { id: string; label: string }) {
  const [wrong, setWrong] = useState('')
  const read = () =>
    post<PaperView>(`/controllers/${id}/people-list`)
      .then(({ id: paper }) => router.push({ pathname: '/people/list', params: { paper } }))
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Action kind="plain" label={label} onPress={read} />
    </>
  )
}
