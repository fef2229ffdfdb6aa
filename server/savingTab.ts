/** The browser tab that saves a draft, and the draft that it knows. */
export interface SavingTab {
  tab: string
  /** When that draft was saved; null overwrites any. */
  base: string | null
}

export type DraftSaved =
  | { outcome: 'saved'; savedAt: string }
  | { outcome: 'changedElsewhere'; savedAt: string }

/** Whether another tab has saved a draft since this tab read it. */
export const isChangedElsewhere = (
  { tab, base }: SavingTab,
  stored: { savedAt: string; tab: string },
): boolean => base !== null && base !== stored.savedAt && tab !== stored.tab
