import { knownDevice, nameDevice } from './account/device'
import { listenToChanges, signIn, signOut, whoIs } from './account/session'
import { changePassword, saveSettings } from './account/settings'
import { isEmpty, setUp } from './account/setUp'
import { handOut, lacksPhotos, openForm, submitForm, thanksFor } from './collection/customerForm'
import { gatherView, setWriters } from './collection/gather'
import { changeOwn, consentOwn, ownReview, takeBackOwn } from './collection/ownReview'
import { writeDown, writeView } from './collection/writeDown'
import { askToConfirm, confirmMailbox, confirmView } from './collection/confirmation'
import { mailSettings, saveTelling, tryMail } from './mail/mailSettings'
import { bringOrderFile, bringOrders, ordersView } from './proof/bringOrders'
import { keepPiece } from './proof/incoming'
import { latestOwnAct } from './moderation/latestOwnAct'
import { forgetView, keepAlt, keepAside, queueNames, saveView } from './moderation/asides'
import { decide, decideMany } from './moderation/decide'
import { allInLane, firstInLane, laneToOpen, neighbours, queueView } from './moderation/queue'
import { readFilter } from './moderation/readFilter'
import { readTogether, reviewView } from './moderation/reviewView'
import { undo, undoFromLog } from './moderation/undo'
import { shopPicture } from './media/picture'
import { stagedPhotos, stagePhoto } from './media/stagePhoto'
import { stagePage } from './outside/stagePage'
import { readShopSite } from './outside/readShopSite'
import { displayCards } from './publishing/displayCards'
import { bringBack, makeLive, saveDraft } from './publishing/draft'
import { editorView } from './publishing/editorView'
import {
  copyDisplay,
  keepMeasured,
  putBack,
  remove,
  rename,
  setAddress,
  setSharingPicture,
  takeDown,
} from './publishing/manage'
import { howHandled } from './publishing/howHandled'
import { looksToStartFrom, startDisplay } from './publishing/newDisplay'
import type { Publication } from './publishing/published'
import { samplePreview } from './publishing/samplePreview'
import { cancelJob, jobsView, retryJob } from './jobs/manageJobs'
import type { Member } from './data/members'
import type { Shop } from './data/shops'
import type { Services } from './services'
import { nextStep } from './nextStep'
import { stepCounts } from './stepCounts'

type UseCase<A extends unknown[], R> = (services: Services, ...given: A) => R

/** All use cases, bound to one set of services: what a route may call. */
export function buildElogio(services: Services, publication: Publication) {
  const bound =
    <A extends unknown[], R>(useCase: UseCase<A, R>) =>
    (...given: A): R =>
      useCase(services, ...given)
  return {
    now: () => services.now().toISOString(),
    publicUrl: services.publicUrl,
    listenToChanges: bound(listenToChanges),
    nameDevice: bound(nameDevice),
    knownDevice: bound(knownDevice),
    signIn: bound(signIn),
    signOut: bound(signOut),
    whoIs: bound(whoIs),
    isEmpty: bound(isEmpty),
    readShopSite: bound(readShopSite),
    shopPicture,
    setUp: bound(setUp),
    saveSettings: bound(saveSettings),
    mailSettings: bound(mailSettings),
    jobsView: bound(jobsView),
    cancelJob: bound(cancelJob),
    retryJob: bound(retryJob),
    saveTelling: bound(saveTelling),
    tryMail: bound(tryMail),
    changePassword: bound(changePassword),
    openForm: bound(openForm),
    handOut: bound(handOut),
    submitForm: bound(submitForm),
    stagePhoto: bound(stagePhoto),
    stagedPhotos: bound(stagedPhotos),
    lacksPhotos: bound(lacksPhotos),
    thanksFor: bound(thanksFor),
    confirmView: bound(confirmView),
    ownReview: bound(ownReview),
    changeOwn: bound(changeOwn),
    takeBackOwn: bound(takeBackOwn),
    consentOwn: bound(consentOwn),
    setWriters: bound(setWriters),
    bringOrders: bound(bringOrders),
    bringOrderFile: bound(bringOrderFile),
    keepOrderPiece: bound(keepPiece),
    ordersView: bound(ordersView),
    confirmMailbox: bound(confirmMailbox),
    askToConfirm: bound(askToConfirm),
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
    keepAlt: bound(keepAlt),
    readTogether: bound(readTogether),
    reviewView: bound(reviewView),
    neighbours: bound(neighbours),
    latestOwnAct: bound(latestOwnAct),
    decide: bound(decide),
    decideMany: bound(decideMany),
    undo: bound(undo),
    undoFromLog: bound(undoFromLog),
    samplePreview: bound(samplePreview),
    displayCards: bound(displayCards),
    editorView: bound(editorView),
    saveDraft: bound(saveDraft),
    makeLive: bound(makeLive),
    bringBack: bound(bringBack),
    looksToStartFrom: bound(looksToStartFrom),
    startDisplay: bound(startDisplay),
    howHandled: bound(howHandled),
    copyDisplay: bound(copyDisplay),
    renameDisplay: bound(rename),
    keepMeasured: bound(keepMeasured),
    setSharingPicture: bound(setSharingPicture),
    stagePage: bound(stagePage),
    setDisplayAddress: bound(setAddress),
    takeDownDisplay: (shop: Shop, member: Member, key: string) =>
      takeDown(services, publication, shop, member, key),
    removeDisplay: (shop: Shop, member: Member, key: string) =>
      remove(services, publication, shop, member, key),
    putBackDisplay: bound(putBack),
  }
}
export type Elogio = ReturnType<typeof buildElogio>
