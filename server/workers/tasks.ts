import type { Services } from '../services'
import type { TaskControl } from './task'
import type { TaskName, Tasks } from './workers'

/** Long work. It runs in a thread, or within a test. */
type Task<N extends TaskName> = (
  services: Services,
  input: Tasks[N]['input'],
  control: TaskControl,
) => Promise<Tasks[N]['output']>

/** All tasks. A task is loaded when it first runs, so that a thread loads only what it needs. */
export const loadTask: { [N in TaskName]: () => Promise<Task<N>> } = {
  importOrders: async () => (await import('../proof/importOrders')).importOrders,
  undoIntake: async () => (await import('../collection/undoIntake')).undoIntake,
  moveReviews: async () => (await import('../collection/moveReviews')).moveReviews,
  publishStale: async () => (await import('../publishing/publish')).publishStale,
  makeVariant: async () => (await import('../http/makeVariant')).makeVariant,
  displayCards: async () => {
    const { displayCards } = await import('../publishing/displayCards')
    return (services, { shop, asked }) => displayCards(services, shop, asked)
  },
  editorView: async () => {
    const { editorView } = await import('../publishing/editorView')
    return (services, { shop, key, looking }) => editorView(services, shop, key, looking)
  },
  miniatures: async () => {
    const { miniatures } = await import('../publishing/miniatures')
    return (services, { shop, key, asked }) => miniatures(services, shop, key, asked)
  },
  looksToStartFrom: async () => {
    const { looksToStartFrom } = await import('../publishing/newDisplay')
    return (services, { shop }) => looksToStartFrom(services, shop)
  },
  readVideo: async () => (await import('../media/readVideoTask')).readVideoTask,
  readPage: async () => (await import('../outside/readTasks')).readPageTask,
  readStyles: async () => (await import('../outside/readTasks')).readStylesTask,
  stillPage: async () => (await import('../outside/readTasks')).stillPageTask,
  readOrigin: async () => (await import('../listing/askOrigin')).readOriginTask,
  takeInFound: async () => (await import('../listing/takeInFound')).takeInFound,
  weighArrival: async () => (await import('../moderation/weighArrival')).weighArrival,
  forgetArrival: async () => (await import('../moderation/weighArrival')).forgetArrival,
  backUp: async () => {
    const { makeDailyBackup } = await import('../backup/dailyBackup')
    return (_services, { dataFolder, at }) => makeDailyBackup(dataFolder, new Date(at))
  },
  rememberShops: async () => (await import('../moderation/weighArrival')).rememberShops,
}
