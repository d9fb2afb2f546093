import { spacersOf } from '../core/gearing/steps.ts';
import type { Fitting, PlacedGear } from '../core/gearing/mount.ts';

const COUNT = ['', 'one', 'two', 'three', 'four'] as const;

/**
 * The order of fitting, in words, with the isolation and mesh cautions in their place.
 * @param spacer what a spacer is like, such as " of 14 mm"; empty when the gears' width is not known
 */
export function fittingSteps(mount: Fitting, spacer: string): string[] {
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
  const steps = [
    'Isolate at the plug. Wipe and oil the studs.',
    `Fit the ${first.teeth} on the spindle stud, ${where(0, first.plane)}.`,
  ];
  for (let s = 1; s < last; s += 1) {
    const gears = on(s);
    const [back, front] = gears.toSorted((a, b) => a.plane - b.plane);
    const stud = last === 2 ? 'the stud' : `stud ${s}`;
    if (back && front)
      steps.push(
        `Key the ${back.teeth} and the ${front.teeth} together on ${stud}: the ${back.teeth} behind, the ${front.teeth} in front.`,
      );
    else if (back) steps.push(`Fit the ${back.teeth} as idler on ${stud}, ${where(s, back.plane)}.`);
  }
  steps.push(`Fit the ${end.teeth} on the leadscrew, ${where(last, end.plane)}.`);
  if (last === 1) steps.push('The two mesh straight: the arm stays out of the way.');
  else {
    steps.push(
      `Mesh from the leadscrew back: slide ${last === 2 ? 'the stud' : `the ${COUNT[last - 1] ?? last - 1} studs in turn`} until ${meshWords(mount, last)}.`,
      `Swing the arm to about ${lean}, until the ${on(1).find((g) => g.plane === first.plane)?.teeth ?? ''} meshes with the ${first.teeth}; clamp it.`,
    );
  }
  steps.push(
    'A strip of paper in each mesh while tightening (0.1 to 0.2 mm backlash, common practice).',
    'Turn by hand through a whole round of the largest gear and feel for tight spots. Cover back on before power.',
  );
  return steps;
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
