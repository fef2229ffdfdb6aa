import { useState } from 'react'
import { say } from '../../core/messages/say/setUp'
import { smallPicture } from './smallPicture'

/** A picture that can be chosen, replaced or removed. */
export function PictureField({
  name,
  label,
  hint,
  value,
  change,
  longest,
}: {
  name: string
  label: string
  hint?: string
  value: string
  change: (picture: string) => void
  /** In pixels. */
  longest?: number
}) {
  const [problem, setProblem] = useState(false)
  const take = async (file: File | undefined) => {
    if (!file) return
    const small = await smallPicture(file, longest)
    setProblem(small === null)
    if (small) change(small)
  }
  return (
    <div>
      <p className="flex flex-wrap items-baseline justify-between gap-x-3">
        <span className="font-semibold">{label}</span>
        {hint && <span className="text-[12.5px] text-soft">{hint}</span>}
      </p>
      <input type="hidden" name={name} value={value} />
      <div className="mt-1 flex flex-wrap items-center gap-3">
        {value && (
          <img
            src={value}
            alt=""
            className="size-12 rounded-lg border border-line bg-white object-contain p-1"
          />
        )}
        <label className="btn btn-quiet has-focus-visible:outline-2 has-focus-visible:outline-petrol">
          {say(value ? 'setUp.newPicture' : 'setUp.choosePicture')}
          <input
            type="file"
            accept="image/*"
            className="sr-only"
            onChange={(event) => void take(event.currentTarget.files?.[0])}
          />
        </label>
        {value && (
          <button type="button" className="btn btn-quiet" onClick={() => change('')}>
            {say('setUp.leavePicture')}
          </button>
        )}
      </div>
      {problem && (
        <p role="alert" className="mt-1 font-semibold text-plum">
          {say('setUp.error.picture')}
        </p>
      )}
    </div>
  )
}
