import { readFileSync } from 'node:fs'
import type { ReviewStory } from '../story'
import { readLetters } from '../letters'
import { clubAnswers } from './clubAnswers'
import { photosBy } from './photos'
import { reviews } from './reviews'

const languages = ['english', 'german', 'french', 'spanish', 'italian', 'told'] as const
const letters = languages.flatMap((language) =>
  readLetters(readFileSync(new URL(`letters/${language}.txt`, import.meta.url), 'utf8')),
)

/** Days between an order and its review. */
const DAYS_BEFORE = 24

/** One order for each letter, numbered by day like the shop's others. */
export const letterOrders = letters
  .filter(({ order }) => order === 'own')
  .map((letter, i) => ({ letter, placed: letter.came + DAYS_BEFORE, number: `WB-${7000 + i * 3}` }))

export const allReviews: ReviewStory[] = [
  ...reviews.map((review) => ({ ...review, photos: photosBy[review.name] })),
  ...letters.map((letter) => ({
    ...letter,
    ...(letter.name in clubAnswers && { through: { form: 'clubs', answers: clubAnswers[letter.name]! } }),
    order: letterOrders.find((own) => own.letter === letter)?.number ?? letter.order,
  })),
]
