import type { Setting } from '../../core/job/slides.ts';
import { dialText, dialUnitText, turnsCounted } from '../../words/machine.ts';
import { Collar } from './Collar.tsx';
import type { SlideDial } from '../../core/lathe/dials.ts';

/** A figure of which the eye gets the digits that change: leading zeros and the point are thin. */
export function Digits({ text }: { readonly text: string }) {
  const lead = /^[-0.,]*(?=[1-9])/.exec(text)?.[0] ?? '';
  const [a, b] = [text.slice(0, lead.length), text.slice(lead.length)];
  return (
    <>
      <span className="font-normal">{a}</span>
      {b.split(/[.,]/).map((part, i) => (
        <span key={i} className="font-bold">
          {i > 0 && <span className="font-normal">{b.includes(',') ? ',' : '.'}</span>}
          {part}
        </span>
      ))}
    </>
  );
}

interface NumberProps {
  /** What it belongs to, and its unit. */
  readonly what: string;
  readonly unit: string;
  readonly figure: string;
  readonly turns?: number;
  /** Drawn back past zero: the turns are counted away from the work. */
  readonly short?: boolean;
  readonly label: string;
  readonly onWorking?: () => void;
}

/** One number that is read from where one stands. */
export function BigNumber({ what, unit, figure, turns = 0, short = false, label, onWorking }: NumberProps) {
  const ringed = turns !== 0 || short;
  const body = (
    <>
      {ringed && <Ring turns={turns} short={short} />}
      <span className="figure-big num dial-number whitespace-nowrap">
        <Digits text={figure} />
      </span>
    </>
  );
  const style = {
    '--chars': Math.max(4, figure.length),
    '--ring': !ringed ? '0.5rem' : 'clamp(5rem, 19cqi, 9.5rem)',
  } as React.CSSProperties;
  return (
    <>
      <p className="flex items-baseline justify-between gap-3">
        <span className="dial-what font-extrabold leading-tight">{what}</span>
        <span className="num dial-unit shrink-0 text-ink2">{unit}</span>
      </p>
      {onWorking ? (
        <button
          type="button"
          style={style}
          className="print-keep flex min-h-12 items-center gap-3 text-left"
          aria-label={label}
          onClick={onWorking}
        >
          {body}
        </button>
      ) : (
        <p style={style} className="flex items-center gap-3" aria-label={label}>
          {body}
        </p>
      )}
    </>
  );
}

/** Whole turns, in a ring before the number: counted by hand, then the collar is read. */
function Ring({ turns, short }: { readonly turns: number; readonly short: boolean }) {
  return (
    <span className="dial-ring flex aspect-square shrink-0 flex-col items-center justify-center rounded-full border-4 border-ink">
      <span className="num dial-ring-n font-bold leading-none">{turns}</span>
      <span className="dial-ring-w font-semibold leading-tight">
        {short ? 'short' : turns === 1 ? 'turn' : 'turns'}
      </span>
    </span>
  );
}

/** A setting of a slide: whose, its number, its collar as the operator sees it. */
export function DialNumber({
  what,
  setting,
  dial,
  onWorking,
}: {
  readonly what: string;
  readonly setting: Setting;
  readonly dial: SlideDial | null;
  readonly onWorking?: () => void;
}) {
  const counted = turnsCounted(setting);
  return (
    <>
      <BigNumber
        what={what}
        unit={dialUnitText(setting)}
        figure={setting.shown}
        turns={counted.n}
        short={counted.short}
        label={`Next reading ${dialText(setting, ' + ')}; show the working`}
        {...(onWorking ? { onWorking } : {})}
      />
      {dial && (
        <Collar division={setting.value / dial.division} perTurn={dial.perTurn} back={setting.wound === 'back'} />
      )}
    </>
  );
}
