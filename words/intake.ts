import type { Job } from '../core/job/schema.ts';

type Intake = Job['intake'];

export const CAME_IN: Readonly<Record<Intake['cameIn'], string>> = {
  screw: 'Screw',
  nut: 'Nut',
  both: 'Both',
  'broken-shaft': 'Broken shaft',
};
export const WANTED: Readonly<Record<Intake['wanted'], string>> = {
  copy: 'Copy',
  mate: 'Its mate',
  extend: 'Extend the thread',
  recut: 'Recut',
  gauge: 'Gauge',
};
export const MADE: Readonly<Record<Intake['make'], string>> = { external: 'a screw', internal: 'a nut' };
export const ORIGINS: Readonly<Record<NonNullable<Intake['origin']> | 'unknown', string>> = {
  unknown: 'Not known',
  metric: 'A metric country',
  american: 'America',
  british: 'Britain',
};
export const USES: Readonly<Record<NonNullable<Intake['use']> | 'unknown', string>> = {
  unknown: 'Not known',
  fastener: 'Fastener',
  pipe: 'Pipe fitting',
  instrument: 'Instrument',
  'power-screw': 'Power screw',
  'machine-part': 'Machine part',
};
/** Duties under which codes of their own hold; kept in the record by these words. */
export const HAZARDS = [
  'carries people',
  'lifting gear',
  'pressure',
  'fuel gas',
  'vehicle steering or brakes',
  'firearm',
  'aircraft',
  'oilfield connection',
] as const;

const WHAT: Readonly<Record<Intake['wanted'], Readonly<Record<Intake['make'], readonly [one: string, many: string]>>>> =
  {
    copy: { external: ['screw', 'screws'], internal: ['nut', 'nuts'] },
    mate: { external: ['screw', 'screws'], internal: ['nut', 'nuts'] },
    extend: { external: ['longer thread', 'longer threads'], internal: ['deeper thread', 'deeper threads'] },
    recut: { external: ['screw recut', 'screws recut'], internal: ['nut recut', 'nuts recut'] },
    gauge: { external: ['plug gauge', 'plug gauges'], internal: ['ring gauge', 'ring gauges'] },
  };

/** What will have been made: "2 nuts and a test piece". */
export function toMakeText(intake: Pick<Intake, 'wanted' | 'make'>, { parts, testPiece }: Job['quantity']): string {
  const [one, many] = WHAT[intake.wanted][intake.make];
  return `${parts} ${parts === 1 ? one : many}${testPiece ? ' and a test piece' : ''}`;
}
