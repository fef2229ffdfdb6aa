import { reviewWords } from './en/review'

/** The name of a review's writer for members, in a row; some forms don't ask for one. */
export const writerName = (name: string): string => name.trim() || reviewWords.writer.none

/** The same within a sentence. */
export const writerInSentence = (name: string): string => name.trim() || reviewWords.writer.inSentence
