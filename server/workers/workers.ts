import type { Asked } from '../../core/display/displayModel'
import type { Candidate } from '../../core/intake/candidate'
import type { OriginAnswer } from '../../core/listing/originAdapter'
import type { OriginQuestion, ReadReply } from '../../core/listing/originQuestion'
import type { SheetMatching } from '../../core/listing/matching'
import type { Declaration } from '../../core/site/css'
import type { Page } from '../../core/site/page'
import type { VideoRefusal } from '../../core/video/video'
import type { Shop } from '../data/shops'
import type { DisplayCards } from '../publishing/showViews'
import type { EditorChanges, Miniatures, Looking } from '../publishing/showViews'
import type { StartingLooks } from '../publishing/showViews'
import type { UndoIntake } from '../collection/undoIntakeJob'
import type { MoveReviews } from '../collection/moveReviewsJob'
import type { AnswerKind } from '../http/answerKind'
import type { Prepared } from '../http/prepared'
import type { ArrivalToWeigh, WeighedArrival } from '../moderation/weighedArrival'
import type { ImportOutcome } from '../proof/orderImport'

/** Inputs and outputs are copied between threads: plain values and bytes. */
export interface Tasks {
  importOrders: { input: { job: number; shopId: number }; output: ImportOutcome }
  weighArrival: { input: ArrivalToWeigh; output: WeighedArrival }
  forgetArrival: { input: { shopId: number; id: string }; output: void }
  undoIntake: { input: UndoIntake & { shopId: number }; output: void }
  moveReviews: { input: MoveReviews & { shopId: number }; output: void }
  publishStale: { input: { shopId: number; latestAsked: string[] }; output: void }
  makeVariant: { input: { key: string; kind: AnswerKind; asked: Asked }; output: Prepared | null }
  readOrigin: {
    input: {
      origin: string
      matching: SheetMatching | null
      question: OriginQuestion
      answer: OriginAnswer
    }
    output: ReadReply
  }
  takeInFound: { input: { shopId: number; intake: string; candidates: Candidate[] }; output: void }
  readVideo: {
    input: { file: string }
    output: { kind: 'mp4' | 'webm'; seconds: number } | { refused: VideoRefusal }
  }
  displayCards: { input: { shop: Shop; asked: { words: string; page: number } }; output: DisplayCards }
  editorView: { input: { shop: Shop; key: string; looking: Looking }; output: EditorChanges | null }
  miniatures: { input: { shop: Shop; key: string; asked: { product?: string } }; output: Miniatures | null }
  looksToStartFrom: { input: { shop: Shop }; output: StartingLooks }
  readPage: { input: { html: string; url: string }; output: Page }
  readStyles: { input: { styles: string[] }; output: Declaration[] }
  stillPage: { input: { html: string; url: string }; output: string }
  backUp: { input: { dataFolder: string; at: string }; output: boolean }
  rememberShops: { input: { shopIds: number[] }; output: void }
}
export type TaskName = keyof Tasks

export interface TaskOptions {
  /** Ends the task after its current transaction. */
  signal?: AbortSignal
  progress?: (done: number, total: number | null) => void
}

/** A task reached its deadline (`threads.ts`), or took more memory than its thread may have. */
export class TaskExhausted extends Error {
  constructor(
    name: TaskName,
    readonly of: 'time' | 'memory',
    cause: unknown,
  ) {
    super(`${name} took too much ${of}`, { cause })
  }
}

export interface Workers {
  run: <N extends TaskName>(
    name: N,
    input: Tasks[N]['input'],
    options?: TaskOptions,
  ) => Promise<Tasks[N]['output']>
  close: () => Promise<void>
}
