import { useEffect } from 'react'
import { data, Form, redirect, useNavigation } from 'react-router'
import { z } from 'zod'
import { say } from '../../core/messages/say/frame'
import { forgetFound } from '../find/recent'
import { Wordmark } from '../components/Wordmark'
import { waitWords } from '../waitWords'
import { formFields } from '../readForm'
import { deviceOf, keepDevice, keepSession, sessionToken } from './session'
import type { Route } from './+types/signIn'

const credentials = z.object({ email: z.string().max(254), password: z.string().max(1000) })

/**
 * The page that was requested: an address of this application, parsed as browsers do, otherwise the home
 * page.
 */
function wayBack(request: Request): string {
  const here = new URL(request.url)
  const to = here.searchParams.get('to') ?? '/'
  if (!to.startsWith('/') || !URL.canParse(to, here)) return '/'
  const { origin, pathname, search } = new URL(to, here)
  // Dot segments can leave a path that begins with two slashes, which is another host.
  return origin === here.origin && !pathname.startsWith('//') ? pathname + search : '/'
}

export async function loader({ request, context }: Route.LoaderArgs) {
  const token = await sessionToken(request, context)
  if (token && (await context.elogio.findSession(token))) throw redirect(wayBack(request))
  if (await context.elogio.isEmpty()) throw redirect('/begin')
  return { demo: context.demoSignIn }
}

export async function action({ request, context }: Route.ActionArgs) {
  const given = credentials.safeParse(formFields(context))
  const email = given.data?.email ?? ''
  const { clientAddress } = context
  const attempt = { clientAddress, email, device: await deviceOf(request, context, email) }
  const wait = await context.throttle.signIn(attempt)
  if (wait !== null)
    return data(
      { email, problem: waitWords(wait) },
      { status: 429, headers: { 'Retry-After': String(wait) } },
    )
  const token = given.success ? await context.elogio.signIn(given.data.email, given.data.password) : null
  if (!token) return data({ email, problem: say('account.wrong') }, { status: 401 })
  await context.throttle.signedIn(attempt)
  const headers = new Headers({ 'Set-Cookie': await keepSession(context, token) })
  if (attempt.device === null) headers.append('Set-Cookie', await keepDevice(context, email))
  return redirect(wayBack(request), { headers })
}

/** The waiting time is part of the refusal. */
export function headers({ actionHeaders }: Route.HeadersArgs) {
  return actionHeaders
}

export default function SignIn({ loaderData: { demo }, actionData }: Route.ComponentProps) {
  const isSigningIn = useNavigation().state !== 'idle'
  useEffect(forgetFound, [])
  return (
    <div className="grid min-h-dvh place-items-center bg-deep p-6">
      <title>{`${say('account.signIn')} · Elogio`}</title>
      <main className="w-full max-w-[400px]">
        <p className="mb-6 text-white">
          <Wordmark className="block !text-[38px]" />
          <span className="mt-3 block text-[#d5e3e5]">{say('account.tagline')}</span>
        </p>
        <Form method="post" className="panel flex flex-col gap-4 p-6">
          <h1>{say('account.signIn')}</h1>
          {demo && <p className="rounded-lg bg-tint px-3 py-2">{say('account.demo')}</p>}
          {actionData && (
            <p role="alert" className="font-semibold text-plum">
              {actionData.problem}
            </p>
          )}
          <Field
            label={say('account.email')}
            name="email"
            type="email"
            autoComplete="username"
            defaultValue={actionData?.email ?? demo?.email}
          />
          <Field
            label={say('account.password')}
            name="password"
            type="password"
            autoComplete="current-password"
            defaultValue={demo?.password}
          />
          <button className="btn btn-primary mt-1" aria-busy={isSigningIn}>
            {say(isSigningIn ? 'account.signingIn' : 'account.signIn')}
          </button>
        </Form>
      </main>
    </div>
  )
}

function Field({ label, ...input }: { label: string } & React.ComponentProps<'input'>) {
  return (
    <label className="flex flex-col gap-1 font-semibold">
      {label}
      <input className="input w-full border-edge text-[15px] font-normal" required {...input} />
    </label>
  )
}
