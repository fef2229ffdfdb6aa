import type { Actor } from '../core/moderation/actor'
import { askToRemove } from './collection/askToRemove'
import { knownDevice, nameDevice } from './account/device'
import { listenToChanges, signIn, signOut, findSession } from './account/session'
import { changePassword, saveSettings } from './account/settings'
import { isEmpty, setUp } from './account/setUp'
import {
  formToTry,
  hasLostPhotos,
  issueChallenge,
  openForm,
  submitForm,
  thanksFor,
} from './collection/customerForm'
import type { FormVisits } from './collection/formVisits'
import { removeTrials } from './collection/trials'
import {
  beginForm,
  closeForm,
  copyForm,
  discardFormDraft,
  displayOfForm,
  formView,
  publishForm,
  renameForm,
  saveFormDraft,
  setFormAddress,
  setFormRemoved,
  setFormSettings,
  storeFormPicture,
} from './collection/forms'
import { gatherView, setWriters } from './collection/gather'
import { correctionView, correctReview } from './collection/correctReview'
import { changeOwn, consentOwn, ownReview, withdrawOwn } from './collection/ownReview'
import {
  addProduct,
  editProduct,
  mergeProducts,
  retireProduct,
  setProductWriters,
  undoProductChange,
} from './collection/products'
import {
  findFormProducts,
  findProductsOf,
  knownSkus,
  productChoicesOf,
  productsView,
  productView,
} from './collection/productViews'
import { writeDown } from './collection/writeDown'
import { askCustomerToConfirm, confirmEmail, confirmView } from './collection/confirmation'
import { actOnListing, renewAccessKey, setListingArrivals } from './listing/changeListing'
import { connectListing, tryAccessKey } from './listing/connectListing'
import { matchSheet, sheetView } from './listing/matchSheet'
import { checksOf } from './health/checks'
import { listingView, siteViews } from './listing/listingViews'
import { showListing } from './listing/showListing'
import { describeOnSite, suggestOnSite, understand } from './listing/understand'
import { mailSettings, saveNotifications, tryMail } from './mail/mailSettings'
import { importOrderFile, importUploadedOrders, ordersView } from './proof/ordersUpload'
import { keepPiece } from './proof/incoming'
import { canUndo, latestOwnAct } from './moderation/latestOwnAct'
import {
  deleteView,
  findTags,
  savePhotoDescription,
  saveNoteOrDraft,
  queueNames,
  saveView,
} from './moderation/notesAndDrafts'
import { decide, decideMany } from './moderation/decide'
import { allInLane, firstInLane, laneToOpen, neighbours, queueView } from './moderation/queue'
import { readFilter } from './moderation/readFilter'
import { reviewsToDownload } from './moderation/reviewsToDownload'
import { holdNewcomers, latestAttack } from './moderation/attacks'
import { lessonsView, teachAgain, unteach } from './moderation/lessons'
import { readTogether, reviewView } from './moderation/reviewView'
import { undo, undoFromLog } from './moderation/undo'
import { shopPicture } from './media/picture'
import { shownPending, storePendingPhoto } from './media/pendingPhotos'
import { storeVideoPiece } from './media/videoPieces'
import { readPreviewPage } from './outside/previewPage'
import { readShopSite } from './outside/readShopSite'
import { restoreVersion, makeLive, saveDraft } from './publishing/draft'
import type { Looking } from './publishing/showViews'
import {
  copyDisplay,
  keepMeasured,
  restoreDisplay,
  remove,
  rename,
  setAddress,
  setSharingPicture,
  takeDown,
} from './publishing/manage'
import { reviewPolicy } from './publishing/reviewPolicy'
import { removeLook, restoreLook, saveLook, startDisplaysLike } from './publishing/looks'
import { startDisplay } from './publishing/newDisplay'
import type { Publication } from './publishing/published'
import { samplePreview } from './publishing/samplePreview'
import { cancelJob, jobsView, retryJob } from './jobs/manageJobs'
import { readEvidence } from './data/evidenceFiles'
import type { Shop } from './data/shops'
import type { Services } from './services'
import { nextStep } from './nextStep'
import { stepCounts } from './stepCounts'

type UseCase<A extends unknown[], R> = (services: Services, ...given: A) => R

