import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import Ajv from 'ajv';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { BackupSchema, JobSchema, ShopSchema } from '../job/schema.ts';
import { BACKUP_VERSION } from '../job/stations.ts';

const published = (name: string): Record<string, unknown> =>
  JSON.parse(readFileSync(new URL(`../../docs/schema/${name}.schema.json`, import.meta.url), 'utf8')) as Record<
    string,
    unknown
  >;

test('the schemas in docs are those that the files are checked by', () => {
  expect(published('job')).toEqual({
    $schema: 'http://json-schema.org/draft-07/schema#',
    ...(JSON.parse(JSON.stringify(JobSchema)) as object),
  });
  for (const [name, schema] of [
    ['shop', ShopSchema],
    ['backup', BackupSchema],
  ] as const)
    expect(published(name)).toMatchObject(JSON.parse(JSON.stringify(schema)) as object);
});

test('a stranger with a general validator takes the demo shop’s backup by them', () => {
  const ajv = new Ajv({
    schemas: [published('job'), published('shop')],
    strict: false,
    discriminator: true,
  });
  const backup = { format: 'gelvin-backup', version: BACKUP_VERSION, shop: demoShop(), jobs: demoJobs() };
  const valid = ajv.compile(published('backup'));
  expect([valid(JSON.parse(JSON.stringify(backup))), valid.errors]).toEqual([true, null]);
  expect(valid({ ...backup, version: 0 })).toBe(false);
});
