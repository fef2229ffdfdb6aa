import { readText } from '../../core/intake/text/readText'
import { readOrderFile, UnreadableFile } from '../../core/proof/orderFile'
import { declarationsOf, withProperties } from '../../core/site/css'
import { piecesOf } from '../../core/site/cssPieces'
import { readPage } from '../../core/site/page'
import { readSite } from '../../core/site/readSite'
import { stillPage } from '../../core/site/stillPage'
import { decodeText } from '../../server/outside/decodeText'
import { mutateText } from './mutate'
import type { Random } from './random'

const url = 'https://tarn.example/'

const html = `<!doctype html><html lang="de"><head><title>Home | Tarn &amp; Thistle</title><meta name="description" content="x">
<link rel="stylesheet" href="a.css"><style>:root{--brand:#2f6b4f}.btn{background:var(--brand)}</style>
<script type="application/ld+json">{"@graph":[{"@type":"Store","name":"Tarn","logo":{"url":"l.png"}}]}</script></head>
<body class="a b" onload="x()"><header><img src="logo.svg"></header><p style="color:#333">Words &copy; <b>here</b></p></body></html>`
const css = `@import "x";:root{--a:#fff;--b:var(--a,#000)}@media (max-width:9px){.btn:hover{color:var(--b);background:rgb(1 2 3 / .5)}}
@font-face{font-family:x;src:url(x.woff2)}h1,.c>d{font:italic 700 1.1rem/1.4 "Alder Text",serif;border-radius:8px}`
const texts = [
  'From: Anna Berg <anna@berg.example>\nDate: Tue, 3 May 2026 14:03:22 +0200\nSubject: Re: x\n\nHi Mara,\nit went well, 4 out of 5.\n\nBest regards,\nAnna\n> quoted',
  '[12.05.2026, 14:03] Lotte Pohl: Hallo! Der Smoker ist da\n[12.05.2026, 14:10] Wrenfield: Danke',
  'Hana S. 5/5\nVeil does not fog.\n---\n“Kept bees a year longer.” — Ines Walcott, teacher (14.03.2026)\n\n★★★★☆ Good smoker.\nLotte V.',
]
const csv =
  'number;email;name;product_sku;placed_at;delivered_at;status\nWB-1;"a@b.example";"Anna ""B"" Berg";HK-2;02.03.2026;2026-03-09;delivered\n'

const readers: [name: string, seed: string, read: (input: string) => void][] = [
  ['page', html, (input) => void readPage(input, url)],
  ['stilled page', html, (input) => void stillPage(input, url)],
  [
    'sheet',
    css,
    (input) =>
      void readSite(readPage('', url), withProperties(piecesOf(input).flatMap(declarationsOf)), null),
  ],
  ...texts.map((text): (typeof readers)[number] => [
    'pasted text',
    text,
    (input) => void readText(input, ['Wrenfield']),
  ]),
  ['orders', csv, ordersOrReason],
  ['character set', 'text/html; charset="utf-8"', (input) => void decodeText(Buffer.from(input), input)],
]

/** A file that is no table is refused with a reason, which is no failure. */
function ordersOrReason(input: string): void {
  try {
    readOrderFile(input)
  } catch (error) {
    if (!(error instanceof UnreadableFile) || error.message === '') throw error
  }
}

/** Reads one mutated input; answers what went wrong, or null. */
export function fuzzReader(random: Random, maxMs: number): string | null {
  const [name, seed, read] = random.pick(readers)
  const input = mutateText(random.oneIn(4) ? seed.repeat(1 + random.int(20)) : seed, random)
  const before = process.cpuUsage().user
  try {
    read(input)
  } catch (error) {
    return `${name}: ${error instanceof Error ? (error.stack ?? '') : String(error)} for ${JSON.stringify(input.slice(0, 500))}`
  }
  const ms = (process.cpuUsage().user - before) / 1000
  return ms > maxMs ? `${name}: ${Math.round(ms)} ms for ${JSON.stringify(input.slice(0, 500))}` : null
}
