import { useCallback, useState } from 'react'
import { MOST_PHOTOS } from '../../../core/intake/photos'
import { messageCode } from '../../../core/messages/code'
import { PhotoProblem, shrink, uploadPhoto, type UploadedPhoto } from './uploadPhoto'

export interface PhotoItem {
  id: string
  alt: string
  isVideo?: true
  /** Null for a photo that the review had before. */
  file: File | null
  state:
    | { is: 'shrinking' }
    | { is: 'sending'; part: number }
    | ({ is: 'ready' } & UploadedPhoto)
    | { is: 'refused'; why: string; passing: boolean }
}

export type KeptPhoto = UploadedPhoto & { alt: string }

/** The photos of a form: earlier ones and new ones. */
export function usePhotos(address: string, kept: KeptPhoto[]) {
  const [items, setItems] = useState<PhotoItem[]>(() =>
    kept.map(({ alt, ...photo }) => ({ id: photo.key, alt, file: null, state: { is: 'ready', ...photo } })),
  )
  const [tooMany, setTooMany] = useState(false)
  const put = useCallback(
    (id: string, changed: Partial<PhotoItem>) =>
      setItems((all) => all.map((item) => (item.id === id ? { ...item, ...changed } : item))),
    [],
  )
  const bring = useCallback(
    async (id: string, file: File, isVideo = false) => {
      try {
        if (isVideo) {
          put(id, { state: { is: 'sending', part: 0 } })
          // Few reviews have a video.
          const { uploadVideo } = await import('./uploadVideo')
          const video = await uploadVideo(address, file, (part) =>
            put(id, { state: { is: 'sending', part } }),
          )
          put(id, { state: { is: 'ready', key: video.key, shown: video.shown } })
          return
        }
        put(id, { state: { is: 'shrinking' } })
        const small = await shrink(file)
        put(id, { state: { is: 'sending', part: 0 } })
        const stored = await uploadPhoto(address, small, (part) =>
          put(id, { state: { is: 'sending', part } }),
        )
        put(id, { state: { is: 'ready', key: stored.key, shown: stored.shown } })
      } catch (problem) {
        const known = problem instanceof PhotoProblem ? problem : null
        const why = known?.message ?? messageCode('photo.refused.unreadable')
        put(id, { state: { is: 'refused', why, passing: known?.passing ?? false } })
      }
    },
    [address, put],
  )
  return {
    items,
    tooMany,
    pending: items.some(({ state }) => state.is === 'shrinking' || state.is === 'sending'),
    add: (files: File[]) => {
      const added = files
        .slice(0, MOST_PHOTOS - items.filter(({ isVideo }) => !isVideo).length)
        .map((file): PhotoItem => ({ id: crypto.randomUUID(), alt: '', file, state: { is: 'shrinking' } }))
      setTooMany(files.length > added.length)
      setItems((all) => [...all, ...added])
      // One by one: a phone has memory for one large photo, not for four.
      void added.reduce((before, { id, file }) => before.then(() => bring(id, file!)), Promise.resolve())
    },
    addVideo: (file: File) => {
      const id = crypto.randomUUID()
      setItems((all) => [...all, { id, alt: '', file, isVideo: true, state: { is: 'sending', part: 0 } }])
      void bring(id, file, true)
    },
    remove: (id: string) => {
      setTooMany(false)
      setItems((all) => all.filter((item) => item.id !== id))
    },
    again: ({ id, file, isVideo }: PhotoItem) => file && void bring(id, file, isVideo),
    say: (id: string, alt: string) => put(id, { alt }),
  }
}
export type Photos = ReturnType<typeof usePhotos>
