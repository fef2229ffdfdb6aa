import { pastedForm } from '../pasted'
import { pasted, sitePage } from './sitePage'

/** An article with a narrow side column. */
export function journalPage(elogioUrl: string): string {
  return sitePage(
    elogioUrl,
    'The first inspection · Wrenfield Bee Supply',
    `<div class="wide columns">
<div class="story">
<h1>The first inspection</h1>
<p>Wait for a warm noon with little wind. Light the smoker before you put the veil on, not after; a veil and a match do not go together.</p>
<p>Two puffs at the entrance, then count to sixty. Most of what goes wrong at a first inspection goes wrong because somebody counted to ten.</p>
<p>Take the outermost frame first and lean it against the box. Now there is room, and nothing that crawls is rolled between two combs.</p>
<p>You look for three things: eggs, food, and space. If all three are there, close the box. The bees know the rest.</p>
</div>
<div class="aside">
${pasted(elogioUrl, 'side-column')}
</div>
</div>
<div class="wide reviews">
${pasted(elogioUrl, 'on-the-map')}
</div>
<div class="wide reviews">
${pasted(elogioUrl, 'clubs-answer')}
</div>
<div class="wide">
<h2>For clubs and companies</h2>
${pastedForm(elogioUrl, 'clubs')}
</div>`,
  )
}
