import { expect, test } from 'vitest'
import { OutsideError } from './fetchOutside'
import { inlineWorkers } from '../workers/inline'
import { readPreviewPage } from './previewPage'

const noThreads = inlineWorkers(() => ({}) as never)

test('a page that cannot be had says why', async () => {
  const fetchOutside = () => Promise.reject(new OutsideError('slow'))
  expect(
    await readPreviewPage(
      { fetchOutside, allowedHosts: [], workers: noThreads },
      'https://wrenfield.example/',
    ),
  ).toEqual({
    outcome: 'failed',
    failure: 'slow',
  })
})
