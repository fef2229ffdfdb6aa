import { expect, test } from 'vitest'
import { readPage } from './page'
import { declarationsOf } from './css'
import { piecesOf } from './cssPieces'
import { readSite } from './readSite'

const read = (html: string, sheets: string[] = [], url = 'https://www.tarn-and-thistle.example/') => {
  const page = readPage(html, url)
  return readSite(page, [...sheets, page.css].flatMap(piecesOf).flatMap(declarationsOf), null)
}

const florist = `<!doctype html><html lang="de"><head>
  <title>Startseite | Tarn &amp; Thistle</title>
  <meta name="description" content="Blumen aus dem eigenen Garten.">
  <meta name="theme-color" content="#ffffff">
  <link rel="stylesheet" href="/css/main.css"><link rel="stylesheet" media="print" href="/css/print.css">
  <link rel="manifest" href="app.webmanifest">
  <link rel="icon" href="/small.png" sizes="16x16"><link rel="icon" href="/large.png" sizes="192x192">
  </head><body><header><img src="logo.svg" alt=""></header><p>Frisch vom Feld.</p></body></html>`

const sheet = `:root { --brand-green: #2f6b4f; --paper: #faf7f0 }
  body { background: var(--paper); color: #222; font: 400 17px/1.6 "Alder Text", Georgia, serif }
  h1, h2 { font-family: "Alder Display", serif }
  .btn { background: var(--brand-green); color: white }
  .error { background: #ff0000 } .error b { color: #ff0000 }
  @media (prefers-color-scheme: dark) { body { background: #000 } .btn { background: #ff00ff } }`

test('name, words, language, colours and type are read from the page and its sheets', () => {
  const reading = read(florist, [sheet])
  expect(reading).toMatchObject({
    name: 'Tarn & Thistle',
    description: 'Blumen aus dem eigenen Garten.',
    language: 'de',
    domain: 'tarn-and-thistle.example',
    fonts: { body: '"Alder Text", Georgia, serif', heading: '"Alder Display", serif' },
  })
  expect(reading.colours).toMatchObject({ background: '#faf7f0', textColour: '#222222', brand: '#2f6b4f' })
  expect(reading.colours.candidates).not.toContain('#ff0000')
  expect(reading.colours.candidates).not.toContain('#ff00ff')
})

test('addresses of sheets, manifest and pictures are absolute, likelier pictures first', () => {
  const page = readPage(florist, 'https://tarn-and-thistle.example/de/')
  expect(page.stylesheets).toEqual(['https://tarn-and-thistle.example/css/main.css'])
  expect(page.manifest).toBe('https://tarn-and-thistle.example/de/app.webmanifest')
  expect(page.pictures.slice(0, 3)).toEqual([
    'https://tarn-and-thistle.example/de/logo.svg',
    'https://tarn-and-thistle.example/large.png',
    'https://tarn-and-thistle.example/small.png',
  ])
})

test.each([
  ['<meta property="og:site_name" content="Quill &amp; Co"><title>Hello</title>', 'Quill & Co'],
  [
    '<script type="application/ld+json">{"@type":"LocalBusiness","name":"Osier Baskets"}</script>',
    'Osier Baskets',
  ],
  ['<script type="application/ld+json">{"@graph":[{"@type":"WebSite","name":"Osier"}]}</script>', 'Osier'],
  [
    '<script type="application/ld+json">{not json</script><title>Soap – Tarn and Thistle</title>',
    'Tarn and Thistle',
  ],
  ['<title>Home</title>', 'Tarn and thistle'],
  ['', 'Tarn and thistle'],
])('the name in %s', (head, name) => {
  expect(read(`<head>${head}</head>`).name).toBe(name)
})

test('a manifest gives what the page does not', () => {
  const page = readPage('<title>Home</title>', 'https://a.example/')
  const content = {
    name: 'Kiln Street Pots',
    theme_color: '#a3502b',
    icons: [{ src: 'i.png', sizes: '512x512' }],
  }
  const reading = readSite(page, [], { url: 'https://a.example/app/m.json', content })
  expect(reading.name).toBe('Kiln Street Pots')
  expect(reading.colours.brand).toBe('#a3502b')
  expect(reading.pictures[0]).toBe('https://a.example/app/i.png')
})

