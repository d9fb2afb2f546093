import bold from './generated/bold.ttf?url';
import mono from './generated/mono.ttf?url';
import monoBold from './generated/monoBold.ttf?url';
import sans from './generated/sans.ttf?url';
import { CAPITAL } from '../../core/sheet/shapes.ts';
import { base64Of } from '../storage/base64.ts';
import type { DrawText, Fonts } from './pdf.ts';

/** The faces of the paper, fetched when the first PDF is written. */
export async function paperFonts(): Promise<Fonts> {
  const one = async (url: string): Promise<string> => {
    const answer = await fetch(url);
    if (!answer.ok) throw new Error(`the letters of the paper could not be read (${answer.status})`);
    return base64Of(new Uint8Array(await answer.arrayBuffer()));
  };
  const [s, b, m, mb] = await Promise.all([one(sans), one(bold), one(mono), one(monoBold)]);
  return { sans: s, bold: b, mono: m, monoBold: mb };
}

/** Dots to the mm of a text that is drawn as a picture: 600 to the inch. */
const DOTS_MM = 600 / 25.4;

/** A text in whatever face this machine has, as a picture. */
export const drawnText: DrawText = (s) => {
  const canvas = document.createElement('canvas');
  const pen = canvas.getContext('2d');
  if (!pen) return null;
  const em = (s.mm / CAPITAL) * DOTS_MM;
  const font = `${s.bold ? 700 : 400} ${em}px ${s.mono ? 'monospace' : 'sans-serif'}`;
  pen.font = font;
  canvas.width = Math.max(1, Math.ceil(pen.measureText(s.text).width));
  canvas.height = Math.ceil(em * 1.4);
  pen.font = font;
  pen.fillText(s.text, 0, em);
  return {
    data: canvas.toDataURL('image/png'),
    wide: canvas.width / DOTS_MM,
    above: em / DOTS_MM,
    tall: canvas.height / DOTS_MM,
  };
};
