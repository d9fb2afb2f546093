import { bad, good } from '../../quantity/outcome.ts';
import { exact, numberOf } from '../../quantity/rational.ts';
import { middleOf } from '../../pickup/bothFlanks.ts';
import { offsetFromTaught } from '../../pickup/taught.ts';
import { threadFormOf } from '../../standards/thread.ts';
import { gearState, latheOf, threadOfJob } from '../derive.ts';
import { EVENT_FIELDS } from '../events.ts';
import { metalOf } from '../metal.ts';
import { oneOf, positive, text } from '../parts.ts';
import { judgedOf } from '../pickupJudged.ts';
import { pickupMove, restOf, slidesMoved, wayOf } from '../pickupMove.ts';
import { edit, event, some, shown } from './edit.ts';

/** What is done to find an old groove again: every one of these writes to the ledger. */
export const PICKUP = {
  offset: event(
    { mm: EVENT_FIELDS.offsetRead.mm, text: some(text(80)), by: some(EVENT_FIELDS.offsetRead.by) },
    (f) => ({
      kind: 'offsetRead',
      mm: f.mm,
      text: f.text ?? shown(f.mm),
      by: f.by ?? 'dial',
    }),
  ),
  /** Both flanks touched with the top slide along the bed, from where the slack was taken up: the middle is computed. */
  offsetByFlanks: event(
    { headMm: EVENT_FIELDS.offsetRead.mm, tailMm: EVENT_FIELDS.offsetRead.mm, first: oneOf('head', 'tail') },
    (f, { job, shop }) => {
      const thread = threadOfJob(job);
      if (!thread) return bad('headMm', 'no-name');
      const { leadingDeg, trailingDeg } = threadFormOf(thread);
      const [headDeg, tailDeg] = thread.leftHand ? [trailingDeg, leadingDeg] : [leadingDeg, trailingDeg];
      const slackMm = latheOf(job, shop)?.slack.topMm ?? null;
      if (f.headMm < f.tailMm) return bad('headMm', 'flanks-crossed', { headMm: f.headMm, tailMm: f.tailMm });
      const apartMm = f.headMm - f.tailMm;
      if (slackMm !== null && apartMm < slackMm) return bad('headMm', 'flanks-within-slack', { apartMm, slackMm });
      const { mm } = middleOf({ towardsHeadMm: f.headMm, towardsTailMm: f.tailMm, headDeg, tailDeg, slackMm }, f.first);
      return {
        kind: 'offsetRead',
        mm: Number(mm.toFixed(6)),
        text: `${shown(f.headMm)}, ${shown(f.tailMm)}`,
        by: 'flanks',
      };
    },
  ),
  /** How the reference of this part stands against the taught one: mm towards the headstock, of a mark degrees forward. */
  offsetFromTaught: event({ value: EVENT_FIELDS.offsetRead.mm, text: text(80) }, (f, { job, shop }) => {
    const { taught } = metalOf(job);
    const lead = gearState(job, shop)?.lead;
    if (!taught) return bad('value', 'nothing-taught');
    if (!lead) return bad('value', 'no-train-chosen');
    const leftHand = threadOfJob(job)?.leftHand ?? false;
    const mm = offsetFromTaught(taught.by, f.value, numberOf(lead), leftHand);
    return { kind: 'offsetRead', mm: Number(mm.toFixed(6)), text: f.text, by: 'taught' };
  }),
  teach: event({ by: EVENT_FIELDS.taught.by }, (f) => ({ kind: 'taught', by: f.by })),
  oldLead: event({ pitches: EVENT_FIELDS.oldLeadRead.pitches, spanMm: positive, text: some(text(120)) }, (f) => ({
    kind: 'oldLeadRead',
    pitches: f.pitches,
    spanMm: f.spanMm,
    text: f.text ?? `${f.pitches} in ${shown(f.spanMm)}`,
  })),
  /** What could be moved by this way is moved; the rest is taken up by another. */
  nearer: event({}, (_, { job, shop }) => {
    const { move } = pickupMove(job, shop, metalOf(job));
    const leftMm = move ? restOf(move) : 0;
    return move?.way === 'slip' && leftMm !== 0
      ? { kind: 'movedNearer', way: move.way, leftMm }
      : bad('way', 'nothing-left-over');
  }),
  /** At a control: the tool in the groove with the spindle at its mark. */
  dropIn: event(
    { zMm: EVENT_FIELDS.dropped.zMm, threads: some(EVENT_FIELDS.dropped.threads), text: some(text(80)) },
    (f) => ({ kind: 'dropped', zMm: f.zMm, threads: f.threads ?? null, text: f.text ?? shown(f.zMm) }),
  ),
  inGroove: event(
    {
      way: some(EVENT_FIELDS.inGroove.way),
      topMm: some(EVENT_FIELDS.inGroove.topMm),
      crossMm: some(EVENT_FIELDS.inGroove.crossMm),
    },
    (f, { job, shop }) => {
      const metal = metalOf(job);
      const found = metal.offset !== null || metal.dropped !== null;
      const way = f.way ?? (found ? wayOf(job, shop) : 'by-eye');
      const { move } = pickupMove(
        { ...job, pickup: { ...job.pickup, way: way === 'by-eye' ? 'turn' : way } },
        shop,
        metal,
      );
      const moved = move && way !== 'by-eye' ? slidesMoved(move) : { topMm: 0, crossMm: 0 };
      return {
        kind: 'inGroove',
        way,
        topMm: f.topMm ?? moved.topMm,
        crossMm: f.crossMm ?? moved.crossMm,
        startMm: move?.way === 'z' && way === 'start' ? numberOf(exact(move.startMm)) : null,
      };
    },
  ),
  /** Run along the old thread in the air: one place of it. */
  judge: event(
    {
      atMm: EVENT_FIELDS.airJudged.atMm,
      offMm: EVENT_FIELDS.airJudged.offMm,
      by: some(EVENT_FIELDS.airJudged.by),
      text: some(text(80)),
    },
    (f, { job }) =>
      metalOf(job).phase === 'lost'
        ? bad('atMm', 'not-in-groove-yet')
        : {
            kind: 'airJudged',
            atMm: f.atMm,
            offMm: f.offMm,
            by: f.by ?? (f.offMm === 0 ? 'in' : 'dial'),
            text: f.text ?? shown(f.offMm),
          },
  ),
  /** What the run in the air left is the new offset: of a lead that differs, the one at the middle of the run. */
  judgedOff: edit({}, ({ job, shop }) => {
    const metal = metalOf(job);
    const judged = judgedOf(job, metal);
    if (!judged || judged.verdict === 'more') return bad('places', 'judge-three-places');
    const mm = Number((judged.verdict === 'lead' ? judged.splitMm : judged.offsetMm).toFixed(6));
    const off = { kind: 'airPassed' as const, result: 'off' as const };
    // a control is not moved to the groove: it starts elsewhere
    if (wayOf(job, shop) === 'start' && metal.dropped) {
      const { zMm, threads } = metal.dropped;
      return good({ events: [off, { kind: 'dropped', zMm: zMm - mm, threads, text: shown(zMm - mm) }] });
    }
    return good({ events: [off, { kind: 'offsetRead', mm, text: shown(mm), by: 'judged' }] });
  }),
  airPass: event({ result: some(EVENT_FIELDS.airPassed.result) }, (f) => ({
    kind: 'airPassed',
    result: f.result ?? 'in',
  })),
} as const;
