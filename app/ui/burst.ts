/**
 * A measuring instrument on a cable types like a keyboard, only faster than any hand: its reading and then Enter or Tab. Such
 * a burst must never work a button: it lands in the field that is armed, or is offered.
 */
const GAP_MS = 50;
/** A machine that is busy stretches a gap or two: keys this close belong together, or a reading would lose its front digits. */
const STRETCHED_MS = 500;
const LEAST = 3;
const READING = /^[+-]?\d*[.,]?\d+(?:\s?\/\s?\d+)?\s*(?:mm|in|")?$/i;

/** Fields that take what is typed into them as it is: a reading typed there was meant there. */
const takesNumbers = (t: EventTarget | null): boolean => t instanceof HTMLElement && t.matches('[data-numeric]');
const isText = (t: EventTarget | null): t is HTMLInputElement | HTMLTextAreaElement =>
  t instanceof HTMLTextAreaElement ||
  (t instanceof HTMLInputElement && !['radio', 'checkbox', 'search', 'file', 'range'].includes(t.type));

/** Puts a text into a field as a keyboard would, past the setter that React puts on the node. */
function typeInto(field: HTMLInputElement | HTMLTextAreaElement, text: string): void {
  const proto = field instanceof HTMLInputElement ? HTMLInputElement.prototype : HTMLTextAreaElement.prototype;
  Reflect.set(proto, 'value', text, field);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

export interface BurstRoutes {
  /** A reading came in at speed while no field was waiting for one. @returns whether an armed field took it */
  readonly arrived: (text: string) => void;
}

/** @param gaps between the keys of a run, ms @returns whether no hand types so fast: most of them are an instrument's */
const fasterThanAHand = (gaps: readonly number[]): boolean =>
  gaps.filter((gap) => gap < GAP_MS).length * 2 > gaps.length;

/** Watches every key before any view sees it. @returns how to stop */
export function watchBursts(routes: BurstRoutes): () => void {
  let keys = '';
  let last = -Infinity;
  let gaps: number[] = [];
  /** What the field held before the burst, when one has the focus that takes no readings. */
  let before: string | null = null;
  const listen = (e: KeyboardEvent): void => {
    if (e.ctrlKey || e.altKey || e.metaKey) {
      keys = '';
      return;
    }
    const gap = e.timeStamp - last;
    const follows = gap < STRETCHED_MS;
    if (e.key.length === 1) {
      if (follows && keys !== '') gaps.push(gap);
      else {
        keys = '';
        gaps = [];
        before = isText(e.target) ? e.target.value : null;
      }
      keys += e.key;
      last = e.timeStamp;
      return;
    }
    if (e.key !== 'Enter' && e.key !== 'Tab') return;
    const text = keys.trim();
    keys = '';
    if (!follows || text.length < LEAST || !READING.test(text) || !fasterThanAHand([...gaps, gap])) return;
    if (takesNumbers(e.target) || (e.target instanceof HTMLInputElement && e.target.type === 'search')) return;
    e.preventDefault();
    e.stopImmediatePropagation();
    // what fell into a title or a note is taken out of it again
    if (isText(e.target) && before !== null) typeInto(e.target, before);
    routes.arrived(text);
  };
  window.addEventListener('keydown', listen, true);
  return () => window.removeEventListener('keydown', listen, true);
}

/** The field that waits for a reading, if one does. */
const armedField = (): HTMLInputElement | null =>
  document.querySelector<HTMLInputElement>('input[data-armed]:not(:disabled)');

/** Types a reading into the armed field and takes it, as the instrument's own Enter would. */
export function intoArmed(text: string): boolean {
  const field = armedField();
  if (!field) return false;
  typeInto(field, text);
  if (field.form) field.form.requestSubmit();
  else field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
  return true;
}
