import { useState } from 'react'
import { useFetcher } from 'react-router'
import { places } from '../../../core/display/choices'
import { say } from '../../../core/messages/say/show'
import { PictureField } from '../../components/PictureField'
import { Choices } from '../Choices'
import { tabId } from '../../tabId'
import { changing, type StripProps } from './stripProps'

/** The page for the preview, and the display's own page. */
export function PlaceStrip(props: StripProps) {
  const { draft, view } = props
  const set = changing(props, 'placement')
  const [url, setUrl] = useState(draft.placement.url)
  return (
    <div className="flex flex-col gap-1.5">
      <Choices
        name="place"
        label={say('display.part.placement')}
        value={draft.placement.place}
        choices={places.map((place) => ({ value: place, words: say(`display.place.${place}`) }))}
        choose={(place) => set({ place })}
      />
      {draft.placement.place === 'own' ? (
        <OwnPage {...props} />
      ) : (
        <label className="flex flex-wrap items-center gap-2 text-soft">
          {say('show.pageAddress')}
          <input
            className="input input-sm w-full max-w-md border-edge text-ink"
            inputMode="url"
            placeholder={view.siteUrl || 'https://'}
            value={url}
            onChange={(event) => {
              const typed = event.currentTarget.value.trim()
              setUrl(typed)
              if (typed === '' || (/^https?:\/\/[^\s]+$/.test(typed) && URL.canParse(typed)))
                set({ url: typed, spot: '' })
            }}
          />
          <span className="text-[13px]">{say('show.pageAddressWhy')}</span>
        </label>
      )}
    </div>
  )
}

function OwnPage({ draft, view, change }: StripProps) {
  const fetcher = useFetcher<{ taken?: string; problem?: string } | null>()
  const [address, setAddress] = useState(view.address ?? view.key)
  const keep = (wanted: string) => {
    setAddress(wanted)
    void fetcher.submit({ intent: 'address', address: wanted }, { method: 'post' })
  }
  const taken = fetcher.data?.taken
  return (
    <div className="grid gap-x-8 gap-y-2 lg:grid-cols-2">
      <div className="flex flex-col gap-2">
        <label className="flex flex-wrap items-center gap-1 text-soft">
          {say('show.itsAddress')}
          <span className="text-ink">{view.pageUrl.replace(/[^/]+$/, '')}</span>
          <input
            className="input input-sm w-56 border-edge text-ink"
            value={address}
            maxLength={60}
            onChange={(event) => setAddress(event.currentTarget.value)}
            onBlur={() => address !== (view.address ?? view.key) && keep(address)}
          />
        </label>
        {fetcher.data?.problem && <p className="font-semibold text-plum">{fetcher.data.problem}</p>}
        {taken && (
          <p className="font-semibold text-plum" role="alert">
            {say('show.addressTaken')}{' '}
            <button type="button" className="part" onClick={() => keep(taken)}>
              {say('show.takeFree', { address: taken })}
            </button>
          </p>
        )}
        <label className="grid grid-cols-[8rem_minmax(0,1fr)] items-center gap-2 text-soft">
          {say('show.description')}
          <input
            className="input input-sm w-full border-edge text-ink"
            maxLength={300}
            placeholder={say('show.descriptionPlaceholder')}
            value={draft.description}
            onChange={(event) => change({ ...draft, description: event.currentTarget.value })}
          />
        </label>
      </div>
      <SharingPicture picture={draft.picture} />
    </div>
  )
}

/** The file is saved as soon as it is chosen; the draft refers to it. */
function SharingPicture({ picture }: { picture: string }) {
  const fetcher = useFetcher()
  return (
    <PictureField
      name="sharing"
      label={say('show.sharingPicture')}
      longest={1200}
      value={picture && `/media/${picture}`}
      change={(chosen) =>
        void fetcher.submit({ intent: 'picture', picture: chosen, tab: tabId() }, { method: 'post' })
      }
    />
  )
}
