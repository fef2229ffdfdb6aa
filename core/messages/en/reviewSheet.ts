import { writerLabels } from './writer'

/** The headings and words of a downloaded spreadsheet of reviews. */
export const reviewSheetWords = {
  sheet: {
    state: 'State',
    rating: 'Rating',
    title: 'Headline',
    body: 'Review',
    author_name: 'Name',
    ...writerLabels,
    author_email: 'Email',
    product: 'Product',
    written_at: 'Written',
    received_at: 'Arrived',
    source: 'Source',
    language: 'Language',
    bought: 'Bought here',
    tags: 'Tags',
    photos: 'Photos and videos',
    reply: 'Reply',
    note: 'Note',
    consent: 'May be shown',
    yes: 'yes',
    no: 'no',
  },
} as const
