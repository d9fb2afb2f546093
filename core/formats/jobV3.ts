import { flanksRenamed } from './jobV10.ts';
import { calmPasses } from '../cutting/depths.ts';
import { passSchedule } from '../cutting/passes.ts';
import { fitPlan } from '../fit/fit.ts';
import { rootFlatMm } from '../form/sizes.ts';
import { pitchMmOf, type ThreadSpec } from '../standards/thread.ts';
import { isLoose, without, type Loose } from './loose.ts';

/**
 * From version 2, which counted passes, to version 3, which keeps what was done. The pass count becomes one cut event marked
 * as assumed, at the depth that so many passes have in the plan as stored; trials and readings over wires become events in
 * order of time. Nothing is agreed: Cut opens stopped, until the slide has been read.
 */
const part = (doc: Loose, key: string): Loose => (isLoose(doc[key]) ? doc[key] : {});
const list = (x: unknown): Loose[] => (Array.isArray(x) ? x.filter(isLoose) : []);
const num = (x: unknown): number | null => (typeof x === 'number' && Number.isFinite(x) ? x : null);
const str = (x: unknown, otherwise: string): string => (typeof x === 'string' ? x : otherwise);

const WAYS: Readonly<Record<string, string>> = {
  'parallel-slide': 'parallel',
  'angled-slide': 'angled',
  'turn-work': 'turn',
  'slip-gear': 'slip',
};
/** Stations whose facts have other names now: their settlement is compared by what both know. */
const RENAMED = ['setup', 'pickup', 'cut', 'prove', 'record'];

/** Depths of the passes as version 2 planned them; null where its plan cannot be made. */
function oldPasses(doc: Loose): { readonly depths: readonly number[]; readonly slideDeg: number | null } | null {
  const name = part(doc, 'name');
  const [fit, setup, cut, intake] = [part(doc, 'fit'), part(doc, 'setup'), part(doc, 'cut'), part(doc, 'intake')];
  if (!isLoose(name['thread'])) return null;
  try {
    const thread = flanksRenamed(name['thread']) as ThreadSpec;
    const flatMm = num(fit['tipFlatMm']);
    const plan = fitPlan(thread, {
      make: intake['make'] === 'internal' ? 'internal' : 'external',
      pitchClearanceMm: num(fit['pitchClearanceMm']) ?? 0,
      crestReliefMm: num(fit['crestReliefMm']) ?? 0,
      tip: flatMm === null ? null : { flatMm },
      class: typeof fit['class'] === 'string' ? fit['class'] : null,
      engagementMm: num(fit['engagementMm']),
    });
    const flat = flatMm ?? rootFlatMm(plan.form, pitchMmOf(thread));
    const slideDeg = setup['infeed'] === 'angled' ? num(setup['slideAngleDeg']) : null;
    const { leadingDeg, trailingDeg } = plan.form;
    const tool = { leadingDeg, trailingDeg, tip: { flatMm: flat } };
    const schedule = passSchedule({
      depthMm: plan.depthMm,
      passes: num(cut['passes']) ?? calmPasses(0, plan.depthMm, tool),
      rule: cut['rule'] === 'constant-depth' ? 'constant-depth' : 'constant-area',
      slideAngleDeg: slideDeg,
      firstMaxMm: num(cut['firstMaxMm']),
      lastMinMm: num(cut['lastMinMm']),
      tipFlatMm: flat,
      flanks: tool,
    });
    return schedule.ok ? { depths: schedule.value.map((p) => p.depthMm), slideDeg } : null;
  } catch {
    // a thread that cannot be worked out has no plan: the depth is then asked for from nothing
    return null;
  }
}

const PARTS = ['intake', 'fit', 'setup', 'cut', 'pickup', 'prove', 'record', 'settled'];

interface Timed {
  readonly at: string;
  readonly body: Loose;
}

