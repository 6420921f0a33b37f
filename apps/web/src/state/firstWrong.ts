/** Brings the first field that is wrong into view, with the cursor in it: what is out of sight is not mended. */
export function showFirstWrong(): void {
  if (typeof document === 'undefined') return
  // Once it is drawn with what is wrong with it.
  setTimeout(() => {
    const field = document.querySelector<HTMLElement>('[aria-invalid="true"]')
    if (!field) return
    // Not every engine that runs this draws a page.
    if ('scrollIntoView' in field) field.scrollIntoView({ block: 'center' })
    field.focus({ preventScroll: true })
  }, 50)
}
