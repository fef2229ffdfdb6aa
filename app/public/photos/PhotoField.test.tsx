import { renderToStaticMarkup } from 'react-dom/server'
import { expect, test } from 'vitest'
import { customerTranslate } from '../../../core/messages/customers'
import { TranslateContext } from '../speech'
import { PhotoField } from './PhotoField'
import type { PhotoItem, Photos } from './usePhotos'

const nothing = () => undefined
const photos = (items: PhotoItem[]): Photos => ({
  items,
  tooMany: false,
  pending: false,
  add: nothing,
  addVideo: nothing,
  remove: nothing,
  again: nothing,
  say: nothing,
})
const ready = (key: string, alt = ''): PhotoItem => ({
  id: key,
  alt,
  file: null,
  state: { is: 'ready', key, shown: `/media/${key}.webp` },
})
const shown = (items: PhotoItem[], more: Partial<Parameters<typeof PhotoField>[0]> = {}) =>
  renderToStaticMarkup(
    <TranslateContext value={customerTranslate('en')}>
      <PhotoField photos={photos(items)} errors={undefined} {...more} />
    </TranslateContext>,
  )

test('as the server sends it, files go with the form and kept ones can be left out', () => {
  const html = shown([ready('k1', 'A hive'), ready('k2')])
  const inputs = (type: string) => html.match(new RegExp(`<input[^>]*type="${type}"[^>]*>`, 'g')) ?? []
  expect(inputs('file')).toEqual([expect.stringMatching(/ name="media"/)])
  expect(
    inputs('checkbox').map((input) => [/ checked/.test(input), / value="([^"]*)"/.exec(input)![1]]),
  ).toEqual([
    [true, 'k1 A hive'],
    [true, 'k2'],
  ])
})

test('four are enough, and where none can be added there is no way to', () => {
  const four = ['a', 'b', 'c', 'd'].map((key) => ready(key))
  expect(shown(four)).not.toContain('type="file"')
  expect(shown([ready('a')], { mayAdd: false })).not.toContain('type="file"')
})

test('what is on its way says how far, and what can’t be taken says why and whether to try again', () => {
  const file = new File([], 'hive.jpg')
  const html = (state: PhotoItem['state']) => shown([{ id: 'x', alt: '', file, state }])
  expect(html({ is: 'shrinking' })).toContain('hive.jpg, making it smaller')
  expect(html({ is: 'sending', part: 0.4 })).toContain('hive.jpg, 40% sent')
  expect(html({ is: 'refused', why: 'Are you online?', passing: true })).toMatch(
    /Are you online\?.*Try again/,
  )
  expect(html({ is: 'refused', why: 'This is no photo.', passing: false })).not.toContain('Try again')
})
