import { useEffect, useRef } from 'react'
import type { CompletionContext, CompletionResult } from '@codemirror/autocomplete'
import { cssCompletionSource, cssLanguage } from '@codemirror/lang-css'
import { LanguageSupport } from '@codemirror/language'
import { setDiagnostics } from '@codemirror/lint'
import { EditorState } from '@codemirror/state'
import { EditorView } from '@codemirror/view'
import { basicSetup } from 'codemirror'
import { ownCssNames } from '../../../core/display/ownCssNames'
import { allowedProperties } from '../../../core/display/ownCssProperties'
import { say } from '../../../core/messages/say/ownCss'

export interface Mark {
  /** Positions in the text. */
  from: number
  to: number
  words: string
}

/** A field for CSS with completion. Its marks are set from outside; null leaves those that are there. */
export function CssEditor({
  label,
  text,
  limit,
  change,
  marks,
}: {
  label: string
  text: string
  limit: number
  change: (text: string) => void
  marks: Mark[] | null
}) {
  const host = useRef<HTMLDivElement>(null)
  const view = useRef<EditorView | null>(null)
  const given = useRef({ text, change })
  useEffect(() => {
    given.current = { text, change }
  }, [text, change])

  useEffect(() => {
    // Our policy allows only constructed style sheets, which the editor uses in a shadow root.
    const root = host.current!.shadowRoot ?? host.current!.attachShadow({ mode: 'open' })
    const editor = new EditorView({
      parent: root,
      root,
      state: EditorState.create({
        doc: given.current.text,
        extensions: [
          basicSetup,
          new LanguageSupport(cssLanguage, [
            cssLanguage.data.of({ autocomplete: completeNames }),
            cssLanguage.data.of({ autocomplete: completeCss }),
          ]),
          EditorView.lineWrapping,
          EditorView.contentAttributes.of({ 'aria-label': label }),
          EditorState.changeFilter.of((transaction) => transaction.newDoc.length <= limit),
          EditorView.updateListener.of((update) => {
            if (update.docChanged && update.view.hasFocus) given.current.change(update.state.doc.toString())
          }),
          EditorView.theme({
            '&': {
              height: '168px',
              fontSize: '13.5px',
              background: 'var(--color-paper)',
              color: 'var(--color-ink)',
            },
            '.cm-scroller': { overflow: 'auto', fontFamily: 'ui-monospace, monospace' },
            '.cm-gutters': { background: 'var(--color-wash)', color: 'var(--color-soft)', border: 'none' },
          }),
        ],
      }),
    })
    view.current = editor
    editor.focus()
    return () => editor.destroy()
  }, [label, limit])

  useEffect(() => {
    const editor = view.current
    // While somebody types, the text from outside is an older one; otherwise it was undone, or taken back to the look.
    if (!editor || editor.hasFocus || text === editor.state.doc.toString()) return
    editor.dispatch({ changes: { from: 0, to: editor.state.doc.length, insert: text } })
  }, [text])

  useEffect(() => {
    const editor = view.current
    if (!editor || !marks) return
    const { length } = editor.state.doc
    const diagnostics = marks.map(({ from, to, words }) => ({
      from: Math.min(from, length),
      to: Math.min(to, length),
      severity: 'warning' as const,
      message: words,
    }))
    editor.dispatch(setDiagnostics(editor.state, diagnostics))
  }, [marks])

  return <div ref={host} className="rounded-lg border border-edge bg-white focus-within:border-petrol" />
}

const names = [
  ...Object.entries(ownCssNames.otherParts).map(([name, part]) => [name, say(`ownCss.part.${part}`)]),
  ...Object.entries(ownCssNames.reviewParts).map(([name, part]) => [name, say(`display.reviewPart.${part}`)]),
  ...Object.entries(ownCssNames.textParts).map(([name, part]) => [name, say(`display.textPart.${part}`)]),
].map(([label, detail]) => ({ label: label!, detail, type: 'class' }))

/** The parts of a display, where a selector begins. */
function completeNames(context: CompletionContext): CompletionResult | null {
  const before = context.matchBefore(/(^|[\s,}{])\.?[\w-]*$/)
  if (!before || !/\.$|\.\w/.test(before.text)) return null
  const inBlock = /\{[^}]*$/.test(context.state.sliceDoc(0, context.pos))
  if (inBlock && !/@[^{]*\{[^{}]*$/.test(context.state.sliceDoc(0, context.pos))) return null
  return { from: before.from + before.text.indexOf('.'), options: names, validFor: /^\.[\w-]*$/ }
}

/** What is completed by itself, without the properties that have no effect. */
async function completeCss(context: CompletionContext): Promise<CompletionResult | null> {
  const found = await cssCompletionSource(context)
  return (
    found && {
      ...found,
      options: found.options.filter(({ type, label }) => type !== 'property' || allowedProperties.has(label)),
    }
  )
}
