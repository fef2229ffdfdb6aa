import { ImagePlus, X } from 'lucide-react'
import { lazy, Suspense, useEffect, useRef, useState, type DragEvent } from 'react'
import { ALT_LIMIT, MOST_PHOTOS, writeRef } from '../../../core/intake/photos'
import type { CustomerTranslate } from '../../../core/messages/customers/customerMessages'
import { useCodes, useTranslate } from '../speech'
import { useAwake } from '../../components/useAwake'
import type { PhotoItem, Photos } from './usePhotos'

const TAKEN = 'image/jpeg,image/png,image/webp,image/avif,image/gif'

// Few forms ask for a video.
const VideoButton = lazy(() => import('./VideoButton'))

/** Photos are shrunk and uploaded while the form is filled in. Without scripts they are sent with the form. */
export function PhotoField({
  photos,
  errors,
  mayAdd = true,
  most = MOST_PHOTOS,
  takesVideo = false,
}: {
  photos: Photos
  errors: string[] | undefined
  mayAdd?: boolean
  /** How many photos are welcome. */
  most?: number
  /** Whether a video is welcome. */
  takesVideo?: boolean
}) {
  const awake = useAwake()
  const translate = useTranslate()
  const wordCode = useCodes()
  const [over, setOver] = useState(false)
  const chooser = useRef<HTMLInputElement>(null)
  const { items } = photos
  const add = useRef(photos.add)
  useEffect(() => {
    // Chosen before the scripts were there.
    if (chooser.current?.files?.length) {
      add.current([...chooser.current.files])
      chooser.current.value = ''
    }
  }, [])
  const drop = (event: DragEvent) => {
    event.preventDefault()
    setOver(false)
    if (mayAdd) photos.add([...event.dataTransfer.files])
  }
  return (
    <fieldset
      className={`min-w-0 rounded-lg ${over ? 'outline-2 outline-offset-4 outline-(--shop-edge)' : ''}`}
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <legend className="sr-only">{translate('photo.title')}</legend>
      {items.length > 0 && (
        <ul className="mb-2 flex flex-col gap-2">
          {items.map((item, i) => (
            <Item key={item.id} item={item} place={i + 1} photos={photos} awake={awake} />
          ))}
        </ul>
      )}
      {mayAdd && items.filter(({ isVideo }) => !isVideo).length < most && (
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <label className="btn h-9 min-h-9 border-edge font-normal has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-(--shop-edge)">
            <ImagePlus className="size-4" aria-hidden="true" />
            {translate('photo.add')}
            <input
              ref={chooser}
              type="file"
              name={awake ? undefined : 'media'}
              multiple
              accept={TAKEN}
              className="sr-only noscript:not-sr-only noscript:w-56"
              onChange={() => {
                photos.add([...(chooser.current?.files ?? [])])
                chooser.current!.value = ''
              }}
            />
          </label>
          <span className="hidden text-soft sm:inline noscript:hidden">{translate('photo.drop')}</span>
          <span className="text-[12.5px] text-soft">
            {translate('form.optional')}; {translate('photo.hint', { most })}
          </span>
        </div>
      )}
      {mayAdd && takesVideo && awake && !items.some(({ isVideo }) => isVideo) && (
        <Suspense fallback={<div className="mt-2 h-9" />}>
          <VideoButton take={photos.addVideo} />
        </Suspense>
      )}
      {photos.tooMany && (
        <p role="alert" className="mt-1 font-semibold text-plum">
          {translate('photo.error.many', { most })}
        </p>
      )}
      {errors && (
        <p role="alert" className="mt-1 font-semibold text-plum">
          {errors.map(wordCode).join(' ')}
        </p>
      )}
    </fieldset>
  )
}

function Item({
  item: { id, alt, file, state, isVideo },
  item,
  place,
  photos,
  awake,
}: {
  item: PhotoItem
  place: number
  photos: Photos
  awake: boolean
}) {
  const translate = useTranslate()
  const wordCode = useCodes()
  const ready = state.is === 'ready' ? state : null
  const under = state.is === 'shrinking' || state.is === 'sending' ? state : null
  return (
    <li className="flex items-center gap-3" data-photo={state.is}>
      <span className="grid size-16 shrink-0 place-items-center overflow-hidden rounded-lg border border-line bg-wash text-soft">
        {ready ? (
          <img
            src={ready.shown}
            alt={isVideo ? translate('video.of') : translate('photo.of', { place })}
            className="size-16 object-cover"
          />
        ) : (
          <ImagePlus className="size-5" aria-hidden="true" />
        )}
      </span>
      <span className="min-w-0 flex-1">
        {ready && awake && file === null && (
          <span className="text-[13px] text-soft">
            {alt || isVideo ? translate('video.of') : translate('photo.of', { place })}
            <input type="hidden" name="media" value={writeRef({ key: ready.key, alt })} />
          </span>
        )}
        {ready && awake && file !== null && (
          <label className="flex flex-col text-[12.5px] text-soft">
            <span>
              {translate('photo.alt')} <span>({translate('photo.altHint')})</span>
            </span>
            <input
              value={alt}
              maxLength={ALT_LIMIT}
              onChange={(event) => photos.say(id, event.currentTarget.value)}
              className="input h-9 w-full border-edge text-[14px] text-ink"
            />
            <input type="hidden" name="media" value={writeRef({ key: ready.key, alt })} />
          </label>
        )}
        {ready && !awake && (
          <label className="flex items-center gap-2">
            <input type="checkbox" name="media" value={writeRef({ key: ready.key, alt })} defaultChecked />
            {translate('photo.send')}
          </label>
        )}
        {!ready && (
          <span role="status" className="block truncate text-[13px] text-soft">
            {file?.name}
            {under && `, ${progressWords(under, translate)}`}
          </span>
        )}
        {state.is === 'sending' && (
          <progress value={state.part} className="progress mt-1 h-1.5 w-full text-(--shop-button)" />
        )}
        {state.is === 'refused' && (
          <span role="alert" className="block text-[13px] font-semibold text-plum">
            {wordCode(state.why)}{' '}
            {state.passing && (
              <button type="button" className="part min-h-6" onClick={() => photos.again(item)}>
                {translate('photo.again')}
              </button>
            )}
          </span>
        )}
      </span>
      {awake && (
        <button
          type="button"
          className="btn btn-square btn-ghost size-9 min-h-9"
          aria-label={translate('photo.removeThis', { place })}
          onClick={() => photos.remove(id)}
        >
          <X className="size-4" aria-hidden="true" />
        </button>
      )}
    </li>
  )
}

function progressWords(
  state: Extract<PhotoItem['state'], { is: 'shrinking' | 'sending' }>,
  translate: CustomerTranslate,
): string {
  return state.is === 'shrinking'
    ? translate('photo.shrinking')
    : translate('photo.sending', { percent: Math.round(state.part * 100) })
}
