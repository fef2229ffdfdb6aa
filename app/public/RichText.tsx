import type { ReactNode } from 'react'
import type { RichText as Text, Run } from '../../core/form/richText'

/** A text of the shop with its headings, lists, pictures, links, bold and italic words. */
export function RichText({ text }: { text: Text }) {
  return text.map((block, i) => <Block key={i} {...block} />)
}

function Block(block: Text[number]) {
  switch (block.type) {
    case 'heading':
      return (
        <h2 className="mt-3 text-[19px] leading-snug font-semibold text-ink first:mt-0">
          <Runs of={block} />
        </h2>
      )
    case 'paragraph':
      return (
        <p className="min-h-[0.6em]">
          <Runs of={block} />
        </p>
      )
    case 'picture':
      return (
        <img
          src={`/media/${block.attrs.name}`}
          alt={block.attrs.alt}
          className="my-2 max-w-full rounded-lg"
        />
      )
    case 'bulletList':
      return (
        <ul className="list-disc ps-5">
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
      )
  }
}

const Runs = ({ of: { content } }: { of: { content: Run[] } }) =>
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
