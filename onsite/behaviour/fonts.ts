/** Longer than this, a display does not wait for its fonts. */
const MOST_MS = 1200
const known = new WeakMap<Document, Set<string>>()

/** Adds `@font-face` rules to a document, each once; in a shadow root they have no effect. */
function addRules(page: Document, rules: string[]): void {
  const window = page.defaultView
  const added = known.get(page) ?? new Set()
  known.set(page, added)
  const missing = rules.filter((rule) => !added.has(rule))
  if (!window || missing.length === 0) return
  for (const rule of missing) added.add(rule)
  const sheet = new window.CSSStyleSheet()
  sheet.replaceSync(missing.join(''))
  page.adoptedStyleSheets = [...page.adoptedStyleSheets, sheet]
}

/**
 * Loads the fonts of a display before it is shown, so that its lines do not move. One that takes too long is not used on
 * this page (`font-display: optional`); the next page has it in the cache.
 */
export async function before(css: string): Promise<void> {
  const rules = css.match(/@font-face\{[^}]*\}/g) ?? []
  addRules(document, rules)
  const loading = [...document.fonts]
    // Letters beyond Latin load when they are needed.
    .filter(({ family, unicodeRange }) => family.includes('Elogio ') && /^U\+0+-10FFFF$/i.test(unicodeRange))
    .map((face) => face.load().catch(() => undefined))
  await Promise.race([Promise.all(loading), new Promise((resolve) => setTimeout(resolve, MOST_MS))])
}

/** For previews, where a font may also arrive later. */
export function addToPreview(root: ParentNode): void {
  if (!('host' in root)) return
  const { adoptedStyleSheets, styleSheets, ownerDocument } = root as ShadowRoot
  const rules = [...adoptedStyleSheets, ...styleSheets]
    .flatMap((sheet) => [...sheet.cssRules])
    .flatMap((rule) => (rule instanceof CSSLayerBlockRule ? [...rule.cssRules] : rule))
    .map(({ cssText }) => cssText.replace('font-display: optional', 'font-display: swap'))
    .filter((text) => text.startsWith('@font-face'))
  addRules(ownerDocument, rules)
}
