import { expect, test } from 'vitest'
import { stillPage } from './stillPage'

const page = `<!doctype html><html><head><title>Shop</title><meta charset="utf-8">
<meta http-equiv="refresh" content="0;url=https://elsewhere.example/">
<base href="https://old.example/"><link rel="stylesheet" href="/own.css"><link rel="preload" href="/x.js" as="script">
<script>alert(1)</script></head>
<body onload="alert(2)"><h1 ONCLICK="alert(3)" class="big">Hives</h1><img src="hive.png" onerror="alert(4)">
<iframe src="https://tracker.example/"></iframe><svg><script>alert(5)</script><path d="M0 0"/></svg>
<noscript><p>no</p></noscript><div data-elogio="front"><a href="https://reviews.example/d/front">Reviews</a></div></body></html>`

test('a page keeps its looks and loses all that runs, frames and leads away', () => {
  const html = stillPage(page, 'https://wrenfield.example/shop/?a=1&b="2"')
  expect(html).not.toMatch(/alert|<script|<iframe|refresh|preload|noscript|old\.example/i)
  expect(html).toContain('<h1 class="big">Hives</h1>')
  expect(html).toContain('<link rel="stylesheet" href="/own.css">')
  expect(html).toContain('data-elogio="front"')
  expect(html).toContain('<head><base href="https://wrenfield.example/shop/?a=1&amp;b=&quot;2&quot;">')
})
test.each(['just words', '<p>no head</p>', '<html><body>x</body></html>', ''])(
  '%j gets a base too',
  (html) => {
    expect(stillPage(html, 'https://wrenfield.example/')).toContain(
      '<base href="https://wrenfield.example/">',
    )
  },
)
