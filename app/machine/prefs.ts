import { useSyncExternalStore } from 'react';
import { CHART_TURNS, type ChartTurn } from '../../core/sheet/chart.ts';
import { PAPERS, type Paper } from '../../core/sheet/paper.ts';

/** What a person at this screen likes: kept by the browser, no part of the record. */
export interface Prefs {
  /** One press for each motion, instead of one for the pass. */
  readonly led: boolean;
  /** Each new reading is spoken. */
  readonly spoken: boolean;
  /** Comparator chart: how large, which way up; what 50 mm measure on this screen and 100 mm on this printer's paper, mm. */
  readonly chartScale: number;
  readonly chartTurn: ChartTurn;
  readonly screen50Mm: number;
  readonly paperAlongMm: number;
  readonly paperDownMm: number;
  /** What lies in the printer. */
  readonly paper: Paper;
}
const KEY = 'gelvin-at-the-machine';
const FIRST: Prefs = {
  led: false,
  spoken: false,
  chartScale: 20,
  chartTurn: 'upright',
  screen50Mm: 50,
  paperAlongMm: 100,
  paperDownMm: 100,
  paper: /^(en-US|en-CA|fr-CA|es-MX)/.test(globalThis.navigator?.language ?? '') ? 'letter' : 'a4',
};
const positive = (x: unknown, first: number): number => (typeof x === 'number' && x > 0 && x < 1000 ? x : first);

const listeners = new Set<() => void>();
let now: Prefs = read();

function read(): Prefs {
  try {
    const kept = JSON.parse(globalThis.localStorage?.getItem(KEY) ?? '{}') as Partial<Prefs>;
    return {
      led: kept.led === true,
      spoken: kept.spoken === true,
      chartScale: positive(kept.chartScale, FIRST.chartScale),
      chartTurn: CHART_TURNS.find((t) => t === kept.chartTurn) ?? FIRST.chartTurn,
      screen50Mm: positive(kept.screen50Mm, FIRST.screen50Mm),
      paperAlongMm: positive(kept.paperAlongMm, FIRST.paperAlongMm),
      paperDownMm: positive(kept.paperDownMm, FIRST.paperDownMm),
      paper: kept.paper !== undefined && kept.paper in PAPERS ? kept.paper : FIRST.paper,
    };
  } catch {
    return FIRST;
  }
}
export function setPrefs(change: Partial<Prefs>): void {
  now = { ...now, ...change };
  try {
    globalThis.localStorage?.setItem(KEY, JSON.stringify(now));
  } catch {
    // the browser keeps none: then it lasts as long as the page
  }
  for (const f of listeners) f();
}
const listen = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => void listeners.delete(f);
};
export const usePrefs = (): Prefs => useSyncExternalStore(listen, () => now);
