import { CONFLICT } from '../../../words/machine.ts';
import { useJobView } from '../../job/jobContext.tsx';

/** What stands beside every card: a conflict of feed and slide. */
export function Conflict() {
  const { conflict } = useJobView().machine.card;
  return conflict === null ? null : <p className="text-lg font-semibold text-stop">{CONFLICT[conflict]}</p>;
}
