import { useId, type ComponentProps } from 'react'
import { useParams } from 'react-router'
import { useFound } from './useFound'

/** A field for one or several tags, which suggests the shop's own. */
export function TagInput({ tags, onChange, ...attributes }: { tags: string[] } & ComponentProps<'input'>) {
  const list = useId()
  const { shop } = useParams()
  const { found, lookUp } = useFound(`/s/${shop!}/tags`, tags)
  return (
    <>
      <input
        {...attributes}
        list={list}
        autoComplete="off"
        onChange={(event) => {
          lookUp(event.currentTarget.value)
          onChange?.(event)
        }}
      />
      <datalist id={list}>
        {found.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
    </>
  )
}
