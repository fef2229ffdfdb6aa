import { Bold } from '@tiptap/extension-bold'
import { Document } from '@tiptap/extension-document'
import { Italic } from '@tiptap/extension-italic'
import { Link } from '@tiptap/extension-link'
import { BulletList, ListItem, ListKeymap } from '@tiptap/extension-list'
import { Paragraph } from '@tiptap/extension-paragraph'
import { Text } from '@tiptap/extension-text'
import { UndoRedo } from '@tiptap/extensions'
import { EditorContent, useEditor, useEditorState } from '@tiptap/react'
import { Bold as BoldIcon, Italic as ItalicIcon, Link as LinkIcon, List } from 'lucide-react'
import { useEffect, useState, type ReactNode } from 'react'
import { cutRichText, isHref, type RichText } from '../../../core/form/richText'
import { say } from '../../../core/messages/say/forms'

const parts = [
  Document,
  Paragraph,
  Text,
  Bold,
  Italic,
  BulletList,
  ListItem,
  ListKeymap,
  UndoRedo,
  Link.configure({ openOnClick: false, autolink: false, isAllowedUri: (address) => isHref(address) }),
]

const asDocument = (value: RichText) => ({
  type: 'doc',
  content: value.length > 0 ? value : [{ type: 'paragraph' }],
})

/** A field for a text with lists, links, bold and italic words. */
export default function RichTextField({
  label,
  value,
  limit,
  set,
}: {
  label: string
  value: RichText
  limit: number
  set: (value: RichText) => void
}) {
  const [address, setAddress] = useState<string | null>(null)
  const editor = useEditor({
    extensions: parts,
    content: asDocument(value),
    editorProps: { attributes: { 'aria-label': label, role: 'textbox', 'aria-multiline': 'true' } },
    onUpdate: ({ editor: changed }) => set(cutRichText(changed.getJSON(), limit)),
  })
  // A step back in the form changes the text from outside.
  useEffect(() => {
    if (JSON.stringify(cutRichText(editor.getJSON(), limit)) !== JSON.stringify(value))
      editor.commands.setContent(asDocument(value), { emitUpdate: false })
  }, [editor, value, limit])
  const on = useEditorState({
    editor,
    selector: ({ editor: now }) => ({
      bold: now.isActive('bold'),
      italic: now.isActive('italic'),
      list: now.isActive('bulletList'),
      link: now.isActive('link'),
    }),
  })
  const tool = (name: keyof typeof on, icon: ReactNode, act: () => void) => (
    <button
      type="button"
      aria-label={say(`forms.text.${name}`)}
      title={say(`forms.text.${name}`)}
      aria-pressed={on[name]}
      className="grid size-8 place-items-center rounded-lg hover:bg-wash aria-pressed:bg-tint"
      onClick={act}
    >
      {icon}
    </button>
  )
  const chain = () => editor.chain().focus()
  const putLink = () => {
    if (address) chain().extendMarkRange('link').setLink({ href: address }).run()
    else chain().extendMarkRange('link').unsetLink().run()
    setAddress(null)
  }
  return (
    <div className="rounded-lg border border-edge focus-within:outline-2 focus-within:outline-petrol">
      <div className="flex gap-1 border-b border-line px-1 py-0.5">
        {tool('bold', <BoldIcon className="size-4" aria-hidden="true" />, () => chain().toggleBold().run())}
        {tool('italic', <ItalicIcon className="size-4" aria-hidden="true" />, () =>
          chain().toggleItalic().run(),
        )}
        {tool('list', <List className="size-4" aria-hidden="true" />, () => chain().toggleBulletList().run())}
        {tool('link', <LinkIcon className="size-4" aria-hidden="true" />, () =>
          setAddress(address === null ? String(editor.getAttributes('link').href ?? '') : null),
        )}
      </div>
      {address !== null && (
        <div className="flex items-end gap-2 border-b border-line p-2">
          <label className="flex min-w-0 flex-1 flex-col gap-1">
            <span className="text-[13px] text-soft">{say('forms.text.address')}</span>
            <input
              type="url"
              autoFocus
              value={address}
              placeholder="https://"
              onChange={(event) => setAddress(event.currentTarget.value)}
              onKeyDown={(event) => {
                if (event.key === 'Enter') putLink()
                if (event.key === 'Escape') setAddress(null)
              }}
              className="input input-sm w-full border-edge text-ink"
            />
          </label>
          <button
            type="button"
            className="btn btn-quiet btn-low"
            disabled={address !== '' && !isHref(address)}
            onClick={putLink}
          >
            {say(address === '' ? 'forms.text.noLink' : 'forms.text.setLink')}
          </button>
        </div>
      )}
      <EditorContent
        editor={editor}
        className="max-h-64 overflow-y-auto px-3 py-2 [&_.tiptap]:min-h-20 [&_.tiptap]:outline-none [&_a]:underline [&_ul]:list-disc [&_ul]:ps-5"
      />
    </div>
  )
}
