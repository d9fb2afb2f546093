/** Kinds of pictures that every browser of today decodes, by what their files are called. */
export const PICTURE_ENDINGS: Readonly<Record<string, string>> = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/webp': 'webp',
};
const KINDS = Object.keys(PICTURE_ENDINGS);
/** What a field for pictures takes. */
export const PICTURE_FILES = KINDS.join(',');
export const isPicture = (file: Blob): boolean => KINDS.includes(file.type);
