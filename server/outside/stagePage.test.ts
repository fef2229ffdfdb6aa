import { expect, test } from 'vitest'
import { OutsideError } from './fetchOutside'
import { stagePage } from './stagePage'

test('a page that cannot be had says why', async () => {
  const fetchOutside = () => Promise.reject(new OutsideError('slow'))
  expect(await stagePage({ fetchOutside, allowedHosts: [] }, 'https://wrenfield.example/')).toEqual({
    outcome: 'failed',
    failure: 'slow',
  })
})
