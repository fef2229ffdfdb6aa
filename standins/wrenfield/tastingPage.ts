import { pastedForm } from '../pasted'
import { pasted, sitePage } from './sitePage'

/** The page of an event, with the answers of its guests. */
export function tastingPage(elogioUrl: string): string {
  return sitePage(
    elogioUrl,
    'Tasting afternoons · Wrenfield Bee Supply',
    `<div class="wide">
<h1>Tasting afternoons</h1>
<p>Five honeys, a glass hive, and as many questions as you like. Every second Saturday from two o’clock in the Old Dairy Yard.</p>
<p>You have been here? ${pastedForm(elogioUrl, 'tell-us', ' data-over data-product="CR-BW"')}</p>
</div>
<div class="reviews">
${pasted(elogioUrl, 'tasting-day')}
${pasted(elogioUrl, 'at-the-edge')}
</div>`,
  )
}
