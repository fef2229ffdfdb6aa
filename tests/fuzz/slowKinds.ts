import sharp from 'sharp'
import { readText } from '../../core/intake/text/readText'
import { OriginRefusal } from '../../core/listing/originRefusal'
import { originsAt } from '../../core/listing/origins'
import { pageAdapter } from '../../core/listing/sheet/pageAdapter'
import { readOrderFile, UnreadableFile } from '../../core/proof/orderFile'
import { declarationsOf } from '../../core/site/css'
import { piecesOf } from '../../core/site/cssPieces'
import { readPage } from '../../core/site/page'
import { readSite } from '../../core/site/readSite'
import { stillPage } from '../../core/site/stillPage'
import { readVideo } from '../../core/video/readVideo'
import { makePhoto } from '../../server/media/photo'
import { film } from '../support/videos'
import { phonePhoto } from '../support/pictures'

/** What comes from outside, and how it is read. */
export interface SlowKind {
  /** Whole inputs; one part of one of them is repeated. */
  seeds: () => Buffer[] | Promise<Buffer[]>
  /** What is put in and repeated beside it. */
  tokens: string[]
  /** The longest input that is read at all, and no more than 10 MB. */
  mostBytes: number
  /** Whether a job reads it, row by row and with progress, so that a part of the longest says enough. */
  inJob?: boolean
  read: (input: Buffer) => unknown
}

const ADDRESS = 'https://tarn.example/'
const MB = 1_000_000

const html = `<!doctype html><html><head><title>Home</title><style>.a{color:red}</style><meta name=x content=y>
<script type="application/ld+json">{"@type":"Store","review":[{"@type":"Review","reviewBody":"x","author":{"name":"Ida"}}]}</script></head>
<body class="a b"><p style="color:#333">Words &copy; <b>here</b><img src=a.png srcset="a 1x,b 2x"><a href=/b>c</a></p>
<table><tr><th>Name<th>Stars<th>Review</tr><tr><td>Ida<td>4<td>Good</tr></table><div itemscope itemtype="https://schema.org/Review"><span itemprop=reviewBody>x</span></div></body></html>`
const css = `@import "x";:root{--a:#fff;--b:var(--a,#000)}@media (max-width:9px){.btn:hover{color:var(--b);background:rgb(1 2 3/.5)}}
@font-face{font-family:x;src:url(x.woff2)}h1,.c>d:not(e){font:italic 700 1.1rem/1.4 "Alder Text",serif;border-radius:8px}`
const csv = 'Name,Stars,Review,Date\nIda,4,"Good, and ""solid""",2026-03-04\nBo;5;x\ty\r\n'
const orders =
  'number;email;name;product_sku;placed_at;status\nWB-1;"a@b.example";"A ""B"" C";HK-2;02.03.2026;delivered\n'
const feed = `{"name":"Tarn","reviews":[{"id":"a","stars":4,"text":"x","author":{"name":"Ida"},"date":"2026-03-04T10:00:00Z"}],"next":null}`
const mails = `From: Anna Berg <anna@berg.example>\nDate: Tue, 3 May 2026 14:03:22 +0200\nSubject: Re: x\n\nHi Mara,\nit went well, 4/5 ★★★★.\n\nBest regards,\nAnna\n> quoted\n[12.05.2026, 14:03] Lotte Pohl: Hallo!\n`

const marks = [
  '<',
  '>',
  '/',
  '"',
  "'",
  '=',
  '&',
  ';',
  '{',
  '}',
  '(',
  ')',
  '[',
  ']',
  ',',
  ':',
  '-',
  '\\',
  ' ',
  '\n',
  '\t',
  'a',
  '0',
]
const tags = [
  '<a ',
  '<b>',
  '</b>',
  '<p>',
  '<table>',
  '<tr>',
  '<td>',
  '<svg>',
  '<math>',
  '<select>',
  '<option>',
  '<template>',
  '<!--',
  '-->',
  '<![CDATA[',
  '<script>',
  '</script>',
  '<style>',
  '&amp;',
  '&#1;',
  'a=1 ',
  'class="a" ',
  'style="',
  'itemscope ',
  'itemprop=a ',
  '<form>',
  '<button>',
  '<nobr>',
  '<li>',
  '<h1>',
  '<i class="h-review">',
  '{"@type":"Review"},',
]
const sheet = [
  'var(--a)',
  '--a:',
  'url(',
  '/*',
  '*/',
  '@media x{',
  'a{',
  ':not(',
  ':is(',
  'calc(',
  '!important',
  'a,',
  'a>b ',
  '#fff',
  '1px',
  'U+',
  '\\61 ',
  'rgb(',
  'font:',
  'background:',
  'a{color:red}',
  '.b',
  '*|',
]
const cells = [
  '""',
  ',,',
  ';',
  'x"',
  '\r',
  '\r\n',
  '9/9',
  '2026-03-04',
  '★',
  'of ',
  '=',
  '١',
  '\ud83d\ude00',
  'ß',
]
const json = [
  '{"a":',
  '[',
  ']',
  '},',
  '\\u0061',
  '1e9',
  'null,',
  '"a":1,',
  '-',
  '{"@type":"Review","reviewBody":"y"},',
]
const prose = [
  'www.',
  'http://',
  '@',
  '.com',
  '> ',
  '>>',
  'On ',
  ' wrote:',
  '--',
  '***',
  '4/5',
  '★',
  '“',
  '”',
  '[1.1.26, 1:1] A: ',
  'From: ',
  'Am ',
  'x '.repeat(30),
  '\n\n',
  '…',
]
const boxes = [
  '\0\0\0\x08free',
  '\0\0\0\x08trak',
  '\0\0\0\x10moov\0\0\0\x08trak',
  '\0\0\0\x01mdat\0\0\0\0\0\0\0\x10',
  '\0\0\0\0',
  '\x1aE\xdf\xa3\x84',
  '\x18S\x80g\xff',
  '\xec\x80',
  '\x1fC\xb6u\x81\0',
  '\xae\x80',
  '\xa3\x81\0',
  '\xff',
  '\0',
  '\x01',
]

