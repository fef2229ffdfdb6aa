import type { Knex } from 'knex'
import * as start from './0001_start'
import * as writtenDown from './0002_written_down'
import * as setUp from './0003_set_up'
import * as everyDay from './0004_every_day'
import * as pictures from './0005_pictures'
import * as displays from './0006_displays'
import * as whomToBelieve from './0007_whom_to_believe'
import * as photos from './0008_photos'
import * as groups from './0009_groups'
import * as storageTrial from './0010_storage_trial'
import * as indexes from './0011_indexes'
import * as jobs from './0012_jobs'
import * as fingerprints from './0013_fingerprints'
import * as customerLanguage from './0014_customer_language'
import * as standardTerms from './0015_standard_terms'
import * as corrections from './0016_corrections'
import * as products from './0017_products'
import * as draftTab from './0018_draft_tab'
import * as publishable from './0019_publishable'
import * as intakes from './0020_intakes'
import * as rules from './0021_rules'
import * as arrivalDays from './0022_arrival_days'
import * as listings from './0023_listings'
import * as sheets from './0024_sheets'
import * as detection from './0025_detection'
import * as misfits from './0026_misfits'
import * as looks from './0027_looks'
import * as withPhoto from './0028_with_photo'
import * as formDesigns from './0029_form_designs'
import * as formCounts from './0030_form_counts'
import * as manyProducts from './0031_many_products'

export interface Named {
  name: string
  migration: Knex.Migration
}

const all: Named[] = [
  { name: '0001_start', migration: start },
  { name: '0002_written_down', migration: writtenDown },
  { name: '0003_set_up', migration: setUp },
  { name: '0004_every_day', migration: everyDay },
  { name: '0005_pictures', migration: pictures },
  { name: '0006_displays', migration: displays },
  { name: '0007_whom_to_believe', migration: whomToBelieve },
  { name: '0008_photos', migration: photos },
  { name: '0009_groups', migration: groups },
  { name: '0010_storage_trial', migration: storageTrial },
  { name: '0011_indexes', migration: indexes },
  { name: '0012_jobs', migration: jobs },
  { name: '0013_fingerprints', migration: fingerprints },
  { name: '0014_customer_language', migration: customerLanguage },
  { name: '0015_standard_terms', migration: standardTerms },
  { name: '0016_corrections', migration: corrections },
  { name: '0017_products', migration: products },
  { name: '0018_draft_tab', migration: draftTab },
  { name: '0019_publishable', migration: publishable },
  { name: '0020_intakes', migration: intakes },
  { name: '0021_rules', migration: rules },
  { name: '0022_arrival_days', migration: arrivalDays },
  { name: '0023_listings', migration: listings },
  { name: '0024_sheets', migration: sheets },
  { name: '0025_detection', migration: detection },
  { name: '0026_misfits', migration: misfits },
  { name: '0027_looks', migration: looks },
  { name: '0028_with_photo', migration: withPhoto },
  { name: '0029_form_designs', migration: formDesigns },
  { name: '0030_form_counts', migration: formCounts },
  { name: '0031_many_products', migration: manyProducts },
]

export const migrationNames = all.map(({ name }) => name)

/** Listed here, so that the source, the build and the tests find the same migrations. */
export const migrationSource: Knex.MigrationSource<Named> = {
  getMigrations: async () => all,
  getMigrationName: ({ name }) => name,
  getMigration: async ({ migration }) => migration,
}
