import type { Random } from './random'

/** What upsets parsers. */
const tokens = [
  ...[
    '\0',
    '\r\n',
    '\n',
    '\r',
    '%',
    '%00',
    '%0d%0a',
    '%ff',
    '%c0%af',
    '//',
    '..',
    '\\',
    '\ufeff',
    '\u202e',
    '\ud800',
    '💥',
  ],
  ...[
    '{',
    '}',
    '[',
    ']',
    '(',
    ')',
    '<',
    '>',
    '"',
    "'",
    '`',
    '&',
    '=',
    ';',
    ',',
    ':',
    '#',
    '?',
    '*',
    '--',
    '@media x{',
    '<div>',
  ],
  ...[
    '__proto__',
    'constructor',
    'toString',
    'null',
    'undefined',
    'NaN',
    '-1',
    '0',
    '1e999',
    '4294967296',
    '9'.repeat(30),
  ],
  ...[
    'a'.repeat(300),
    '['.repeat(200),
    '{"a":'.repeat(100),
    '<b>'.repeat(200),
    '=cmd()',
    '${x}',
    '$&',
    '(?=',
    '\u0000',
  ],
]

/** Changes a few bytes: takes some out, doubles, swaps or overwrites them, or puts in what upsets parsers. */
export function mutate(input: Buffer, random: Random): Buffer {
  let bytes = input
  for (let changes = 1 + random.int(4); changes > 0; changes--) bytes = changed(bytes, random)
  return bytes
}

function changed(bytes: Buffer, random: Random): Buffer {
  const at = random.int(bytes.length + 1)
  const length = random.int(Math.min(40, bytes.length - at + 1))
  const [before, part, after] = [
    bytes.subarray(0, at),
    bytes.subarray(at, at + length),
    bytes.subarray(at + length),
  ]
  switch (random.int(6)) {
    case 0:
      return Buffer.concat([before, after])
    case 1:
      return Buffer.concat([before, ...Array<Buffer>(1 + random.int(30)).fill(part), after])
    case 2:
      return Buffer.concat([before, Buffer.from(part).reverse(), after])
    case 3:
      return Buffer.concat([before, Buffer.from(part.map(() => random.int(256))), after])
    default:
      return Buffer.concat([
        before,
        Buffer.from(random.pick(tokens)),
        random.oneIn(2) ? part : Buffer.alloc(0),
        after,
      ])
  }
}

export const mutateText = (text: string, random: Random): string =>
  mutate(Buffer.from(text), random).toString('utf8')
