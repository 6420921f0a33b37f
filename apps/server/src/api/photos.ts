import { answers } from '@rauta/contracts'
import type { Context } from '../context'
import { largestPhoto, type Photos } from '../files/photos'
import { everyone, HttpProblem, type Route } from './route'

const idOf = (text: unknown): string => {
  const id = String(text)
  if (!/^[0-9a-f-]{36}$/.test(id)) throw new HttpProblem(404, 'Not found', 'There is no such picture.')
  return id
}

/** Pictures: their bytes in, once, and out again. */
export function photoRoutes(photos: Photos, { log }: Context): Route[] {
  return [
    {
      method: 'post',
      path: '/photos/:id',
      says: 'The bytes of a picture (JPEG, PNG or WebP), under the id that its record has or will have',
      roles: ['lead', 'engineer'],
      raw: largestPhoto,
      answer: answers.ok,
      async handle(request) {
        const refused = await photos.keep(
          idOf(request.params['id']),
          Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0),
        )
        if (refused) throw new HttpProblem(422, 'Not as it should be', refused, 'photo')
        return { says: 'The picture is kept.' }
      },
    },
    {
      method: 'get',
      path: '/photos/:id',
      says: 'A picture',
      roles: everyone,
      answer: { media: 'image/jpeg' },
      async handle(request, response) {
        const id = idOf(request.params['id'])
        const photo = await photos.of(id)
        const record = log.facts.photo[id]
        if (!photo || !record)
          throw new HttpProblem(
            404,
            'Not here yet',
            'This picture has not arrived yet: it waits on the phone that took it.',
          )
        if (record.sha256 !== photo.sha256)
          throw new HttpProblem(409, 'Altered', 'This picture is not the one that was recorded.')
        response.type(photo.type).setHeader('cache-control', 'private, max-age=31536000, immutable').send(photo.bytes)
      },
    },
  ]
}
