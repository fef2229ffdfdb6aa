import { pasted as pastedCode } from '../pasted'

/** The embed code of one of Wrenfield's displays. */
export const pasted = (elogioUrl: string, key: string, attributes = ''): string =>
  pastedCode(elogioUrl, key, 'Wrenfield Bee Supply', attributes)

export function sitePage(elogioUrl: string, title: string, main: string): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<link rel="icon" href="/icon.svg" type="image/svg+xml" sizes="any">
<meta name="description" content="Hive kits, suits, smokers, extractors and feed, and a weekend course for beginners.">
<meta property="og:site_name" content="Wrenfield Bee Supply">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${title}</title>
<link rel="preload" href="/serif.woff2" as="font" type="font/woff2" crossorigin>
<style>${styles}</style>
</head>
<body>
<header>
  <strong><a href="/">Wrenfield Bee Supply</a></strong>
  <nav><a href="/goods">Hives</a><a href="/goods#suits">Suits</a><a href="/goods#feed">Feed</a><a href="/goods/cr-bw">Courses</a><a href="/tasting">Tastings</a><a href="/journal">Journal</a></nav>
  <span class="basket">Basket, 0</span>
</header>
<main>
${main}
</main>
<footer><p>Wrenfield Bee Supply, Old Dairy Yard. Bees travel better than parcels.</p>${pasted(elogioUrl, 'beside-names')}</footer>
<script async src="${elogioUrl}/embed.js"></script>
</body>
</html>`
}

/** The icon of the site. */
export const icon =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32"><path fill="#e9b949" d="M16 1 29 8.5v15L16 31 3 23.5V8.5z"/><path fill="#fff" d="M16 10l5.2 3v6L16 22l-5.2-3v-6z"/></svg>'

/**
 * Written as if by somebody who knows nothing of embeds: the rules match every element, some with !important,
 * and would break reviews that aren't isolated.
 */
const styles = `
@font-face { font-family: Shopserif; src: url(/serif.woff2) format("woff2"); font-weight: 200 900; font-display: optional }
* { box-sizing: content-box; letter-spacing: .02em }
body { margin: 0; background: #fcf7eb; color: #2a241a; font: 17px/1.5 Shopserif, Georgia, serif }
header { display: flex; gap: 30px; align-items: center; background: #e9b949; padding: 18px 64px }
header strong { font-size: 24px }
header nav { display: flex; gap: 28px }
header a, .basket { color: #2a241a; text-decoration: none; font-weight: 600; font-size: 15px }
header strong a { font-size: 24px }
.basket { margin-left: auto }
.hero { display: grid; grid-template-columns: 1.15fr 1fr; gap: 40px; align-items: center; padding: 26px 64px; border-bottom: 1px solid #dccfae }
.hero h1 { font-size: 36px; line-height: 1.1; margin: 0 0 8px }
.hero p { margin: 0 }
.hero svg { width: 100% }
.button { display: inline-block; background: #7a3c12; color: #fff !important; border-radius: 6px; padding: 9px 18px; text-decoration: none; font-weight: 600 }
.reviews { padding: 22px 64px 60px }
.wide { padding: 26px 64px 60px }
.wide h1 { font-size: 32px; line-height: 1.15; margin: 0 0 18px }
.goods { display: grid; grid-template-columns: repeat(3, 1fr); gap: 26px 30px }
.good { border-top: 1px solid #dccfae; padding-top: 14px }
.good h2 { margin: 0; font-size: 19px !important; text-transform: none !important; color: #2a241a !important }
.good h2 a { color: #2a241a; text-decoration: none }
.good p { margin: 4px 0 0 }
.price { font-weight: 700 }
.columns { display: grid; grid-template-columns: minmax(0, 1fr) 260px; gap: 48px }
.aside { border-left: 1px solid #dccfae; padding-left: 24px }
.story p { max-width: 36em; margin: 0 0 16px }
footer { display: flex; flex-wrap: wrap; gap: 8px 40px; align-items: baseline; padding: 20px 64px; border-top: 1px solid #dccfae }
footer p { margin: 0 }
.reviews div { padding: 0; text-transform: uppercase; line-height: 2.6; text-align: right; color: #b00020 }
h2, h3 { text-transform: uppercase; color: #b00020 !important; font-size: 44px !important }
.reviews p { margin: 0 0 28px; text-indent: 2em }
ol, ul { list-style: square; padding-left: 60px !important }
li { background: #ffd !important; float: left; width: 33% }
figure, blockquote { margin: 40px !important; border-left: 8px solid #b00020 !important; font-style: italic }
section { background: transparent }
b { color: #b00020; font-weight: 400 !important }
a { color: #00e }
button { display: none !important }
details, summary { outline: 3px solid #b00020 }
@media (max-width: 760px) {
  header, .hero, .reviews, .wide, footer { padding-left: 20px; padding-right: 20px }
  header nav, .basket { display: none }
  .hero, .columns { grid-template-columns: minmax(0, 1fr) }
  .goods { grid-template-columns: minmax(0, 1fr) }
  .aside { border-left: 0; padding-left: 0 }
  .hero h1 { font-size: 28px }
}`
