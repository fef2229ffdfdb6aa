import { parseWithZod } from '@conform-to/zod/v4'
import { getFormProps, useForm, type SubmissionResult } from '@conform-to/react'
import { data, Form } from 'react-router'
import { brandShades } from '../../core/display/brand'
import { litMarks } from '../../core/formats/rating'
import { ownChangeFieldNames, ownChangeSchema } from '../../core/intake/ownChange'
import { messageCode, translateCode } from '../../core/messages/code'
import { onlyFields } from '../readForm'
import { storageFaultIn } from '../storageProblem'
import { waitCode } from '../waitCode'
import { LineField } from './LineField'
import { LinkGone } from './LinkGone'
import { OwnWords } from './OwnWords'
import { RatingChoice } from './RatingChoice'
import { ShopSheet } from './ShopSheet'
import { useCodes, useSpeech, useTranslate } from './speech'
import { speechFor } from './speechFor'
import { submitReview } from './submitReview'
import { PhotoField } from './photos/PhotoField'
import { usePhotos, type KeptPhoto } from './photos/usePhotos'
import { useSendWhenReady } from './photos/useSendWhenReady'
import { WordsFields } from './WordsFields'
import type { Route } from './+types/myReview'

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const own = await context.elogio.ownReview(params.token)
  if (!own) throw data(null, { status: 404 })
  const { shop, review, published, form } = own
  const { title, body, rating, authorName, productTitle, state, declineReason, verified, showable } = review
  const speech = speechFor(request, shop)
  return {
    speech,
    shop: { name: shop.name, shortName: shop.shortName, logo: shop.logo, shades: brandShades(shop.brand) },
    words: { title, body, rating, authorName, productTitle },
    standing: published && { ...published, productTitle },
    state,
    declineReason,
    verified,
    showable,
    photos: keptPhotos(own.photos),
    photoAddress: form?.state === 'open' ? `/f/${form.slug}/photo?lang=${speech.language}` : null,
    thanks: new URL(request.url).searchParams.has('thanks'),
  }
}

export async function action({ params, context }: Route.ActionArgs) {
  const own = await context.elogio.ownReview(params.token)
  if (!own) throw data(null, { status: 404 })
  const wait = await context.throttle.ownChange(own.review.publicId)
  const sent = onlyFields(context, ownChangeFieldNames)
  const act = sent.get('act')
  if (act === 'takeBack' || act === 'bringBack' || act === 'consent' || act === 'noConsent') {
    if (wait !== null) return refused(waitCode(wait), 429)
    return done(
      act === 'takeBack' || act === 'bringBack'
        ? context.elogio.withdrawOwn(params.token, act === 'takeBack')
        : context.elogio.consentOwn(params.token, act === 'consent'),
    )
  }
  const result = await submitReview(context, {
    sent,
    schema: ownChangeSchema(own.review),
    wait,
    owner: own.form,
    kept: keptPhotos(own.photos),
    store: (value) => context.elogio.changeOwn(params.token, value),
  })
  if (result.outcome === 'refused')
    return data({ ...nothing, reply: result.reply }, { status: result.status })
  return { ...nothing, said: result.stored ? ('myReview.saved' as const) : ('myReview.same' as const) }
}

/** The answer of an action without a message. */
const nothing = { said: null, problem: null, reply: undefined }
const refused = (problem: string, status: number) => data({ ...nothing, problem }, { status })

const keptPhotos = (photos: { publicId: string; small: string; alt: string }[]) =>
  photos.map(({ publicId, small, alt }) => ({ key: publicId, shown: `/media/${small}`, alt }))

async function done(work: Promise<void>) {
  try {
    await work
    return nothing
  } catch (error) {
    if (!storageFaultIn(error)) throw error
    return refused(messageCode('problem.notSaved'), 503)
  }
}

