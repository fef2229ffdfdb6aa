import { fonts } from '../../../core/display/choices'
import { shippedFonts, type Font } from '../../../core/display/fonts'
import { say } from '../../../core/messages/say/style'
import { SelectLine } from '../SelectLine'

export function FontChoice({ value, choose }: { value: Font; choose: (font: Font) => void }) {
  return (
    <SelectLine
      label={say('style.font')}
      value={value}
      choices={fonts.map((font) => [font, font === 'page' ? say('style.pageFont') : shippedFonts[font].name])}
      choose={choose}
    />
  )
}
