import type { Knex } from 'knex'
import { designSchema, type FormDesign } from '../../core/form/design'
import type { Writers } from '../../core/intake/writers'
import { countRows } from './countRows'

export type FormState = 'draft' | 'open' | 'closed'

export interface Form {
  id: number
  shopId: number
  publicId: string
  slug: string
  /** Only members see it; empty for a form that nobody named. */
  name: string
  state: FormState
  writers: Writers
  /** The number of the published version; 0 if there is none. */
  version: number
  /** As published; for a form that never was, its draft. */
  design: FormDesign
  draft: FormDesign
}

const columns = {
  id: 'form.id',
  shopId: 'form.shop_id',
  publicId: 'form.public_id',
  slug: 'form.slug',
  name: 'form.name',
  state: 'form.state',
  writers: 'form.writers',
  version: 'form.version',
  design: 'form_version.design',
  draft: 'form.draft',
}
type FormRow = Omit<Form, 'design' | 'draft'> & { design: string | null; draft: string }

const readDesign = (stored: string): FormDesign => designSchema.parse(JSON.parse(stored))

const read = (row: FormRow): Form => ({
  ...row,
  design: readDesign(row.design ?? row.draft),
  draft: readDesign(row.draft),
})

const published = (db: Knex) =>
  db('form').leftJoin('form_version', (join) =>
    join.on('form_version.form_id', 'form.id').andOn('form_version.number', 'form.version'),
  )
const forms = (db: Knex) => published(db).whereNull('form.removed_at')

async function first(query: Knex.QueryBuilder): Promise<Form | null> {
  const row = (await query.first(columns)) as FormRow | undefined
  return row ? read(row) : null
}

/** By its address, or one that it had. Slugs are unique in the installation, so a slug identifies its shop. */
export function findFormBySlug(db: Knex, slug: string): Promise<Form | null> {
  return first(forms(db).whereIn('form.id', db('form_slug').where({ slug }).select('form_id')))
}

export function findForm(db: Knex, shopId: number, publicId: string): Promise<Form | null> {
  return first(forms(db).where({ 'form.shop_id': shopId, 'form.public_id': publicId }))
}

/** Null if the review came another way. */
export async function formOfReview(db: Knex, shopId: number, reviewId: number): Promise<Form | null> {
  const formId = db('review').where({ shop_id: shopId, id: reviewId }).select('form_id')
  return first(forms(db).whereIn('form.id', formId))
}

export async function formsOfShop(db: Knex, shopId: number): Promise<Form[]> {
  const rows = (await forms(db)
    .where({ 'form.shop_id': shopId })
    .orderBy('form.id')
    .select(columns)) as FormRow[]
  return rows.map(read)
}

/** An earlier version of a form's design; null if there is none with this number. */
export async function designOfVersion(
  db: Knex,
  { id, shopId }: Pick<Form, 'id' | 'shopId'>,
  number: number,
): Promise<FormDesign | null> {
  const row = await db('form_version')
    .where({ shop_id: shopId, form_id: id, number })
    .first<{ design: string } | undefined>('design')
  return row ? readDesign(row.design) : null
}

export async function arrivalsOfForm(
  db: Knex,
  shopId: number,
  formId: number,
  since: string,
): Promise<number> {
  return countRows(db('review').where({ shop_id: shopId, form_id: formId }).where('received_at', '>=', since))
}

/** Inserts a form; an open one with its first version. */
export async function insertForm(
  trx: Knex,
  form: Pick<Form, 'shopId' | 'publicId' | 'slug' | 'writers' | 'design'> &
    Partial<Pick<Form, 'name' | 'state'>> & { now: string },
): Promise<number> {
  const { shopId, publicId, slug, writers, design, name = '', state = 'open', now } = form
  const [id] = await trx('form').insert({
    shop_id: shopId,
    public_id: publicId,
    slug,
    name,
    state,
    writers,
    version: 0,
    draft: JSON.stringify(design),
  })
  await trx('form_slug').insert({ slug, form_id: id })
  if (state !== 'draft') await insertFormVersion(trx, { id: id!, shopId, version: 0 }, design, now)
  return id!
}

/** Publishes a design as the next version. */
export async function insertFormVersion(
  trx: Knex,
  { id, shopId, version }: Pick<Form, 'id' | 'shopId' | 'version'>,
  design: FormDesign,
  now: string,
): Promise<void> {
  await trx('form_version').insert({
    shop_id: shopId,
    form_id: id,
    number: version + 1,
    design: JSON.stringify(design),
    published_at: now,
  })
  await trx('form')
    .where({ shop_id: shopId, id })
    .update({ version: version + 1 })
}

/** Changes what is not in the design. Returns false if the shop has no such form. */
export async function updateForm(
  db: Knex,
  shopId: number,
  publicId: string,
  changes: Partial<Pick<Form, 'name' | 'state' | 'writers' | 'draft'>>,
): Promise<boolean> {
  const { draft, ...plain } = changes
  return (
    (await db('form')
      .where({ shop_id: shopId, public_id: publicId, removed_at: null })
      .update({ ...plain, ...(draft && { draft: JSON.stringify(draft) }) })) > 0
  )
}

/** Its earlier addresses go on working. */
export async function moveForm(trx: Knex, shopId: number, formId: number, slug: string): Promise<void> {
  await trx('form_slug').insert({ slug, form_id: formId }).onConflict('slug').ignore()
  await trx('form').where({ shop_id: shopId, id: formId }).update({ slug })
}

/** Its reviews stay. */
export async function removeForm(
  db: Knex,
  shopId: number,
  publicId: string,
  now: string | null,
): Promise<boolean> {
  return (await db('form').where({ shop_id: shopId, public_id: publicId }).update({ removed_at: now })) > 0
}

/** @param except a form that may have it */
export async function isFormSlugTaken(db: Knex, slug: string, except = 0): Promise<boolean> {
  return (await db('form_slug').where({ slug }).whereNot({ form_id: except }).first('slug')) !== undefined
}

/** The questions of a shop's forms by id: how they are worded now, and whether answers may be shown. */
export async function questionsOfShop(
  db: Knex,
  shopId: number,
): Promise<Record<string, { label: string; isPublic: boolean }>> {
  // Of removed forms too, since their reviews stay.
  const rows = (await published(db).where({ 'form.shop_id': shopId }).select(columns)) as FormRow[]
  const all = rows.flatMap((row) => read(row).design.questions)
  return Object.fromEntries(
    all.map(({ id, label, public: isPublic }) => [id, { label: label.trim(), isPublic }]),
  )
}
