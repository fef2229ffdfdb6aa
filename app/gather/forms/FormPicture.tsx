import type { FormDesign } from '../../../core/form/design'
import { say } from '../../../core/messages/say/forms'
import { PictureField } from '../../components/PictureField'
import { LONGEST_SIDE, useStoredPicture } from './useStoredPicture'

/** A picture above the heading. Its file is stored as soon as it is chosen; the draft refers to it. */
export function FormPicture({
  picture,
  set,
}: {
  picture: FormDesign['picture']
  set: (picture: FormDesign['picture']) => void
}) {
  const { send } = useStoredPicture((name) => set({ ...picture, name }))
  return (
    <PictureField
      name="picture"
      label={say('forms.part.picture')}
      longest={LONGEST_SIDE}
      value={picture.name && `/media/${picture.name}`}
      change={(chosen) => {
        if (chosen === '') set({ name: '', alt: '' })
        else send(chosen)
      }}
    />
  )
}
