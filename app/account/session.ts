import { createCookie, data, redirect, type AppLoadContext } from 'react-router'
import type { Member } from '../../server/data/members'
import { asMember, type Actor } from '../../core/moderation/actor'
import { may, type Permission } from '../../core/account/permissions'
import type { MemberShop } from '../../server/data/shops'

const THIRTY_DAYS_S = 30 * 86_400
const YEAR_S = 365 * 86_400

function sessionCookie({ secureCookies }: AppLoadContext) {
  return createCookie('elogio_session', {
    httpOnly: true,
    sameSite: 'lax',
    path: '/',
    secure: secureCookies,
    maxAge: THIRTY_DAYS_S,
  })
}

/** The cookie stays after signing out. */
function deviceCookie({ secureCookies }: AppLoadContext) {
  return createCookie('elogio_device', {
    httpOnly: true,
    sameSite: 'lax',
    path: '/sign-in',
    secure: secureCookies,
    maxAge: YEAR_S,
  })
}

/** The device of this request, if this member signed in from it before. */
export async function deviceOf(
  request: Request,
  context: AppLoadContext,
  email: string,
): Promise<string | null> {
  const name: unknown = await deviceCookie(context).parse(request.headers.get('Cookie'))
  return typeof name === 'string' ? context.elogio.knownDevice(email, name) : null
}

export function keepDevice(context: AppLoadContext, email: string): Promise<string> {
  return deviceCookie(context).serialize(context.elogio.nameDevice(email))
}

export async function sessionToken(request: Request, context: AppLoadContext): Promise<string | null> {
  const token: unknown = await sessionCookie(context).parse(request.headers.get('Cookie'))
  return typeof token === 'string' && token !== '' ? token : null
}

export function keepSession(context: AppLoadContext, token: string): Promise<string> {
  return sessionCookie(context).serialize(token)
}

export function dropSession(context: AppLoadContext): Promise<string> {
  return sessionCookie(context).serialize('', { maxAge: 0 })
}

/** The signed-in member; otherwise redirects to the sign-in page, which leads back here. */
export async function requireMember(
  request: Request,
  context: AppLoadContext,
): Promise<{ member: Member; shops: MemberShop[] }> {
  const token = await sessionToken(request, context)
  const known = token && (await context.elogio.findSession(token))
  if (known) return known
  const { pathname, search } = new URL(request.url)
  throw redirect(`/sign-in?to=${encodeURIComponent(pathname + search)}`)
}

/**
 * A shop that the member doesn't belong to is answered like a missing one, and what her role doesn't permit
 * with 403.
 */
export async function requireShop(
  request: Request,
  context: AppLoadContext,
  slug: string,
  permission: Permission = 'reviews',
): Promise<{ member: Member; actor: Actor; shop: MemberShop; shops: MemberShop[] }> {
  const { member, shops } = await requireMember(request, context)
  const shop = shops.find((known) => known.slug === slug)
  if (!shop) throw data(null, { status: 404 })
  if (!may(shop.role, permission)) throw data(null, { status: 403 })
  return { member, actor: asMember(member), shop, shops }
}
