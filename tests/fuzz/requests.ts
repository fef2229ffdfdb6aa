import { rawRequest } from '../support/listener'
import { mutate, mutateText } from './mutate'
import type { Random } from './random'

/** What a fuzzed request may use of a running application. */
export interface Target {
  cookie: string
  slug: string
  display: string
  review: string
}

const BOUNDARY = '----fuzz'

/** A request, valid or mutated in its line, headers, query or body. */
export function fuzzedRequest(target: Target, random: Random): Buffer {
  const kind = random.int(4)
  if (kind === 0) return mutate(readingRequest(target, random), random)
  if (kind === 1) return readingRequest(target, random, true)
  const { path, type, body } = random.pick(forms(target))
  const sent = random.oneIn(8) ? body : mutate(body, random)
  const request = rawRequest(
    `POST ${path} HTTP/1.1`,
    {
      ...headersOf(target, random),
      'Content-Type': random.oneIn(8) ? mutateLine(type, random) : type,
      'Content-Length': String(sent.length),
    },
    sent,
  )
  return kind === 2 ? request : mutate(request, random)
}

function readingRequest(target: Target, random: Random, odd = false): Buffer {
  const path = random.pick(paths(target))
  const query = random.pick(queries)
  const asked = odd
    ? `${path}?${encodeURI(mutateText(query, random)).replace(/[\s#]/g, '')}`
    : `${path}?${query}`
  const method = random.pick(['GET', 'GET', 'GET', 'HEAD', 'OPTIONS', 'POST'])
  return rawRequest(`${method} ${asked} HTTP/1.1`, headersOf(target, random))
}

function headersOf({ cookie }: Target, random: Random): Record<string, string> {
  const names = [
    'Accept',
    'Accept-Encoding',
    'If-None-Match',
    'Origin',
    'Referer',
    'Range',
    'X-Forwarded-For',
    'X-Forwarded-Host',
    'Accept-Language',
    'Expect',
    'Upgrade',
    'Cookie',
  ]
  const values = [
    'application/json',
    'text/html',
    'br;q=0, *',
    '"x", W/"y"',
    'null',
    'http://localhost',
    'bytes=0-0,-1',
    '203.0.113.5, ::1',
    'de;q=x',
    '100-continue',
    'websocket',
    'elogio_session=x; elogio_device=eyJ; theme=%',
  ]
  const headers: Record<string, string> = random.oneIn(3) ? {} : { Cookie: cookie }
  for (let more = random.int(4); more > 0; more--) {
    const name = random.pick(names)
    headers[name] = random.oneIn(2) ? values[names.indexOf(name)]! : mutateLine(random.pick(values), random)
  }
  return headers
}

/** Mutated, but still one header: its line ends are the business of other mutations. */
const mutateLine = (text: string, random: Random) => mutateText(text, random).replace(/[\r\n\0]/g, ' ')

const paths = ({ slug, display, review }: Target) => [
  ...[
    '/',
    '/sign-in',
    '/begin',
    '/nothing',
    '/healthz',
    '/embed.js',
    '/favicon.svg',
    '/_root.data',
    '/sign-in.data',
    '/__manifest',
  ],
  ...[
    `/f/${slug}`,
    `/f/${slug}.data`,
    `/f/${slug}/thanks`,
    `/f/${slug}/photo`,
    `/how/${slug}`,
    '/confirm/x',
    '/r/x',
    '/r/x.data',
  ],
  ...[
    `/d/${display}`,
    `/d/${display}.json`,
    `/d/${display}/all`,
    `/d/${display}/all?origin=lanternway`,
    `/d/${display}/part?origin=own`,
    `/d/${display}/seen`,
    `/media/${'0'.repeat(32)}.webp`,
  ],
  ...[
    `/s/${slug}/gather`,
    `/s/${slug}/gather/write`,
    `/s/${slug}/gather/orders`,
    `/s/${slug}/decide`,
    `/s/${slug}/decide/${review}`,
  ],
  ...[
    `/s/${slug}/decide/${review}.data`,
    `/s/${slug}/show`,
    `/s/${slug}/show/${display}`,
    `/s/${slug}/show/${display}/preview`,
  ],
  ...[
    `/s/${slug}/show/scratch`,
    `/s/${slug}/settings`,
    `/s/${slug}/settings.data`,
    `/s/${slug}/gather/products`,
    `/s/${slug}/gather/understand?text=Wrenfield`,
    `/s/${slug}/gather/connect?site=lanternway&id=LW7Q4K2M9A`,
    `/s/${slug}/gather/listings/x`,
    `/s/${slug}/decide/x/evidence/y`,
    `/s/other/gather`,
  ],
]

const queries = [
  '',
  'product=HK-2&limit=3&lang=de&theme=dark',
  'of=abc',
  'to=/s/wrenfield/gather',
  'lane=held&q=hive&rating=5,4&from=2026-01-01&until=2026-02-30&sort=lowest&tag=a&list',
  '_routes=root%2Crouter',
  'p=%2Fs%2Fwrenfield&version=x',
  'page=http%3A%2F%2Flocalhost%2F&spot=body&try=many',
  'thanks&key=front&site=',
]

