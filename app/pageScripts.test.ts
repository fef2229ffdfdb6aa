import { expect, test } from 'vitest'
import { pageScripts } from '../tests/support/pageScripts'

test('no page of an owner or a customer loads more script than its limit', () => {
  const { 'show/editor': editor, 'public/form': form, 'public/thanks': thanks, ...others } = pageScripts()
  expect(editor).toBeLessThan(172_500)
  expect(form).toBeLessThan(184_000)
  expect(thanks).toBeLessThan(140_000)
  expect(Math.max(...Object.values(others))).toBeLessThan(202_500)
})
