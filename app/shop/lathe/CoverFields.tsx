import { useSystem } from '../../store/store.ts';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import type { Arm } from './arm.ts';

const WALLS = {
  beyondFirstMm: 'Beyond the first driver',
  beyondLastMm: 'Beyond the leadscrew',
  oneSideMm: 'Below the line of centres',
  otherSideMm: 'Above the line of centres',
} as const;

export function CoverFields({
  arm,
  change,
}: {
  readonly arm: Arm;
  readonly change: (label: string, with_: Partial<Arm>) => void;
}) {
  const system = useSystem();
  const { cover } = arm;
  return (
    <>
      <Choice
        label="The cover’s walls are"
        value={cover ? 'measured' : 'not'}
        options={[
          { value: 'measured', label: 'measured' },
          { value: 'not', label: 'not checked' },
        ]}
        onChange={(v) =>
          change('change the cover', {
            cover:
              v === 'measured' ? { beyondFirstMm: 100, beyondLastMm: 100, oneSideMm: 120, otherSideMm: 120 } : null,
          })
        }
      />
      {cover && (
        <div className="grid grid-cols-2 gap-3">
          {(Object.keys(WALLS) as (keyof typeof WALLS)[]).map((wall) => (
            <LengthField
              key={wall}
              label={WALLS[wall]}
              mm={cover[wall]}
              system={system}
              rule={{ allowZero: true, maxMm: 2000 }}
              onCommit={(mm) => change('change the cover', { cover: { ...cover, [wall]: mm } })}
            />
          ))}
        </div>
      )}
    </>
  );
}
