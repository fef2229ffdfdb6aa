import { draggingWords } from '../en/dragging'
import { sayOf } from './sayOf'

export const say = sayOf(draggingWords)
