/** What the shop's decisions have taught about spam. */
export const learningWords = {
  learning: {
    title: 'What your decisions taught',
    why: 'When you mark a review as spam, Elogio learns from its words for your shop alone. When you approve one, it learns how your customers write. Declining teaches nothing about spam, and undoing a decision takes its lesson away. One person, or one text sent again and again, counts three times at most.',
    none: 'Nothing yet. Mark a review as spam, and the next one like it is held back.',
    spam: 'Marked as spam',
    honest: 'Approved',
    forget: 'Don’t learn from this',
    forgetSender: 'Don’t learn from this writer ({{count}})',
    forgetAll: 'Forget everything',
    earlier: 'The latest {{shown}} of {{count}} are shown.',
    away: 'Not learnt from',
    again: 'Learn from it again',
    allAgain: 'Learn from all of them again',
  },
} as const