interface Form {
  path: string
  type: string
  body: Buffer
}

function forms({ slug, display, review }: Target): Form[] {
  const form = (path: string, fields: Record<string, string>): Form => ({
    path,
    type: 'application/x-www-form-urlencoded',
    body: Buffer.from(new URLSearchParams(fields).toString()),
  })
  const parts = (path: string, fields: [name: string, value: string, file?: string][]): Form => ({
    path,
    type: `multipart/form-data; boundary=${BOUNDARY}`,
    body: Buffer.from(
      `${fields.map(([name, value, file]) => `--${BOUNDARY}\r\nContent-Disposition: form-data; name="${name}"${file ? `; filename="${file}"\r\nContent-Type: text/plain` : ''}\r\n\r\n${value}\r\n`).join('')}--${BOUNDARY}--\r\n`,
    ),
  })
  const review1 = {
    ...{
      rating: '5',
      title: 'Fine',
      body: 'It came whole.',
      author_name: 'Sam Post',
      author_email: 'sam@post.example',
    },
    ...{
      order_number: 'WB-2091',
      product: 'HK-2',
      consent: 'on',
      media: 'abc words',
      token: 'a.b.c',
      website: '',
    },
    work: '{"challenge":{"parameters":{"algorithm":"PBKDF2/SHA-256"},"signature":"x"},"solution":{"counter":1,"derivedKey":"00"}}',
  }
  const csv =
    'number,email,name,product_sku,product_title,placed_at,delivered_at,status\nA-1,a@b.example,Anna Berg,HK-2,Hive kit,2026-03-02,2026-03-09,delivered\n'
  return [
    form(`/f/${slug}`, review1),
    form(`/f/${slug}.data`, review1),
    parts(`/f/${slug}`, [...Object.entries(review1), ['media', 'no photo', 'a.jpg']]),
    form('/sign-in?to=/', { email: 'mara@elogio.example', password: 'wrong' }),
    form('/r/x', { act: 'change', rating: '4', title: '', body: 'Changed', author_name: 'Sam Post' }),
    form('/confirm/x', {}),
    form(`/s/${slug}/decide/${review}`, { act: '{"kind":"approve"}', revision: '1' }),
    form(`/s/${slug}/decide/${review}.data`, { act: '{"kind":"tag","tags":["a"]}', revision: '1' }),
    form(`/s/${slug}/decide/many`, {
      act: '{"kind":"spam"}',
      ids: `${review}:1`,
      at: '2026-11-25T12:00:00.000Z',
    }),
    form(`/s/${slug}/decide/undo`, { passing: '1,2', review, number: '1' }),
    form(`/s/${slug}/decide/views`, { name: 'Mine', query: 'rating=5' }),
    form(`/s/${slug}/decide/${review}/aside`, { what: 'note', text: 'A note' }),
    form(`/s/${slug}/decide/${review}/ask`, { address: 'a@b.example' }),
    form(`/s/${slug}/show/${display}`, {
      intent: 'save',
      configuration: '{"schema":1,"selection":{"ratings":[5]}}',
    }),
    form(`/s/${slug}/show/${display}`, { intent: 'copied', measures: '[{"from":0,"height":300}]' }),
    form(`/s/${slug}/show/new`, { layout: 'list' }),
    form(`/s/${slug}/show/manage`, { intent: 'copy', key: display }),
    form(`/s/${slug}/show/scratch/page`, { code: '<p>x</p>', background: 'white' }),
    form(`/s/${slug}/settings?index`, {
      name: 'Wrenfield',
      picture: 'data:image/png;base64,AAAA',
    }),
    form(`/s/${slug}/settings/style`, { brand: '#e9b949' }),
    form(`/s/${slug}/settings/languages`, { locale: 'en', time_zone: 'UTC', languages: 'en' }),
    form(`/s/${slug}/gather/products`, { intent: 'add', title: 'Bee brush', sku: 'BB-1' }),
    form(`/s/${slug}/gather/products`, { intent: 'undo', change: 'x' }),
    form(`/s/${slug}/gather/products/x`, { intent: 'merge', into: 'y' }),
    form(`/s/${slug}/decide/x/correct`, { revision: '1', body: 'Words', tags: 'a, b' }),
    form(`/s/${slug}/gather/connect`, { intent: 'connect', site: 'lanternway', id: 'x' }),
    form(`/s/${slug}/gather/listings/x`, { intent: 'renewKey', accessKey: 'x' }),
    form(`/s/${slug}/gather`, { form: 'x', writers: 'anyone' }),
    form(`/s/${slug}/gather/write`, { ...review1, written_at: '2026-03-02', note: '' }),
    parts(`/s/${slug}/gather/orders`, [['file', csv, 'orders.csv']]),
    {
      path: `/d/${display}/seen`,
      type: 'text/plain',
      body: Buffer.from('https://wrenfield.example/hives?x=1#y'),
    },
    {
      path: `/f/${slug}/photo`,
      type: 'image/png',
      body: Buffer.from(
        'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
        'base64',
      ),
    },
  ]
}
