import { ChevronDown, X } from 'lucide-react'
import { Link, useFetcher } from 'react-router'
import { isNarrowed } from '../../core/moderation/reviewFilter'
import { say } from '../../core/messages/say/decide'
import { Menu } from '../components/Menu'
import { queueQuery, type QueueSearch } from './address'

export function SavedFilters({
  shop,
  search,
  views,
}: {
  shop: string
  search: QueueSearch
  views: { publicId: string; name: string; query: string }[]
}) {
  const fetcher = useFetcher<{ problem?: string } | null>()
  const action = `/s/${shop}/decide/views`
  const { show: _show, ...filter } = search
  return (
    <Menu
      name=""
      label={
        <span className="btn btn-quiet h-9">
          {say('decide.views.name')}
          <ChevronDown className="size-4" aria-hidden="true" />
        </span>
      }
    >
      <div className="w-72">
        <ul>
          {views.map(({ publicId, name, query }) => (
            <li key={publicId} className="flex items-center">
              <Link
                to={`/s/${shop}/decide?${query}`}
                className="min-w-0 flex-1 truncate rounded-lg px-3 py-2 hover:bg-wash"
              >
                {name}
              </Link>
              <fetcher.Form method="post" action={action}>
                <input type="hidden" name="forget" value={publicId} />
                <button
                  className="grid size-8 cursor-pointer place-items-center rounded-lg hover:bg-wash"
                  aria-label={say('decide.views.forget', { name })}
                >
                  <X className="size-4" aria-hidden="true" />
                </button>
              </fetcher.Form>
            </li>
          ))}
        </ul>
        {fetcher.data?.problem && (
          <p role="alert" className="px-3 py-2 font-semibold text-plum">
            {fetcher.data.problem}
          </p>
        )}
        {views.length === 0 && <p className="px-3 py-2 text-soft">{say('decide.views.none')}</p>}
        {(isNarrowed(filter) || filter.sort) && (
          <fetcher.Form
            method="post"
            action={action}
            className="flex flex-col gap-2 border-t border-line px-3 pt-3 pb-2"
            // The menu closes on a click; typing a name is no choice yet.
            onClick={(event) => event.stopPropagation()}
          >
            <label className="flex flex-col gap-1">
              <span className="text-[13px] text-soft">{say('decide.views.keepAs')}</span>
              <input
                name="name"
                required
                maxLength={40}
                autoComplete="off"
                className="input w-full border-edge"
              />
            </label>
            <input type="hidden" name="query" value={queueQuery(filter)} />
            <button className="btn btn-quiet self-start">{say('decide.views.keep')}</button>
          </fetcher.Form>
        )}
      </div>
    </Menu>
  )
}
