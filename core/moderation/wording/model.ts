import { base64Of, bytesOf } from '../../formats/base64'
import type { ReadWord } from '../reading'
import { sumOfWord, WEIGHTS, withFeatures } from './features'

export type Verdict = 'spam' | 'honest'

/** A model as it is stored: weights as bytes in base64. */
export interface WordingFile {
  name: string
  bias: number
  /** Multiplies each byte. */
  scale: number
  weights: string
}

/** What a shop has taught: corrections of single weights. */
export interface Taught {
  bias: number
  weights: Map<number, number>
}

/**
 * Logistic regression on words, pairs of words and pieces of words (Hosmer and Lemeshow, "Applied Logistic
 * Regression", 2000). The corrections of a shop are added to the shared weights.
 */
export class WordingModel {
  constructor(
    private readonly bias: number,
    /** Each times `unit`. */
    private readonly weights: Int8Array | Float32Array,
    private readonly unit: number,
    private readonly taught: Taught | null = null,
  ) {}

  /** The model without what a shop has taught; null if it has taught nothing. */
  get untaught(): WordingModel | null {
    return this.taught && new WordingModel(this.bias, this.weights, this.unit)
  }

  withTaught(taught: Taught): WordingModel {
    return new WordingModel(this.bias, this.weights, this.unit, taught)
  }

  /** The logarithm of the odds that a text is spam. */
  logOdds(words: ReadWord[]): number {
    const { weights, unit, taught } = this
    return withFeatures(words, (keys, values, scale) => {
      let sum = 0
      for (let i = 0; i < keys.length; i++) sum += weights[keys[i]!]! * values[i]!
      sum *= unit
      if (taught)
        for (let i = 0; i < keys.length; i++) sum += (taught.weights.get(keys[i]!) ?? 0) * values[i]!
      return this.bias + (taught?.bias ?? 0) + sum * scale
    })
  }

  /** The share of each word in the log-odds; the bias is nobody's. */
  ofWords(words: ReadWord[]): number[] {
    return withFeatures(words, (_keys, _values, scale) => {
      const shares = new Array<number>(words.length).fill(0)
      for (let i = 0; i < words.length; i++) {
        const { alone, pair } = sumOfWord(words[i]!, words[i + 1], this.weightOf)
        shares[i]! += (alone + pair / 2) * scale
        if (i + 1 < words.length) shares[i + 1]! += (pair / 2) * scale
      }
      return shares
    })
  }

  private readonly weightOf = (key: number): number =>
    this.weights[key]! * this.unit + (this.taught?.weights.get(key) ?? 0)
}

/** A model straight from its training. */
export const modelOf = ({ bias, weights }: { bias: number; weights: Float64Array }): WordingModel =>
  new WordingModel(bias, Float32Array.from(weights), 1)

export function readWording({ bias, scale, weights }: WordingFile): WordingModel {
  return new WordingModel(bias, new Int8Array(bytesOf(weights).buffer), scale)
}

/** @param weights as many as `WEIGHTS` */
export function writeWording(
  name: string,
  { bias, weights }: { bias: number; weights: Float64Array },
): WordingFile {
  if (weights.length !== WEIGHTS) throw new RangeError(`a model has ${WEIGHTS} weights`)
  const scale = weights.reduce((most, weight) => Math.max(most, Math.abs(weight)), 0) / 127 || 1
  return {
    name,
    bias: Number(bias.toFixed(4)),
    scale: Number(scale.toPrecision(6)),
    weights: base64Of(new Uint8Array(Int8Array.from(weights, (weight) => Math.round(weight / scale)).buffer)),
  }
}
