import { useState, useSyncExternalStore } from 'react'
import { Form, Link } from 'react-router'
import { PASSWORD_LEAST } from '../../core/account/shopProfile'
import { say } from '../../core/messages/say/setUp'
import { ShopPreview } from '../components/ShopPreview'
import { Field } from '../components/Field'
import { Wordmark } from '../components/Wordmark'
import { LocaleFields, ReadLanguages } from '../settings/LocaleFields'
import {
  ColourFields,
  FontFields,
  NameFields,
  SiteFields,
  type ProfileErrors,
  type ProfileValues,
} from '../settings/ProfileFields'

/** The recognised data of the shop with samples, to correct and save. */
export default function KeepShop({
  found,
  errors,
  problem,
}: {
  found: {
    site: string
    isMember: boolean
    values: ProfileValues
    candidates: string[]
    html: string
    timeZones: string[]
  }
  errors: ProfileErrors
  /** The reason for a failure that is not about a field. */
  problem: string | null
}) {
  const [values, setValues] = useState(found.values)
  const timeZone = useSyncExternalStore(never, ownTimeZone, () => '')
  const mistakes = Object.keys(errors).length > 0
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <title>{`${say('setUp.title')} · Elogio`}</title>
      <header className="flex h-16 shrink-0 items-center gap-6 bg-deep px-6 text-white">
        <Wordmark />
        <Link to="/begin" className="ml-auto underline underline-offset-4">
          {say('setUp.otherSite')}
        </Link>
      </header>
      <main className="flex min-h-0 flex-1 flex-col">
        <Form
          method="post"
          className="grid min-h-0 flex-1 lg:grid-cols-[minmax(0,1fr)_minmax(0,500px)] lg:grid-rows-[minmax(0,1fr)]"
        >
          <div className="overflow-y-auto px-6 py-6">
            <h1>
              {found.site
                ? say('setUp.sentence', { name: values.name || found.site })
                : say('setUp.byHandSentence')}
            </h1>
            <p className="mt-1 mb-4 text-soft">{say('setUp.sentenceHint')}</p>
            <ColourFields values={values} change={setValues} errors={errors} candidates={found.candidates} />
            <div className="mt-4 overflow-hidden rounded-[14px] border border-line">
              <PageHead values={values} />
              <ShopPreview html={found.html} style={values} />
            </div>
          </div>
          <div className="relative flex flex-col gap-5 overflow-y-auto border-l border-line bg-paper px-6 py-6">
            {problem && (
              <p role="alert" className="rounded-lg border border-plum px-3 py-2 font-semibold text-plum">
                {problem}
              </p>
            )}
            {mistakes && (
              <p role="alert" className="rounded-lg border border-plum px-3 py-2 font-semibold text-plum">
                {say('setUp.error.mistakes')}
              </p>
            )}
            {!found.site && <NameFields values={values} change={setValues} errors={errors} />}
            {found.isMember || <Account errors={errors} />}
            <div className="flex items-center gap-4">
              <button className="btn btn-primary">
                {say(found.isMember ? 'setUp.keepShop' : 'setUp.keep')}
              </button>
            </div>
            <h2 className="border-t border-line pt-4 text-[16px] font-semibold">{say('setUp.look')}</h2>
            {found.site && <NameFields values={values} change={setValues} errors={errors} />}
            <FontFields values={values} change={setValues} errors={errors} />
            <details open={moreNames.some((name) => errors[name])}>
              <summary className="cursor-pointer font-semibold text-petrol">{say('setUp.more')}</summary>
              <div className="mt-3 flex flex-col gap-4">
                <SiteFields values={values} change={setValues} errors={errors} />
                <LocaleFields
                  values={{ ...values, time_zone: values.time_zone || timeZone }}
                  change={setValues}
                  errors={errors}
                  timeZones={found.timeZones}
                />
                <ReadLanguages chosen={values.languages} errors={errors} />
              </div>
            </details>
          </div>
        </Form>
      </main>
    </div>
  )
}

const moreNames = ['short_name', 'reply_name', 'site_url', 'own_domains', 'time_zone', 'locale', 'languages']

/** Only the browser knows it; it doesn't change while the page is open. */
const ownTimeZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone
const never = () => () => undefined

/** A sketch of the page's head as surroundings for the reviews. */
function PageHead({ values }: { values: ProfileValues }) {
  return (
    <div
      className="flex items-center gap-3 border-b px-8 py-4 text-[20px] font-semibold"
      style={{
        background: values.background,
        color: values.textColour,
        fontFamily: values.fonts || undefined,
        borderColor: values.brand,
      }}
    >
      {values.picture && <img src={values.picture} alt="" className="size-8 object-contain" />}
      {values.name}
    </div>
  )
}

function Account({ errors }: { errors: ProfileErrors }) {
  const input = 'input w-full border-edge text-[15px]'
  return (
    <section aria-labelledby="account" className="flex flex-col gap-4">
      <div>
        <h2 id="account" className="text-[16px] font-semibold">
          {say('setUp.account')}
        </h2>
        <p className="text-soft">{say('setUp.accountHint')}</p>
      </div>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          name="member_name"
          label={say('setUp.memberName')}
          hint={say('setUp.onlyYou')}
          errors={errors.member_name}
        >
          {(attributes) => <input {...attributes} name="member_name" autoComplete="name" className={input} />}
        </Field>
        <Field name="email" label={say('account.email')} hint={say('setUp.onlyYou')} errors={errors.email}>
          {(attributes) => (
            <input {...attributes} name="email" type="email" autoComplete="username" className={input} />
          )}
        </Field>
      </div>
      <Field
        name="password"
        label={say('setUp.newPassword', { least: PASSWORD_LEAST })}
        errors={errors.password}
      >
        {(attributes) => (
          <input
            {...attributes}
            name="password"
            type="password"
            autoComplete="new-password"
            className={input}
          />
        )}
      </Field>
    </section>
  )
}
