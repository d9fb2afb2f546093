import { useState } from 'react';
import { Plus } from 'lucide-react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { newLathe, parseGears } from '../../core/lathe/create.ts';
import { parseGearCsv, writeGearCsv } from '../../core/lathe/gearCsv.ts';
import { inches } from '../../core/quantity/units.ts';
import { downloadText } from '../storage/files.ts';
import type { Lathe } from '../../core/lathe/schema.ts';
import { bad, good, type Outcome } from '../../core/quantity/outcome.ts';
import { pitchText } from '../../core/quantity/pitch.ts';
import { exact, isPositive, numberOf, rationalOf, textOf } from '../../core/quantity/rational.ts';
import { editShop, useShop, useSystem } from '../store/store.ts';
import { Button, Choice, Note, Panel } from '../ui/controls.tsx';
import { LengthField, PitchField, TextField, TypedField } from '../ui/fields.tsx';
import { Chart } from './Chart.tsx';
import { Page } from './Page.tsx';

export function Lathes() {
  const shop = useShop();
  const system = useSystem();
  const navigate = useNavigate();
  const add = (): void => {
    const id = crypto.randomUUID().slice(0, 8);
    editShop('add a lathe', (d) => void d.lathes.push(newLathe(id)));
    void navigate(`/lathes/${id}`);
  };
  return (
    <Page
      title="Lathes"
      lead="What each lathe has: leadscrew, gears, dials. Measured once, used by every job."
      actions={
        <Button tone="main" onClick={add}>
          <Plus aria-hidden size={18} /> Add a lathe
        </Button>
      }
    >
      {shop.lathes.length === 0 && (
        <Panel>
          <p>No lathe yet. Add one: its leadscrew pitch and the gears in the drawer are enough to begin.</p>
        </Panel>
      )}
      <ul className="grid gap-2">
        {shop.lathes.map((l) => (
          <li key={l.id}>
            <Link
              to={`/lathes/${l.id}`}
              className="grid gap-1 rounded-lg border border-line bg-panel p-4 hover:bg-inset md:grid-cols-[1fr_1fr_1fr]"
            >
              <span className="text-lg font-semibold">{l.name}</span>
              <span className="num self-center">leadscrew {pitchText(exact(l.leadscrew), l.leadscrewSystem)}</span>
              <span className="self-center text-ink2">
                {l.drive === 'electronic'
                  ? 'electronic leadscrew'
                  : `${l.gears.length} gears, ${Object.keys(l.levers).length > 0 ? `gearbox with ${Object.keys(l.levers).length} lever${Object.keys(l.levers).length === 1 ? '' : 's'}` : 'no gearbox'}`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <p className="text-sm text-ink2">
        Showing {system === 'mm' ? 'millimetres' : 'inches'}; each lathe&rsquo;s dials keep their own system.
      </p>
    </Page>
  );
}

export function LathePage() {
  const { latheId = '' } = useParams();
  const shop = useShop();
  const navigate = useNavigate();
  const [csvProblem, setCsvProblem] = useState<string | null>(null);
  const lathe = shop.lathes.find((l) => l.id === latheId);
  if (!lathe) return <Navigate to="/lathes" replace />;
  const edit = (label: string, change: (l: Lathe) => void): void =>
    editShop(label, (d) => {
      const l = d.lathes.find((x) => x.id === latheId);
      if (l) change(l);
    });
  return (
    <Page
      title={lathe.name}
      lead="Every change is kept at once and can be undone. Jobs that rest on this lathe say so."
      actions={
        <>
          <Button onClick={() => void navigate('/lathes')}>All lathes</Button>
          <Button
            tone="stop"
            onClick={() => {
              editShop(`remove ${lathe.name}`, (d) => void (d.lathes = d.lathes.filter((l) => l.id !== latheId)));
              void navigate('/lathes');
            }}
          >
            Remove this lathe
          </Button>
        </>
      }
    >
      <div className="grid gap-4 md:grid-cols-2">
        <Panel title="The lathe">
          <div className="grid gap-3">
            <TextField
              label="Name"
              value={lathe.name}
              onCommit={(t) => t.trim() && edit('rename the lathe', (l) => void (l.name = t.trim()))}
            />
            <Choice
              label="What drives the carriage"
              value={lathe.drive}
              options={[
                { value: 'gears', label: 'Change gears' },
                { value: 'electronic', label: 'Electronic leadscrew' },
              ]}
              onChange={(v) => edit('change the drive', (l) => void (l.drive = v))}
            />
            <PitchField
              label="Leadscrew pitch"
              pitch={lathe.leadscrew}
              system={lathe.leadscrewSystem}
              onCommit={(exactMm, system) =>
                edit('change the leadscrew', (l) => {
                  l.leadscrew = exactMm;
                  l.leadscrewSystem = system;
                })
              }
            />
            <TypedField
              label="Spindle speeds, rev/min"
              shown={lathe.speeds.join(' ')}
              parse={parseSpeeds}
              onCommit={(v) => edit('change the speeds', (l) => void (l.speeds = v))}
            />
            <Choice
              label="The chuck"
              value={lathe.screwedChuck ? 'screwed' : 'fixed'}
              options={[
                { value: 'screwed', label: 'screws on' },
                { value: 'fixed', label: 'is held on (cam, flange, key)' },
              ]}
              onChange={(v) => edit('change the chuck', (l) => void (l.screwedChuck = v === 'screwed'))}
            />
          </div>
        </Panel>
        <Panel title="Gears">
          <div className="grid gap-3">
            <TypedField
              label="Change gears owned (teeth; one owned twice is listed twice)"
              shown={lathe.gears.join(' ')}
              parse={(t) => parseGears(t)}
              onCommit={(v) => edit('change the gears', (l) => void (l.gears = v))}
              onClear={() => edit('clear the gears', (l) => void (l.gears = []))}
              hint="20 25 30, or a run: 20-65 by 5"
            />
            <TypedField
              label="Fixed ratio, spindle to stud"
              shown={lathe.fixedRatio}
              parse={(t) => parseRatio(t, 'fixed ratio')}
              onCommit={(v) => edit('change the fixed ratio', (l) => void (l.fixedRatio = v))}
              hint="1 when the stud turns as the spindle does; 1/2 when it turns half as fast"
            />
            <TypedField
              label="Gearbox levers (leadscrew turns per input turn)"
              shown={leversText(lathe.levers)}
              parse={parseLevers}
              onCommit={(v) => edit('change the gearbox', (l) => void (l.levers = v))}
              onClear={() => edit('no gearbox', (l) => void (l.levers = {}))}
              placeholder="none"
              hint="cone 1=1 2=8/9 3=3/4; range A=2 B=1"
            />
            <div className="flex flex-wrap gap-2">
              <Button onClick={() => downloadGears(lathe)}>Gears as CSV</Button>
              <label className="inline-flex min-h-12 cursor-pointer items-center rounded-md border border-line bg-panel px-4 hover:bg-inset has-focus-visible:outline-3 has-focus-visible:outline-blue">
                Bring gears in from CSV
                <input
                  type="file"
                  accept=".csv,text/csv"
                  className="sr-only"
                  onChange={(e) => {
                    const file = e.target.files?.[0];
                    e.target.value = '';
                    if (!file) return;
                    void file.text().then((t) => {
                      const read = parseGearCsv(t);
                      setCsvProblem(read.ok ? null : `${read.problem.message} ${read.problem.right ?? ''}`);
                      if (read.ok) edit('bring gears in', (l) => void (l.gears = read.value));
                    });
                  }}
                />
              </label>
            </div>
            {csvProblem !== null && <Note tone="wrong">{csvProblem}</Note>}
          </div>
        </Panel>
        <SlidePanel
          title="Cross slide"
          dial={lathe.crossSlide}
          onChange={(c) => edit('change the cross slide', (l) => void Object.assign(l.crossSlide, c))}
        />
        <div className="grid gap-4">
          <SlidePanel
            title="Top slide"
            dial={lathe.topSlide}
            onChange={(c) => edit('change the top slide', (l) => void Object.assign(l.topSlide, c))}
          >
            <Choice
              label="Its angle scale reads 0"
              value={lathe.slideScaleZero}
              options={[
                { value: 'cross-slide', label: 'in line with the cross slide' },
                { value: 'bed', label: 'along the bed' },
              ]}
              onChange={(v) => edit('change the scale zero', (l) => void (l.slideScaleZero = v))}
            />
          </SlidePanel>
        </div>
        <ArmPanel lathe={lathe} edit={edit} />
        <Chart
          lathe={lathe}
          onTake={(levers) => edit('take the gearbox from its chart', (l) => void (l.levers = levers))}
        />
        <Panel title="Chasing dial">
          <div className="grid gap-3">
            <Choice
              label="This lathe has"
              value={lathe.dial ? 'dial' : 'none'}
              options={[
                { value: 'dial', label: 'a chasing dial' },
                { value: 'none', label: 'none' },
              ]}
              onChange={(v) =>
                edit(
                  'change the chasing dial',
                  (l) => void (l.dial = v === 'dial' ? { teeth: 16, marks: 8, otherTeeth: [] } : null),
                )
              }
            />
            {lathe.dial && (
              <>
                <TypedField
                  label="Teeth of the dial gear"
                  shown={String(lathe.dial.teeth)}
                  parse={whole('teeth', 8, 400)}
                  onCommit={(v) =>
                    edit(
                      'change the dial gear',
                      (l) =>
                        void (l.dial = { teeth: v, marks: l.dial?.marks ?? 8, otherTeeth: l.dial?.otherTeeth ?? [] }),
                    )
                  }
                />
                <TypedField
                  label="Marks on the dial"
                  shown={String(lathe.dial.marks)}
                  parse={whole('marks', 1, 64)}
                  onCommit={(v) =>
                    edit(
                      'change the dial marks',
                      (l) =>
                        void (l.dial = { teeth: l.dial?.teeth ?? 16, marks: v, otherTeeth: l.dial?.otherTeeth ?? [] }),
                    )
                  }
                />
                <TypedField
                  label="Other gears for the dial’s shaft"
                  shown={lathe.dial.otherTeeth.join(' ')}
                  placeholder="none"
                  parse={(t) => parseGears(t)}
                  onCommit={(v) => edit('change the dial gears', (l) => void (l.dial!.otherTeeth = v.slice(0, 12)))}
                  onClear={() => edit('no other dial gears', (l) => void (l.dial!.otherTeeth = []))}
                />
              </>
            )}
          </div>
        </Panel>
        <Panel title="Note">
          <TextField
            label="Anything to remember"
            lines={4}
            value={lathe.note}
            onCommit={(t) => edit('change the note', (l) => void (l.note = t))}
          />
          <div className="mt-3">
            <Note tone="caution">
              Isolate at the plug before hands go near gears, belts or pulleys; cover back on before power.
            </Note>
          </div>
        </Panel>
      </div>
    </Page>
  );
}

function SlidePanel({
  title,
  dial,
  onChange,
  children,
}: {
  readonly title: string;
  readonly dial: Lathe['crossSlide'];
  readonly onChange: (change: Partial<Lathe['crossSlide']>) => void;
  readonly children?: React.ReactNode;
}) {
  return (
    <Panel title={title}>
      <div className="grid gap-3">
        <Choice
          label="Dial is in"
          value={dial.unit}
          options={[
            { value: 'mm', label: 'millimetres' },
            { value: 'in', label: 'inches' },
          ]}
          onChange={(v) => onChange({ unit: v })}
        />
        <TypedField
          label={`One division reads, ${dial.unit}`}
          shown={String(dial.division)}
          parse={decimal}
          onCommit={(v) => onChange({ division: v })}
        />
        <TypedField
          label="Divisions in one turn"
          shown={String(dial.perTurn)}
          parse={whole('divisions', 4, 1000)}
          onCommit={(v) => onChange({ perTurn: v })}
        />
        <Choice
          label="The dial shows"
          value={dial.reads}
          options={[
            { value: 'radius', label: 'how far the slide moves' },
            { value: 'diameter', label: 'change of diameter' },
          ]}
          onChange={(v) => onChange({ reads: v })}
        />
        {children}
      </div>
    </Panel>
  );
}

const whole =
  (field: string, min: number, max: number) =>
  (t: string): Outcome<number> => {
    const v = Number(t.trim());
    return Number.isInteger(v) && v >= min && v <= max
      ? good(v)
      : bad(field, `A whole number from ${min} to ${max} is needed.`, String(min));
  };

function decimal(t: string): Outcome<number> {
  const r = rationalOf(t.trim().replace(',', '.').replace(/^\./, '0.'));
  const v = r ? numberOf(r) : NaN;
  return v > 0 && v < 10 ? good(v) : bad('division', 'A division is a small length.', '0.02, or .001');
}

function parseRatio(t: string, field: string): Outcome<string> {
  const r = rationalOf(t.trim().replace(',', '.'));
  return r && isPositive(r) ? good(textOf(r)) : bad(field, `"${t.trim()}" is not a ratio.`, '1, 1/2 or 24/48');
}

function parseSpeeds(t: string): Outcome<number[]> {
  const list = t
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number);
  return list.every((v) => v > 0 && v <= 10_000)
    ? good(list.sort((a, b) => a - b))
    : bad('speeds', 'Speeds are numbers greater than zero.', '40 65 110 180');
}

const leversText = (levers: Lathe['levers']): string =>
  Object.entries(levers)
    .map(
      ([lever, positions]) =>
        `${lever} ${Object.entries(positions)
          .map(([p, r]) => `${p}=${r}`)
          .join(' ')}`,
    )
    .join('; ');

function parseLevers(t: string): Outcome<Lathe['levers']> {
  const out: Lathe['levers'] = {};
  for (const part of t
    .split(';')
    .map((x) => x.trim())
    .filter(Boolean)) {
    const [lever = '', ...positions] = part.split(/\s+/);
    if (lever.includes('=') || positions.length === 0)
      return bad('gearbox', `"${part}" does not begin with the lever\u2019s name.`, 'cone 1=1 2=8/9; range A=2 B=1');
    const list: Record<string, string> = {};
    for (const p of positions) {
      const [name = '', ratioText = ''] = p.split('=');
      const ratio = parseRatio(ratioText, 'gearbox');
      if (!ratio.ok) return bad('gearbox', `Position "${p}" of ${lever} has no ratio.`, '1=1, 2=8/9');
      list[name] = ratio.value;
    }
    out[lever] = list;
  }
  return good(out);
}

function downloadGears(lathe: Lathe): void {
  downloadText(`${lathe.name}-gears.csv`, writeGearCsv(lathe.gears), 'text/csv');
}

const num =
  (field: string, min: number, max: number) =>
  (t: string): Outcome<number> => {
    const v = Number(t.trim().replace(',', '.'));
    return v >= min && v <= max ? good(v) : bad(field, `A number from ${min} to ${max} is needed.`, String(min));
  };

type Arm = NonNullable<Lathe['arm']>;

function parseSlots(t: string): Outcome<Arm['slots']> {
  const out: Arm['slots'] = [];
  for (const part of t
    .split(';')
    .map((x) => x.trim())
    .filter(Boolean)) {
    const m = /^([\d.]+)\s*-\s*([\d.]+)(?:\s*@\s*(-?[\d.]+))?$/.exec(part);
    const [from, to, angle] = [Number(m?.[1]), Number(m?.[2]), Number(m?.[3] ?? 0)];
    if (!m || !(from >= 0 && to > from && to <= 2000 && Math.abs(angle) <= 180))
      return bad('slots', `"${part}" is not nearest-furthest @ angle.`, '34-112 @0; 34-80 @25');
    out.push({ fromMm: from, toMm: to, angleDeg: angle });
  }
  return out.length >= 1 && out.length <= 6 ? good(out) : bad('slots', 'One to six slots.', '34-112 @0');
}

function parseSwing(t: string): Outcome<NonNullable<Arm['swing']>> {
  const m = /^(-?[\d.]+)\s*(?:to|,|\.\.)\s*(-?[\d.]+)$/i.exec(t.trim());
  const [from, to] = [Number(m?.[1]), Number(m?.[2])];
  return m && from >= -180 && to <= 180 && from < to
    ? good({ fromDeg: from, toDeg: to })
    : bad('swing', 'Two angles, the smaller first.', '-60 to 60');
}

/** Everything that says whether a train can be mounted. Without it the fit is not checked, and says so. */
function ArmPanel({
  lathe,
  edit,
}: {
  readonly lathe: Lathe;
  readonly edit: (label: string, change: (l: Lathe) => void) => void;
}) {
  const system = useSystem();
  const { arm } = lathe;
  return (
    <Panel title="Arm for the change gears">
      <div className="grid gap-3">
        <TypedField
          label="Module of the gears, mm (DP: type 16 dp)"
          shown={lathe.moduleMm === null ? '' : String(lathe.moduleMm)}
          placeholder="tip diameter / (teeth + 2)"
          parse={(t) => {
            const dp = /^\s*([\d.]+)\s*dp\s*$/i.exec(t);
            return dp ? num('module', 0.2, 10)(String(inches(1) / Number(dp[1]))) : num('module', 0.2, 10)(t);
          }}
          onCommit={(v) => edit('change the module', (l) => void (l.moduleMm = Number(v.toFixed(4))))}
          onClear={() => edit('clear the module', (l) => void (l.moduleMm = null))}
        />
        <LengthField
          label="Width of the gears (a spacer is as thick)"
          mm={lathe.gearWidthMm}
          system={system}
          placeholder="not measured"
          rule={{ maxMm: 200 }}
          onCommit={(mm) => edit('change the gear width', (l) => void (l.gearWidthMm = mm))}
          onClear={() => edit('clear the gear width', (l) => void (l.gearWidthMm = null))}
        />
        <Choice
          label="Between spindle and stud"
          value={lathe.tumbler ? 'tumbler' : 'none'}
          options={[
            { value: 'tumbler', label: 'a reverse tumbler' },
            { value: 'none', label: 'none' },
          ]}
          onChange={(v) => edit('change the tumbler', (l) => void (l.tumbler = v === 'tumbler'))}
        />
        <Choice
          label="The arm is"
          value={arm ? 'measured' : 'not'}
          options={[
            { value: 'measured', label: 'measured' },
            { value: 'not', label: 'not measured' },
          ]}
          onChange={(v) =>
            edit(
              'change the arm',
              (l) =>
                void (l.arm =
                  v === 'measured'
                    ? {
                        centresMm: 120,
                        slots: [{ angleDeg: 0, fromMm: 30, toMm: 110 }],
                        swing: null,
                        bossRadiusMm: 9,
                        coverRadiusMm: null,
                      }
                    : null),
            )
          }
        />
        {!arm && <p className="text-sm text-ink2">Then whether a train can be mounted is not checked.</p>}
        {arm && (
          <>
            <LengthField
              label="First driver to leadscrew or gearbox input, centres"
              mm={arm.centresMm}
              system={system}
              rule={{ maxMm: 2000 }}
              onCommit={(mm) => edit('change the arm', (l) => void (l.arm!.centresMm = mm))}
            />
            <TypedField
              label="Slots: nearest-furthest stud from the pivot, mm @ angle on the arm"
              shown={arm.slots.map((x) => `${x.fromMm}-${x.toMm} @${x.angleDeg}`).join('; ')}
              parse={parseSlots}
              onCommit={(v) => edit('change the slots', (l) => void (l.arm!.slots = v))}
              hint="34-112 @0; 34-80 @25"
            />
            <TypedField
              label="Swing of the arm from the line of centres, degrees"
              shown={arm.swing ? `${arm.swing.fromDeg} to ${arm.swing.toDeg}` : ''}
              placeholder="any way"
              parse={parseSwing}
              onCommit={(v) => edit('change the swing', (l) => void (l.arm!.swing = v))}
              onClear={() => edit('any swing', (l) => void (l.arm!.swing = null))}
            />
            <LengthField
              label="Radius of stud nut or boss"
              mm={arm.bossRadiusMm}
              system={system}
              rule={{ allowZero: true, maxMm: 200 }}
              onCommit={(mm) => edit('change the boss', (l) => void (l.arm!.bossRadiusMm = mm))}
            />
            <LengthField
              label="Largest gear radius under the cover"
              mm={arm.coverRadiusMm}
              system={system}
              placeholder="not checked"
              onCommit={(mm) => edit('change the cover', (l) => void (l.arm!.coverRadiusMm = mm))}
              onClear={() => edit('cover not checked', (l) => void (l.arm!.coverRadiusMm = null))}
            />
          </>
        )}
      </div>
    </Panel>
  );
}
