import { PLAIN_ADDRESS } from '../../words/network.ts';
import { SeenNote } from './SeenNote.tsx';

/** Whether the browser takes this address for one that nobody reads along. */
export const isPlainAddress = (): boolean => globalThis.isSecureContext === false;

/** Said once for each window, where it holds; and always in the settings. */
export const PlainAddress = () =>
  isPlainAddress() && (
    <SeenNote>
      <strong>{PLAIN_ADDRESS.short}</strong> {PLAIN_ADDRESS.long} {PLAIN_ADDRESS.own}
    </SeenNote>
  );
