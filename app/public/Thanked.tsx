import type { FormDesign } from '../../core/form/design'
import type { Receipt } from '../../server/data/receipts'
import { OpensNext } from './OpensNext'
import { PassOn } from './PassOn'
import { useTranslate } from './speech'

type NextStep =
  `form.thanks.${'spam' | 'only' | 'confirmFirst' | 'next' | 'shown' | 'shownNameless' | 'held'}`

/** What happens next. What the writer has to do comes first. */
function nextSteps({ state, showable, confirm, unconfirmed }: Receipt, named: boolean): NextStep[] {
  if (state === 'spam') return ['form.thanks.spam']
  if (!showable) return ['form.thanks.only']
  const shown = named ? 'form.thanks.shown' : 'form.thanks.shownNameless'
  if (confirm && unconfirmed) return ['form.thanks.confirmFirst', 'form.thanks.next', shown]
  const looks: NextStep[] = state === 'held' ? ['form.thanks.held'] : []
  return ['form.thanks.next', ...looks, shown]
}

/** The page after a form. */
export function Thanked({
  received,
  thanks: { heading, text, link, passOn },
  coupon,
  passOnUrl,
  named,
  shop,
}: {
  received: Receipt
  thanks: FormDesign['thanks']
  /** Empty for none. */
  coupon: string
  /** What is passed on. */
  passOnUrl: string
  /** Whether the form needs a name. */
  named: boolean
  shop: { name: string; shortName: string }
}) {
  const translate = useTranslate()
  return (
    <>
      <h1 className="text-[26px]" dir="auto">
        {heading || translate('form.thanks.title')}
      </h1>
      {text && (
        <p className="mt-2 text-[17px] whitespace-pre-line" dir="auto">
          {text}
        </p>
      )}
      {coupon && received.state !== 'spam' && (
        <p className="mt-4 rounded-lg border border-dashed border-(--shop-edge) px-4 py-3 text-[17px]">
          <span className="block text-[15px] text-soft">{translate('form.thanks.coupon')}</span>
          <b className="font-semibold break-words" dir="auto">
            {coupon}
          </b>
        </p>
      )}
      <p className="mt-4 text-[17px]">{translate('form.thanks.kept', { shop: shop.name })}</p>
      <ul className="mt-4 flex flex-col gap-2 text-[15px]">
        {received.confirm && <li className="font-semibold">{translate('form.thanks.confirm')}</li>}
        {nextSteps(received, named).map((key) => (
          <li key={key}>{translate(key, { shop: shop.shortName })}</li>
        ))}
        {!received.confirm && (
          <li className="text-soft">
            {translate(received.hasAddress ? 'form.thanks.mail' : 'form.thanks.noEmail')}
          </li>
        )}
      </ul>
      {link.words.trim() && link.url && (
        <a href={link.url} className="btn mt-6 border-0 bg-(--shop-button) px-6 text-[15px] text-white">
          {link.words.trim()}
        </a>
      )}
      {link.url && link.after > 0 && <OpensNext url={link.url} after={link.after} />}
      {passOn && <PassOn url={passOnUrl} shop={shop.name} />}
    </>
  )
}
