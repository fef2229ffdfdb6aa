import type { CustomerLanguage } from '../../core/messages/customers/languages'
import { languageName } from '../../core/messages/languageName'
import { say } from '../../core/messages/say/setUp'

export function CustomerLanguages({ chosen, all }: { chosen: string[]; all: CustomerLanguage[] }) {
  return (
    <fieldset className="min-w-0">
      <legend className="font-semibold">{say('settings.customerLanguages')}</legend>
      <p className="text-[12.5px] text-soft">{say('settings.customerLanguagesHint')}</p>
      <div className="mt-1.5 flex flex-wrap gap-x-5 gap-y-1">
        {all.map((language) => (
          <label key={language} className="flex min-h-8 items-center gap-2">
            <input
              type="checkbox"
              name="customer_languages"
              value={language}
              defaultChecked={chosen.includes(language)}
              className="checkbox checkbox-sm rounded-[5px] border-edge"
            />
            {languageName(language)}
          </label>
        ))}
      </div>
    </fieldset>
  )
}
