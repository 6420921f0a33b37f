import { AwayError, getFile } from '../state/api'

/** Lets the browser save bytes under a name. */
export function saveBytes(bytes: Blob, name: string): void {
  const url = URL.createObjectURL(bytes)
  Object.assign(document.createElement('a'), { href: url, download: name }).click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** Papers are made by the server: a file that is not one is never saved. @throws ProblemError; AwayError says where papers come from */
export async function saveFile(path: string): Promise<void> {
  const { name, bytes } = await getFile(path).catch((error: unknown) => {
    throw error instanceof AwayError
      ? new AwayError(
          'Files are made by the server, and it is out of reach. What stands on this screen is here without it.',
        )
      : error
  })
  saveBytes(bytes, name)
}
