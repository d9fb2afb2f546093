/** @jest-environment ./app/testing/environment.mjs */
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import type { ReactElement } from 'react';
import { aheadOf } from '../../core/job/ahead.ts';
import { blankSheet } from '../../core/job/blankSheet.ts';
import { chartOfJob } from '../../core/job/chartOfJob.ts';
import { fitOfJob } from '../../core/job/derive.ts';
import { holdingOf } from '../../core/job/holdingView.ts';
import { lessonOf } from '../../core/job/lesson.ts';
import { mistakeOf, type Mistake } from '../../core/job/mistakes.ts';
import type { Job } from '../../core/job/schema.ts';
import { setupOf } from '../../core/job/setupView.ts';
import { toolViewOf } from '../../core/job/toolView.ts';
import { motionOf } from '../../core/motion/motion.ts';
import { judgeRun } from '../../core/pickup/judge.ts';
import { halfNutsRound, shutAt } from '../../core/practice/halfNuts.ts';
import { slipRound } from '../../core/practice/slip.ts';
import { toolOf } from '../../core/cutting/plan.ts';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { BLANK_NAMES, blankFigureText } from '../../words/blank.ts';
import { known } from '../testing/known.ts';
import { threadNamed } from '../testing/printed.ts';
import { BendPlate } from './BendPlate.tsx';
import { BlankPlate } from './BlankPlate.tsx';
import { ChartPlate, CSS_PX_PER_MM } from './ChartPlate.tsx';
import { ChaserDial } from './ChaserDial.tsx';
import { DialLeverPlate } from './DialLeverPlate.tsx';
import { DropPlate } from './DropPlate.tsx';
import { EyePlate } from './EyePlate.tsx';
import { GripBar } from './GripPlate.tsx';
import { GroovesPlate } from './GroovesPlate.tsx';
import { LessonsPlot } from './LessonsPlot.tsx';
import { MistakePlate } from './MistakePlate.tsx';
import { PathPlate } from './PathPlate.tsx';
import { RivalsPlate } from './RivalsPlate.tsx';
import { RunPlate } from './RunPlate.tsx';
import { ScratchPlate } from './ScratchPlate.tsx';
import { SizeBandPlate } from './SizeBandPlate.tsx';
import { SlackPlate } from './SlackPlate.tsx';
import { SlideDial } from './SlideDial.tsx';
import { StopPlate } from './StopPlate.tsx';
import { ToolPlate } from './ToolPlate.tsx';

afterEach(cleanup);

const SHOP = demoShop();
const JOBS = demoJobs();
const demo = (id: string): Job => known(JOBS.find((j) => j.id === `demo-${id}`));
const bess = known(SHOP.lathes[0]);

