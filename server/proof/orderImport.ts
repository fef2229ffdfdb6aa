import { z } from 'zod'

/* The state of an import, stored with its job. */

/** A review that became verified, or no longer is. */
const proofChangeSchema = z.object({
  publicId: z.string(),
  authorName: z.string(),
  verified: z.boolean(),
  why: z.string(),
})
export type ProofChange = z.infer<typeof proofChangeSchema>

const orderReportSchema = z.object({
  rows: z.number(),
  newOrders: z.number(),
  newLines: z.number(),
  changedLines: z.number(),
  newProducts: z.number(),
  problemCount: z.number(),
  problems: z.array(z.object({ row: z.number(), field: z.string(), reason: z.string() })),
  /** Reviews whose verification changed. */
  changeCount: z.number(),
  changes: z.array(proofChangeSchema),
})
export type OrderReport = z.infer<typeof orderReportSchema>

/** The progress, stored in the transaction of the work. */
export const orderImportSchema = z.object({
  upload: z.string(),
  /** The displayed file name. */
  name: z.string(),
  /** The number of finished rows; null when all are. */
  row: z.number().nullable(),
  /** Verifications are checked again up to this review id. */
  review: z.number(),
  report: orderReportSchema,
})
export type OrderImport = z.infer<typeof orderImportSchema>

export const newOrderImport = (upload: string, name: string): OrderImport => ({
  upload,
  name,
  row: 0,
  review: 0,
  report: {
    rows: 0,
    newOrders: 0,
    newLines: 0,
    changedLines: 0,
    newProducts: 0,
    problemCount: 0,
    problems: [],
    changeCount: 0,
    changes: [],
  },
})

export type ImportOutcome = { outcome: 'taken'; report: OrderReport } | { outcome: 'unreadable'; why: string }
