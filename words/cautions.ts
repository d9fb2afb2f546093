import type { CautionCode } from '../core/job/cautions.ts';
import { UNMEASURED_SLACK_MM } from '../core/job/cutPlan.ts';
import { lengthText } from '../core/quantity/format.ts';
import type { UnitSystem } from '../core/quantity/units.ts';

/** Where the work can hurt somebody, in words. */
const CAUTIONS: Readonly<Record<CautionCode, string>> = {
  licensed:
    'Reproduce this only under the code that applies to it, and by those licensed or qualified for it. Gelvin computes; it certifies nothing. Local codes come first.',
  'taper-holds-pressure':
    'Taper threads hold pressure, gas, lifting gear or drill strings: that is licensed work under its own code. Gelvin does not certify it.',
  'slipped-once':
    'The work slipped once in the jaws: prove lead and place again before each cut, and hold it better; never just one more.',
  'screwed-chuck':
    'This chuck screws on and can unwind in reverse or under braking: lock it first, or keep reverse gentle.',
  'threading-cycle':
    'Keep jaws and centre clear, and run the cycle dry first. Inside a threading cycle stop, feed hold and speed override may be ignored, and the handwheel cannot cut it short: know the red button.',
  'little-time':
    'Less time to stop or withdraw than is wanted. Slow down, widen the groove, or cut away from the shoulder.',
  'inside-out': 'Inside, the tool comes out away from you, towards the axis.',
  'bar-unknown': 'The bar is not measured: see that its back clears the far wall when the tool is drawn out.',
  'keep-nuts-shut': 'No dial mark is right for this lead: keep the half-nuts shut.',
  'slack-unmeasured': 'The cross slide\u2019s slack is not measured: SLACK is allowed for when drawing out.',
  'same-setting':
    'Not all that must run true with the thread is done in this setting: do it before the work is taken out.',
  'dial-slips':
    'A dial of this lathe slips on its screw: clamp it, or chalk a line across dial and slide; read travel on an indicator for the last passes.',
  'handle-falls':
    'A handle of this lathe falls by its own weight: take it off, or hang a counterweight on it, before the spindle runs.',
  'stop-is-software': 'The stop of an electronic leadscrew is software, not a safety stop: hand on the red button.',
  isolate: 'Isolate at the plug before hands go near gears, belts or pulleys; cover back on before power.',
  'isolate-slip': 'Isolate at the plug before hands go near the gears.',
  'light-gears': 'Light gears of die-cast alloy break: tap them with wood, never with steel.',
  'hand-crank': 'Hand crank out of the spindle before power.',
  'welded-stub': 'A welded stub brings heat, distortion and hard spots: check hardness and run-out before threading.',
  'weld-build-up':
    'Weld build-up: hydrogen, hardness and preheat are the welder\u2019s to answer for; check hardness before a high-speed steel tool meets it.',
  grinding: 'Grinding the tool: goggles on, rest close to the wheel.',
  'chuck-key': 'Chuck key out.',
  'heavy-chuck': 'Changing a heavy chuck: board on the bed, mind the fingers.',
  'bar-behind': 'A bar that stands out of the spindle\u2019s back whips: guard and support it, or shorten it.',
  steady: 'Steady and follow pads seize: oil them and watch them.',
  'chips-burn': 'These chips can burn: keep them small in number and away from sparks, dry sand at hand, never water.',
  dust: 'Dust of iron, of leaded or of beryllium-bearing metal harms the lungs: mask on, no air line.',
  'oil-stains': 'Active cutting oils stain copper alloys: use an inactive one.',
  mist: 'Cutting-oil mist and smoke: ventilate, and read the data sheet.',
  standstill:
    'Wipe, gauge, mark and try nuts or wires at standstill only; power isolated for long tries. No gloves or rag near a turning thread.',
  'file-swarf': 'Never a file without a handle; file left-handed, sleeves clear. Swarf with a hook, not fingers.',
  'chuck-weight': 'A heavy chuck hung on the thread makes a good fit feel tight: carry its weight while trying.',
  'gauge-certifies':
    'A gauge made in the shop certifies nothing: measure it, date it, and say on it which school it follows.',
};

export const cautionText = (code: CautionCode, u: UnitSystem): string =>
  CAUTIONS[code].replace('SLACK', lengthText(UNMEASURED_SLACK_MM, u));

/** The same at the machine, as short as it can be said and still be right; the whole sentence is a touch away. */
const SHORT: Readonly<Partial<Record<CautionCode, string>>> = {
  licensed: 'Only under the code that applies, by those qualified for it.',
  'taper-holds-pressure': 'Taper threads hold pressure: licensed work under its own code.',
  'slipped-once': 'It slipped once: prove lead and place again before each cut.',
  'screwed-chuck': 'This chuck screws on: lock it before reverse.',
  'threading-cycle': 'In a threading cycle stop and hold may be ignored: know the red button.',
  'little-time': 'Too little time to stop: slow down, or widen the groove.',
  'bar-unknown': 'The bar is not measured: see that its back clears the far wall.',
  'keep-nuts-shut': 'No dial mark is right: the half-nuts stay shut.',
  'slack-unmeasured': 'Cross slide\u2019s slack not measured: SLACK is allowed for.',
  'same-setting': 'What runs true with the thread is not all done yet in this setting.',
  'dial-slips': 'A dial slips here: clamp it, or chalk a line across dial and slide.',
  'handle-falls': 'A handle falls by itself here: take it off, or counterweight it.',
  'stop-is-software': 'The stop is software, not a safety stop.',
  isolate: 'Isolate at the plug; cover back on before power.',
  'isolate-slip': 'Isolate at the plug before hands go near the gears.',
  'light-gears': 'Light gears break: tap them with wood, never with steel.',
  'welded-stub': 'Welded stub: check hardness and run-out before threading.',
  'weld-build-up': 'Weld build-up: check hardness before a high-speed steel tool meets it.',
  'heavy-chuck': 'Heavy chuck: board on the bed, mind the fingers.',
  'bar-behind': 'A bar out of the spindle\u2019s back whips: guard it, or shorten it.',
  'chips-burn': 'These chips can burn: dry sand at hand, never water.',
  dust: 'This dust harms the lungs: mask on, no air line.',
  mist: 'Oil mist and smoke: ventilate.',
  standstill: 'Gauge, mark and try at standstill only. No gloves, no rag.',
  'file-swarf': 'File left-handed, with a handle. Swarf with a hook.',
  'chuck-weight': 'A heavy chuck hung on the thread feels tight: carry its weight.',
  'gauge-certifies': 'A gauge made in the shop certifies nothing: measure and date it.',
};
export const cautionShort = (code: CautionCode, u: UnitSystem): string =>
  (SHORT[code] ?? CAUTIONS[code]).replace('SLACK', lengthText(UNMEASURED_SLACK_MM, u));
