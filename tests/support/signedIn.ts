import type { Member } from '../../server/data/members'
import type { Listening } from './listener'

/** Requests of a member who is signed in; redirects are not followed. */
export interface SignedIn {
  cookie: string
  get: (path: string, headers?: Record<string, string>) => Promise<Response>
  post: (
    path: string,
    fields: Record<string, string> | string,
    headers?: Record<string, string>,
  ) => Promise<Response>
}

/** Signs a member in whom the tests made, through the listener. */
export async function signedIn(
  { url }: Pick<Listening, 'url'>,
  { name, email }: Pick<Member, 'name' | 'email'>,
): Promise<SignedIn> {
  let cookie = ''
  const get: SignedIn['get'] = (path, headers = {}) =>
    fetch(url + path, { redirect: 'manual', headers: { Cookie: cookie, ...headers } })
  const post: SignedIn['post'] = (path, fields, headers = {}) =>
    fetch(url + path, {
      method: 'POST',
      redirect: 'manual',
      headers: { Cookie: cookie, ...headers },
      body: typeof fields === 'string' ? fields : new URLSearchParams(fields),
    })
  const answer = await post('/sign-in', { email, password: `${name}-secret` })
  cookie = answer.headers
    .getSetCookie()
    .map((line) => line.split(';')[0]!)
    .join('; ')
  return { cookie, get, post }
}
