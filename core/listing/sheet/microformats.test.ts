import { expect, test } from 'vitest'
import { microformats } from './microformats'

const older = `<div class="hreview"><span class="item">Oak shelf</span>
  <abbr class="dtreviewed" title="2026-04-02">April</abbr> <span class="rating">4</span>/<span class="best">5</span>
  <p class="summary">Straight</p><div class="description">Straight and<br>heavy.</div><i class="reviewer">Ada Thorne</i></div>`
const newer = `<article class="h-review other"><data class="p-rating" value="3">three stars</data>
  <time class="dt-published" datetime="2026-05-01">May</time><b class="p-author">Jo Marsh</b>
  <div class="e-content">Fine.</div></article>`

test('each review of a page is read, in the older and the newer writing, without what stands between', () => {
  const read = microformats(
    `<p class="description">Our reviews</p>${older}<p class="reviewer">Nobody</p>${newer}`,
  )
  expect(read).toEqual([
    {
      '@type': 'Review',
      reviewRating: { ratingValue: '4', bestRating: '5' },
      datePublished: '2026-04-02',
      name: 'Straight',
      reviewBody: 'Straight and\nheavy.',
      author: 'Ada Thorne',
    },
    {
      '@type': 'Review',
      reviewRating: { ratingValue: '3' },
      datePublished: '2026-05-01',
      author: 'Jo Marsh',
      reviewBody: 'Fine.',
    },
  ])
})

test('the first of two words for one thing counts, and a page without reviews has none', () => {
  expect(microformats('<i class="h-review"><b class="p-name">One</b><b class="p-name">Two</b></i>')).toEqual([
    { '@type': 'Review', reviewRating: {}, name: 'One' },
  ])
  expect(microformats('<p class="e-content">Hello</p>')).toEqual([])
})