/** All use cases, bound to the services: the interface for routes. */
export function buildElogio(services: Services, publication: Publication, formVisits: FormVisits) {
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
    findSession: bound(findSession),
    isEmpty: bound(isEmpty),
    readShopSite: bound(readShopSite),
    shopPicture,
    setUp: bound(setUp),
    saveSettings: bound(saveSettings),
    mailSettings: bound(mailSettings),
    jobsView: bound(jobsView),
    cancelJob: bound(cancelJob),
    retryJob: bound(retryJob),
    checks: bound(checksOf),
    saveTelling: bound(saveNotifications),
    tryMail: bound(tryMail),
    changePassword: bound(changePassword),
    openForm: bound(openForm),
    formToTry: bound(formToTry),
    removeTrials: bound(removeTrials),
    formVisits,
    issueChallenge: bound(issueChallenge),
    submitForm: bound(submitForm),
    storePendingPhoto: bound(storePendingPhoto),
    storeVideoPiece: bound(storeVideoPiece),
    shownPending: bound(shownPending),
    hasLostPhotos: bound(hasLostPhotos),
    thanksFor: bound(thanksFor),
    confirmView: bound(confirmView),
    ownReview: bound(ownReview),
    changeOwn: bound(changeOwn),
    withdrawOwn: bound(withdrawOwn),
    consentOwn: bound(consentOwn),
    setWriters: bound(setWriters),
    formView: bound(formView),
    setFormSettings: bound(setFormSettings),
    displayOfForm: bound(displayOfForm),
    storeFormPicture: bound(storeFormPicture),
    setProductWriters: bound(setProductWriters),
    beginForm: bound(beginForm),
    copyForm: bound(copyForm),
    saveFormDraft: bound(saveFormDraft),
    publishForm: bound(publishForm),
    discardFormDraft: bound(discardFormDraft),
    closeForm: bound(closeForm),
    renameForm: bound(renameForm),
    setFormAddress: bound(setFormAddress),
    setFormRemoved: bound(setFormRemoved),
    importUploadedOrders: bound(importUploadedOrders),
    importOrderFile: bound(importOrderFile),
    keepOrderPiece: bound(keepPiece),
    ordersView: bound(ordersView),
    confirmEmail: bound(confirmEmail),
    askCustomerToConfirm: bound(askCustomerToConfirm),
    askToRemove: bound(askToRemove),
    productsView: bound(productsView),
    addProduct: bound(addProduct),
    editProduct: bound(editProduct),
    retireProduct: bound(retireProduct),
    mergeProducts: bound(mergeProducts),
    undoProductChange: bound(undoProductChange),
    productView: bound(productView),
    knownSkus: bound(knownSkus),
    findProducts: bound(findProductsOf),
    findFormProducts: bound(findFormProducts),
    findTags: bound(findTags),
    productChoices: bound(productChoicesOf),
    sites: () => siteViews(services),
    understand: bound(understand),
    suggestOnSite: bound(suggestOnSite),
    describeOnSite: bound(describeOnSite),
    tryAccessKey: bound(tryAccessKey),
    connectListing: bound(connectListing),
    sheetView: bound(sheetView),
    matchSheet: bound(matchSheet),
    listingView: bound(listingView),
    actOnListing: bound(actOnListing),
    renewAccessKey: bound(renewAccessKey),
    setListingArrivals: bound(setListingArrivals),
    showListing: bound(showListing),
    writeDown: bound(writeDown),
    correctionView: bound(correctionView),
    correctReview: bound(correctReview),
    evidenceFile: (shop: Shop, review: string, file: string) =>
      readEvidence(services.db, shop.id, review, file),
    stepCounts: bound(stepCounts),
    nextStep: bound(nextStep),
    gatherView: bound(gatherView),
    laneToOpen: bound(laneToOpen),
    readFilter: bound(readFilter),
    queueView: bound(queueView),
    firstInLane: bound(firstInLane),
    allInLane: bound(allInLane),
    reviewsToDownload: bound(reviewsToDownload),
    queueNames: bound(queueNames),
    saveView: bound(saveView),
    deleteView: bound(deleteView),
    saveNoteOrDraft: bound(saveNoteOrDraft),
    savePhotoDescription: bound(savePhotoDescription),
    readTogether: bound(readTogether),
    reviewView: bound(reviewView),
    lessonsView: bound(lessonsView),
    latestAttack: bound(latestAttack),
    holdNewcomers: bound(holdNewcomers),
    unteach: bound(unteach),
    teachAgain: bound(teachAgain),
    neighbours: bound(neighbours),
    latestOwnAct: bound(latestOwnAct),
    canUndo: bound(canUndo),
    decide: bound(decide),
    decideMany: bound(decideMany),
    undo: bound(undo),
    undoFromLog: bound(undoFromLog),
    samplePreview: bound(samplePreview),
    displayCards: (shop: Shop, asked: { words: string; page: number }) =>
      services.workers.run('displayCards', { shop, asked }),
    editorView: (shop: Shop, key: string, looking: Looking) =>
      services.workers.run('editorView', { shop, key, looking }),
    miniatures: (shop: Shop, key: string, asked: { product?: string }) =>
      services.workers.run('miniatures', { shop, key, asked }),
    saveDraft: bound(saveDraft),
    makeLive: bound(makeLive),
    restoreVersion: bound(restoreVersion),
    looksToStartFrom: (shop: Shop) => services.workers.run('looksToStartFrom', { shop }),
    startDisplay: bound(startDisplay),
    reviewPolicy: bound(reviewPolicy),
    copyDisplay: bound(copyDisplay),
    renameDisplay: bound(rename),
    keepMeasured: bound(keepMeasured),
    setSharingPicture: bound(setSharingPicture),
    previewPage: bound(readPreviewPage),
    setDisplayAddress: bound(setAddress),
    unpublishDisplay: (shop: Shop, actor: Actor, key: string) =>
      takeDown(services, publication, shop, actor, key),
    removeDisplay: (shop: Shop, actor: Actor, key: string) => remove(services, publication, shop, actor, key),
    restoreDisplay: bound(restoreDisplay),
    saveLook: bound(saveLook),
    removeLook: bound(removeLook),
    restoreLook: bound(restoreLook),
    startDisplaysLike: bound(startDisplaysLike),
  }
}
export type Elogio = ReturnType<typeof buildElogio>
