import { all, jobOf, photoSubjects, type Door, type Photo, type PhotoSubject } from '@rauta/core'
import { useEffect, useRef, useState } from 'react'
import { Image, Pressable, View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Chips } from '../../parts/Action'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { AwayError, saysOf } from '../../state/api'
import { useFacts, useJob, useWaitingAt } from '../../state/job'
import { dayTime } from '../../state/time'
import { photoUrl, sendPhotos, takePhoto } from '../../state/photos'

/** Pictures of terminations and nameplates, kept with the door; taken without signal they wait like any record. */
export function Photos({ door, cable }: { door: Door; cable: string }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const input = useRef<HTMLInputElement>(null)
  const [of, setOf] = useState<PhotoSubject>('termination')
  const [wrong, setWrong] = useState('')
  const [busy, setBusy] = useState(false)
  const [large, setLarge] = useState('')
  const list = all(facts, 'photo')
    .filter((p) => p.door === door.id)
    .sort((a, b) => b.at - a.at)
  const take = async (file: File | undefined) => {
    if (!file) return
    setBusy(true)
    try {
      const taken = await takePhoto(v7(), door.id, file)
      await sendPhotos().catch((error: unknown) => {
        if (!(error instanceof AwayError)) throw error
      })
      await send('photo.add', { ...taken, door: door.id, cable: of === 'termination' ? cable : '', of })
      setWrong('')
    } catch (error) {
      setWrong(saysOf(error))
    } finally {
      setBusy(false)
      if (input.current) input.current.value = ''
    }
  }
  return (
    <Sheet title={list.length ? `Pictures, ${list.length}` : 'Pictures'}>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {list.map((p) => (
          <Picture key={p.id} photo={p} large={p.id === large} onPress={() => setLarge(p.id === large ? '' : p.id)} />
        ))}
      </View>
      <Chips
        label="Picture of"
        value={of}
        onChange={setOf}
        options={photoSubjects.map((s) => ({ value: s, label: s }))}
      />
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        aria-label="Picture to keep with the door"
        style={{ display: 'none' }}
        onChange={(e) => {
          void take(e.target.files?.[0])
        }}
      />
      <Action
        kind="plain"
        label={busy ? 'Saves the picture' : 'Take a picture'}
        disabled={busy}
        onPress={() => input.current?.click()}
      />
    </Sheet>
  )
}

/** Small beside the others; tapped, as wide as the screen, and small again. */
function Picture({ photo, large, onPress }: { photo: Photo; large: boolean; onPress: () => void }) {
  const zone = jobOf(useFacts())?.zone ?? 'UTC'
  const waits = useWaitingAt(photo.door).some((w) => (w.payload as { id?: string }).id === photo.id)
  const [url, setUrl] = useState('')
  useEffect(() => {
    let made = ''
    let gone = false
    void photoUrl(photo.id).then((u) => {
      made = u
      if (!gone) setUrl(u)
    })
    return () => {
      gone = true
      if (made.startsWith('blob:')) URL.revokeObjectURL(made)
    }
  }, [photo.id])
  const words = `${photo.of}${photo.cable ? ` of ${photo.cable}` : ''}, by ${photo.by}`
  return (
    <Pressable
      role="button"
      aria-expanded={large}
      aria-label={`${words}. ${large ? 'Small again' : 'Larger'}`}
      onPress={onPress}
      style={{ width: large ? '100%' : 104 }}
    >
      {url ? (
        <Image
          source={{ uri: url }}
          style={large ? { width: '100%', aspectRatio: photo.width / photo.height } : { width: 104, height: 104 }}
          accessibilityLabel={words}
        />
      ) : (
        <View style={{ width: 104, height: 104 }} />
      )}
      <T
        size={13}
      >{`${photo.cable ? `${photo.cable} ` : ''}${photo.of}${large ? `, ${photo.by}, ${dayTime(photo.at, zone)}` : ''}`}</T>
      {waits ? (
        <T size={13} tone="slate">
          waits
        </T>
      ) : null}
    </Pressable>
  )
}
