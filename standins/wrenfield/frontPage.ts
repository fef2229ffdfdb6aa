import { pasted, sitePage } from './sitePage'

export function frontPage(elogioUrl: string): string {
  return sitePage(
    elogioUrl,
    'Wrenfield Bee Supply',
    `<section class="hero">
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
${pasted(elogioUrl, 'front-page')}
</div>`,
  )
}
