import QRCode from 'qrcode';

/** The modules of a code for an address, dark true. @see ISO/IEC 18004; level M mends an oily thumb */
export function codeOf(text: string): boolean[][] {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  return Array.from({ length: modules.size }, (_, y) =>
    Array.from({ length: modules.size }, (_unused, x) => modules.get(y, x) === 1),
  );
}
/** Where a job opens in this browser. */
export const jobAddress = (id: string): string => `${globalThis.location.origin}/jobs/${encodeURIComponent(id)}`;
