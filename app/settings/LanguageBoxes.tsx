import { languageName } from '../../core/messages/languageName'

/** A checkbox for each language. */
export function LanguageBoxes({
  name,
  choices,
  chosen,
}: {
  name: string
  choices: string[]
  chosen: string[]
}) {
  return (
    <div className="mt-1.5 flex flex-wrap gap-x-5 gap-y-1">
      {choices.map((language) => (
        <label key={language} className="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            name={name}
            value={language}
            defaultChecked={chosen.includes(language)}
            className="checkbox checkbox-sm rounded-[5px] border-edge"
          />
          {languageName(language)}
        </label>
      ))}
    </div>
  )
}
