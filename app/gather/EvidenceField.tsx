import { X } from 'lucide-react'
import { useState } from 'react'
import { say } from '../../core/messages/say/write'
import { Field } from '../components/Field'

/** Files that show what a customer said: those that are stored, and new ones. */
export function EvidenceField({
  kept,
  errors,
}: {
  kept: { publicId: string; name: string; address: string }[]
  errors?: string[]
}) {
  const [removed, setRemoved] = useState<string[]>([])
  const left = kept.filter(({ publicId }) => !removed.includes(publicId))
  return (
    <Field name="evidence" label={say('write.evidence')} hint={say('write.evidenceHint')} errors={errors}>
      {(attributes) => (
        <>
          {left.length > 0 && (
            <ul className="flex flex-col gap-1">
              {left.map(({ publicId, name, address }) => (
                <li key={publicId} className="flex items-center gap-2">
                  <input type="hidden" name="kept_evidence" value={publicId} />
                  <a
                    href={address}
                    target="_blank"
                    rel="noreferrer"
                    className="min-w-0 truncate text-petrol underline"
                  >
                    {name}
                  </a>
                  <button
                    type="button"
                    className="grid size-7 cursor-pointer place-items-center"
                    aria-label={say('write.evidenceRemove', { name })}
                    onClick={() => setRemoved([...removed, publicId])}
                  >
                    <X className="size-4" aria-hidden="true" />
                  </button>
                </li>
              ))}
            </ul>
          )}
          <input
            type="file"
            name="evidence"
            {...attributes}
            multiple
            accept=".png,.jpg,.jpeg,.webp,.pdf,.txt,.eml"
            className="file-input w-full border-edge text-[14px]"
          />
        </>
      )}
    </Field>
  )
}
