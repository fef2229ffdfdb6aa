import { goods, pathOf, type Good } from './goods'
import { pasted, sitePage } from './sitePage'

/** All goods, each with its small rating. */
export function listingPage(elogioUrl: string): string {
  return sitePage(
    elogioUrl,
    'Everything we sell · Wrenfield Bee Supply',
    `<div class="wide">
<h1>Everything we sell</h1>
<div class="goods">
${goods
  .map(
    (good) => `<div class="good"><h2><a href="${pathOf(good)}">${good.name}</a></h2>
${pasted(elogioUrl, 'beside-names', `data-product="${good.sku}"`)}
<p>${good.words}</p><p class="price">${good.price}</p></div>`,
  )
  .join('\n')}
</div>
${pasted(elogioUrl, 'all-in-numbers')}
</div>`,
  )
}

/** The page of one product with its reviews. */
export function goodPage(elogioUrl: string, good: Good): string {
  return sitePage(
    elogioUrl,
    `${good.name} · Wrenfield Bee Supply`,
    `<div class="wide">
<h1>${good.name}</h1>
${pasted(elogioUrl, 'beside-names', `data-product="${good.sku}"`)}
<p>${good.words}</p>
<p class="price">${good.price}</p>
<p><a class="button" href="#basket">Into the basket</a></p>
</div>
<div class="reviews" id="reviews">
${pasted(elogioUrl, 'product-page', `data-product="${good.sku}"`)}
</div>`,
  )
}
