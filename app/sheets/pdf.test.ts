import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { getDocument, OPS, type PDFPageProxy } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { threadOfJob } from '../../core/job/derive.ts';
import { PAPERS, type Paper } from '../../core/sheet/paper.ts';
import { demoJobs, demoShop } from '../../demo/index.ts';
import { SHEETS, type SheetId } from '../../words/paper/frame.ts';
import { demo } from '../testing/bench.ts';
import { onPaper } from '../testing/paper.ts';
import { codeOf } from './code.ts';
import { pagesOn } from './papers.ts';
import { FACES, pdfOf, type DrawText, type Fonts } from './pdf.ts';

// What is written is opened again by another reader, and measured on what that one draws.
const fonts = Object.fromEntries(
  FACES.map((f) => [f, readFileSync(new URL(`generated/${f}.ttf`, import.meta.url)).toString('base64')]),
) as Fonts;
const noPicture: DrawText = () => {
  throw new Error('every letter of the demo is in the faces of the paper');
};
const POINT_MM = 25.4 / 72;
const MADE = new Date('2026-11-27T00:00:00Z');
const qr = codeOf('http://127.0.0.1:4173/jobs/demo-sluice');

async function read(id: string, ids: readonly SheetId[], paper: Paper) {
  const laid = pagesOn(ids, onPaper(demo(id)), paper, qr);
  const bytes = pdfOf(
    laid.flatMap((s) => s.pages),
    fonts,
    MADE,
    noPicture,
  );
  const doc = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const pages = await Promise.all(Array.from({ length: doc.numPages }, (_, i) => doc.getPage(i + 1)));
  return { laid, pages };
}
const textOf = async (page: PDFPageProxy): Promise<string> =>
  (await page.getTextContent()).items.map((i) => ('str' in i ? i.str : '')).join(' ');

type Matrix = readonly [number, number, number, number, number, number];
/** Ends of every path of a page, mm from the left lower corner, as the page's own operators move them. */
async function pathsOf(page: PDFPageProxy): Promise<number[][][]> {
  const { fnArray, argsArray } = await page.getOperatorList();
  let m: Matrix = [1, 0, 0, 1, 0, 0];
  const stack: Matrix[] = [];
  const paths: number[][][] = [];
  fnArray.forEach((f, i) => {
    const a = argsArray[i] as unknown[];
    if (f === OPS.save) stack.push(m);
    else if (f === OPS.restore) m = stack.pop() ?? m;
    else if (f === OPS.transform) {
      const [p, q, r, s, x, y] = a as unknown as Matrix;
      m = [
        m[0] * p + m[2] * q,
        m[1] * p + m[3] * q,
        m[0] * r + m[2] * s,
        m[1] * r + m[3] * s,
        m[0] * x + m[2] * y + m[4],
        m[1] * x + m[3] * y + m[5],
      ];
    } else if (f === OPS.constructPath) {
      // moveTo x y, then lineTo x y again and again; 0 moves, 1 draws a line
      const flat = [...((a[1] as { length: number }[])[0] as unknown as Float32Array)];
      const points: number[][] = [];
      for (let k = 0; k + 2 < flat.length && (flat[k] === 0 || flat[k] === 1); k += 3) {
        const [x = 0, y = 0] = [flat[k + 1], flat[k + 2]];
        points.push([(m[0] * x + m[2] * y + m[4]) * POINT_MM, (m[1] * x + m[3] * y + m[5]) * POINT_MM]);
      }
      paths.push(points);
    }
  });
  return paths;
}

