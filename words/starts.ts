import type { StartMove, StartMoves } from '../core/job/startMoves.ts';
import { FINE, lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** A way of coming to the next start: its name, its one number, and how it is done. */
export function startMoveText(
  m: StartMove,
  u: UnitSystem,
): { readonly name: string; readonly figure: string; readonly unit: string; readonly how: string } {
  switch (m.way) {
    case 'top-slide': {
      const turns =
        m.dial.turns === 0 ? '' : `${m.dial.turns === 1 ? 'a full turn' : `${m.dial.turns} full turns`}, then `;
      return {
        name: 'Top slide, along the bed',
        figure: m.dial.shown,
        unit: u === 'mm' ? 'mm' : 'in',
        how: m.can
          ? m.travelMm === 0
            ? 'Back past its zero, and forward again to it, so that its slack is taken up.'
            : `From the first start: ${turns}to ${m.dial.shown}, always forward, so that its slack is taken up; ${lengthText(m.travelMm, u, FINE)} in all.`
          : 'The top slide does not lie along the bed now: it cannot.',
      };
    }
    case 'gear':
      return {
        name: 'Teeth of the first gear',
        figure: String(m.teeth),
        unit: 'teeth',
        how: `Chalk a tooth of the ${m.of} and its gap, bring it out of mesh, turn the spindle so that ${m.teeth} teeth pass, and mesh again: the spindle is turned, not the leadscrew, and one way only. Isolate at the plug.`,
      };
    case 'half-nuts':
      return {
        name: 'Half-nuts elsewhere',
        figure: String(m.marks ?? m.threads),
        unit:
          m.marks === null
            ? m.threads === 1
              ? 'thread of the leadscrew'
              : 'threads of the leadscrew'
            : m.marks === 1
              ? 'mark'
              : 'marks',
        how: `Shut the half-nuts ${m.threads === 1 ? 'one thread' : `${m.threads} threads`} of the leadscrew further on, counted from where they shut for the start before.`,
      };
    case 'degrees':
      return {
        name: 'Spindle, by degrees',
        figure: String(Number(m.deg.toFixed(2))),
        unit: '\u00b0',
        how: 'Turn the work so far against a carrier in a slotted faceplate, with the spindle and the gears standing still.',
      };
    case 'told':
      return {
        name: 'Start angle at the control',
        figure: String(Number(m.deg.toFixed(2))),
        unit: '\u00b0',
        how: `Or begin ${lengthText(m.alongMm, u, FINE)} further from the work, counted from the first start.`,
      };
  }
}

/** How one sees that the starts are right before they are deep. */
export const startsCheckText = (s: StartMoves): string =>
  `Scratch all ${s.starts} first and look at the crests: all spacings alike. A mate entered on each start must feel alike, and wires read alike on each.`;
/** The two schools of cutting several starts. */
export const STARTS_SCHOOLS =
  'Here each start is cut to depth before the next: fewest indexings, but the last finds thin walls. All starts at each depth, the other school, shows an error early; lock the index each time.';
