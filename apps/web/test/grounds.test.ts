import { contrast, daylight, plant, type Ground } from '../src/theme/grounds'

const texts: (keyof Ground)[] = ['ink', 'quiet', 'oxide', 'verdigris', 'ochre', 'madder', 'slate']

describe.each([daylight, plant])('the ground $name', (ground) => {
  it.each(texts)('%s can be read as text on paper and sheet (WCAG 2.2, 4.5 to 1)', (tone) => {
    expect(contrast(ground[tone], ground.paper)).toBeGreaterThanOrEqual(4.5)
    expect(contrast(ground[tone], ground.sheet)).toBeGreaterThanOrEqual(4.5)
  })
  it('the action’s words can be read on oxide', () => {
    expect(contrast(ground.onOxide, ground.oxide)).toBeGreaterThanOrEqual(4.5)
  })
})

// WCAG 2.2: black on white is 21 to 1; #767676 on white is just over 4.5 to 1 (from memory).
it('reckons contrast as the guideline does', () => {
  expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 5)
  expect(contrast('#767676', '#FFFFFF')).toBeCloseTo(4.54, 2)
  expect(contrast('#123456', '#123456')).toBe(1)
})