/** The drawing, whose words and places are all something. */
function drawn(plate: ReactElement): { readonly svg: Element; readonly words: readonly string[] } {
  const { container } = render(plate);
  const svg = known(container.querySelector('svg'));
  expect(known(svg.getAttribute('aria-label') ?? svg.getAttribute('aria-hidden'))).not.toBe('');
  for (const el of [svg, ...svg.querySelectorAll('*')])
    for (const name of el.getAttributeNames())
      expect([el.tagName, name, el.getAttribute(name)]).not.toEqual([
        el.tagName,
        name,
        expect.stringMatching(/NaN|undefined|Infinity/),
      ]);
  const words = [...svg.querySelectorAll('text')].map((t) => (t.textContent ?? '').trim());
  for (const w of words) expect(w).not.toMatch(/NaN|undefined|Infinity|\[object/);
  return { svg, words };
}
/** Where a text stands, px. */
const placeOf = (svg: Element, text: string | RegExp): { readonly x: number; readonly y: number } => {
  const el = known([...svg.querySelectorAll('text')].find((t) => (t.textContent ?? '').trim().match(text)));
  return { x: Number(el.getAttribute('x')), y: Number(el.getAttribute('y')) };
};
/** Corners of a path of absolute lines, px. */
const corners = (d: string): { readonly x: number; readonly y: number }[] =>
  [...d.matchAll(/[ML] ?(-?[\d.]+)[ ,](-?[\d.]+)/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));

const LABEL = (svg: Element): string => svg.getAttribute('aria-label') ?? '';

describe('to scale', () => {
  test('a chart: a millimetre of the part is so many of the screen, and the pitch between two crests is the pitch', () => {
    const chart = known(chartOfJob(demo('pump')));
    const { svg } = drawn(<ChartPlate chart={chart} scale={20} turn="upright" pxPerMm={CSS_PX_PER_MM} unit="mm" />);
    // the form as it is aimed at, and its band
    const lines = [...svg.querySelectorAll('path')]
      .map((p) => corners(p.getAttribute('d') ?? ''))
      .filter((p) => p.length > 20);
    const tall = lines.map((line) => {
      const ys = line.map((p) => p.y);
      return (Math.max(...ys) - Math.min(...ys)) / CSS_PX_PER_MM / 20;
    });
    // 17 H / 24 of 2 mm; and its band, which half of the tolerance of 0.170 mm widens
    const height = (17 / 24) * Math.sqrt(3);
    expect(Math.min(...tall)).toBeCloseTo(height, 2);
    expect(Math.max(...tall)).toBeCloseTo(height + 0.085, 2);
  });
  test('the tool: its flat and its flanks stand in the drawing as they are to be ground', () => {
    const view = toolViewOf(demo('pump'));
    if (!view?.ok) throw new Error('no tool');
    const { svg, words } = drawn(<ToolPlate view={view.value} internal={false} system="mm" />);
    const outline = corners(known(svg.querySelector('path[fill="url(#steel)"]')?.getAttribute('d')));
    const [a, b] = [known(outline[0]), known(outline[12])];
    const [c, d] = [known(outline[13]), known(outline[25])];
    const angle = (p: typeof a, q: typeof a): number =>
      (Math.atan(Math.abs(q.x - p.x) / Math.abs(q.y - p.y)) * 180) / Math.PI;
    expect(angle(a, b) + angle(c, d)).toBeCloseTo(60, 1);
    expect(words).toContain('The tool, from above');
  });
  test('the old groove and its start at a control: whole leads apart', () => {
    const thread = threadNamed('M30x2');
    const plan = known(aheadOf(demo('pump'), SHOP));
    if (!plan.ok) throw new Error(plan.problem.code);
    const { svg, words } = drawn(
      <DropPlate
        tool={toolOf(plan.value.request)}
        leftHand={thread.leftHand}
        internal={false}
        depthMm={1.2}
        pitchMm={2}
        leadMm={2}
        grooveMm={-7}
        startMm={5}
        leads={6}
        unit="mm"
      />,
    );
    expect(LABEL(svg)).toMatch(/Z .*7.*start at Z .*5.*6 whole leads/);
    expect(words).toContain('6 whole leads');
    // minus is towards the headstock, at the left
    const [at, start] = [placeOf(svg, /^.7\.00/), placeOf(svg, /^\+5\.00/)];
    expect(at.x).toBeLessThan(start.x);
    const arcs = known(
      [...svg.querySelectorAll('path')].map((p) => p.getAttribute('d') ?? '').find((d) => d.includes('q')),
    );
    expect([...arcs.matchAll(/q/g)]).toHaveLength(6);
    const step = Number(known(/q[\d.-]+ [\d.-]+ (-?[\d.]+)/.exec(arcs))[1]);
    expect(6 * step).toBeCloseTo(start.x - at.x, 0);
  });
  test('places judged in the air: the higher the more towards the headstock, and the line through them falls on its ends', () => {
    const places = [
      { alongMm: 10, offMm: 0.1, sigmaMm: 0.02 },
      { alongMm: 40, offMm: 0.2, sigmaMm: 0.02 },
      { alongMm: 70, offMm: 0.3, sigmaMm: 0.02 },
    ];
    const { svg, words } = drawn(
      <RunPlate places={places} judged={judgeRun(places)} lengthMm={80} pitchMm={2} unit="mm" />,
    );
    const dots = [...svg.querySelectorAll('g')].flatMap((g) =>
      g.querySelector('circle') ? [known(g.querySelector('circle'))] : [],
    );
    const at = dots.map((c) => [Number(c.getAttribute('cx')), Number(c.getAttribute('cy'))] as const);
    expect(at).toHaveLength(3);
    // the free end is at the right
    expect(at.map(([x]) => x)).toEqual(at.map(([x]) => x).toSorted((a, b) => b - a));
    expect(at.map(([, y]) => y)).toEqual(at.map(([, y]) => y).toSorted((a, b) => b - a));
    for (const said of ['0.100', '0.200', '0.300'])
      expect(words.some((w) => w.startsWith(said.slice(0, 4)))).toBe(true);
    expect(LABEL(svg)).toMatch(/Run along in the air: .*10.*40.*70/);
  });
  test('no place judged yet is said', () => {
    const { svg } = drawn(<RunPlate places={[]} judged={null} lengthMm={null} pitchMm={2} unit="in" />);
    expect(LABEL(svg)).toBe('Run along in the air: no place judged yet');
  });
  test('what is right on one scale: its ends in their order, and what is aimed at between them', () => {
    const band = {
      right: { min: 28.493, max: 28.663 },
      aimMm: 28.578,
      believed: { value: 28.61, uncertainty: 0.02 },
      gauges: [
        { which: 'go', mm: 28.663, said: null },
        { which: 'not-go', mm: 28.493, said: null },
      ],
    };
    const { svg } = drawn(<SizeBandPlate band={band as never} unit="mm" />);
    expect(LABEL(svg)).toBe('Pitch diameter: right from 28.493 to 28.663, believed 28.610');
    const [low, high] = [placeOf(svg, /^28\.49/), placeOf(svg, /^28\.66/)];
    expect(high.y).toBeLessThan(low.y - 10);
    expect(placeOf(svg, 'not-go').y).toBeGreaterThan(placeOf(svg, /^go/).y);
  });
  test('the collar of a slide: a tenth of it is struck with a number, once round', () => {
    const { svg, words } = drawn(<SlideDial dial={bess.crossSlide} name="Cross slide" />);
    expect(LABEL(svg)).toBe('Cross slide: 100 divisions of 0.001 in, 0.1 in a turn of travel');
    expect(words.filter((w) => /^\d+$/.test(w)).map(Number)).toEqual([0, 10, 20, 30, 40, 50, 60, 70, 80, 90]);
  });
  test('grip: a need beyond all that the chuck gives lies beyond its bracket', () => {
    const { svg } = drawn(<GripBar least={1000} most={3000} needs={4000} w={400} />);
    expect(LABEL(svg)).toMatch(/gives 1\.0 to 3\.0 kN, the hardest pass asks 4\.0 kN/);
    const [bracket, mark] = [...svg.querySelectorAll('rect')].map((r) => ({
      from: Number(r.getAttribute('x')),
      to: Number(r.getAttribute('x')) + Number(r.getAttribute('width')),
    }));
    expect(known(mark).from).toBeGreaterThan(known(bracket).to);
    expect(known(mark).to).toBeLessThan(400);
    // from 1 to 3 is twice as far as from 3 to 4
    const middle = (known(mark).from + known(mark).to) / 2;
    expect((known(bracket).to - known(bracket).from) / (middle - known(bracket).to)).toBeCloseTo(2, 6);
  });
});

describe('which side is which', () => {
  test.each([
    [false, 'towards the headstock'],
    [true, 'towards the tailstock'],
  ])('the nut bears on the flank that drives it: left hand %s', (leftHand, way) => {
    for (const kind of ['geared', 'control', 'electronic'] as const) {
      const { svg, words } = drawn(<SlackPlate kind={kind as never} leftHand={leftHand} slackMm={0.4} unit="mm" />);
      expect(LABEL(svg)).toContain(way);
      expect(words.some((w) => w.startsWith('0.40'))).toBe(true);
      cleanup();
    }
  });
  test('slack that nobody measured is not a figure', () => {
    const { words } = drawn(<SlackPlate kind={bess.kind} leftHand={false} slackMm={null} unit="mm" />);
    expect(words).toContain('not measured');
  });
  test('the groove is off towards the headstock: drawn at the left of the tool, dashed where the tool will stand', () => {
    const plan = known(aheadOf(demo('pump'), SHOP));
    if (!plan.ok) throw new Error(plan.problem.code);
    const tool = toolOf(plan.value.request);
    for (const [offsetMm, said] of [
      [0.6, /0\.60 mm towards the headstock/],
      [-0.6, /0\.60 mm towards the tailstock/],
      [null, /not read yet/],
    ] as const) {
      const { svg } = drawn(
        <GroovesPlate
          tool={tool}
          pitchMm={2}
          leftHand={false}
          internal={false}
          offsetMm={offsetMm}
          move={
            offsetMm === null
              ? null
              : { way: 'parallel', axialMm: offsetMm, travel: null, comeBack: false, stands: null, outMm: 0 }
          }
          depthMm={1.2}
        />,
      );
      expect(LABEL(svg)).toMatch(said);
      const tools = [...svg.querySelectorAll('path')].filter((p) => p.getAttribute('fill') === 'url(#steel)');
      const dashed = [...svg.querySelectorAll('path')].filter((p) => p.getAttribute('stroke-dasharray') === '8 6');
      expect(dashed).toHaveLength(offsetMm === null ? 0 : 1);
      const middle = (p: Element): number => {
        const xs = corners(p.getAttribute('d') ?? '').map((q) => q.x);
        return (Math.min(...xs) + Math.max(...xs)) / 2;
      };
      if (offsetMm !== null)
        expect(Math.sign(middle(known(tools[0])) - middle(known(dashed[0])))).toBe(Math.sign(offsetMm));
      cleanup();
    }
  });
  test.each([
    ['outside', false],
    ['in a bore', true],
  ])('where the tool may go, %s', (_, internal) => {
    const { end } = known(setupOf(demo('sluice'), SHOP));
    const { svg, words } = drawn(
      <StopPlate
        end={known(end)}
        internal={internal}
        leftHand={false}
        roomMm={12}
        lengthMm={40}
        leadMm={2}
        freeMm={80}
        centre
        diameterMm={30}
        depthMm={1.2}
        system="mm"
        big="1.5 s"
        enough
      />,
    );
    expect(LABEL(svg)).toMatch(/thread 40.*room to stop 12.*1\.5 s/);
    expect(words).toContain('1.5 s');
    expect(words[0]).toContain('headstock');
  });
  test('what has not been said is said to be missing, not drawn as if it were known', () => {
    const { end } = known(setupOf(demo('sluice'), SHOP));
    const { svg } = drawn(
      <StopPlate
        end={{ ...known(end), end: 'groove' }}
        internal={false}
        leftHand={false}
        roomMm={null}
        lengthMm={null}
        leadMm={2}
        freeMm={null}
        centre={false}
        diameterMm={30}
        depthMm={1.2}
        system="in"
        big="?"
        enough={false}
      />,
    );
    expect(LABEL(svg)).toMatch(/length of thread not said, room to stop not said/);
    expect(svg.querySelector('path[stroke-dasharray="8 6"]')).not.toBeNull();
  });
  test('a chasing dial fills the marks that may be used and no other', () => {
    const filled = (safe: readonly number[]): (string | undefined)[] => {
      const { svg } = drawn(<ChaserDial marks={8} safe={safe} />);
      const marks = [...svg.querySelectorAll('g')].filter(
        (g) => g.querySelector('circle')?.getAttribute('fill') !== 'none',
      );
      cleanup();
      return marks.map((g) => g.textContent ?? undefined);
    };
    expect(filled([0, 2, 4, 6])).toEqual(['1', '3', '5', '7']);
    expect(filled([])).toEqual([]);
  });
  test('shut on a wrong mark, the groove that would be cut lies beside the one that is there by what the arithmetic says', () => {
    const round = known(halfNutsRound(1, 1, bess, '7/2'));
    const open = drawn(<DialLeverPlate r={round} passed={0.5} shut={null} would={null} />);
    expect(LABEL(open.svg)).toMatch(/half-nuts open/);
    expect(open.svg.querySelector('path[stroke="var(--straw)"]')).toBeNull();
    cleanup();
    for (const passed of [0.5, 1.5, 2.5, 6.5]) {
      const shut = shutAt(round, passed);
      const { svg, words } = drawn(<DialLeverPlate r={round} passed={passed} shut={shut} would={null} />);
      expect(LABEL(svg)).toMatch(/half-nuts shut/);
      expect(words).toContain(shut.right ? 'in its groove' : 'a second groove');
      cleanup();
    }
  });
});

describe('all that the demo shop has to draw', () => {
  test.each(['mm', 'in'] as const)('blanks and tools, %s', (system) => {
    let count = 0;
    for (const job of JOBS) {
      const sheet = blankSheet(job, SHOP);
      if (sheet) {
        const { svg } = drawn(<BlankPlate sheet={sheet} system={system} />);
        for (const f of sheet.figures)
          expect(LABEL(svg)).toContain(`${BLANK_NAMES[f.code]} ${blankFigureText(f, system).figure}`);
        count += 1;
        cleanup();
      }
      const tool = toolViewOf(job);
      if (tool?.ok) {
        drawn(<ToolPlate view={tool.value} internal={job.intake.make === 'internal'} system={system} />);
        count += 1;
        cleanup();
      }
    }
    expect(count).toBeGreaterThan(8);
  });
  test('how big the work comes out: the curve of each way of holding it, and the figure that is allowed', () => {
    let count = 0;
    for (const job of JOBS) {
      const view = holdingOf(job, SHOP);
      const [now] = view?.answers ?? [];
      if (!view || !now || job.intake.make === 'internal') continue;
      const { svg } = drawn(
        <BendPlate
          atMm={view.atMm}
          freeMm={known(job.setup.held.freeMm)}
          diameterMm={known(fitOfJob(job)).startDiameterMm}
          by={known(job.setup.held.by)}
          rest={job.setup.held.rest}
          steadyAtMm={job.setup.held.steadyAtMm}
          now={now}
          best={view.best}
          allowedMm={view.allowedMm}
          system="mm"
        />,
      );
      expect(LABEL(svg)).toMatch(/^How big it comes out along its length: as held \d/);
      count += 1;
      cleanup();
    }
    expect(count).toBeGreaterThan(0);
  });
  test('mistakes at the machine: dashed as meant, solid as it comes out', () => {
    const job = demo('pump');
    const view = toolViewOf(job);
    if (!view?.ok) throw new Error('no tool');
    const mistakes: readonly (readonly [Mistake, number])[] = [
      [{ kind: 'square', byDeg: 1 }, 1],
      [{ kind: 'height', byMm: 0.5 }, 0.5],
      [{ kind: 'slide', setDeg: 25 }, 25],
    ];
    for (const [made, by] of mistakes) {
      const { svg } = drawn(
        <MistakePlate
          tool={view.value.tool}
          leftHand={false}
          depthMm={view.value.depthMm}
          radiusMm={15}
          mistake={known(mistakeOf(job, made))}
          by={by}
        />,
      );
      expect(svg.querySelectorAll('path').length).toBeGreaterThan(1);
      cleanup();
    }
  });
  test('two that are left over what was read: each has its own line and name', () => {
    const { svg, words } = drawn(
      <RivalsPlate
        threads={[threadNamed('M16'), threadNamed('5/8-12 BSW')]}
        side="external"
        lines={[]}
        residuals={[]}
        system="mm"
      />,
    );
    expect(LABEL(svg)).toMatch(/^M16 over .*BSW, with the diameters read/);
    expect(words).toContain('M16');
    expect(svg.querySelectorAll('[stroke-dasharray="9 5"]').length).toBeGreaterThan(0);
  });
  test('a scratch of Spot the slip: its label says what ten pitches span, and the card is shown', () => {
    for (const seed of [1, 2, 3]) {
      const r = slipRound(seed, 1);
      for (const shown of [false, true]) {
        const { svg, words } = drawn(<ScratchPlate r={r} shown={shown} unit="mm" />);
        expect(LABEL(svg)).toContain(r.card.thread);
        expect(words.some((w) => w.includes(`${r.card.drivers[0]}/${r.card.driven[0]}`))).toBe(true);
        cleanup();
      }
    }
  });
  test('the strip to be touched: a mark for every twentieth of the pitch', () => {
    const view = toolViewOf(demo('pump'));
    if (!view?.ok) throw new Error('no tool');
    const { svg } = drawn(
      <EyePlate
        tool={view.value.tool}
        pitchMm={2}
        leftHand={false}
        internal={false}
        depthMm={1.2}
        at={0.25}
        onAt={() => undefined}
        label="Where the point stands"
      />,
    );
    const marks = [...svg.querySelectorAll('path')].filter((p) => /v-?\d+$/.test(p.getAttribute('d') ?? ''));
    expect(marks.length).toBeGreaterThanOrEqual(21);
  });
  test('the travel of a program: every pass drawn, in either unit', () => {
    const m = motionOf({
      member: 'external',
      hand: 'right',
      leadMm: 2,
      starts: 1,
      taper: 0,
      surfaceMm: 30,
      threadMm: 40,
      reliefMm: 6,
      startLeads: 3,
      grooveMm: null,
      clearanceMm: 1,
      boreClearMm: null,
      passes: [0.4, 0.7, 0.9].map((depthMm) => ({ depthMm, axialMm: 0 })),
      rpm: 200,
    });
    if (!m.ok) throw new Error(m.problem.code);
    for (const unit of ['mm', 'in'] as const) {
      const { svg } = drawn(<PathPlate motion={m.value} surfaceMm={30} threadMm={40} internal={false} unit={unit} />);
      expect(svg.querySelectorAll('path, line').length).toBeGreaterThan(3);
      cleanup();
    }
  });
  test('what was learned from finished jobs: a dot for each', () => {
    const lessons = JOBS.flatMap((j) => lessonOf(j) ?? []);
    expect(lessons.length).toBeGreaterThan(0);
    render(<LessonsPlot lessons={lessons} unit="in" />);
    const [plot] = screen.getAllByRole('img');
    expect(known(plot).querySelectorAll('circle').length).toBeGreaterThanOrEqual(lessons.length);
  });
});
