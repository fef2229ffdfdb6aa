const known = new WeakMap<Document, Set<string>>()

/** Copies the `@font-face` rules of a shadow root to its document, where they take effect. */
export default function fonts(root: ParentNode): void {
  if (!('host' in root)) return
  const { adoptedStyleSheets, styleSheets, ownerDocument: page } = root as ShadowRoot
  const window = page.defaultView
  const added = known.get(page) ?? new Set()
  known.set(page, added)
  const texts = [...adoptedStyleSheets, ...styleSheets]
    .flatMap((sheet) => [...sheet.cssRules])
    .map(({ cssText }) => cssText)
    .filter((text) => text.startsWith('@font-face') && !added.has(text))
  if (!window || texts.length === 0) return
  for (const text of texts) added.add(text)
  const sheet = new window.CSSStyleSheet()
  sheet.replaceSync(texts.join(''))
  page.adoptedStyleSheets = [...page.adoptedStyleSheets, sheet]
}
