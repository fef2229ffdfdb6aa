import type { Actor } from '../core/moderation/actor'
import type { FormVisits } from './collection/formVisits'
import { siteViews } from './listing/listingViews'
import { shopPicture } from './media/picture'
import type { Looking } from './publishing/showViews'
import { remove, takeDown } from './publishing/manage'
import type { Publication } from './publishing/published'
import { readEvidence } from './data/evidenceFiles'
import type { Shop } from './data/shops'
import type { Services } from './services'
import * as useCases from './useCases'

type UseCase = (services: Services, ...given: never[]) => unknown
type Bound<U> = {
  [K in keyof U]: U[K] extends (services: Services, ...given: infer A) => infer R ? (...given: A) => R : never
}

/** The use cases without their first parameter. */
const bindAll = <U extends Record<string, UseCase>>(all: U, services: Services): Bound<U> =>
  Object.fromEntries(
    Object.entries(all).map(([name, useCase]) => [name, (...given: never[]) => useCase(services, ...given)]),
  ) as Bound<U>

/** All use cases, bound to the services: the interface for routes. */
export function buildElogio(services: Services, publication: Publication, formVisits: FormVisits) {
  return {
    ...bindAll(useCases, services),
    now: () => services.now().toISOString(),
    publicUrl: services.publicUrl,
    shopPicture,
    formVisits,
    sites: () => siteViews(services),
    evidenceFile: (shop: Shop, review: string, file: string) =>
      readEvidence(services.db, shop.id, review, file),
    displayCards: (shop: Shop, asked: { words: string; page: number }) =>
      services.workers.run('displayCards', { shop, asked }),
    editorView: (shop: Shop, key: string, looking: Looking) =>
      services.workers.run('editorView', { shop, key, looking }),
    miniatures: (shop: Shop, key: string, asked: { product?: string }) =>
      services.workers.run('miniatures', { shop, key, asked }),
    looksToStartFrom: (shop: Shop) => services.workers.run('looksToStartFrom', { shop }),
    unpublishDisplay: (shop: Shop, actor: Actor, key: string) =>
      takeDown(services, publication, shop, actor, key),
    removeDisplay: (shop: Shop, actor: Actor, key: string) => remove(services, publication, shop, actor, key),
  }
}
export type Elogio = ReturnType<typeof buildElogio>
