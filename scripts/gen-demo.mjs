// The demo as data: what a first visit finds in place, worked out here once and not in every browser.
import { writeFileSync } from 'node:fs';
import { runnerImport } from 'vite';

const { module: demo } = await runnerImport('./demo/index.ts');
const { module: rows } = await runnerImport('./app/storage/rows.ts');
const jobs = demo.demoJobs().toSorted((a, b) => (a.changed < b.changed ? -1 : 1));
const shop = demo.demoShop();
const made = jobs.map((doc, i) => rows.rowOf(doc.id, doc, { state: 'good', doc }, i + 1, rows.lineOf(doc, shop, 1)));
writeFileSync('public/demo.json', `${JSON.stringify({ shop, jobs, rows: made })}\n`);
