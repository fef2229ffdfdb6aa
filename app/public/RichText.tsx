import type { ReactNode } from 'react'
import type { Paragraph, RichText as Text, Run } from '../../core/form/richText'

/** A text of the shop with its lists, links, bold and italic words. */
export function RichText({ text }: { text: Text }) {
  return text.map((block, i) =>
    block.type === 'paragraph' ? (
      <p key={i} className="min-h-[0.6em]">
        <Runs of={block} />
      </p>
    ) : (
      <ul key={i} className="list-disc ps-5">
        {block.content.map(({ content }, item) => (
          <li key={item}>
            {content.map((paragraph, part) => (
              <p key={part}>
                <Runs of={paragraph} />
              </p>
            ))}
          </li>
        ))}
      </ul>
    ),
  )
}

const Runs = ({ of: { content } }: { of: Paragraph }) =>
  content.map((run, i) => <span key={i}>{marked(run)}</span>)

const marked = ({ text, marks }: Run): ReactNode =>
  marks.reduce<ReactNode>((inner, mark) => {
    if (mark.type === 'bold') return <strong>{inner}</strong>
    if (mark.type === 'italic') return <em>{inner}</em>
    return (
      <a href={mark.attrs.href} target="_blank" rel="noopener nofollow" className="underline">
        {inner}
      </a>
    )
  }, text)
