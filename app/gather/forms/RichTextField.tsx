import { Bold } from '@tiptap/extension-bold'
import { Document } from '@tiptap/extension-document'
import { Heading } from '@tiptap/extension-heading'
import { Italic } from '@tiptap/extension-italic'
import { Link } from '@tiptap/extension-link'
import { BulletList, ListItem, ListKeymap } from '@tiptap/extension-list'
import { Paragraph } from '@tiptap/extension-paragraph'
import { Text } from '@tiptap/extension-text'
import { UndoRedo } from '@tiptap/extensions'
import { EditorContent, useEditor, useEditorState } from '@tiptap/react'
import {
  Bold as BoldIcon,
  Heading as HeadingIcon,
  Image as ImageIcon,
  Italic as ItalicIcon,
  Link as LinkIcon,
  List,
} from 'lucide-react'
import { useEffect, useRef, useState, type ReactNode } from 'react'
import { ALT_LIMIT, cutRichText, isHref, type RichText } from '../../../core/form/richText'
import { say } from '../../../core/messages/say/forms'
import { PictureNode } from './PictureNode'
import { useStoredPicture } from './useStoredPicture'

const parts = [
  Document,
  Paragraph,
  Text,
  Bold,
  Italic,
  Heading.configure({ levels: [2] }),
  PictureNode,
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

/** A field for a text with headings, lists, pictures, links, bold and italic words. */
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
  const putPicture = useRef<(name: string) => void>(() => undefined)
  const pictures = useStoredPicture((name) => putPicture.current(name))
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
      heading: now.isActive('heading'),
      picture: now.isActive('picture'),
      alt: String(now.getAttributes('picture').alt ?? ''),
    }),
  })
  const tool = (name: Exclude<keyof typeof on, 'alt' | 'picture'>, icon: ReactNode, act: () => void) => (
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
  useEffect(() => {
    putPicture.current = (name) =>
      editor
        .chain()
        .focus()
        .insertContent({ type: 'picture', attrs: { name, alt: '' } })
        .run()
  }, [editor])
  const putLink = () => {
    if (address) chain().extendMarkRange('link').setLink({ href: address }).run()
    else chain().extendMarkRange('link').unsetLink().run()
    setAddress(null)
  }
  return (
    <div className="rounded-lg border border-edge focus-within:outline-2 focus-within:outline-petrol">
      <div className="flex gap-1 border-b border-line px-1 py-0.5">
        {tool('heading', <HeadingIcon className="size-4" aria-hidden="true" />, () =>
          chain().toggleHeading({ level: 2 }).run(),
        )}
        {tool('bold', <BoldIcon className="size-4" aria-hidden="true" />, () => chain().toggleBold().run())}
        {tool('italic', <ItalicIcon className="size-4" aria-hidden="true" />, () =>
          chain().toggleItalic().run(),
        )}
        {tool('list', <List className="size-4" aria-hidden="true" />, () => chain().toggleBulletList().run())}
        {tool('link', <LinkIcon className="size-4" aria-hidden="true" />, () =>
          setAddress(address === null ? String(editor.getAttributes('link').href ?? '') : null),
        )}
        <label
          title={say('forms.text.picture')}
          className="grid size-8 cursor-pointer place-items-center rounded-lg hover:bg-wash has-focus-visible:outline-2 has-focus-visible:outline-petrol"
        >
          <ImageIcon className="size-4" aria-hidden="true" />
          <input
            type="file"
            accept="image/*"
            aria-label={say('forms.text.picture')}
            className="sr-only"
            onChange={({ currentTarget }) => {
              void pictures.take(currentTarget.files?.[0])
              currentTarget.value = ''
            }}
          />
        </label>
      </div>
      {pictures.problem && (
        <p role="alert" className="border-b border-line p-2 font-semibold text-plum">
          {pictures.problem}
        </p>
      )}
      {on.picture && (
        <label className="flex flex-col gap-1 border-b border-line p-2">
          <span className="text-[13px] text-soft">{say('forms.pictureAlt')}</span>
          <input
            value={on.alt}
            maxLength={ALT_LIMIT}
            onChange={(event) =>
              editor.commands.updateAttributes('picture', { alt: event.currentTarget.value })
            }
            className="input input-sm w-full border-edge text-ink"
          />
        </label>
      )}
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
        className="max-h-64 overflow-y-auto px-3 py-2 [&_.tiptap]:min-h-20 [&_.tiptap]:outline-none [&_a]:underline [&_h2]:text-[17px] [&_h2]:font-semibold [&_img]:max-h-40 [&_img]:rounded-lg [&_ul]:list-disc [&_ul]:ps-5"
      />
    </div>
  )
}
