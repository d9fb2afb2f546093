import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { DeeperAnswer } from '../../../core/job/deeper.ts';
import type { Otherwise as Choice } from '../../../core/job/otherwise.ts';
import { LOOK_TEXT, otherwiseText } from '../../../words/deeper.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act } from '../../store/store.ts';
import { Button } from '../../ui/controls.tsx';
import { TextField } from '../../ui/fields.tsx';
import { useStepSaid } from './useStepSaid.ts';

/** Where nothing more can be made of what is known: what to look at, and each act that changes something. */
export function Otherwise({ answer }: { readonly answer: DeeperAnswer & { readonly code: 'doubt' | 'enough' } }) {
  const { job, machine } = useJobView();
  const navigate = useNavigate();
  const said = useStepSaid();
  const [signing, sign] = useState(false);
  const { after } = machine.card;
  const to = (where: string): void => void navigate(`/jobs/${job.id}/${where}`);
  const go = (o: Choice): void => {
    switch (o.do) {
      case 'clean':
        to('prove?show=finish');
        return;
      case 'measure':
        if (o.mate !== null) act({ do: 'setProve', mate: o.mate });
        to(`prove?by=${o.by === 'wires' || o.by === 'balls' ? 'measure' : o.by}`);
        return;
      case 'spring':
        act({ do: 'springDone', after });
        return;
      case 'cut':
        if (act({ do: 'deeper', byMm: o.byMm, after }) === null) to('cut');
        return;
      case 'accept':
        sign(true);
    }
  };
  return (
    <div className="grid gap-3">
      <div aria-label="What may be done" role="group" className="grid grid-cols-2 gap-2">
        {answer.or.map((o, i) => (
          <Button key={i} onClick={() => go(o)}>
            {otherwiseText(o, said.text)}
          </Button>
        ))}
      </div>
      {signing && (
        <TextField label="Accepted by, then Enter" value="" onCommit={(by) => act({ do: 'accept', by, after })} />
      )}
      {answer.looks.length > 0 && (
        <ul aria-label="Why it may stop" className="grid">
          {answer.looks.map((l) => (
            <li key={l} className="border-t border-line py-1 text-base">
              <b>{LOOK_TEXT[l].why}.</b> {LOOK_TEXT[l].look}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
