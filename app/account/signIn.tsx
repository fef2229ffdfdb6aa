import { data, Form, redirect } from 'react-router'
import { z } from 'zod'
import { say } from '../../core/words/say'
import { Wordmark } from '../components/Wordmark'
import { waitWords } from '../waitWords'
import { keepSession, sessionToken } from './session'
import type { Route } from './+types/signIn'

const credentials = z.object({ email: z.string().max(254), password: z.string().max(1000) })

/** Only an address of this application, never one that starts like another host's. */
function wayBack(request: Request): string {
  const to = new URL(request.url).searchParams.get('to') ?? '/'
  return /^\/(?![/\\])/.test(to) ? to : '/'
}

export async function loader({ request, context }: Route.LoaderArgs) {
  const token = await sessionToken(request, context)
  if (token && (await context.elogio.whoIs(token))) throw redirect(wayBack(request))
  if (await context.elogio.isEmpty()) throw redirect('/begin')
  return { demo: context.demoSignIn }
}

export async function action({ request, context }: Route.ActionArgs) {
  const given = credentials.safeParse(Object.fromEntries(await request.formData()))
  const email = given.data?.email ?? ''
  const wait = await context.throttle.signIn(request, email)
  if (wait !== null)
    return data(
      { email, problem: waitWords(wait) },
      { status: 429, headers: { 'Retry-After': String(wait) } },
    )
  const token = given.success ? await context.elogio.signIn(given.data.email, given.data.password) : null
  if (!token) {
    await context.throttle.failed(request, email)
    return data({ email, problem: say('account.wrong') }, { status: 401 })
  }
  return redirect(wayBack(request), { headers: { 'Set-Cookie': await keepSession(context, token) } })
}

/** How long to wait goes with the answer of an act that was refused. */
export function headers({ actionHeaders }: Route.HeadersArgs) {
  return actionHeaders
}

export default function SignIn({ loaderData: { demo }, actionData }: Route.ComponentProps) {
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
          <button className="btn btn-primary mt-1">{say('account.signIn')}</button>
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
