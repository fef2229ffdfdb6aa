import type { Knex } from 'knex'
import type { Writers } from '../../core/intake/writers'
import { countRows } from './countRows'

export interface Form {
  id: number
  shopId: number
  publicId: string
  slug: string
  heading: string
  intro: string
  open: boolean
  writers: Writers
}

const columns = [
  'id',
  { shopId: 'shop_id' },
  { publicId: 'public_id' },
  'slug',
  'heading',
  'intro',
  'open',
  'writers',
] as const
type FormRow = Omit<Form, 'open'> & { open: 0 | 1 }
const read = (row: FormRow): Form => ({ ...row, open: row.open === 1 })

/** Slugs are unique in the installation, so a slug identifies its shop. */
export async function findFormBySlug(db: Knex, slug: string): Promise<Form | null> {
  const row: FormRow | undefined = await db('form')
    .where({ slug })
    .first(...columns)
  return row ? read(row) : null
}

/** Null if the review came another way. */
export async function formOfReview(db: Knex, shopId: number, reviewId: number): Promise<Form | null> {
  const formId = db('review').where({ shop_id: shopId, id: reviewId }).select('form_id')
  const row: FormRow | undefined = await db('form')
    .whereIn('id', formId)
    .first(...columns)
  return row ? read(row) : null
}

export async function formsOfShop(db: Knex, shopId: number): Promise<Form[]> {
  const rows: FormRow[] = await db('form')
    .where({ shop_id: shopId })
    .orderBy('id')
    .select(...columns)
  return rows.map(read)
}

export async function arrivalsOfForm(
  db: Knex,
  shopId: number,
  formId: number,
  since: string,
): Promise<number> {
  return countRows(db('review').where({ shop_id: shopId, form_id: formId }).where('received_at', '>=', since))
}

export async function insertForm(
  trx: Knex,
  form: Pick<Form, 'shopId' | 'publicId' | 'slug' | 'heading' | 'intro' | 'writers'>,
): Promise<void> {
  const { shopId, publicId, slug, heading, intro, writers } = form
  await trx('form').insert({
    shop_id: shopId,
    public_id: publicId,
    slug,
    heading,
    intro,
    writers,
    open: true,
  })
}

export async function updateWriters(
  db: Knex,
  shopId: number,
  publicId: string,
  writers: Writers,
): Promise<boolean> {
  return (await db('form').where({ shop_id: shopId, public_id: publicId }).update({ writers })) > 0
}

export async function isFormSlugTaken(db: Knex, slug: string): Promise<boolean> {
  return (await db('form').where({ slug }).first('id')) !== undefined
}
