import { capital } from '../capital.ts';
import type { PassRows } from '../../core/job/passRows.ts';
import { measurePlan } from '../../core/job/measure.ts';
import type { Job, Shop } from '../../core/job/schema.ts';
import { gearSettingOf } from '../../core/job/gearSetting.ts';
import { metalOf } from '../../core/job/metal.ts';
import { pitchProof } from '../../core/job/pitchProof.ts';
import { threadOfJob } from '../../core/job/derive.ts';
import { FINE, lengthText } from '../../core/quantity/format.ts';
import type { UnitSystem } from '../../core/quantity/units.ts';
import type { PassCardWords } from '../../core/sheet/passCard.ts';
import { gearsText, turnsCounted, unitName } from '../machine.ts';
import { pitchLines } from '../pitch.ts';
import { LAY_NAMES } from '../try.ts';

/** What is seen to before the first pass: what is up, and the pitch that it cuts. */
function before(job: Job, shop: Shop, u: UnitSystem): (readonly [string, string])[] {
  const gears = gearSettingOf(job, shop);
  const pitch = pitchProof(job, shop, metalOf(job));
  return [
    ...(gears ? [['train', gearsText(gears)] as const] : []),
    ...(pitch ? [['pitch', pitchLines(pitch, u).what] as const] : []),
  ];
}

/** Turns as they are counted from zero; drawn back past it, so many short. */
const turnsShown = (d: Parameters<typeof turnsCounted>[0]): string => {
  const { n, short } = turnsCounted(d);
  return short ? `\u2212${n}` : String(n);
};

/** Everything that is said on the pass card. @param motions of one pass on this lathe @param u the unit of its dials */
export function passCardWords(
  job: Job,
  shop: Shop,
  p: PassRows,
  motions: readonly { readonly word: string; readonly text: string }[],
  u: UnitSystem,
): PassCardWords {
  const len = (mm: number): string => lengthText(mm, u, { ...FINE, bare: true });
  const first = p.rows.find((r) => r.setting !== null)?.setting;
  const plan = measurePlan(job, shop);
  const last = p.rows.at(-1)?.n ?? 0;
  const starts = threadOfJob(job)?.starts ?? 1;
  const surface =
    p.surfaceMm === null
      ? 'Counted from the bottom of the old groove.'
      : p.measured
        ? `Counted from ${lengthText(p.surfaceMm, u, FINE)}, as measured.`
        : `Counted from ${lengthText(p.surfaceMm, u, FINE)}, which nobody has measured yet: of another size, print again.`;
  return {
    motions: [...before(job, shop, u), ...motions.map((m) => [m.word, m.text] as const)],
    heads: [
      'pass',
      'turns',
      `${first?.slide === 'top' ? 'top slide' : first?.slide === 'control' ? 'X' : 'cross slide'}, ${unitName(first?.unit ?? u)}${first?.reads === 'diameter' ? ' dia.' : ''}`,
      `takes, ${u}`,
      `deep, ${u}`,
      'done',
    ],
    rows: p.rows.map((r) => ({
      pass: r.spring ? 'spr.' : String(r.n),
      turns: r.setting && r.setting.slide !== 'control' ? turnsShown(r.setting) : '',
      collar: r.setting ? r.setting.shown : r.done ? 'cut' : '',
      takes: len(r.takesMm),
      deep: len(r.depthMm),
      done: r.done,
    })),
    after: {
      title: `After ${last}: measure`,
      said: `${surface}${starts > 1 ? ` Start ${p.start} of ${starts}: each to the same depth.` : ''}`,
      places: ['top', 'middle', 'end'],
    },
    wanted: {
      title: plan?.limitsMm
        ? `Wanted: ${len(plan.limitsMm.min)} to ${len(plan.limitsMm.max)} ${u}`
        : plan
          ? `Wanted: ${len(plan.targetMm)} ${u}`
          : 'Wanted: its mate, free, without shake',
      said: plan
        ? `${capital(LAY_NAMES[plan.by])} of ${lengthText(plan.wireMm, u, FINE)}.`
        : 'No size is given to measure to.',
      springs: p.springs,
      springsSaid: p.springs === 1 ? 'spring pass' : 'spring passes',
    },
  };
}
