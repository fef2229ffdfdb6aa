import { useEffect, useRef } from 'react'
import { useFetcher } from 'react-router'
import type { FormDesign } from '../../../core/form/design'
import { say } from '../../../core/messages/say/forms'
import { PictureField } from '../../components/PictureField'

const LONGEST = 1200

/** A picture above the heading. Its file is stored as soon as it is chosen; the draft refers to it. */
export function FormPicture({
  picture,
  set,
}: {
  picture: FormDesign['picture']
  set: (picture: FormDesign['picture']) => void
}) {
  const fetcher = useFetcher<{ picture?: string }>()
  const stored = fetcher.data?.picture
  const latest = useRef({ picture, set })
  useEffect(() => {
    latest.current = { picture, set }
  })
  useEffect(() => {
    if (stored) latest.current.set({ ...latest.current.picture, name: stored })
  }, [stored])
  return (
    <PictureField
      name="picture"
      label={say('forms.part.picture')}
      longest={LONGEST}
      value={picture.name && `/media/${picture.name}`}
      change={(chosen) => {
        if (chosen === '') set({ name: '', alt: '' })
        else void fetcher.submit({ intent: 'picture', picture: chosen }, { method: 'post' })
      }}
    />
  )
}
