import type { Problem } from '../../../core/quantity/outcome.ts';
import type { Lathe } from '../../../core/lathe/schema.ts';

/** Changes the lathe on show; the label is what undo will say. */
export type EditLathe = (label: string, change: (lathe: Lathe) => void) => Problem | null;
export interface LathePanel {
  readonly lathe: Lathe;
  readonly edit: EditLathe;
}
