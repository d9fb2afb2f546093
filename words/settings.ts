import type { MachineSetting, SettingCode } from '../core/job/settings.ts';
import { lengthText } from '../core/quantity/format.ts';
import { gearsText, unitName } from './machine.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

interface Words {
  /** What the number belongs to, or what is seen to. */
  readonly what: string;
  /** The act in one sentence. */
  readonly how: string;
  /** What is said when it is so. */
  readonly done: string;
}
const WORDS: Readonly<Record<SettingCode, Words>> = {
  true: {
    what: 'The work runs true',
    how: 'Indicate it; centre or steady in place.',
    done: 'It runs true',
  },
  gears: {
    what: 'Train',
    how: 'On the arm with a paper\u2019s play at each mesh, levers and tumbler as it says, the cover back on.',
    done: 'It is up',
  },
  ground: {
    what: 'Ground to',
    how: 'Tool ground to the form, side relief for the lead angle; try it in the setting gauge.',
    done: 'Ground so',
  },
  height: { what: 'On centre height', how: 'Set the tip to the height of the centre.', done: 'On centre' },
  slide: { what: 'Swing the top slide to', how: 'Read its own scale, clamp it, and read again.', done: 'Set so' },
  square: {
    what: 'Square to the work',
    how: 'Tool square with the setting gauge against the work.',
    done: 'It is square',
  },
  relief: {
    what: 'Room to stop',
    how: 'Relief groove cut, or a stop set.',
    done: 'The room is there',
  },
  speed: { what: 'Spindle speed', how: 'Set the speed; run it once without cutting.', done: 'Speed set' },
  clear: {
    what: 'Clear of jaws and centre',
    how: 'Tool clears jaws and centre over the whole travel; chuck key out.',
    done: 'It clears',
  },
  zero: {
    what: 'Both dials at zero',
    how: 'Both dials at zero with the tool just touching.',
    done: 'Dials at zero',
  },
  told: {
    what: 'The control knows the part',
    how: 'Z 0 at the face of the part; X told at the surface as measured.',
    done: 'It knows',
  },
};
export const settingWords = (code: SettingCode): Words => WORDS[code];

/** A scale is set to a quarter of a degree at the finest; what is a half is not said finer. */
export const scaleText = (deg: number): string => {
  const quarter = Math.round(deg * 4) / 4;
  return `${quarter.toFixed(Number.isInteger(quarter * 2) ? 1 : 2)}\u00b0`;
};

/** The number of a setting and its unit; null where there is none. */
export function settingFigure(
  s: MachineSetting,
  u: UnitSystem,
): { readonly figure: string; readonly unit: string } | null {
  if (s.value === null) return null;
  if ('gears' in s.value) return { figure: gearsText(s.value.gears), unit: '' };
  if ('deg' in s.value) return { figure: scaleText(s.value.deg), unit: '' };
  if ('rpm' in s.value) return { figure: String(Math.round(s.value.rpm)), unit: 'rev/min' };
  return { figure: lengthText(s.value.mm, u, { bare: true }), unit: unitName(u) };
}
