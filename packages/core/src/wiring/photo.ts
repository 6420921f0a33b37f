import { recordKind } from '../job/kind'

/** What a picture was taken of. */
export const photoSubjects = ['termination', 'nameplate', 'cabinet', 'other'] as const
export type PhotoSubject = (typeof photoSubjects)[number]

/** A picture kept with a door. Its bytes lie apart, under the same id; the hash binds them to this record. */
export interface Photo {
  id: string
  door: string
  cable: string
  of: PhotoSubject
  width: number
  height: number
  /** SHA-256 of the bytes, hex. */ sha256: string
  by: string
  at: number
}

declare module '../job/facts' {
  interface RecordTypes {
    photo: Photo
  }
}

export const photoKind = recordKind('photo', {
  once: true,
  fields: {
    id: 'text',
    door: 'text',
    cable: 'text',
    of: 'text',
    width: 'number',
    height: 'number',
    sha256: 'text',
    by: 'text',
    at: 'number',
  },
  recorded: (after) => [{ door: after.door, kind: 'photo', body: after }],
})
