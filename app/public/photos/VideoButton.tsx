import { Video } from 'lucide-react'
import { MOST_VIDEO_BYTES, MOST_VIDEO_SECONDS } from '../../../core/video/video'
import { useTranslate } from '../speech'

/** Chooses a video, which is sent while the form is filled in. */
export default function VideoButton({ take }: { take: (file: File) => void }) {
  const translate = useTranslate()
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1">
      <label className="btn h-9 min-h-9 border-edge font-normal has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-(--shop-edge)">
        <Video className="size-4" aria-hidden="true" />
        {translate('video.add')}
        <input
          type="file"
          accept="video/mp4,video/webm"
          className="sr-only"
          onChange={({ currentTarget }) => {
            const [file] = currentTarget.files ?? []
            if (file) take(file)
            currentTarget.value = ''
          }}
        />
      </label>
      <span className="text-[12.5px] text-soft">
        {translate('form.optional')};{' '}
        {translate('video.hint', { seconds: MOST_VIDEO_SECONDS, megabytes: MOST_VIDEO_BYTES / 1_000_000 })}
      </span>
    </div>
  )
}
