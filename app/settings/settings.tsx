import { useState } from 'react'
import { data, Form, Link, useNavigation } from 'react-router'
import { z } from 'zod'
import { digestHourSchema, notificationPreferenceSchema } from '../../core/account/notificationPreference'
import { newPassword, PASSWORD_LEAST, shopProfileSchema } from '../../core/account/shopProfile'
import { customerLanguages } from '../../core/messages/customers/languages'
import { say } from '../../core/messages/say/setUp'
import { keepSession, requireShop } from '../account/session'
import { ShopPreview } from '../components/ShopPreview'
import { Field } from '../components/Field'
import { useLastAnswer } from '../components/useLastAnswer'
import { orOffline } from '../offline'
import { formFields } from '../readForm'
import { waitWords } from '../waitWords'
import { CustomerLanguages } from './CustomerLanguages'
import { Mails } from './Mails'
import { LookFields, MoreFields, type ProfileErrors, type ProfileValues } from './ProfileFields'
import type { Route } from './+types/settings'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop, member } = await requireShop(request, context, params.shop)
  const values: ProfileValues = {
    name: shop.name,
    short_name: shop.shortName,
    description: shop.description,
    site_url: shop.siteUrl,
    picture: shop.logo ?? '',
    brand: shop.brand,
    background: shop.background,
    textColour: shop.textColour,
    fonts: shop.fonts,
    corners: String(shop.corners),
    locale: shop.locale,
    languages: shop.languages.join(', '),
    own_domains: shop.ownDomains.join(', '),
    reply_name: shop.replyName,
    time_zone: shop.timeZone,
  }
  const html = context.elogio.samplePreview(shop)
  const mails = await context.elogio.mailSettings(shop, member)
  return {
    values,
    html,
    mails,
    member: { name: member.name, email: member.email },
    customerLanguages: { chosen: shop.customerLanguages, all: customerLanguages },
  }
}

interface Answer {
  done?: 'shop' | 'password' | 'trial' | 'telling'
  errors: ProfileErrors
}

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop, member } = await requireShop(request, context, params.shop)
  const fields = formFields(context)
  const answer = (given: Answer, init: ResponseInit = {}) => data(given, init)
  if (fields.intent === 'password') {
    // A signed-in member has a known device.
    const { clientAddress } = context
    const attempt = { clientAddress, email: member.email, device: `member ${member.id}` }
    const wait = await context.throttle.signIn(attempt)
    if (wait !== null) return answer({ errors: { present: [waitWords(wait)] } }, { status: 429 })
    const next = newPassword.safeParse(fields.password)
    if (!next.success)
      return answer({ errors: { password: next.error.issues.map((i) => i.message) } }, { status: 422 })
    const present = z.string().catch('').parse(fields.present)
    const token = await context.elogio.changePassword(member, present, next.data)
    if (!token) return answer({ errors: { present: [say('settings.wrongPassword')] } }, { status: 422 })
    await context.throttle.signedIn(attempt)
    return answer(
      { done: 'password', errors: {} },
      { headers: { 'Set-Cookie': await keepSession(context, token) } },
    )
  }
  if (fields.intent === 'trial') {
    await context.elogio.tryMail(shop, member)
    return answer({ done: 'trial', errors: {} })
  }
  if (fields.intent === 'telling') {
    const telling = z
      .object({ preference: notificationPreferenceSchema, digestHour: digestHourSchema })
      .safeParse({ preference: fields.preference, digestHour: fields.digest_hour })
    if (!telling.success) throw data(null, { status: 400 })
    await context.elogio.saveTelling(shop, member, telling.data)
    return answer({ done: 'telling', errors: {} })
  }
  const profile = shopProfileSchema.safeParse({
    ...fields,
    customer_languages: context.form?.getAll('customer_languages') ?? [],
  })
  if (!profile.success)
    return answer({ errors: profile.error.flatten().fieldErrors as ProfileErrors }, { status: 422 })
  await context.elogio.saveSettings(shop, profile.data)
  return answer({ done: 'shop', errors: {} })
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

