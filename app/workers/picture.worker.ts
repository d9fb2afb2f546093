import { expose } from 'comlink';
import type { Grey } from '../../core/profile/grey.ts';
import { readProfile } from '../../core/profile/readProfile.ts';
import { readTip } from '../../core/profile/tip.ts';
import { lookAt } from '../../core/profile/scenes.ts';
import { LOOK, type Decoded, type PictureWorker } from './pictureProtocol.ts';

/** Points that are taken, in millions; a little over 12 so that a camera of 12 is. */
const MOST_MP = 12.6;
/** Rows that are turned to grey at a time: the colours of a whole picture would take four times its own room. */
const ROWS = 256;
const PREVIEW_W = 1600;
/** What the eye takes of red, green and blue. @see ITU-R BT.601 */
const [RED, GREEN, BLUE] = [0.299 / 255, 0.587 / 255, 0.114 / 255];

/** The picture that is read, and beside it what a camera sees meanwhile: a late look must not push the picture out. */
const held = new Map<string, Grey>();

function context(w: number, h: number) {
  const canvas = new OffscreenCanvas(w, h);
  const c = canvas.getContext('2d', { willReadFrequently: true });
  if (!c) throw new Error('this browser draws no pictures in the background');
  return { canvas, c };
}

function greyOf(bitmap: ImageBitmap): Grey {
  const { width: w, height: h } = bitmap;
  const data = new Float32Array(w * h);
  const { c } = context(w, Math.min(ROWS, h));
  for (let top = 0; top < h; top += ROWS) {
    const rows = Math.min(ROWS, h - top);
    // what lies behind a picture with holes is paper
    c.fillStyle = '#fff';
    c.fillRect(0, 0, w, rows);
    c.drawImage(bitmap, 0, top, w, rows, 0, 0, w, rows);
    const { data: rgba } = c.getImageData(0, 0, w, rows);
    for (let i = 0, o = top * w; i < rgba.length; i += 4, o += 1)
      data[o] = RED * (rgba[i] ?? 0) + GREEN * (rgba[i + 1] ?? 0) + BLUE * (rgba[i + 2] ?? 0);
  }
  return { w, h, data };
}

/** As a picture of its own. */
async function pictureOf(g: Grey): Promise<Blob> {
  const { canvas, c } = context(g.w, g.h);
  const image = c.createImageData(g.w, g.h);
  for (let i = 0; i < g.data.length; i += 1) {
    const v = (g.data[i] ?? 0) * 255;
    image.data[4 * i] = v;
    image.data[4 * i + 1] = v;
    image.data[4 * i + 2] = v;
    image.data[4 * i + 3] = 255;
  }
  c.putImageData(image, 0, 0);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.94 });
}

function heldAs(key: string): Grey {
  const grey = held.get(key);
  if (!grey) throw new Error('the picture is not there any more');
  return grey;
}

const api: PictureWorker = {
  decode: async (key, blob) => {
    for (const other of held.keys()) if (key !== LOOK && other !== LOOK) held.delete(other);
    const bitmap = await createImageBitmap(blob, { imageOrientation: 'from-image' });
    const { width: w, height: h } = bitmap;
    if (w * h > MOST_MP * 1e6) {
      bitmap.close();
      return { megapixels: (w * h) / 1e6 };
    }
    held.set(key, greyOf(bitmap));
    const share = Math.min(1, PREVIEW_W / w);
    const { canvas, c } = context(Math.round(w * share), Math.round(h * share));
    c.imageSmoothingQuality = 'high';
    c.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    return { w, h, preview: await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 }) } satisfies Decoded;
  },
  read: (key, ask, onProgress) => {
    return Promise.resolve(readProfile(heldAs(key), ask, onProgress));
  },
  readTip: (key, ask) => Promise.resolve(readTip(heldAs(key), ask)),
  simulate: (scene, w, seed) => pictureOf(lookAt(scene, w, seed)),
};
expose(api);