export default function Own({ loaderData, actionData }: Route.ComponentProps) {
  const translate = useSpeech(loaderData.speech)
  const { shop, words, photos, standing, state, declineReason, verified, showable, thanks } = loaderData
  return (
    <ShopSheet shop={shop} title={translate('myReview.title')} translate={translate}>
      <meta name="robots" content="noindex" />
      <meta name="referrer" content="no-referrer" />
      <h1 className="text-[26px]">{translate('myReview.title')}</h1>
      <div role="status" className="mt-2 flex flex-col gap-1 text-[15px]">
        {actionData?.said && (
          <p className="font-semibold">{translate(actionData.said, { shop: shop.shortName })}</p>
        )}
        {actionData?.problem && (
          <p className="font-semibold text-plum">{translateCode(translate, actionData.problem)}</p>
        )}
        {thanks && !actionData && <p className="font-semibold text-moss">{translate('myReview.thanks')}</p>}
        <p>{translate(`myReview.state.${state}`, { shop: shop.shortName })}</p>
        {state === 'declined' && (
          <p>
            {declineReason
              ? translate('myReview.reason', { reason: translateCode(translate, declineReason) })
              : translate('myReview.noReason')}
          </p>
        )}
        {verified && <p>{translate('myReview.verified')}</p>}
      </div>
      <OwnWords words={words} photos={photos} />
      {standing && (
        <>
          <p className="mt-5 text-soft">{translate('myReview.published')}</p>
          <OwnWords words={standing} />
        </>
      )}
      {state !== 'withdrawn' && (
        <details className="mt-6" open={actionData?.reply !== undefined}>
          <summary className="btn border-edge">{translate('myReview.change')}</summary>
          <Change
            shop={shop.shortName}
            words={words}
            photos={photos}
            photoAddress={loaderData.photoAddress}
            lastResult={actionData?.reply}
            key={[words.title, words.body, ...photos.map(({ key }) => key)].join('\n')}
          />
        </details>
      )}
      <Form method="post" className="mt-6 flex flex-col gap-3 border-t border-line pt-5">
        {showable ? (
          <Act
            act="noConsent"
            label={translate('myReview.makePrivate')}
            hint={translate('myReview.makePrivateHint')}
          />
        ) : (
          <Act act="consent" label={translate('myReview.allow')} hint={translate('myReview.allowHint')} />
        )}
        {state === 'withdrawn' ? (
          <Act act="bringBack" label={translate('myReview.restore')} hint="" />
        ) : (
          <Act
            act="takeBack"
            label={translate('myReview.withdraw')}
            hint={translate('myReview.withdrawHint')}
          />
        )}
      </Form>
      <p className="mt-6 text-soft">{translate('myReview.bookmark')}</p>
    </ShopSheet>
  )
}

function Act({ act, label, hint }: { act: string; label: string; hint: string }) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <button name="act" value={act} className="btn border-edge">
        {label}
      </button>
      <span className="text-soft">{hint}</span>
    </div>
  )
}

function Change({
  shop,
  words,
  photos: kept,
  photoAddress,
  lastResult,
}: {
  shop: string
  photos: KeptPhoto[]
  /** The address for uploading photos; null if none can be added. */
  photoAddress: string | null
  words: Route.ComponentProps['loaderData']['words']
  lastResult: SubmissionResult<string[]> | undefined
}) {
  const translate = useTranslate()
  const wordCode = useCodes()
  const photos = usePhotos(photoAddress ?? '', kept)
  const schema = ownChangeSchema(words)
  const { send, waiting } = useSendWhenReady(photos.pending)
  const [form, fields] = useForm({
    lastResult,
    defaultValue: {
      rating: words.rating === null ? '' : String(litMarks(words.rating)),
      title: words.title,
      body: words.body,
      author_name: words.authorName,
    },
    shouldValidate: 'onBlur',
    shouldRevalidate: 'onInput',
    onValidate: ({ formData }) => parseWithZod(formData, { schema }),
  })
  return (
    <Form
      method="post"
      encType="multipart/form-data"
      className="mt-4 flex flex-col gap-4"
      {...getFormProps(form)}
    >
      {form.errors && (
        <p role="alert" className="font-semibold text-plum">
          {form.errors.map(wordCode).join(' ')}
        </p>
      )}
      <RatingChoice field={fields.rating} required={words.rating !== null} />
      <WordsFields title={fields.title} body={fields.body} />
      {(photoAddress !== null || kept.length > 0) && (
        <PhotoField photos={photos} errors={fields.media.errors} mayAdd={photoAddress !== null} />
      )}
      <LineField
        field={fields.author_name}
        label={translate('form.name')}
        hint={translate('form.shownAsHint')}
        required={words.authorName !== ''}
        autoComplete="name"
      />
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <button
          name="act"
          value="change"
          onClick={send}
          className="btn h-12 border-0 bg-(--shop-button) px-6 text-[15px] text-white hover:brightness-110"
        >
          {translate('myReview.save')}
        </button>
        <span className="text-soft">
          {waiting ? translate('photo.pending') : translate('myReview.changeHint', { shop })}
        </span>
      </div>
    </Form>
  )
}

export { LinkGone as ErrorBoundary }
