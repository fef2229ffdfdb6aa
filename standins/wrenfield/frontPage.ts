/**
 * The shop's own front page, made by somebody who knows nothing of embeds: its rules reach for every element, some
 * with !important, and would wreck reviews that are not isolated.
 */
export function frontPage(elogioUrl: string): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<link rel="icon" href="/icon.svg" type="image/svg+xml" sizes="any">
<meta name="description" content="Hive kits, suits, smokers, extractors and feed, and a weekend course for beginners.">
<meta property="og:site_name" content="Wrenfield Bee Supply">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Wrenfield Bee Supply</title>
<style>${styles}</style>
</head>
<body>
<header>
  <strong>Wrenfield Bee Supply</strong>
  <nav><a href="#hives">Hives</a><a href="#suits">Suits</a><a href="#feed">Feed</a><a href="#courses">Courses</a></nav>
  <span class="basket">Basket, 0</span>
</header>
<main>
<section class="hero">
  <div>
    <h1>Everything a first colony needs, and someone to ask.</h1>
    <p class="lead">Hive kits cut in our shed, suits that fit, and a weekend that takes the fear away.</p>
  </div>
  <svg viewBox="0 0 520 150" role="img" aria-label="A hive box with its frames">
    <rect width="520" height="150" rx="5" fill="#c98f3c"/>
    <path d="M48 0v150M98 0v150M148 0v150M198 0v150M250 0v150M300 0v150M350 0v150M400 0v150M450 0v150M500 0v150" stroke="#b57b2c" stroke-width="4"/>
    <rect x="62" y="26" width="395" height="98" rx="3" fill="#f3e3b3"/>
    <path d="M62 44h395M62 60h395M62 76h395M62 92h395M62 108h395" stroke="#dcc382" stroke-width="2"/>
  </svg>
</section>
<div class="reviews" id="reviews">
<div data-elogio="front-page"><a href="${elogioUrl}/d/front-page">Reviews of Wrenfield Bee Supply</a></div>
<script async src="${elogioUrl}/embed.js"></script>
</div>
</main>
<footer><p>Wrenfield Bee Supply, Old Dairy Yard. Bees travel better than parcels.</p></footer>
</body>
</html>`
}

/** The shop's mark, as its browser tab shows it. */
export const icon =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32"><path fill="#e9b949" d="M16 1 29 8.5v15L16 31 3 23.5V8.5z"/><path fill="#fff" d="M16 10l5.2 3v6L16 22l-5.2-3v-6z"/></svg>'

const styles = `
@font-face { font-family: Shopserif; src: url(/serif.woff2) format("woff2"); font-weight: 200 900 }
* { box-sizing: content-box; letter-spacing: .02em }
body { margin: 0; background: #fcf7eb; color: #2a241a; font: 17px/1.5 Shopserif, Georgia, serif }
header { display: flex; gap: 30px; align-items: center; background: #e9b949; padding: 18px 64px }
header strong { font-size: 24px }
header nav { display: flex; gap: 28px }
header a, .basket { color: #2a241a; text-decoration: none; font-weight: 600; font-size: 15px }
.basket { margin-left: auto }
.hero { display: grid; grid-template-columns: 1.15fr 1fr; gap: 40px; align-items: center; padding: 26px 64px; border-bottom: 1px solid #dccfae }
.hero h1 { font-size: 36px; line-height: 1.1; margin: 0 0 8px }
.hero p { margin: 0 }
.hero svg { width: 100% }
.reviews { padding: 22px 64px 60px }
footer { padding: 20px 64px; border-top: 1px solid #dccfae }
.reviews div { padding: 0; text-transform: uppercase; line-height: 2.6; text-align: right; color: #b00020 }
h2, h3 { text-transform: uppercase; color: #b00020 !important; font-size: 44px !important }
.reviews p { margin: 0 0 28px; text-indent: 2em }
ol, ul { list-style: square; padding-left: 60px !important }
li { background: #ffd !important; float: left; width: 33% }
figure, blockquote { margin: 40px !important; border-left: 8px solid #b00020 !important; font-style: italic }
section { background: transparent }
b { color: #b00020; font-weight: 400 !important }
a { color: #00e }
@media (max-width: 700px) {
  header, .hero, .reviews, footer { padding-left: 20px; padding-right: 20px }
  header nav, .basket { display: none }
  .hero { grid-template-columns: minmax(0, 1fr) }
  .hero h1 { font-size: 28px }
}`
