import { AwayError, getFile } from '../state/api'

/** Lets the browser save what lies at an address of this page's own. */
export function saveFrom(href: string, name: string): void {
  Object.assign(document.createElement('a'), { href, download: name }).click()
}

/** Papers are made by the server: a file that is not one is never saved. @throws ProblemError; AwayError says where papers come from */
export async function saveFile(path: string): Promise<void> {
  const { name, bytes } = await getFile(path).catch((error: unknown) => { throw error instanceof AwayError ? new AwayError('Files are made by the server, and it is out of reach. What stands on this screen is here without it.') : error })
  const url = URL.createObjectURL(bytes)
  saveFrom(url, name)
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}
