import { editShop, useShop } from '../../store/store.ts';

const WEIGHT_WORDS = {
  error: 'error',
  changes: 'gears to change',
  smallDrivers: 'small drivers',
  pairs: 'number of pairs',
  mounting: 'does not go on the arm',
} as const;

/** What counts when trains are put in order: each weight visible, each to be changed. */
export function Weigh() {
  const shop = useShop();
  return (
    <details className="mt-3">
      <summary className="min-h-12 cursor-pointer py-3 text-ink2">What counts when they are put in order</summary>
      <div className="grid gap-2 sm:grid-cols-2">
        {(Object.keys(WEIGHT_WORDS) as (keyof typeof WEIGHT_WORDS)[]).map((w) => (
          <label key={w} className="flex min-h-12 items-center gap-3">
            <span className="w-44">{WEIGHT_WORDS[w]}</span>
            <input
              type="range"
              min={0}
              max={10}
              step={1}
              value={shop.settings.gearWeights[w]}
              onChange={(e) =>
                editShop('change what counts', (d) => void (d.settings.gearWeights[w] = Number(e.target.value)))
              }
              className="min-w-0 grow accent-(--blue)"
            />
            <span className="num w-6">{shop.settings.gearWeights[w]}</span>
          </label>
        ))}
      </div>
      <p className="text-sm text-ink2">
        The error counts by the share of the pitch-diameter clearance it eats over the engaged length, not by its ppm.
      </p>
    </details>
  );
}
