/* What routes can do. The services are the first parameter of each; `elogio.ts` binds them. */

export { askToRemove } from './collection/askToRemove'
export { knownDevice, nameDevice } from './account/device'
export { listenToChanges, signIn, signOut, findSession } from './account/session'
export { changePassword, saveSettings } from './account/settings'
export { isEmpty, setUp } from './account/setUp'
export {
  formToTry,
  hasLostPhotos,
  issueChallenge,
  openForm,
  submitForm,
  thanksFor,
} from './collection/customerForm'
export { removeTrials } from './collection/trials'
export {
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
export { gatherView, setWriters } from './collection/gather'
export { correctionView, correctReview } from './collection/correctReview'
export { changeOwn, consentOwn, ownReview, withdrawOwn } from './collection/ownReview'
export {
  addProduct,
  editProduct,
  mergeProducts,
  retireProduct,
  setProductWriters,
  undoProductChange,
} from './collection/products'
export {
  findFormProducts,
  findProductsOf as findProducts,
  knownSkus,
  productChoicesOf as productChoices,
  productsView,
  productView,
} from './collection/productViews'
export { writeDown } from './collection/writeDown'
export { askCustomerToConfirm, confirmEmail, confirmView } from './collection/confirmation'
export { actOnListing, renewAccessKey, setListingArrivals } from './listing/changeListing'
export { connectListing, tryAccessKey } from './listing/connectListing'
export { matchSheet, sheetView } from './listing/matchSheet'
export { checksOf as checks } from './health/checks'
export { listingView } from './listing/listingViews'
export { showListing } from './listing/showListing'
export { describeOnSite, suggestOnSite, understand } from './listing/understand'
export { mailSettings, saveNotifications as saveTelling, tryMail } from './mail/mailSettings'
export { importOrderFile, importUploadedOrders, ordersView } from './proof/ordersUpload'
export { keepPiece as keepOrderPiece } from './proof/incoming'
export { canUndo, latestOwnAct } from './moderation/latestOwnAct'
export {
  deleteView,
  findTags,
  savePhotoDescription,
  saveNoteOrDraft,
  queueNames,
  saveView,
} from './moderation/notesAndDrafts'
export { decide, decideMany } from './moderation/decide'
export { allInLane, firstInLane, laneToOpen, neighbours, queueView } from './moderation/queue'
export { readFilter } from './moderation/readFilter'
export { reviewsToDownload } from './moderation/reviewsToDownload'
export { holdNewcomers, latestAttack } from './moderation/attacks'
export { lessonsView, teachAgain, unteach } from './moderation/lessons'
export { readTogether, reviewView } from './moderation/reviewView'
export { undo, undoFromLog } from './moderation/undo'
export { shownPending, storePendingPhoto } from './media/pendingPhotos'
export { storeVideoPiece } from './media/videoPieces'
export { readPreviewPage as previewPage } from './outside/previewPage'
export { readShopSite } from './outside/readShopSite'
export { restoreVersion, makeLive, saveDraft } from './publishing/draft'
export {
  copyDisplay,
  keepMeasured,
  restoreDisplay,
  rename as renameDisplay,
  setAddress as setDisplayAddress,
  setSharingPicture,
} from './publishing/manage'
export { reviewPolicy } from './publishing/reviewPolicy'
export { removeLook, restoreLook, saveLook, startDisplaysLike } from './publishing/looks'
export { startDisplay } from './publishing/newDisplay'
export { samplePreview } from './publishing/samplePreview'
export { cancelJob, jobsView, retryJob } from './jobs/manageJobs'
export { find } from './search/find'
export { notices } from './health/notices'
export { firstSteps, setFirstStepsAway } from './firstSteps'
export { nextStep } from './nextStep'
export { stepCounts } from './stepCounts'
