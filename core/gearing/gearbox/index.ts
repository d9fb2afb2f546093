/** What the levers do: ratios, settings, and a gearbox inferred from its chart. */
export { allSettings, ratioOf, settingText } from './levers.ts';
export { gearboxRatios } from './ratios.ts';
export { readChart, tiedLevers, type ChartReading, type ChartRow, type OpenPosition } from './chart.ts';
export { parseChart } from './chartText.ts';
