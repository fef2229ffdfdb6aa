/** Who wrote through the form for clubs and companies, and what they answered there. */
export const clubAnswers: Record<string, Record<string, string | string[]>> = {
  'Leopold Ames': {
    answer_clubhives: 'up to 10',
    answer_clubneeds: ['Feed', 'Courses'],
    answer_clubeasy: '5',
    answer_clubbetter: 'A list for the whole lane, so that each can order a candle more.',
  },
  'Arthur Penrose': { answer_clubhives: '11 to 50', answer_clubneeds: ['Hives'], answer_clubeasy: '4' },
  'Perpetua Lane': {
    answer_clubhives: '11 to 50',
    answer_clubneeds: ['Hives', 'Suits'],
    answer_clubeasy: '5',
  },
  'Cuthbert Shaw': {
    answer_clubhives: 'more',
    answer_clubneeds: ['Hives', 'Feed'],
    answer_clubeasy: '4',
    answer_clubbetter: 'Two delivery days to choose from, because somebody has to be in the hall.',
  },
  'Verity Combe': { answer_clubhives: 'up to 10', answer_clubneeds: ['Feed'], answer_clubeasy: '3' },
  'Barnabas Cole': { answer_clubhives: 'more', answer_clubneeds: ['Suits', 'Courses'], answer_clubeasy: '2' },
}
