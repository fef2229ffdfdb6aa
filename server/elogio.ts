import { z } from 'zod'
import { signIn, signOut, whoIs } from './account/session'
import { changePassword, saveSettings } from './account/settings'
import { isEmpty, setUp } from './account/setUp'
import { handOutToken, openForm, submitForm, thanksFor } from './collection/customerForm'
import { gatherView } from './collection/gather'
import { writeDown, writeView } from './collection/writeDown'
import { latestOwnAct } from './moderation/latestOwnAct'
import { forgetView, keepAside, queueNames, saveView } from './moderation/asides'
import { decide, decideMany } from './moderation/decide'
import { allInLane, firstInLane, laneToOpen, neighbours, queueView } from './moderation/queue'
import { readFilter } from './moderation/readFilter'
import { readTogether, reviewView } from './moderation/reviewView'
import { undo, undoFromLog } from './moderation/undo'
import { shopPicture } from './media/picture'
import { readShopSite } from './outside/readShopSite'
import { discardDraft, makeLive, saveDraft } from './publishing/draft'
import { editorView, listDisplays } from './publishing/editorView'
import { publish, type Publication } from './publishing/publish'
import { samplePreview } from './publishing/samplePreview'
import { REBUILD } from './publishing/staleDisplays'
import type { Work } from './jobs/runner'
import type { Shop } from './data/shops'
import type { Services } from './services'
import { nextStep } from './nextStep'
import { stepCounts } from './stepCounts'

type UseCase<A extends unknown[], R> = (services: Services, ...given: A) => R

/** All use cases, bound to one set of services: what a route may call. */
export function buildElogio(services: Services) {
  const bound =
    <A extends unknown[], R>(useCase: UseCase<A, R>) =>
    (...given: A): R =>
      useCase(services, ...given)
  return {
    now: () => services.now().toISOString(),
    listenToChanges: (shop: Shop, heard: () => void) => services.changes.listen(shop.id, heard),
    signIn: bound(signIn),
    signOut: bound(signOut),
    whoIs: bound(whoIs),
    isEmpty: bound(isEmpty),
    readShopSite: bound(readShopSite),
    shopPicture,
    setUp: bound(setUp),
    saveSettings: bound(saveSettings),
    changePassword: bound(changePassword),
    openForm: bound(openForm),
    handOutToken: bound(handOutToken),
    submitForm: bound(submitForm),
    thanksFor: bound(thanksFor),
    writeView: bound(writeView),
    writeDown: bound(writeDown),
    stepCounts: bound(stepCounts),
    nextStep: bound(nextStep),
    gatherView: bound(gatherView),
    laneToOpen: bound(laneToOpen),
    readFilter: bound(readFilter),
    queueView: bound(queueView),
    firstInLane: bound(firstInLane),
    allInLane: bound(allInLane),
    queueNames: bound(queueNames),
    saveView: bound(saveView),
    forgetView: bound(forgetView),
    keepAside: bound(keepAside),
    readTogether: bound(readTogether),
    reviewView: bound(reviewView),
    neighbours: bound(neighbours),
    latestOwnAct: bound(latestOwnAct),
    decide: bound(decide),
    decideMany: bound(decideMany),
    undo: bound(undo),
    undoFromLog: bound(undoFromLog),
    samplePreview: bound(samplePreview),
    listDisplays: bound(listDisplays),
    editorView: bound(editorView),
    saveDraft: bound(saveDraft),
    makeLive: bound(makeLive),
    discardDraft: bound(discardDraft),
  }
}
export type Elogio = ReturnType<typeof buildElogio>

/** What the job runner does, by the kind of job. */
export function jobKinds(services: Services, publication: Publication): Record<string, Work> {
  const target = z.object({ displayId: z.number() })
  return {
    [REBUILD]: (job) =>
      publish(services, publication, job.shopId, target.parse(JSON.parse(job.payload)).displayId),
  }
}
