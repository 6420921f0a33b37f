/** Lets the browser save what lies at an address; without a name it keeps the one that the server gives. */
export function saveFrom(href: string, name = ''): void {
  Object.assign(document.createElement('a'), { href, download: name }).click()
}
