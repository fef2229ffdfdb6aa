import { escape } from 'html-escaper'
import type { Letter } from './letters'

const page = (title: string, body: string) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>${escape(title)}</title>
<style>
body{margin:0;background:#f2efe9;color:#2b2620;font:16px/1.5 system-ui,sans-serif}
main{max-width:760px;margin:0 auto;padding:28px 20px}
a{color:#6b3f12}
ul{list-style:none;margin:20px 0;padding:0;background:#fff;border:1px solid #ddd5c8;border-radius:10px}
li{padding:12px 16px;border-top:1px solid #eee7db}li:first-child{border:0}
small{color:#6d6458}
iframe{width:100%;height:520px;border:1px solid #ddd5c8;border-radius:10px;background:#fff}
pre{white-space:pre-wrap;background:#fff;border:1px solid #ddd5c8;border-radius:10px;padding:16px}
</style></head><body><main>${body}</main></body></html>`

export function letterList(letters: Letter[]): string {
  const rows = letters
    .toReversed()
    .map(
      ({ id, to, subject, at }) =>
        `<li><a href="/mailbox/${id}">${escape(subject)}</a><br><small>to ${escape(to)}, ${at.toISOString().slice(11, 16)} UTC</small></li>`,
    )
    .join('')
  return page(
    'Mailbox',
    `<h1>Mailbox</h1><p>Everything the demo sends arrives here and goes nowhere else.</p>${
      rows ? `<ul>${rows}</ul>` : '<p>No mail has come yet.</p>'
    }`,
  )
}

/** An email, both as HTML and text. Its links open outside of the frame. */
export function letterPage({ from, to, subject, text, html, messageId }: Letter): string {
  const framed = html.replace('<head>', '<head><base target="_blank">')
  return page(
    subject,
    `<p><a href="/mailbox">All mails</a></p><h1>${escape(subject)}</h1>
<p><small>from ${escape(from)} to ${escape(to)}<br>${escape(messageId)}</small></p>
<iframe title="The mail" sandbox="allow-popups allow-popups-to-escape-sandbox" srcdoc="${escape(framed)}"></iframe>
<h2>As plain text</h2><pre>${escape(text).replace(/https?:\/\/\S+/g, (link) => `<a href="${link}">${link}</a>`)}</pre>`,
  )
}
