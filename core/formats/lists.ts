import { trainText } from '../gearing/trainText.ts';
import { numberOf, exact } from '../quantity/rational.ts';
import type { Job, Shop } from '../job/schema.ts';

/** A list as a spreadsheet takes it: SI throughout, one row a thing; texts as they were typed. */
export interface SheetList {
  readonly name: 'readings' | 'passes' | 'trains';
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number | null)[])[];
}

/**
 * Everything read, every pass that was cut and every train, over all jobs and lathes.
 * @example listsOf(shop, [demo('pump')]).map((l) => [l.name, l.rows.length]) // [['readings', 4], ['passes', 0], ['trains', 2]]
 */
export function listsOf(shop: Shop, jobs: readonly Job[]): readonly SheetList[] {
  const lathe = (id: string | null): string => shop.lathes.find((l) => l.id === id)?.name ?? '';
  return [
    {
      name: 'readings',
      columns: [
        'job',
        'customer',
        'quantity',
        'taken on',
        'as typed',
        'value',
        'standard uncertainty',
        'over (mm)',
        'from the end (mm)',
        'metal',
        'place',
        'picture',
        'taken at',
      ],
      rows: jobs.flatMap((j) =>
        j.readings.map((r) => [
          j.title,
          j.customer,
          r.quantity,
          r.member,
          r.text,
          r.value,
          r.uncertainty,
          r.span?.mm ?? null,
          r.positionMm,
          r.wear,
          r.place,
          r.picture ?? null,
          r.at,
        ]),
      ),
    },
    {
      name: 'passes',
      columns: [
        'job',
        'lathe',
        'part',
        'start',
        'event',
        'what',
        'depth (mm)',
        'cross slide (mm)',
        'top slide (mm)',
        'at',
      ],
      rows: jobs.flatMap((j) =>
        j.events.flatMap((e) =>
          e.kind === 'cut'
            ? [[j.title, lathe(j.gears.lathe), e.part, e.start, e.n, 'cut', e.depthMm, e.crossMm, e.topMm, e.at]]
            : e.kind === 'sprung'
              ? [[j.title, lathe(j.gears.lathe), e.part, e.start, e.n, 'spring', e.depthMm, null, null, e.at]]
              : [],
        ),
      ),
    },
    {
      name: 'trains',
      columns: ['lathe', 'job', 'train', 'gearbox', 'lead (mm)', 'what', 'at'],
      rows: [
        ...jobs.flatMap((j) =>
          j.gears.train
            ? [
                [
                  lathe(j.gears.lathe),
                  j.title,
                  trainText(j.gears.train),
                  j.gears.train.gearbox,
                  null,
                  'chosen',
                  j.changed,
                ],
              ]
            : [],
        ),
        ...shop.lathes.flatMap((l) =>
          l.proven.map((p) => [
            l.name,
            p.job,
            trainText(p.train),
            p.train.gearbox,
            numberOf(exact(p.leadMm)),
            'proven',
            p.at,
          ]),
        ),
      ],
    },
  ];
}
