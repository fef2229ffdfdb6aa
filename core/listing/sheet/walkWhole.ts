import { walkHtml, type HtmlVisitor } from '../../site/walkHtml'
import { MAX_TAGS } from '../limits'
import { OriginRefusal } from '../originRefusal'

/**
 * Visits a page to its end, because reviews behind it would seem to be gone.
 * @throws OriginRefusal if it is too large
 */
export function walkWhole(html: string, visit: HtmlVisitor): void {
  if (!walkHtml(html, visit, MAX_TAGS)) throw new OriginRefusal('tooLarge')
}
