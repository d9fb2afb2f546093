import { slipsOf } from '../../../core/job/scratchCheck.ts';
import { useState } from 'react';
import { judgeScratch, scratchPlan, turnsProof } from '../../../core/gearing/proof/index.ts';
import type { Geared } from '../../../core/gearing/train.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { readWhole } from '../../../core/quantity/number.ts';
import { pitchText } from '../../../core/quantity/pitch.ts';
import { exact, numberOf, type Rational } from '../../../core/quantity/rational.ts';
import { useShop, useSystem } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { mistakeText, slipText, tooManyText, turnsText } from '../../../words/gears.ts';

interface Props {
  readonly lathe: Lathe;
  readonly lead: Rational;
  readonly train: Geared;
}

/** Proof before metal: turns check; after a scratch: right, or the single mistake that explains it. */
export function Proof({ lathe, lead, train }: Props) {
  const shop = useShop();
  const system = useSystem();
  const [crests, setCrests] = useState<number | null>(null);
  const [spanMm, setSpan] = useState<number | null>(null);
  const turns = turnsProof({
    leadscrew: exact(lathe.leadscrew),
    fixedRatio: exact(lathe.fixedRatio),
    gears: lathe.gears,
    train,
  });
  const { instrumentMm, other, over } = scratchPlan(
    lead,
    shop.instruments.filter((i) => i.measures === 'length').map((i) => i.uncertainty),
  );
  const verdict = crests === null || spanMm === null ? null : judgeScratch(lead, crests, spanMm, instrumentMm);
  const why = verdict === null || verdict.right ? [] : slipsOf(lathe, train, verdict.measuredMm, verdict.uncertaintyMm);
  return (
    <div className="grid content-start gap-3">
      {turns.countable && (
        <Figure
          label="Turns check, before any cutting"
          value={`${turns.spindle} : ${turns.leadscrew}`}
          other={turnsText(turns)}
        />
      )}
      <p className={turns.countable ? 'text-ink2' : 'font-semibold'}>
        {turns.countable ? slipText(turns) : tooManyText(turns)}
      </p>
      <p className="text-ink2">
        {turns.countable ? 'Then scratch' : 'Scratch first'}, and measure{' '}
        {over === null ? 'as many crests as there are' : `over at least ${over} crest${over === 1 ? '' : 's'}`} with a
        caliper: expect <span className="num text-ink">{lengthText(numberOf(lead) * (over ?? 10), system, FINE)}</span>
        {other && over !== null && (
          <>
            , where {pitchText(exact(other.pitch), system)} would give{' '}
            <span className="num text-ink">{lengthText(numberOf(exact(other.pitch)) * over, system, FINE)}</span>
          </>
        )}
        .
      </p>
      <div className="grid grid-cols-2 gap-3">
        <TypedField
          label="Scratch read over, crests"
          shown={crests === null ? '' : String(crests)}
          parse={(t) => readWhole(t, 'crests', 1, 500, String(over ?? 10))}
          onCommit={setCrests}
          onClear={() => setCrests(null)}
        />
        <LengthField label="measured" mm={spanMm} system={system} onCommit={setSpan} onClear={() => setSpan(null)} />
      </div>
      {verdict?.right === true && (
        <Note tone="right">
          Right: {lengthText(verdict.measuredMm, system, FINE)} a thread, where{' '}
          {lengthText(numberOf(lead), system, FINE)} is wanted.
        </Note>
      )}
      {verdict?.right === false && (
        <Note tone="wrong">
          <p>
            The scratch is {lengthText(verdict.measuredMm, system, FINE)} a thread, not{' '}
            {lengthText(numberOf(lead), system, FINE)}.{' '}
            {why.length === 0 ? 'No single mistake explains it: look at the train afresh.' : 'Likeliest mistake first:'}
          </p>
          <ol className="mt-1 list-decimal pl-6">
            {why.slice(0, 5).map((w) => (
              <li key={mistakeText(w.mistake)}>
                <strong>{mistakeText(w.mistake)}</strong>{' '}
                <span className="num text-sm">cuts {pitchText(exact(w.leadMm), system)}</span>
              </li>
            ))}
          </ol>
        </Note>
      )}
    </div>
  );
}
