import type { UnconfirmedFact } from '../../../core/lathe/schema.ts';
import { confirm } from '../../../core/lathe/unconfirmed.ts';
import { LATHE_FACTS } from '../../../words/lathe.ts';
import { Button, Note } from '../../ui/controls.tsx';
import type { LathePanel } from './edit.ts';

/** Where nobody has said a fact yet: what stands in for it, and a button for when that is how it is. */
export function Unconfirmed({
  lathe,
  edit,
  fact,
  standsIn,
}: LathePanel & {
  readonly fact: UnconfirmedFact;
  readonly standsIn: string;
}) {
  if (!lathe.unconfirmed.includes(fact)) return null;
  return (
    <Note tone="caution">
      <span className="mr-2">Not known yet: {LATHE_FACTS[fact]}.</span>
      <Button onClick={() => edit(`say ${LATHE_FACTS[fact]}`, (l) => confirm(l, fact))}>It is {standsIn}</Button>
    </Note>
  );
}
