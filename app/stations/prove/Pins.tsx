import { useShop, useSystem, act } from '../../store/store.ts';
import type { MeasurePlan } from '../../../core/job/measure.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { plain } from '../../../core/quantity/working.ts';
import { parseWarmth } from '../../../core/lathe/typed.ts';
import { PIN_NAMES, UNSURE_NAMES } from '../../../words/prove.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { LINKS } from './links.ts';
import { Link } from 'react-router';

/** What is laid in, best first, what it should read with each, and how sure the answer is. */
export function Pins({ plan }: { readonly plan: MeasurePlan }) {
  const { job } = useJobView();
  const shop = useShop();
  const system = useSystem();
  const { min, max } = plan.usableMm;
  const balls = plan.by === 'balls';
  const bare = (mm: number): string => lengthText(mm, system, { ...FINE, bare: true });
  const word = balls ? 'ball' : 'wire or pin';
  return (
    <div className="grid gap-3">
      {!balls && (
        <Choice
          label="Wires"
          even
          value={String(plan.count)}
          options={[
            { value: '3', label: 'three' },
            { value: '2', label: 'two' },
            { value: '1', label: 'one, and the crest' },
          ]}
          onChange={(n) => act({ do: 'setProve', count: Number(n) })}
        />
      )}
      {plan.count === 2 && !balls && (
        <p className="text-ink2">Two read as three only with the anvils parallel to the axis.</p>
      )}
      <section aria-label="Owned and usable" className="grid gap-1">
        <h3 className="font-semibold">Owned and usable, best first</h3>
        {plan.pins.length === 0 && (
          <p className="text-ink2">
            No {word} from <span className="num">{bare(min)}</span> to{' '}
            <span className="num">{lengthText(max, system, FINE)}</span> is entered under{' '}
            <Link to={LINKS.gauges} className="underline">
              Gauges
            </Link>
            .
          </p>
        )}
        <ul className="grid">
          {plan.pins.map((p) => {
            const used = Math.abs(p.mm - plan.wireMm) < 1e-9;
            return (
              <li key={`${p.pin.kind} ${p.mm}`} className="border-t border-line">
                <button
                  type="button"
                  aria-pressed={used}
                  className="grid min-h-12 w-full grid-cols-[minmax(0,1fr)_auto] gap-x-3 px-1 py-1 text-left hover:bg-inset aria-pressed:bg-ink aria-pressed:text-onink"
                  onClick={() => act({ do: 'setWire', wire: { text: plain(p.mm), mm: p.mm } })}
                >
                  <span>
                    <b className="num">{lengthText(p.mm, system, FINE)}</b> {PIN_NAMES[p.pin.kind]}
                    {p.pin.measuredMm === null ? '' : ', as measured'}
                  </span>
                  <span className="num">&plusmn; {lengthText(p.uncertaintyMm, system, FINE)}</span>
                  <span className="num col-span-2 text-sm opacity-80">
                    M {bare(p.targetMm)}
                    {p.limitsMm && `, ${bare(p.limitsMm.min)} to ${bare(p.limitsMm.max)}`}
                  </span>
                </button>
              </li>
            );
          })}
        </ul>
      </section>
      <LengthField
        label={`Another ${word} (empty: the best owned)`}
        mm={job.prove.wire?.mm ?? null}
        system={system}
        rule={{ maxMm: 60 }}
        onClear={() => act({ do: 'setWire', wire: null })}
        onCommit={(mm, text) => act({ do: 'setWire', wire: { text, mm } })}
        hint={`best ${lengthText(plan.bestMm, system, FINE)}; usable ${lengthText(min, system, FINE)} to ${lengthText(max, system, FINE)}`}
      />
      {plan.buyMm !== null && (
        <p>
          A good one to buy: <b className="num">{lengthText(plan.buyMm, system, FINE)}</b>, whose contact lies near the
          pitch line, so that the angle does not matter.
        </p>
      )}
      <TypedField
        label="The part is warmer than 20 °C by, K"
        shown={job.prove.warmK === null ? '' : plain(job.prove.warmK)}
        parse={parseWarmth}
        onClear={() => act({ do: 'setProve', warmK: null })}
        onCommit={(warmK) => act({ do: 'setProve', warmK })}
        hint={
          plan.grownMm === null
            ? 'let it cool, or say how warm it is: 50 mm of steel and 20 K are 0.012 mm'
            : `grown by ${lengthText(plan.grownMm, system, FINE)}; M is for the warm part`
        }
      />
      <section aria-label="How sure" className="grid gap-1">
        <h3 className="font-semibold">How sure the pitch diameter is</h3>
        <table className="w-full text-left">
          <caption className="sr-only">Budget of uncertainty, one standard deviation</caption>
          <thead className="text-sm text-ink2">
            <tr>
              <th className="font-normal">from</th>
              <th className="text-right font-normal">known to</th>
              <th className="text-right font-normal">on the pitch diameter</th>
            </tr>
          </thead>
          <tbody>
            {plan.budget.map((l) => (
              <tr key={l.of} className="border-t border-line">
                <td>{UNSURE_NAMES[l.of]}</td>
                <td className="num text-right">
                  {l.unit === 'mm'
                    ? lengthText(l.by, system, FINE)
                    : `${plain(l.by)} ${l.unit === 'deg' ? '\u00b0' : 'K'}`}
                </td>
                <td className="num text-right">{lengthText(l.mm, system, FINE)}</td>
              </tr>
            ))}
            <tr className="border-t-2 border-ink font-semibold">
              <td colSpan={2}>Together</td>
              <td className="num text-right">{lengthText(plan.uncertaintyMm, system, FINE)}</td>
            </tr>
          </tbody>
        </table>
        <p className="text-sm text-ink2">
          One standard deviation. Shop:{' '}
          {shop.instruments.find((i) => i.id === 'micrometer')?.name ?? 'no micrometer entered'}.
        </p>
      </section>
    </div>
  );
}
