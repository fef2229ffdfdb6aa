import { renderToStaticMarkup } from 'react-dom/server'
import { expect, test } from 'vitest'
import { FoundWords } from './FoundWords'

const shown = (text: string, q?: string) =>
  renderToStaticMarkup(<FoundWords text={text} q={q} />)
    .replaceAll(/<mark[^>]*>/g, '[')
    .replaceAll('</mark>', ']')
    .replaceAll(/<\/?span>/g, '')

test('words of a search are marked where they stand, and nothing else is changed', () => {
  expect(shown('Two frames arrived split.', 'frame')).toBe('Two [frames] arrived split.')
  expect(shown('Two frames arrived split.', 'split two')).toBe(
    '[Two] frames arrived split.'.replace('split', '[split]'),
  )
  expect(shown('Two frames <b>arrived</b>.', undefined)).toBe('Two frames &lt;b&gt;arrived&lt;/b&gt;.')
  expect(shown('Two frames.', 'hive')).toBe('Two frames.')
})

test('a text whose first mark lies far in begins shortly before it, at a word', () => {
  const far = `${'It was a long and quiet winter in the valley. '.repeat(4)}Then the hive hummed.`
  const found = shown(far, 'hummed')
  expect(found.startsWith('… ')).toBe(true)
  expect(found.endsWith('Then the hive [hummed].')).toBe(true)
  expect(found.length).toBeLessThan(80)
})
