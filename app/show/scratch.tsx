import { useState } from 'react'
import { say } from '../../core/messages/say/show'
import { requireShop } from '../account/session'
import type { Route } from './+types/scratch'

const FRAME = 'scratch-page'

export async function loader({ request, context, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, context, params.shop, 'displays')
  const key = new URL(request.url).searchParams.get('key')
  const view = key ? await context.elogio.editorView(shop, key, { trial: 'real' }) : null
  return { code: view?.code ?? '', action: `/s/${params.shop}/show/scratch/page` }
}

/** A page for trying embed code. */
export default function Scratch({ loaderData: { code, action } }: Route.ComponentProps) {
  const [typed, setTyped] = useState(code)
  return (
    <main className="grid min-h-0 flex-1 grid-rows-[auto_minmax(400px,1fr)] lg:grid-cols-[minmax(0,420px)_minmax(0,1fr)] lg:grid-rows-1">
      <title>{`${say('show.scratch')} · Elogio`}</title>
      <form
        method="post"
        action={action}
        target={FRAME}
        className="flex flex-col gap-3 border-r border-line bg-paper px-6 py-6"
      >
        <h1>{say('show.scratch')}</h1>
        <p className="text-soft">{say('show.scratchWhy')}</p>
        <label className="flex min-h-0 flex-1 flex-col gap-1 font-semibold">
          {say('show.scratchCode')}
          <textarea
            name="code"
            value={typed}
            onChange={(event) => setTyped(event.currentTarget.value)}
            spellCheck={false}
            maxLength={60_000}
            rows={10}
            className="textarea min-h-40 w-full flex-1 border-edge font-mono text-[13px] font-normal"
          />
        </label>
        <fieldset className="flex flex-wrap gap-4">
          <legend className="sr-only">{say('show.scratchGround')}</legend>
          {(['white', 'dark', 'coloured'] as const).map((background, i) => (
            <label key={background} className="flex min-h-7 items-center gap-2">
              <input
                type="radio"
                name="background"
                value={background}
                defaultChecked={i === 0}
                className="radio radio-sm"
              />
              {say(`show.scratchOn.${background}`)}
            </label>
          ))}
        </fieldset>
        <button className="btn btn-primary self-start">{say('show.scratchShow')}</button>
      </form>
      <iframe
        name={FRAME}
        title={say('show.scratch')}
        sandbox="allow-scripts"
        className="size-full bg-white"
      />
    </main>
  )
}
