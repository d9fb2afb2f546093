import { latheOf, threadOfJob } from '../../../core/job/derive.ts';
import { feedsAtAngle } from '../../../core/job/feed.ts';
import { parseSlideAngle, setupOf } from '../../../core/job/setupView.ts';
import { toolOfJob } from '../../../core/job/cutPlan.ts';
import { FINE, lengthText } from '../../../core/quantity/format.ts';
import { CONFLICT } from '../../../words/machine.ts';
import { scaleText } from '../../../words/settings.ts';
import { INFEED_AT_CONTROL, INFEED_NAMES, infeedText, slideAngleText, uncutFlankText } from '../../../words/setup.ts';
import { useJobView } from '../../job/jobContext.tsx';
import { act, useShop } from '../../store/store.ts';
import { Note } from '../../ui/controls.tsx';
import { Choice } from '../../ui/choices.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { TypedField } from '../../ui/TypedField.tsx';
import { TaperSection } from './TaperSection.tsx';
import { SlidePlate } from './SlidePlate.tsx';

/** How the cut is fed, and the top slide as it lies for it, in this lathe's own scale. */
export function SlideTab() {
  const { job, machine } = useJobView();
  const shop = useShop();
  const thread = threadOfJob(job);
  const view = setupOf(job, shop);
  const lathe = latheOf(job, shop);
  const own = toolOfJob(job);
  if (!thread || !view || !own) return null;
  const { halfDeg, slide, scale } = view;
  const angle = job.setup.slideAngleDeg;
  const control = lathe?.kind === 'control';
  const angled = feedsAtAngle(job.setup.infeed);
  const internal = job.intake.make === 'internal';
  const none = view.unscaled;
  const unlike = own.tool.leadingDeg !== own.tool.trailingDeg;
  return (
    <div className="grid gap-3">
      <Choice
        label="How the cut is fed"
        value={job.setup.infeed}
        options={(['flank', 'modified', 'alternate', 'plunge'] as const).map((value) => ({
          value,
          label: control ? INFEED_AT_CONTROL[value] : INFEED_NAMES[value],
        }))}
        onChange={(v) => act({ do: 'setUp', infeed: v })}
      />
      {machine.feed.conflict && <Note tone="caution">{CONFLICT[machine.feed.conflict]}</Note>}
      {control && angled && (
        <TypedField
          label="Infeed angle, from straight in"
          shown={scaleText(angle)}
          parse={(t) => parseSlideAngle(t, halfDeg)}
          onCommit={(a) => act({ do: 'setUp', slideAngleDeg: a.deg })}
          hint={`half the form angle is ${scaleText(halfDeg)}; a recut goes straight in whatever stands here`}
        />
      )}
      {!control && angled && (
        <div className="grid gap-3 md:grid-cols-[minmax(0,1fr)_17rem]">
          <div className="grid min-h-112">
            <SlidePlate
              deg={angle}
              handle={internal === thread.leftHand ? 'tailstock' : 'headstock'}
              internal={internal}
              now
            />
          </div>
          <div className="grid content-start gap-3">
            <TypedField
              label="Top slide from the cross-slide line"
              shown={scaleText(angle)}
              parse={(t) => parseSlideAngle(t, halfDeg)}
              onCommit={(a) => act({ do: 'setUp', slideAngleDeg: a.deg })}
              hint={`half the form angle is ${scaleText(halfDeg)}; half to one degree less is usual, never more`}
            />
            {slide.code !== 'right' && (
              <Note tone={slide.code === 'beyond' ? 'wrong' : 'caution'}>{slideAngleText(slide, angle, halfDeg)}</Note>
            )}
            {scale !== null && !none && (
              <Figure
                label={`On the slide\u2019s own scale (0 is ${lathe?.slideScaleZero === 'bed' ? 'along the bed' : 'in line with the cross slide'})`}
                value={scaleText(scale.deg)}
                other={
                  internal
                    ? 'swung the other way for the internal thread'
                    : thread.leftHand
                      ? 'swung the other way for the left-hand thread'
                      : 'so that it feeds towards the headstock'
                }
                working={{ title: 'Top slide setting', steps: scale.steps }}
              />
            )}
            {none && (
              <>
                <Figure label="No scale: protractor to the chuck\u2019s face" value={scaleText(none.fromFaceDeg)} />
                <Figure label="or to the bed" value={scaleText(none.fromBedDeg)} />
                <Figure
                  label="or blocks under a sine bar of 100 mm (of 5 in)"
                  value={`${none.bar100.toFixed(3)} mm`}
                  other={lengthText(none.bar127, 'in', FINE)}
                />
              </>
            )}
            {unlike && <Note tone="say">{uncutFlankText(own.tool.leadingDeg, own.tool.trailingDeg)}</Note>}
          </div>
        </div>
      )}
      <Note tone="say">{infeedText(job.setup.infeed)}</Note>
      <TaperSection />
    </div>
  );
}