test('a page of greys has no brand colour, and nothing is invented for it', () => {
  const { colours, fonts, language, description } = read('<p>Hi</p>', ['a{color:#333}body{background:#eee}'])
  expect(colours).toEqual({ background: '#eeeeee', textColour: '#1b1a17', brand: null, candidates: [] })
  expect({ fonts, language, description }).toEqual({
    fonts: { body: null, heading: null },
    language: null,
    description: '',
  })
})

test('a text colour that cannot be read on the background is not taken', () => {
  expect(read('', ['body{background:#101820;color:#222}']).colours.textColour).toBe('#ffffff')
})

test.each(['}}}{{{', 'a{color:', '@media{', 'body{background:var(--a)}:root{--a:var(--b);--b:var(--a)}'])(
  'broken CSS %s harms nothing',
  (css) => {
    expect(read('<title>Osier</title>', [css]).colours.background).toBe('#ffffff')
  },
)

test('a language that is no language is worked out from the words', () => {
  const words = 'Wir backen jeden Morgen frisch und liefern in die ganze Stadt, auch am Sonntag.'
  expect(read(`<html lang="!!"><body><p>${words}</p></body></html>`).language).toBe('de')
})

test('what could leave a style is no family list', () => {
  const { fonts } = read('', ['body{font-family:"A";x:url(//evil.example)}', 'h1{font-family:url(x)}'])
  expect(fonts).toEqual({ body: '"A"', heading: '"A"' })
})

test('of a framework’s many colours the one that the page wears is the brand’s', () => {
  const framework = `:root{--blue:#2266dd;--pink:#d63384;--teal:#20c997}
    .btn-info{background:#0dcaf0}.btn-pink{background:var(--pink)}.badge{background:#6610f2}
    .nav-teal{background:var(--teal)}.btn-shop{background:#8c3b2a}.hover\\:lift{color:#333}`
  const page = '<body><a class="btn-shop hover:lift">Zum Laden</a></body>'
  expect(read(page, [framework]).colours.brand).toBe('#8c3b2a')
})

test.each([
  ['hsl(160 40% 30%)', '#2e6b57'],
  ['rgb(46, 107, 87)', '#2e6b57'],
  ['oklch(0.49 0.07 166)', '#356d57'],
  ['#2e6b57ff', '#2e6b57'],
  ['seagreen', '#2e8b57'],
])('a button in %s has the brand’s colour', (colour, brand) => {
  expect(read('', [`button.cta{} header{background:${colour}}`]).colours.brand).toBe(brand)
})

test.each([
  ['linear-gradient(red, blue)', '#ffffff'],
  ['rgba(0, 0, 0, .5)', '#ffffff'],
  ['url(red.png) #faf7f0', '#faf7f0'],
  ['transparent', '#ffffff'],
])('a background of %s is read as %s', (value, background) => {
  expect(read('', [`body{background:${value}}`]).colours.background).toBe(background)
})

test.each([
  ['font:italic small-caps 700 1.1rem/1.4 "Alder Text", serif', '"Alder Text", serif'],
  ['font-family:Alder', 'Alder'],
  ['font-family:inherit', null],
  ['font:inherit', null],
])('the type in %s is %s', (declaration, family) => {
  expect(read('', [`body{${declaration}}`]).fonts.body).toBe(family)
})

test('what a page hides or shows elsewhere is not read: scripts, templates, another base, addresses of scripts', () => {
  const html = `<base href="https://cdn.tarn.example/x/"><title>Osier</title>
    <link rel="stylesheet" href="a.css"><link rel="icon" href="javascript:alert(1)">
    <script type="application/ld+json">{"@type":"Person","name":"Somebody"}</script>
    <body><template>Sale</template><script>var a = "hidden"</script><p>Baskets</p></body>`
  const page = readPage(html, 'https://tarn.example/')
  expect(page.stylesheets).toEqual(['https://cdn.tarn.example/x/a.css'])
  expect(page.pictures).toEqual(['https://cdn.tarn.example/favicon.ico'])
  expect([page.text, page.names]).toEqual(['Baskets', ['Osier']])
})