export default function Settings({ loaderData, actionData, params }: Route.ComponentProps) {
  const [values, setValues] = useState(loaderData.values)
  const last = useLastAnswer(actionData)
  const answer = last && 'errors' in last ? (last as Answer) : null
  const errors = answer?.errors ?? {}
  const problem = last && 'problem' in last ? last.problem : null
  const busy = useNavigation().state !== 'idle'
  return (
    <main className="min-h-0 flex-1 overflow-y-auto px-6 py-6">
      <title>{`${say('frame.settings')} · Elogio`}</title>
      <h1>{say('frame.settings')}</h1>
      {problem && (
        <p role="alert" className="mt-3 font-semibold text-plum">
          {problem}
        </p>
      )}
      <div className="mt-5 grid items-start gap-6 lg:grid-cols-[minmax(0,680px)_minmax(0,440px)]">
        <Form method="post" className="panel flex flex-col gap-5 px-6 py-5">
          <h2 className="text-[16px] font-semibold">{say('settings.shop')}</h2>
          <LookFields values={values} change={setValues} errors={errors} candidates={[]} />
          <MoreFields values={values} change={setValues} errors={errors} />
          <CustomerLanguages {...loaderData.customerLanguages} />
          <div className="flex items-center gap-4">
            <button name="intent" value="shop" className="btn btn-primary" disabled={busy}>
              {say('settings.save')}
            </button>
            <span role="status" className="text-moss">
              {answer?.done === 'shop' && !busy && say('settings.saved')}
            </span>
          </div>
        </Form>
        <div className="flex flex-col gap-6">
          <section aria-labelledby="look" className="overflow-hidden rounded-[14px] border border-line">
            <h2 id="look" className="border-b border-line bg-paper px-6 py-3 font-semibold">
              {say('settings.look')}
            </h2>
            <ShopPreview html={loaderData.html} style={values} />
          </section>
          <section className="panel px-6 py-5" aria-labelledby="jobs">
            <h2 id="jobs" className="text-[16px] font-semibold">
              <Link to={`/s/${params.shop}/settings/jobs`} className="part">
                {say('jobs.link')}
              </Link>
            </h2>
            <p className="mt-1 text-soft">{say('jobs.linkHint')}</p>
          </section>
          <Mails mails={loaderData.mails} email={loaderData.member.email} />
          <Password errors={errors} done={answer?.done === 'password'} member={loaderData.member} />
        </div>
      </div>
    </main>
  )
}

function Password({
  errors,
  done,
  member,
}: {
  errors: ProfileErrors
  done: boolean
  member: { name: string; email: string }
}) {
  const input = 'input w-full border-edge text-[15px]'
  return (
    <Form method="post" className="panel flex flex-col gap-4 px-6 py-5" key={done ? 'changed' : 'as it was'}>
      <h2 className="text-[16px] font-semibold">{say('settings.you')}</h2>
      <p className="text-soft">
        {member.name}, {member.email}
      </p>
      <input type="hidden" name="username" autoComplete="username" value={member.email} readOnly />
      <Field name="present" label={say('settings.currentPassword')} errors={errors.present}>
        {(id) => (
          <input
            id={id}
            name="present"
            type="password"
            autoComplete="current-password"
            required
            className={input}
          />
        )}
      </Field>
      <Field
        name="password"
        label={say('settings.newPassword', { least: PASSWORD_LEAST })}
        errors={errors.password}
      >
        {(id) => (
          <input
            id={id}
            name="password"
            type="password"
            autoComplete="new-password"
            required
            className={input}
          />
        )}
      </Field>
      <p className="text-[13px] text-soft">{say('settings.passwordNote')}</p>
      <button name="intent" value="password" className="btn btn-quiet self-start">
        {say('settings.change')}
      </button>
      <p role="status" className="font-semibold text-moss">
        {done && say('settings.passwordChanged')}
      </p>
    </Form>
  )
}
