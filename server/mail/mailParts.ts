import { escape } from 'html-escaper'

/** Builds the text and the HTML of an email from the same parts. */
export interface MailParts {
  hello: string
  lines: string[]
  quotation: { rating: string; title: string; body: string } | null
  button: { label: string; address: string } | null
  after: string[]
}

export function plainText({ hello, lines, quotation, button, after }: MailParts): string {
  const quoted = quotation
    ? [quotation.rating, quotation.title, quotation.body]
        .filter((part) => part.trim() !== '')
        .flatMap((part) => part.split('\n'))
        .map((line) => `> ${line}`)
        .join('\n')
    : ''
  return [hello, ...lines, quoted, button && `${button.label}:\n${button.address}`, ...after]
    .filter((part) => part)
    .join('\n\n')
}

export function htmlText({ hello, lines, quotation, button, after }: MailParts): string {
  const paragraph = (text: string, style = '') => `<p style="margin:0 0 16px;${style}">${lined(text)}</p>`
  const quoted = quotation
    ? `<blockquote style="margin:0 0 20px;padding:2px 0 2px 14px;border-left:3px solid #0E4654;font-family:Georgia,serif;font-size:17px">${[
        quotation.rating,
        quotation.title && `<b>${lined(quotation.title)}</b>`,
        lined(quotation.body),
      ]
        .filter(Boolean)
        .join('<br>')}</blockquote>`
    : ''
  const pressed = button
    ? `<p style="margin:0 0 20px"><a href="${escape(button.address)}" style="display:inline-block;padding:11px 18px;border-radius:8px;background:#0E4654;color:#ffffff;text-decoration:none;font-weight:600">${escape(button.label)}</a></p>`
    : ''
  return `<!doctype html><html><head><meta charset="utf-8"></head><body style="margin:0;padding:24px;background:#ffffff;color:#13262C;font:15px/1.5 system-ui,sans-serif"><div style="max-width:540px">${paragraph(hello)}${lines
    .map((line) => paragraph(line))
    .join(
      '',
    )}${quoted}${pressed}${after.map((line) => paragraph(line, 'color:#4D6067;font-size:13px')).join('')}</div></body></html>`
}

const lined = (text: string) => escape(text).replaceAll('\n', '<br>')
