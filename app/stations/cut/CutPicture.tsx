import { latheOf } from '../../../core/job/derive.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { useShop } from '../../store/store.ts';
import { GroovePlate } from '../../drawing/GroovePlate.tsx';
import { PartPlate } from './PartPlate.tsx';

/** The groove as the ledger has it; before there is one, the part. */
export function CutPicture() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const { metal, plan, request, card } = machine;
  if (!plan || !request) return <PartPlate act="touch" />;
  const u = latheOf(job, shop)?.crossSlide.unit ?? 'mm';
  const toCome = plan.passes.filter((p) => !p.spring);
  return (
    <GroovePlate
      passes={toCome.map((p) => ({ depthMm: p.depthMm, axialMm: p.axialMm }))}
      doneMm={Math.max(metal.depthMm, metal.grooveMm ?? 0)}
      axialMm={metal.axialMm}
      request={request}
      unit={u}
      toGo={card.leftMm !== null && card.leftMm > 0 && !card.pass?.spring ? lengthText(card.leftMm, u, FINE) : null}
      dots={{
        done: metal.cuts,
        toCome: card.pass?.spring ? 0 : toCome.length,
        springs: job.cut.springs,
        sprung: metal.springs,
      }}
      airPasses={card.airPasses}
    />
  );
}
