/** What a key does: the one place where it is bound, and from which the list of keys is made. */
interface Binding {
  /**
   * Names such as "d", "?", "Ctrl+z", "Alt+ArrowDown"; any of them does it. Of a numbered act the keys stand for its choices, in
   * order.
   */
  readonly keys: readonly string[];
  readonly numbered?: true;
  readonly does: string;
  readonly where: string;
}

const EVERYWHERE = 'Everywhere';
const JOB = 'In a job';
const PICTURE = 'Read a picture';
const PRACTICE = 'Practice';
const digits = (n: number, before = ''): string[] => Array.from({ length: n }, (_, i) => `${before}${i + 1}`);

const BINDINGS = {
  showKeys: { keys: ['?'], does: 'Show this list', where: EVERYWHERE },
  undo: { keys: ['Ctrl+z'], does: 'Undo', where: EVERYWHERE },
  redo: { keys: ['Ctrl+y', 'Shift+Ctrl+z'], does: 'Redo', where: EVERYWHERE },
  nextRow: { keys: ['ArrowDown'], does: 'Next candidate, or train; Enter takes it', where: 'Name, Gears' },
  rowBefore: { keys: ['ArrowUp'], does: 'The one before', where: 'Name, Gears' },
  newJob: { keys: ['n'], does: 'New job', where: 'Jobs' },
  stationBefore: { keys: ['[', 'Alt+ArrowUp'], does: 'Previous station', where: JOB },
  nextStation: { keys: [']', 'Alt+ArrowDown'], does: 'Next station', where: JOB },
  settle: { keys: ['s'], does: 'Settle this station', where: JOB },
  arm: {
    keys: digits(9, 'Alt+'),
    numbered: true,
    does: 'Arm a reading: outside, crests, angle, leaf, root, depth \u2026',
    where: 'Read',
  },
  takeMeant: { keys: ['Alt+Enter'], does: 'Take it as it was meant, when a slip is shown', where: 'Read' },
  undoReading: { keys: ['Alt+Backspace'], does: 'Undo the last reading', where: 'Read' },
  shoot: { keys: [' '], does: 'Take the picture', where: PICTURE },
  takePicture: { keys: ['Enter'], does: 'Take what was read in it', where: PICTURE },
  chooseEdge: { keys: digits(9), numbered: true, does: 'Choose an edge', where: PICTURE },
  leavePicture: { keys: ['Escape'], does: 'Back to Read', where: PICTURE },
  nearer: { keys: ['+', '='], does: 'Nearer', where: PICTURE },
  farther: { keys: ['-'], does: 'Farther', where: PICTURE },
  whole: { keys: ['0'], does: 'The whole picture', where: PICTURE },
  passDone: { keys: ['d'], does: 'Pass done', where: 'Cut' },
  takeBack: { keys: ['b'], does: 'Take the last pass back', where: 'Cut' },
  answer: { keys: digits(6), numbered: true, does: 'Choose an answer', where: PRACTICE },
  throwLever: { keys: [' '], does: 'Shut the half-nuts', where: PRACTICE },
  keepShut: { keys: ['k'], does: 'Keep them shut, and reverse the spindle', where: PRACTICE },
  toMark: { keys: ['m'], does: 'On to the next mark of the dial', where: PRACTICE },
  oneOn: { keys: ['ArrowRight'], does: 'Move the slide, the work or the gear', where: PRACTICE },
  oneBack: { keys: ['ArrowLeft'], does: 'The same, the other way', where: PRACTICE },
  forward: { keys: ['f'], does: 'Forward with the work', where: PRACTICE },
  over: { keys: ['o'], does: 'Over it and back: the slack is taken up', where: PRACTICE },
} as const satisfies Readonly<Record<string, Binding>>;

type ActId = keyof typeof BINDINGS;
/** Acts of a view. Of a numbered one the place of the key that was pressed, from 0. */
export type Acts = { readonly [A in ActId]?: ((place: number) => void) | undefined };

/** The act of a key among those that a view has; null: none. @param name as in Binding */
export function actOf(acts: Acts, name: string): (() => void) | null {
  for (const [id, act] of Object.entries(acts)) {
    const place = (BINDINGS[id as ActId].keys as readonly string[]).indexOf(name);
    if (act && place >= 0) return () => act(place);
  }
  return null;
}

const SHOWN: Readonly<Record<string, string>> = {
  ArrowUp: '\u2191',
  ArrowDown: '\u2193',
  ArrowLeft: '\u2190',
  ArrowRight: '\u2192',
  ' ': 'Space',
};
const shown = (name: string): string => {
  // a plus is a key, too
  const parts = name === '+' ? ['+'] : name.split('+');
  return parts.map((p) => SHOWN[p] ?? (parts.length > 1 && p.length === 1 ? p.toUpperCase() : p)).join(' ');
};
const keysText = ({ keys, numbered }: Binding): string => {
  const [first = '', last = ''] = [keys[0], keys.at(-1)];
  return numbered ? `${shown(first)} \u2026 ${shown(last)}` : keys.map(shown).join(' / ');
};

/** Everything that is bound, as the list of keys shows it. */
export const KEY_LIST: readonly {
  readonly id: string;
  readonly keys: string;
  readonly does: string;
  readonly where: string;
}[] = Object.entries(BINDINGS).map(([id, b]: [string, Binding]) => ({
  id,
  keys: keysText(b),
  does: b.does,
  where: b.where,
}));
