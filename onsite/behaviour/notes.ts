/**
 * Makes the shadow roots of what must be said, which a page only makes by itself while it loads; also in reviews that
 * come later.
 */
export default function notes(root: ParentNode): () => void {
  const sheets = new Map<string, CSSStyleSheet>()
  function make(): void {
    for (const template of root.querySelectorAll<HTMLTemplateElement>('template[shadowrootmode]')) {
      const host = template.parentElement!
      const style = template.content.querySelector('style')
      const css = style?.textContent ?? ''
      const inside = host.shadowRoot ?? host.attachShadow({ mode: 'open' })
      // Every Content-Security-Policy allows constructed style sheets; other documents refuse those of this one.
      if (style && host.ownerDocument === document) {
        const sheet = sheets.get(css) ?? new CSSStyleSheet()
        sheets.set(css, sheet)
        sheet.replaceSync(css)
        inside.adoptedStyleSheets = [sheet]
        style.remove()
      }
      inside.append(template.content)
      template.remove()
    }
  }
  make()
  const watch = new MutationObserver(make)
  watch.observe(root as Node, { childList: true, subtree: true })
  return () => watch.disconnect()
}