const readAsReview = (contentType: string) => (input: Buffer) => {
  const answer = { status: 200, retryAfter: null, url: ADDRESS, contentType, body: input.toString() }
  refusable(OriginRefusal, () => {
    const { sheet: found } = pageAdapter().describe(ADDRESS, '').read(answer)
    const matching = found ? { ...found.guess, isDayFirst: true, timeZone: 'UTC' } : null
    pageAdapter(matching).page(ADDRESS, null, '').read(answer)
  })
}

/** Being refused with a reason is an answer as well. */
function refusable(kind: new (...given: never[]) => Error, read: () => unknown): void {
  try {
    read()
  } catch (error) {
    if (!(error instanceof kind)) throw error
  }
}

const pixels = (width: number, height: number) =>
  sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#7a9a6b',
      noise: { type: 'gaussian', mean: 90, sigma: 60 },
    },
  })

async function pictures(): Promise<Buffer[]> {
  const small = await phonePhoto(60, 40)
  return [
    small,
    await sharp(small).png().toBuffer(),
    await sharp(small).jpeg({ progressive: true }).toBuffer(),
    await sharp(small).webp().toBuffer(),
    await sharp(small).gif().toBuffer(),
    await sharp(small).avif().toBuffer(),
    // As many pixels as are allowed, from very few bytes and from many.
    await sharp({ create: { width: 7700, height: 7700, channels: 4, background: '#7a9a6b' } })
      .png({ progressive: true })
      .toBuffer(),
    await pixels(7700, 7700).jpeg({ quality: 30, progressive: true }).toBuffer(),
  ]
}

/** Each kind of input from outside. */
export const slowKinds: Record<string, SlowKind> = {
  page: {
    seeds: () => [Buffer.from(html)],
    tokens: [...marks, ...tags, ...sheet],
    mostBytes: 4 * MB,
    read: (input) => readSite(readPage(input.toString(), ADDRESS), [], null),
  },
  'page without scripts': {
    seeds: () => [Buffer.from(html)],
    tokens: [...marks, ...tags, ...sheet],
    mostBytes: 4 * MB,
    read: (input) => stillPage(input.toString(), ADDRESS),
  },
  'page with reviews': {
    seeds: () => [Buffer.from(html)],
    tokens: [...marks, ...tags, ...json, ...cells],
    mostBytes: 4 * MB,
    read: readAsReview('text/html'),
  },
  sheet: {
    seeds: () => [Buffer.from(csv)],
    tokens: [...marks, ...cells],
    mostBytes: 4 * MB,
    read: readAsReview('text/csv'),
  },
  feed: {
    seeds: () => [Buffer.from(feed)],
    tokens: [...marks, ...json],
    mostBytes: 4 * MB,
    read: (input) => {
      const answer = {
        status: 200,
        retryAfter: null,
        url: ADDRESS,
        contentType: 'application/json',
        body: input.toString(),
      }
      for (const origin of originsAt(ADDRESS))
        for (const step of [origin.describe('a', ''), origin.page('a', null, ''), origin.suggest('a', '')])
          refusable(OriginRefusal, () => step.read(answer))
    },
  },
  'style sheet': {
    seeds: () => [Buffer.from(css)],
    tokens: [...marks, ...sheet],
    mostBytes: 4 * MB,
    read: (input) => [...piecesOf(input.toString())].flatMap(declarationsOf),
  },
  'order file': {
    seeds: () => [Buffer.from(orders)],
    tokens: [...marks, ...cells],
    mostBytes: 300_000,
    inJob: true,
    read: (input) => refusable(UnreadableFile, () => readOrderFile(input.toString())),
  },
  'pasted text': {
    seeds: () => [Buffer.from(mails), Buffer.from(csv)],
    tokens: [...marks, ...prose, ...cells],
    // The owner's own tab reads it while she types.
    mostBytes: 60_000,
    read: (input) => readText(input.toString(), ['Wrenfield']),
  },
  video: {
    seeds: () => [Buffer.from(film()), Buffer.from(film({ indexLast: true }))],
    tokens: boxes,
    mostBytes: 10 * MB,
    read: (input) =>
      readVideo({
        size: input.length,
        read: (at, length) => new Uint8Array(input.subarray(at, at + length)),
      }),
  },
  picture: { seeds: pictures, tokens: boxes, mostBytes: 10 * MB, read: makePhoto },
}
