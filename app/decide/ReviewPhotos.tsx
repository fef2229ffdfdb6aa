import { ChevronLeft, ChevronRight, Play, X } from 'lucide-react'
import { useEffect, useRef, useState, type ReactNode } from 'react'
import { ALT_LIMIT } from '../../core/intake/photos'
import type { ReviewAct } from '../../core/moderation/reviewAct'
import { say } from '../../core/messages/say/decide'
import type { ReviewPhoto } from '../../server/data/photos'
import { useNoteOrDraft } from './useNoteOrDraft'

interface Given {
  /** The address that saves descriptions. */
  address: string
  photos: ReviewPhoto[]
  writer: string
  act: (act: ReviewAct) => void
}

/** The photos of a review. Each can be enlarged and hidden. */
export function ReviewPhotos({ address, photos, writer, act }: Given) {
  const [open, setOpen] = useState<number | null>(null)
  if (photos.length === 0) return null
  return (
    <section className="mt-4" aria-label={say('photos.from', { count: photos.length })}>
      <ul className="flex flex-wrap gap-3">
        {photos.map((photo, i) => (
          <li key={photo.publicId}>
            <button
              type="button"
              className="relative block cursor-zoom-in overflow-hidden rounded-lg"
              aria-label={[
                say(photo.video ? 'photos.largeVideo' : 'photos.large', { place: i + 1, all: photos.length }),
                photo.declined && say('photos.hidden'),
              ]
                .filter(Boolean)
                .join(', ')}
              onClick={() => setOpen(i)}
            >
              <img
                src={`/media/${photo.small}`}
                alt=""
                className={`size-24 object-cover ${photo.declined ? 'opacity-35 grayscale' : ''}`}
              />
              {photo.video && (
                <Play
                  className="absolute inset-0 m-auto size-8 rounded-full bg-deep/75 p-1.5 text-white"
                  aria-hidden="true"
                />
              )}
              {photo.declined && (
                <span className="absolute inset-x-0 bottom-0 bg-deep/85 px-1 py-0.5 text-[12px] text-white">
                  {say('photos.hidden')}
                </span>
              )}
            </button>
            {photo.alt && (
              <p className="mt-1 line-clamp-2 w-24 text-[12px] break-words text-soft" title={photo.alt}>
                {photo.alt}
              </p>
            )}
          </li>
        ))}
      </ul>
      {open !== null && (
        <Large
          address={address}
          photos={photos}
          writer={writer}
          act={act}
          at={Math.min(open, photos.length - 1)}
          go={setOpen}
          close={() => setOpen(null)}
        />
      )}
    </section>
  )
}

/** One enlarged photo; arrow keys go to the others. Closing returns the focus. */
function Large({
  address,
  photos,
  writer,
  act,
  at,
  go,
  close,
}: Given & { at: number; go: (to: number) => void; close: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null)
  useEffect(() => {
    const shown = dialog.current
    shown?.showModal()
    // The focus must not go to the text field, which uses the arrow keys itself.
    shown?.querySelector<HTMLElement>('[data-close]')?.focus()
    return () => shown?.close()
  }, [])
  const photo = photos[at]!
  const step = (by: number) => go((at + by + photos.length) % photos.length)
  const kind = photo.declined ? 'showPhoto' : 'hidePhoto'
  return (
    <dialog
      ref={dialog}
      aria-label={say(photo.video ? 'photos.largeVideo' : 'photos.large', {
        place: at + 1,
        all: photos.length,
      })}
      className="m-auto max-h-[96dvh] max-w-[96vw] overflow-hidden rounded-xl bg-paper p-0 text-ink backdrop:bg-black/70"
      onClose={close}
      onClick={(event) => event.target === dialog.current && dialog.current?.close()}
      onKeyDown={(event) => {
        event.stopPropagation()
        if (event.target instanceof HTMLInputElement || event.target instanceof HTMLVideoElement) return
        if (event.key === 'ArrowLeft') step(-1)
        if (event.key === 'ArrowRight') step(1)
      }}
    >
      {photo.video ? (
        <video
          key={photo.video}
          src={`/media/${photo.video}`}
          poster={`/media/${photo.name}`}
          width={photo.width}
          height={photo.height}
          controls
          playsInline
          preload="metadata"
          aria-label={photo.alt || say('photos.byWriter', { name: writer })}
          className="mx-auto h-auto max-h-[calc(96dvh-132px)] w-auto max-w-full bg-wash"
        />
      ) : (
        <img
          src={`/media/${photo.name}`}
          width={photo.width}
          height={photo.height}
          alt={photo.alt || say('photos.byWriter', { name: writer })}
          className="mx-auto h-auto max-h-[calc(96dvh-132px)] w-auto max-w-full bg-wash object-contain"
        />
      )}
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 px-5 py-3">
        <AltField key={photo.publicId} address={address} photo={photo} />
        <button type="button" className="btn btn-quiet" onClick={() => act({ kind, photo: photo.publicId })}>
          {say(photo.declined ? 'photos.show' : 'photos.hide')}
        </button>
        <span className="flex items-center">
          {photos.length > 1 && (
            <>
              <Turn
                label={say('photos.back')}
                act={() => step(-1)}
                sign={<ChevronLeft className="size-5" />}
              />
              <span className="px-1 text-[13px] text-soft tabular-nums">
                {at + 1} / {photos.length}
              </span>
              <Turn label={say('photos.on')} act={() => step(1)} sign={<ChevronRight className="size-5" />} />
            </>
          )}
          <Turn
            closes
            label={say('photos.close')}
            act={() => dialog.current?.close()}
            sign={<X className="size-5" />}
          />
        </span>
        <p className="w-full text-[13px] text-soft">{say('photos.only')}</p>
      </div>
    </dialog>
  )
}

function Turn({
  label,
  act,
  sign,
  closes,
}: {
  label: string
  act: () => void
  sign: ReactNode
  closes?: boolean
}) {
  return (
    <button
      type="button"
      className="btn btn-square btn-ghost size-10"
      aria-label={label}
      data-close={closes}
      onClick={act}
    >
      {sign}
    </button>
  )
}

/** The description for visitors who can't see the photo; saved as it is typed. */
function AltField({ address, photo }: { address: string; photo: ReviewPhoto }) {
  const { text, type, isKept } = useNoteOrDraft(address, 'alt', photo.alt, photo.publicId)
  return (
    <label className="flex min-w-72 flex-1 flex-col gap-1 text-[13px]">
      <span className="flex flex-wrap justify-between gap-x-3 text-soft">
        <span>
          {say('photos.altOwner')} ({say('photos.altSeen')})
        </span>
        <span role="status">{isKept && say('photos.kept')}</span>
      </span>
      <input
        value={text}
        maxLength={ALT_LIMIT}
        placeholder={say('photos.altNone')}
        onChange={(event) => type(event.currentTarget.value)}
        className="input w-full border-edge text-[14px]"
      />
    </label>
  )
}
