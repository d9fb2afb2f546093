/** @jest-environment ./app/testing/environment.mjs */
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { zonesOf, type Zone } from '../../core/job/zones.ts';
import { fitOfJob } from '../../core/job/derive.ts';
import { HAND_STEP_IN, HAND_STEP_MM } from '../../core/quantity/format.ts';
import { MM_PER_INCH } from '../../core/quantity/units.ts';
import { named } from '../testing/bench.ts';
import { known } from '../testing/known.ts';
import { ZonesPlate } from './ZonesPlate.tsx';

afterEach(cleanup);

const { job } = named('M30x2').do({ do: 'setFit', class: '6g' });
const plan = known(fitOfJob(job));
const zones = zonesOf(job, known(job.name).thread, plan);
const pitch = known(zones.find((z) => z.diameter === 'pitch'));

/** The plate with what it said of the aims. */
function plate(system: 'mm' | 'in', on: readonly Zone[] = zones) {
  const said: [string, number][] = [];
  render(
    <ZonesPlate
      zones={on}
      make="external"
      system={system}
      aimed={['major', 'pitch']}
      right={0}
      onAim={(d, mm) => said.push([d, mm])}
    />,
  );
  return said;
}
const handle = (name = /pitch diameter/) => screen.getByRole('slider', { name });

describe('an aim on the plate', () => {
  test('two are dragged and the third follows: it has no handle', () => {
    plate('mm');
    expect(screen.getAllByRole('slider')).toHaveLength(2);
  });
  test.each([
    ['mm', HAND_STEP_MM / 2],
    ['in', (HAND_STEP_IN * MM_PER_INCH) / 2],
  ] as const)('an arrow moves it by half of what a hand sets in %s, a page by ten of those', (system, step) => {
    const said = plate(system);
    fireEvent.keyDown(handle(), { key: 'ArrowRight' });
    fireEvent.keyDown(handle(), { key: 'ArrowLeft' });
    fireEvent.keyDown(handle(), { key: 'PageUp' });
    fireEvent.keyDown(handle(), { key: 'x' });
    expect(said.map(([d]) => d)).toEqual(['pitch', 'pitch', 'pitch']);
    const moved = said.map(([, mm]) => mm - pitch.aimMm);
    for (const [i, by] of [step, -step, 10 * step].entries()) expect(known(moved[i])).toBeCloseTo(by, 4);
  });
  test('it stays within its class, ISO 965-1: 28.493 to 28.663', () => {
    const at = (aimMm: number) => zones.map((z) => (z.diameter === 'pitch' ? { ...z, aimMm } : z));
    const high = plate('mm', at(28.66));
    fireEvent.keyDown(handle(), { key: 'PageUp' });
    expect(high).toEqual([['pitch', 28.663]]);
    cleanup();
    const low = plate('mm', at(28.5));
    fireEvent.keyDown(handle(), { key: 'PageDown' });
    expect(low).toEqual([['pitch', 28.493]]);
    expect(handle().getAttribute('aria-valuemin')).toBe('28.493');
    expect(handle().getAttribute('aria-valuemax')).toBe('28.663');
  });
  test('what was held and let go of where it was, or taken away, aims at nothing new', () => {
    const said = plate('mm');
    const g = handle();
    Object.assign(g, { setPointerCapture: () => undefined });
    fireEvent.pointerDown(g);
    fireEvent.pointerUp(g);
    fireEvent.pointerDown(g);
    fireEvent.pointerCancel(g);
    fireEvent.pointerUp(g);
    expect(said).toEqual([]);
  });
  test('the plate says every aim to who does not see it', () => {
    plate('mm');
    expect(screen.getByRole('group', { name: /pitch diameter: aim 28\.578/ })).toBeTruthy();
  });
});
