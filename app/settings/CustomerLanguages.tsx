import type { CustomerLanguage } from '../../core/messages/customers/languages'
import { say } from '../../core/messages/say/setUp'
import { LanguageBoxes } from './LanguageBoxes'

export function CustomerLanguages({ chosen, all }: { chosen: string[]; all: CustomerLanguage[] }) {
  return (
    <fieldset className="min-w-0">
      <legend className="font-semibold">{say('settings.customerLanguages')}</legend>
      <p className="text-[12.5px] text-soft">{say('settings.customerLanguagesHint')}</p>
      <LanguageBoxes name="customer_languages" choices={all} chosen={chosen} />
    </fieldset>
  )
}
