import { escape } from 'html-escaper'
import { walkHtml } from './walkHtml'

/** Elements that run code, contain frames, or change the base of addresses. */
const left = new Set([
  ...[
    'script',
    'noscript',
    'iframe',
    'frame',
    'object',
    'embed',
    'portal',
    'base',
    'template',
    'noembed',
    'noframes',
  ],
])
const empty = new Set([
  ...['area', 'br', 'col', 'embed', 'hr', 'img', 'input', 'link', 'meta', 'param', 'source', 'track', 'wbr'],
])

/**
 * A page's HTML without active content; its addresses still lead to the same targets.
 * @param url the address of the page
 */
export function stillPage(html: string, url: string): string {
  const base = `<base href="${escape(url)}">`
  const parts: string[] = ['<!doctype html>']
  let based = false
  let leaving = 0
  let inStyle = false
  const putBase = (before = '', after = '') => {
    parts.push(before, base, after)
    based = true
  }
  walkHtml(html, {
    open(name, attributes) {
      if (left.has(name)) leaving++
      if (leaving > 0 || isLeft(name, attributes)) return
      if (!based && name !== 'html' && name !== 'head') putBase('<head>', '</head>')
      parts.push(`<${name}${attributesOf(attributes)}>`)
      if (!based && name === 'head') putBase()
      inStyle = name === 'style'
    },
    close(name) {
      if (left.has(name)) leaving--
      else if (leaving === 0 && !empty.has(name)) parts.push(`</${name}>`)
      if (name === 'style') inStyle = false
    },
    text(text) {
      if (leaving > 0) return
      if (!based && text.trim() !== '') putBase('<head>', '</head>')
      parts.push(inStyle ? text : escape(text))
    },
  })
  if (!based) putBase('<head>', '</head>')
  return parts.join('')
}

function isLeft(name: string, attributes: Record<string, string>): boolean {
  if (name === 'meta') return 'http-equiv' in attributes
  return name === 'link' && !/^(stylesheet|icon)$/i.test((attributes.rel ?? '').trim())
}

function attributesOf(attributes: Record<string, string>): string {
  return Object.entries(attributes)
    .filter(([name]) => /^[a-z][a-z0-9:_.-]*$/i.test(name) && !/^on|^autofocus$|^srcdoc$/i.test(name))
    .map(([name, value]) => ` ${name}="${escape(value)}"`)
    .join('')
}