test.each(['a4', 'letter'] as const)(
  'every sheet on %s: size of the page, its text, its rule 150 mm long',
  async (paper) => {
    const { laid, pages } = await read('demo-sluice', SHEETS, paper);
    expect(laid.map((s) => s.id)).toEqual(['traveller', 'gears', 'tool', 'passes', 'chart', 'proof', 'record']);
    const { w, h } = PAPERS[paper];
    const own = laid.flatMap((s, n) =>
      s.pages.map((_, i) => `sheet ${n + 1} of ${laid.length} \u00b7 page ${i + 1} of ${s.pages.length}`),
    );
    expect(pages).toHaveLength(own.length);
    for (const [i, page] of pages.entries()) {
      const [, , wide = 0, tall = 0] = page.view;
      expect(wide * POINT_MM).toBeCloseTo(w, 1);
      expect(tall * POINT_MM).toBeCloseTo(h, 1);
      const text = await textOf(page);
      for (const said of [
        'Sluice-gate spindle',
        '1 1/2 in x 3.5 TPI 29',
        'Bess, the long bed',
        '2026-11-09',
        own[i] ?? '',
      ])
        expect(text).toContain(said);
      const paths = await pathsOf(page);
      const lengths = paths
        .filter((p) => p.length === 2)
        .map(([a, b]) => Math.hypot((b?.[0] ?? 0) - (a?.[0] ?? 0), (b?.[1] ?? 0) - (a?.[1] ?? 0)));
      expect(lengths.filter((l) => Math.abs(l - 150) < 0.005)).toHaveLength(1);
      // nothing lies off the paper, where no printer draws
      for (const [x = 0, y = 0] of paths.flat()) {
        expect(x).toBeGreaterThan(12);
        expect(x).toBeLessThan(w - 12);
        expect(y).toBeGreaterThan(12);
        expect(y).toBeLessThan(h - 12);
      }
    }
  },
);

test('the notch of the tool sheet, measured on the page: as deep as the form, 3.863 mm, and as wide as the tip', async () => {
  const { pages } = await read('demo-sluice', ['tool'], 'letter');
  const [page] = pages;
  if (!page) throw new Error('no page');
  // of the two outlines of the tool the notch is the one in its sheet of metal: four corners more than the other
  const [notch = []] = (await pathsOf(page)).filter((p) => p.length === 54);
  const top = Math.max(...notch.map(([, y = 0]) => y));
  // 1 1/2 in x 3.5 TPI, 29 degrees: from the surface to the tip 3.8626 mm, its tip 2.559 wide
  const inner = notch.slice(1, -3);
  const bottom = Math.min(...inner.map(([, y = 0]) => y));
  expect(top - bottom).toBeCloseTo(3.8626, 2);
  const tip = inner.filter(([, y = 0]) => Math.abs(y - bottom) < 0.002).map(([x = 0]) => x);
  expect(Math.max(...tip) - Math.min(...tip)).toBeCloseTo(2.559, 2);
});

test('a name in letters that the faces lack is drawn as a picture, and is not lost', async () => {
  const b = demo('demo-sluice');
  const drawn: string[] = [];
  const job = { ...b.job, customer: '\u0421\u043b\u0435\u0441\u0430\u0440\u043d\u044f' };
  const [sheet] = pagesOn(['traveller'], onPaper({ job, shop: b.shop }), 'a4', null);
  const png =
    'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
  const bytes = pdfOf(sheet?.pages ?? [], fonts, MADE, (s) => {
    drawn.push(s.text);
    return { data: png, wide: 20, above: 3, tall: 4 };
  });
  expect(drawn).toEqual([job.customer]);
  const doc = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const { fnArray } = await (await doc.getPage(1)).getOperatorList();
  expect(fnArray.includes(OPS.paintImageXObject)).toBe(true);
});

test('every job of the demo: each sheet that can be drawn has something on every page, nothing over its caution', () => {
  const shop = demoShop();
  let pages = 0;
  for (const job of demoJobs()) {
    for (const { id, pages: laid } of pagesOn(SHEETS, onPaper({ job, shop }), 'letter', qr)) {
      for (const page of laid) {
        pages += 1;
        const texts = page.shapes.filter((s) => s.kind === 'text');
        // head and foot alone are about thirty shapes beside the code and the rule
        expect([job.id, id, texts.length > 16]).toEqual([job.id, id, true]);
        for (const t of texts)
          expect([id, t.text, t.at.x > 10 && t.at.x < page.widthMm - 10]).toEqual([id, t.text, true]);
      }
    }
    if (threadOfJob(job))
      expect(pagesOn(['tool', 'proof', 'record'], onPaper({ job, shop }), 'a4', qr).length).toBeGreaterThan(1);
  }
  expect(pages).toBeGreaterThan(40);
});
