import type { Problem } from '../../../core/quantity/outcome.ts';
import type { Lathe, LatheDraft, UnconfirmedFact } from '../../../core/lathe/schema.ts';

/** Changes the lathe on show; the label is what undo will say. */
export type EditLathe = (label: string, change: (lathe: LatheDraft) => void) => Problem | null;
/** The same for a fact that stood in until somebody said it: now it is said. */
export type SayFact = (fact: UnconfirmedFact, label: string, change: (lathe: LatheDraft) => void) => Problem | null;
export interface LathePanel {
  readonly lathe: Lathe;
  readonly edit: EditLathe;
}
