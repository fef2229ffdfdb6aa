import { z } from 'zod'

/* An import of orders as its job keeps it. */

/** A review that is a verified buyer's now and was not, or the other way round. */
export const proofChangeSchema = z.object({
  publicId: z.string(),
  authorName: z.string(),
  verified: z.boolean(),
  why: z.string(),
})
export type ProofChange = z.infer<typeof proofChangeSchema>

export const orderReportSchema = z.object({
  rows: z.number(),
  newOrders: z.number(),
  newLines: z.number(),
  changedLines: z.number(),
  newProducts: z.number(),
  problemCount: z.number(),
  problems: z.array(z.object({ row: z.number(), field: z.string(), reason: z.string() })),
  /** Reviews whose proof is another one than before. */
  changeCount: z.number(),
  changes: z.array(proofChangeSchema),
})
export type OrderReport = z.infer<typeof orderReportSchema>

/** What the job keeps of how far it has come; it is stored in the transaction that brings it further. */
export const orderImportSchema = z.object({
  upload: z.string(),
  /** The name of the file, for people. */
  name: z.string(),
  /** How many rows below the heading are done; null when all are. */
  row: z.number().nullable(),
  /** The inner id up to which proofs are checked again. */
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
