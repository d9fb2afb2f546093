const STEPS: Readonly<Partial<Record<string, number>>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 10,
  PageDown: -10,
};

/** How many steps a key moves what is dragged; undefined: it moves nothing. */
export const stepsOfKey = (key: string): number | undefined => STEPS[key];
