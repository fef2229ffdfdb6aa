import { Node } from '@tiptap/core'
import { keptFile } from '../../../core/formats/picture'

/** A picture of the shop in the editor of a text. */
export const PictureNode = Node.create({
  name: 'picture',
  group: 'block',
  atom: true,
  draggable: true,
  addAttributes: () => ({ name: { default: '' }, alt: { default: '' } }),
  // A picture of another page that is pasted has no file here.
  parseHTML: () => [
    {
      tag: 'img[data-name]',
      getAttrs: (found) =>
        keptFile.safeParse(found.dataset.name).success && {
          name: found.dataset.name,
          alt: found.getAttribute('alt'),
        },
    },
  ],
  renderHTML: ({ HTMLAttributes: { name, alt } }) => [
    'img',
    { src: `/media/${String(name)}`, alt: String(alt), 'data-name': String(name) },
  ],
})