function eventsOf(doc: Loose): Loose[] {
  const [fit, cut, pickup, prove] = [part(doc, 'fit'), part(doc, 'cut'), part(doc, 'pickup'), part(doc, 'prove')];
  const changed = str(doc['changed'], '1970-01-01T00:00:00.000Z');
  const created = str(doc['created'], changed);
  const timed: Timed[] = [];
  const ready = num(fit['readyMm']);
  if (ready !== null && ready > 0)
    timed.push({ at: created, body: { kind: 'blankMeasured', diameterMm: ready, text: `${ready} mm` } });
  // a reading that cannot be read is no reading of 0
  const offset = isLoose(pickup['offset']) ? pickup['offset'] : null;
  const offsetMm = num(offset?.['mm']);
  if (offset && offsetMm !== null)
    timed.push({ at: created, body: { kind: 'offsetRead', mm: offsetMm, text: str(offset['text'], '') } });
  const done = num(cut['done']) ?? 0;
  if (done > 0) {
    const old = oldPasses(doc);
    const passes = Math.min(done, old?.depths.length ?? done);
    const depthMm = old?.depths[passes - 1] ?? 0;
    const feed = part(doc, 'setup')['infeed'] === 'angled' ? 'flank' : 'plunge';
    const radians = ((old?.slideDeg ?? 0) * Math.PI) / 180;
    const at = list(cut['trials']).reduce(
      (earliest, t) => (str(t['at'], changed) < earliest ? str(t['at'], changed) : earliest),
      changed,
    );
    timed.push({
      at,
      body: {
        kind: 'cut',
        depthMm,
        axialMm: feed === 'flank' ? depthMm * Math.tan(radians) : 0,
        crossMm: feed === 'flank' ? 0 : depthMm,
        topMm: feed === 'flank' ? depthMm / Math.cos(radians) : 0,
        slideDeg: old?.slideDeg ?? null,
        infeed: feed,
        assumedPasses: passes,
      },
    });
    for (let i = passes; i < done; i += 1) timed.push({ at: changed, body: { kind: 'sprung', depthMm } });
  }
  for (const t of list(cut['trials']))
    timed.push({
      at: str(t['at'], changed),
      body: {
        kind: 'tried',
        mate: '',
        result: 'note',
        turns: null,
        shakeMm: null,
        note: str(t['note'], ''),
        place: '',
      },
    });
  const wire = isLoose(prove['wire']) ? prove['wire'] : null;
  for (const r of list(prove['readings'])) {
    const mm = num(r['mm']);
    if (mm !== null)
      timed.push({
        at: str(r['at'], changed),
        body: { kind: 'overWires', mm, text: str(r['text'], ''), wire, place: str(r['place'], '') },
      });
  }
  const record = part(doc, 'record');
  if (typeof record['verdict'] === 'string')
    timed.push({
      at: changed,
      body: record['verdict'] === 'scrapped' ? { kind: 'partScrapped', why: '' } : { kind: 'partFinished' },
    });
  // a stable sort: what has the same time stays in the order of the work
  return timed
    .toSorted((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
    .map(({ at, body }, i) => ({ ...body, n: i + 1, id: `v2-${i + 1}`, at, part: 1, start: 1 }));
}

/**
 * What was done becomes a ledger of events instead of a count of passes.
 * @example jobToV3({ version: 2 }) // { version: 2 }; parts that are missing are not made up here
 */
export function jobToV3(doc: Loose): Loose {
  // a part that is missing is not made up here: the check names it
  if (!PARTS.every((key) => isLoose(doc[key]))) return doc;
  const [fit, setup, cut, pickup, prove] = [
    part(doc, 'fit'),
    part(doc, 'setup'),
    part(doc, 'cut'),
    part(doc, 'pickup'),
    part(doc, 'prove'),
  ];
  const events = eventsOf(doc);
  const done = num(cut['done']) ?? 0;
  const passes = num(cut['passes']);
  const settled = part(doc, 'settled');
  const flat = num(fit['tipFlatMm']);
  return {
    ...doc,
    fit: {
      toMate: false,
      duty: null,
      gauge: { end: 'go', school: 'inside' },
      ...without(fit, 'tipFlatMm', 'readyMm'),
      tip: flat === null ? null : { flatMm: flat },
    },
    setup: {
      lengthMm: null,
      barMm: null,
      taperBy: null,
      ...setup,
      infeed: setup['infeed'] === 'angled' ? 'flank' : setup['infeed'],
    },
    pickup: { way: WAYS[str(pickup['method'], '')] ?? 'parallel', slipGear: null },
    cut: {
      stepMm: null,
      ...without(cut, 'done', 'trials', 'passes'),
      // the number was of all passes; those still to come are what is left of it
      passes: passes === null || passes <= done ? null : { count: passes - done, after: events.length },
    },
    prove: { wire: prove['wire'] ?? null },
    quantity: { parts: 1, testPiece: false },
    events,
    pictures: [],
    settled: Object.fromEntries(
      Object.entries(settled).map(([s, v]) => [s, RENAMED.includes(s) && isLoose(v) ? { ...v, older: true } : v]),
    ),
  };
}
