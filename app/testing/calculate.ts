/** Works out the values that a line of working shows, as a reader with a calculator would. */
export function calculate(values: string): number {
  const sum = values
    .replaceAll('\u2212', '-')
    .replaceAll('\u00d7', '*')
    .replaceAll('\u03c0', 'Math.PI')
    .replace(/\b(tan|sin|cos) (-?[\d.]+)\u00b0/g, 'Math.$1(($2 * Math.PI) / 180)')
    .replace(/arctan\((.*)\)$/, '(180 / Math.PI) * Math.atan($1)')
    .replace(/^\|(.*)\|/, 'Math.abs($1)');
  if (!/^[\d\s.+\-*/()MathPIanbstcoi]+$/.test(sum)) throw new Error(`not a sum: ${values}`);
  // eslint-disable-next-line @typescript-eslint/no-implied-eval, @typescript-eslint/no-unsafe-call
  return new Function(`return ${sum}`)() as number;
}
