import { data, Form, redirect } from 'react-router'
import { z } from 'zod'
import { layouts, type Layout } from '../../core/display/choices'
import { isSmall } from '../../core/display/layoutTraits'
import { say } from '../../core/messages/say/show'
import { requireShop } from '../account/session'
import { ShadowHtml } from '../components/ShadowHtml'
import { orOffline } from '../offline'
import { readForm } from '../readForm'
import type { Route } from './+types/new'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'displays')
  return context.elogio.looksToStartFrom(shop)
}

const asked = z.object({ layout: z.enum(layouts) })

export async function action({ request, context, params }: Route.ActionArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'displays')
  const { layout } = readForm(context, asked)
  const key = await context.elogio.startDisplay(shop, layout)
  if (!key) throw data(null, { status: 404 })
  return redirect(`/s/${params.shop}/show/${key}?start`)
}

export function clientAction({ serverAction }: Route.ClientActionArgs) {
  return orOffline(serverAction)
}

/** Layouts with the shop's own reviews, at desktop and phone widths. */
export default function New({ loaderData: { looks, look, samples }, actionData }: Route.ComponentProps) {
  return (
    <main className="min-h-0 flex-1 overflow-y-auto px-6 py-6">
      <title>{`${say('show.newTitle')} · Elogio`}</title>
      <h1>{say('show.newTitle')}</h1>
      <p className="mt-1 text-soft">{say(samples ? 'show.newSamples' : 'show.newWhy')}</p>
      {actionData && 'problem' in actionData && (
        <p role="alert" className="mt-3 font-semibold text-plum">
          {actionData.problem}
        </p>
      )}
      <Form method="post">
        <ul className="mt-5 grid grid-cols-[minmax(0,1fr)] gap-5 md:grid-cols-2 xl:grid-cols-3">
          {layouts.map((layout) => (
            <li
              key={layout}
              className="panel relative flex flex-col overflow-hidden focus-within:border-petrol hover:border-petrol"
            >
              <div
                className="grid h-52 grid-cols-[minmax(0,1fr)_110px] overflow-hidden border-b border-line"
                style={{
                  background: look.background,
                  color: look.textColour,
                  fontFamily: look.fonts || undefined,
                }}
                inert
              >
                <div className="overflow-hidden">
                  <Drawn view={looks[layout]} layout={layout} className="w-[820px] scale-[0.36] p-8" />
                </div>
                <div className="overflow-hidden border-l border-line">
                  <Drawn view={looks[layout]} layout={layout} className="w-[320px] scale-[0.34] p-5" />
                </div>
              </div>
              <div className="px-5 py-3.5">
                <h2 className="text-[16px] font-semibold">
                  <button name="layout" value={layout} className="text-left after:absolute after:inset-0">
                    {say(`show.look.${layout}.name`)}
                  </button>
                </h2>
                <p className="text-soft">{say(`show.look.${layout}.why`)}</p>
              </div>
            </li>
          ))}
        </ul>
      </Form>
    </main>
  )
}

function Drawn({
  view,
  layout,
  className,
}: {
  view: Parameters<typeof ShadowHtml>[0]
  layout: Layout
  className: string
}) {
  return (
    <ShadowHtml
      {...view}
      className={
        isSmall(layout)
          ? 'grid h-full place-items-center text-[15px]'
          : `origin-top-left text-[17px] ${className}`
      }
    />
  )
}
