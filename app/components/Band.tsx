import { ChevronDown } from 'lucide-react'
import { lazy, Suspense, type ReactNode } from 'react'
import { Form, Link } from 'react-router'
import { say } from '../../core/messages/say/frame'
import { SkipHeader } from './SkipHeader'
import { Menu } from './Menu'
import { ThemeChoice } from './ThemeChoice'
import { Steps, type StepCounts } from './Steps'
import { Wordmark } from './Wordmark'

// Both come after the page itself.
const FindButton = lazy(() => import('../find/FindButton'))
const Notices = lazy(() => import('../shop/Notices'))

interface BandShop {
  slug: string
  name: string
}

export function Band({
  shop,
  shops,
  member,
  counts,
}: {
  shop: BandShop & { isOwner: boolean }
  shops: BandShop[]
  member: { name: string; email: string }
  counts: StepCounts
}) {
  return (
    <header className="band relative flex h-16 shrink-0 items-center gap-x-3 overflow-x-clip lg:gap-x-6 bg-deep px-4 text-white lg:px-6">
      <SkipHeader />
      <Link
        to={`/s/${shop.slug}/gather`}
        className="relative z-10 w-[88px] shrink-0 bg-deep lg:w-[126px]"
        aria-label="Elogio"
      >
        <Wordmark />
      </Link>
      <Steps shop={shop.slug} counts={counts} isOwner={shop.isOwner} />
      <div className="relative z-40 ml-auto flex min-w-0 items-center gap-2 bg-deep lg:gap-6 lg:pl-5">
        <Suspense>
          <Notices shop={shop.slug} />
        </Suspense>
        <Suspense>
          <FindButton shop={shop.slug} isOwner={shop.isOwner} />
        </Suspense>
        <Menu
          name={say('account.shops')}
          label={
            <span className="flex min-w-0 items-center gap-1">
              <span className="max-w-[20vw] truncate lg:max-w-[40vw]">{shop.name}</span>
              <ChevronDown className="size-4" aria-hidden="true" />
            </span>
          }
        >
          <ul>
            {shops.map(({ slug, name }) => (
              <li key={slug}>
                <Link
                  to={`/s/${slug}/gather`}
                  className={`block rounded-lg px-3 py-2 hover:bg-wash ${slug === shop.slug ? 'bg-tint font-semibold' : ''}`}
                  aria-current={slug === shop.slug || undefined}
                >
                  {name}
                </Link>
              </li>
            ))}
          </ul>
          <MenuLink to="/begin">{say('frame.addShop')}</MenuLink>
        </Menu>
        <Menu
          name={say('account.menu', { name: member.name })}
          label={
            <span className="grid size-[30px] place-items-center rounded-full border border-[#b4cdd1] text-[11.5px] font-semibold">
              {initials(member.name)}
            </span>
          }
        >
          <p className="px-3 py-1 font-semibold">{member.name}</p>
          <p className="px-3 pb-2 text-soft">{member.email}</p>
          <MenuLink to={`/s/${shop.slug}/settings`}>{say('frame.settings')}</MenuLink>
          <ThemeChoice />
          <Form method="post" action="/sign-out">
            <button className="w-full cursor-pointer rounded-lg px-3 py-2 text-left hover:bg-wash">
              {say('account.signOut')}
            </button>
          </Form>
        </Menu>
      </div>
    </header>
  )
}

function MenuLink({ to, children }: { to: string; children: ReactNode }) {
  return (
    <Link to={to} className="block rounded-lg px-3 py-2 hover:bg-wash">
      {children}
    </Link>
  )
}

function initials(name: string): string {
  const parts = name.split(/\s+/)
  return `${parts[0]?.[0] ?? ''}${parts.length > 1 ? (parts.at(-1)?.[0] ?? '') : ''}`.toUpperCase()
}
