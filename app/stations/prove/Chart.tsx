import { chartOfJob } from '../../../core/job/chartOfJob.ts';
import { CHART_TURNS, leastScale, mostScale } from '../../../core/sheet/chart.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { parseMagnification } from '../../../core/lathe/typed.ts';
import { CSS_PX_PER_MM, ChartPlate } from '../../drawing/ChartPlate.tsx';
import { setPrefs, usePrefs } from '../../machine/prefs.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { SheetButtons } from '../../sheets/SheetButtons.tsx';
import { useSystem } from '../../store/store.ts';
import { Choice } from '../../ui/choices.tsx';
import { LengthField } from '../../ui/fields.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

/** The chart as it lies on the glass. */
export function ChartPicture() {
  const { job } = useJobView();
  const system = useSystem();
  const { chartScale, chartTurn, screen50Mm } = usePrefs();
  const chart = chartOfJob(job);
  if (!chart) return null;
  return (
    <ChartPlate
      chart={chart}
      scale={chartScale}
      turn={chartTurn}
      pxPerMm={(CSS_PX_PER_MM * 50) / screen50Mm}
      unit={system}
    />
  );
}

const SCALES = ['10', '20', '50'] as const;
/** How large, which way up, how true the screen and the paper are, and the chart as files. */
export function ChartSettings() {
  const { job } = useJobView();
  const system = useSystem();
  const prefs = usePrefs();
  const chart = chartOfJob(job);
  if (!chart) return null;
  const least = leastScale(chart);
  const most = mostScale(chart);
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-end gap-3">
        <Choice
          label="Magnified"
          value={String(prefs.chartScale)}
          options={SCALES.map((s) => ({ value: s, label: `\u00d7 ${s}` }))}
          onChange={(s) => setPrefs({ chartScale: Number(s) })}
        />
        <TypedField
          label="or by"
          shown={String(prefs.chartScale)}
          parse={parseMagnification}
          onCommit={(n) => setPrefs({ chartScale: n })}
        />
      </div>
      <Choice
        label="Shown"
        value={prefs.chartTurn}
        options={CHART_TURNS.map((t) => ({ value: t, label: t }))}
        onChange={(t) => setPrefs({ chartTurn: t })}
      />
      <p className="text-ink2">
        {least === null
          ? 'No tolerance: the two lines lie on one another.'
          : `The band is two lines wide from \u00d7 ${Math.ceil(least)}.`}{' '}
        {prefs.chartScale > most && `On a sheet one groove has room up to \u00d7 ${most}; the sheet is drawn so.`}
      </p>
      <LengthField
        label="Lay a rule on the 50 mm on the screen. What is it?"
        mm={prefs.screen50Mm}
        system={system}
        rule={{ maxMm: 200 }}
        onCommit={(mm) => setPrefs({ screen50Mm: mm })}
      />
      <div className="grid grid-cols-2 gap-2">
        <LengthField
          label="100 mm along the print measures"
          mm={prefs.paperAlongMm}
          system={system}
          rule={{ maxMm: 200 }}
          onCommit={(mm) => setPrefs({ paperAlongMm: mm })}
        />
        <LengthField
          label="and down it"
          mm={prefs.paperDownMm}
          system={system}
          rule={{ maxMm: 200 }}
          onCommit={(mm) => setPrefs({ paperDownMm: mm })}
        />
      </div>
      <SheetButtons id="chart" drawn />
      <p className="text-sm text-ink2">
        Printers stretch the two ways differently: print, measure both rulers to {lengthText(0.2, system, FINE)}, type
        them in, print again.
      </p>
    </div>
  );
}
