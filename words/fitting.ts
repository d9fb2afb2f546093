import { lastStudMm, spacersOf, type Fitting, type PlacedGear } from '../core/gearing/mounting/index.ts';
import { lengthText } from '../core/quantity/format.ts';
import { unitName } from './machine.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

const COUNT = ['', 'one', 'two', 'three', 'four'] as const;

/**
 * The order of fitting, in words, with the isolation and mesh cautions in their place.
 * @param spacer what a spacer is like, such as " of 14 mm"; empty when the gears' width is not known
 */
export const fittingSteps = (mount: Fitting, spacer: string): string[] =>
  fittingActs(mount, spacer, 'mm').map((a) => a.text);

/** One act of fitting: its sentence, the number it is about with what that is, the shafts it touches. */
export interface FittingAct {
  readonly text: string;
  readonly what: string;
  /** Teeth, or a distance; null where the act has no number. */
  readonly figure: string | null;
  readonly unit: string;
  readonly shafts: readonly number[];
  readonly done: string;
}

/** "Levers: cone 1, range B". */
export const leversText = (levers: string): string => `Levers: ${levers}`;
/** The gearbox set for the train, as the last act of putting it up; none where the lathe has no levers. */
export const leverActs = (levers: string | null): FittingAct[] =>
  levers === null
    ? []
    : [
        {
          text: `Set the levers of the gearbox: ${levers}. The same train at other levers cuts another pitch.`,
          what: leversText(levers),
          figure: null,
          unit: '',
          shafts: [],
          done: 'Levers set',
        },
      ];

/** The order of fitting, act by act. @param u the unit in which distances are said */
export function fittingActs(mount: Fitting, spacer: string, u: UnitSystem): FittingAct[] {
  const last = mount.gears.at(-1)?.shaft ?? 1;
  const spacers = spacersOf(mount);
  const where = (shaft: number, plane: 1 | 2): string => {
    const name = plane === 1 ? 'back plane' : 'front plane';
    const empty = spacers.find((s) => s.shaft === shaft);
    return empty ? `${name}; a spacer${spacer} ${empty.plane === 1 ? 'behind it' : 'in front of it'}` : name;
  };
  const on = (shaft: number): PlacedGear[] => mount.gears.filter((g) => g.shaft === shaft);
  const [first] = on(0);
  const [end] = on(last);
  if (!first || !end) return [];
  const lean = `${Math.abs(mount.armDeg).toFixed(0)}\u00b0 ${mount.armDeg >= 0 ? 'down' : 'up'} from the line of centres`;
  const plainAct = (what: string, text: string, done: string, shafts: readonly number[] = []): FittingAct => ({
    text,
    what,
    figure: null,
    unit: '',
    shafts,
    done,
  });
  const gear = (teeth: number, what: string, text: string, shaft: number): FittingAct => ({
    text,
    what,
    figure: String(teeth),
    unit: 'teeth',
    shafts: [shaft],
    done: `The ${teeth} is on`,
  });
  const acts = [
    plainAct('Isolate at the plug', 'Isolate at the plug. Wipe and oil the studs.', 'It is isolated'),
    gear(
      first.teeth,
      'On the spindle stud',
      `Fit the ${first.teeth} on the spindle stud, ${where(0, first.plane)}.`,
      0,
    ),
  ];
  for (let s = 1; s < last; s += 1) {
    const gears = on(s);
    const [back, front] = gears.toSorted((a, b) => a.plane - b.plane);
    const stud = last === 2 ? 'the stud' : `stud ${s}`;
    if (back && front)
      acts.push({
        text: `Key the ${back.teeth} and the ${front.teeth} together on ${stud}: the ${back.teeth} behind, the ${front.teeth} in front.`,
        what: `Together on ${stud}`,
        figure: `${back.teeth}+${front.teeth}`,
        unit: 'teeth',
        shafts: [s],
        done: `${back.teeth} and ${front.teeth} are on`,
      });
    else if (back)
      acts.push(
        gear(back.teeth, `Idler on ${stud}`, `Fit the ${back.teeth} as idler on ${stud}, ${where(s, back.plane)}.`, s),
      );
  }
  acts.push(
    gear(end.teeth, 'On the leadscrew', `Fit the ${end.teeth} on the leadscrew, ${where(last, end.plane)}.`, last),
  );
  if (last === 1)
    acts.push(plainAct('Mesh them', 'The two mesh straight: the arm stays out of the way.', 'They mesh', [0, 1]));
  else {
    const far = lastStudMm(mount);
    acts.push(
      {
        text: `Mesh from the leadscrew back: slide ${last === 2 ? 'the stud' : `the ${COUNT[last - 1] ?? last - 1} studs in turn`} until ${meshWords(mount, last)}.`,
        what: 'Stud in the slot, from the leadscrew',
        figure: far === null ? null : lengthText(far, u, { bare: true, stepMm: 0.5, stepIn: 0.02 }),
        unit: unitName(u),
        shafts: [last - 1, last],
        done: 'The stud is tight',
      },
      {
        text: `Swing the arm to about ${lean}, until the ${on(1).find((g) => g.plane === first.plane)?.teeth ?? ''} meshes with the ${first.teeth}; clamp it.`,
        what: `Arm ${mount.armDeg >= 0 ? 'down' : 'up'} to about`,
        figure: `${Math.abs(mount.armDeg).toFixed(0)}\u00b0`,
        unit: '',
        shafts: [0, 1],
        done: 'The arm is clamped',
      },
    );
  }
  acts.push(
    plainAct(
      'Paper in each mesh',
      'A strip of paper in each mesh while tightening (0.1 to 0.2 mm backlash, common practice).',
      'Backlash is right',
      Array.from({ length: last + 1 }, (_, i) => i),
    ),
    plainAct(
      'Turn by hand',
      'Turn by hand through a whole round of the largest gear and feel for tight spots. Cover back on before power.',
      'It is put up, cover on',
    ),
  );
  return acts;
}

/** The meshes on the arm itself, from the leadscrew back to the first stud. */
function meshWords(mount: Fitting, last: number): string {
  const words: string[] = [];
  for (let s = last; s > 1; s -= 1) {
    const to = mount.gears.find((g) => g.shaft === s && g.role !== 'driver');
    const from = mount.gears.find((g) => g.shaft === s - 1 && g.pair === to?.pair);
    if (to && from) words.push(`the ${from.teeth} meshes with the ${to.teeth}`);
  }
  return words.join(', then ');
}
