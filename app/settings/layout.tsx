import { NavLink, Outlet, redirect } from 'react-router'
import { say } from '../../core/messages/say/setUp'
import { requireShop } from '../account/session'
import type { Route } from './+types/layout'

const sections = ['', 'style', 'languages', 'email', 'account', 'learning', 'jobs', 'problems'] as const
/** Sections about herself. */
const ownSections: (typeof sections)[number][] = ['email', 'account']

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop)
  const isOwner = shop.role === 'owner'
  if (!isOwner && new URL(request.url).pathname.endsWith('/settings'))
    throw redirect(`/s/${shop.slug}/settings/account`)
  return { sections: isOwner ? sections : ownSections }
}

/** The settings in sections, each with an address of its own. */
export default function Settings({ loaderData, params }: Route.ComponentProps) {
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto px-4 py-6 lg:px-6">
      <h1>{say('frame.settings')}</h1>
      <nav aria-label={say('frame.settings')} className="mt-3 border-b border-line">
        <ul className="flex flex-wrap gap-x-6">
          {loaderData.sections.map((section) => (
            <li key={section}>
              <NavLink
                to={`/s/${params.shop}/settings${section && `/${section}`}`}
                end={section === ''}
                className={({ isActive }) =>
                  `-mb-px block border-b-[3px] py-2 ${isActive ? 'border-petrol font-semibold' : 'border-transparent text-soft hover:text-ink'}`
                }
              >
                {say(`settings.section.${section || 'shop'}`)}
              </NavLink>
            </li>
          ))}
        </ul>
      </nav>
      <Outlet />
    </main>
  )
}
