import { say } from '../../../core/messages/say/ownCss'
import type { OwnCssFault } from './judgeOwnCss'

export function OwnCssFaults({ faults }: { faults: OwnCssFault[] }) {
  if (faults.length === 0) return null
  return (
    <ul className="font-semibold text-ochre">
      {faults.map(({ fault, parts, line, width }) => (
        <li key={`${fault} ${line}`}>
          {say(`ownCss.painted.${fault}`, {
            line,
            width,
            what: parts
              .map((part) => (part ? say(`display.textPart.${part}`) : say('ownCss.otherText')))
              .join(', '),
          })}
        </li>
      ))}
    </ul>
  )
}
