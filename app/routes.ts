import { index, route, type RouteConfig } from '@react-router/dev/routes'

export default [
  index('account/home.tsx'),
  route('sign-in', 'account/signIn.tsx'),
  route('begin', 'setUp/begin.tsx'),
  route('sign-out', 'account/signOut.tsx'),
  route('f/:slug', 'public/form.tsx'),
  route('f/:slug/thanks', 'public/thanks.tsx'),
  route('api/f/:slug', 'api/form.ts'),
  route('s/:shop', 'shop/layout.tsx', [
    index('shop/start.tsx'),
    route('changes', 'shop/changes.ts'),
    route('gather', 'gather/gather.tsx'),
    route('gather/write', 'gather/write.tsx'),
    route('decide', 'decide/queue.tsx', [index('decide/none.tsx'), route(':review', 'decide/review.tsx')]),
    route('decide/undo', 'decide/undo.ts'),
    route('decide/many', 'decide/many.ts'),
    route('decide/views', 'decide/keepView.ts'),
    route('decide/:review/aside', 'decide/keepAside.ts'),
    route('settings', 'settings/settings.tsx'),
    route('show', 'show/displays.tsx'),
    route('show/:key', 'show/editor.tsx'),
  ]),
  route('*', 'public/nowhere.tsx'),
] satisfies RouteConfig
