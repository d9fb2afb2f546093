import type { Answers, Door, Outcome, SettingSaid, Truth } from './door.ts';
import { Slide, travelOf, turnMm } from './lathe.ts';
import { Metal, type Tool } from './metal.ts';
import type { Dice } from './random.ts';

class Scrapped extends Error {}
/** A hand turns a handle wrongly by so much when it sets a dial, mm radial. */
const HAND_MM = 0.002;
const MOST_STEPS = 1200;
const MOST_STOPS = 40;
const MOST_LOOKS = 6;
const MOST_LEASTS = 12;
const MOST_RISK = 0.02;
/** Hands feel a mate differently, in units of feel. */
const HAND_G = 0.5;
/** A rule is read so well, mm; a scratch as deep as this would not turn away. */
const RULE_MM = 0.12;
const DEEP_SCRATCH_MM = 0.12;
/** After so many passes the blank is looked at again. */
const READ_AGAIN_AT = 2;
/** How well an eye sees where a groove lies, mm along the axis. */
const EYE_MM = 0.012;
/** A tool so far beside a groove cuts its flank, which anybody sees, mm. */
const BESIDE_MM = 0.06;

/** The starts of a thread, gone round: one that was cut before is as deep as it was left. */
class Round {
  private readonly depths: number[];
  private at = 0;
  constructor(starts: number) {
    this.depths = Array.from({ length: starts }, () => 0);
  }
  /** Leaves a start at its depth: how deep the next one is. */
  on(depthMm: number): number {
    this.depths[this.at] = depthMm;
    this.at = (this.at + 1) % this.depths.length;
    return this.depths[this.at] ?? 0;
  }
}

/** Gears and levers as they are up: what they cut, as a share of the lead that is wanted. */
class Gears {
  cuts: number;
  private readonly t: Truth;
  private before = false;
  constructor(t: Truth) {
    this.t = t;
    this.cuts = t.levers?.cuts[t.levers.stand] ?? 1;
  }
  /** As the card says; the first time with the slip that was dealt. Levers of which nothing is said stay where they stood. */
  putUp({ gears }: Answers['card']): void {
    const { levers, slipCuts } = this.t;
    const said = gears?.levers ?? null;
    if (said !== null) this.cuts = levers?.cuts[said] ?? 1;
    else if (!levers) this.cuts = 1;
    if (!this.before) this.cuts *= slipCuts;
    this.before = true;
  }
}
const isSlip = ({ stopped }: Answers['card']): boolean => stopped?.code === 'scratch';
/** The blank is looked at once more, while there is metal left. */
const readAgain = ({ pass }: Answers['card'], misreadMm: number): boolean =>
  misreadMm !== 0 && (pass?.n ?? 0) > READ_AGAIN_AT;

/** Carries one job to its end, doing what the card says and nothing else. */
export function carry(
  door: Door,
  t: Truth,
  dice: Dice,
  mischief: (n: number) => readonly Record<string, unknown>[],
): Outcome {
  const lead = t.pitchMm * t.starts;
  const dir = t.leftHand ? -1 : 1;
  const internal = t.member === 'internal';
  // cutting away from the free end, that flank is on the side towards which the tool travels; a nut's likewise
  const tool: Tool = { headDeg: t.freeEndDeg, tailDeg: t.headEndDeg, flatMm: t.flatMm };
  let metal = new Metal(lead);
  /** The length on which an old thread is still there. */
  let old = new Metal(lead);
  let phase = 0;
  let part = 0;
  let blankMm = 0;
  const putUp = (): void => {
    metal = new Metal(lead);
    old = new Metal(lead);
    phase = dice.between(0, lead);
    blankMm = t.blanksMm[part] ?? t.blanksMm[0] ?? 0;
    part += 1;
    if (t.wanted === 'copy') return;
    const where = dice.between(0, lead);
    for (let s = 0; s < t.starts; s += 1) old.cut(tool, t.oldDepthMm, where + s * t.pitchMm);
    if (t.wanted === 'recut') metal.depth.set(old.depth);
  };
  putUp();
  const gears = new Gears(t);
  let misread = t.misreadMm;
  /** What a control was told that the surface measures. */
  let toldMm = 0;
  const hand = dice.gauss(HAND_G);
  const cross = new Slide(t.crossSlackMm);
  const top = new Slide(t.topSlackMm);
  // depth of the tip = cross + top cos b + zero; place along the axis = phase + top sin b in the direction of the cut
  let slideDeg = t.slideDeg;
  let zero = 0;
  let real = 0;
  let round = new Round(t.starts);
  let lastChip = 0;
  let scrapped: string | null = null;
  let steps = 0;
  let stops = 0;
  const rad = (deg: number): number => (deg * Math.PI) / 180;
  const alongBed = (): boolean => slideDeg === 90;
  const place = (): number => phase + top.mm * Math.sin(rad(slideDeg)) * (alongBed() ? 1 : dir);
  const tip = (): number => cross.mm + top.mm * Math.cos(rad(slideDeg)) + zero;
  const say = (e: Record<string, unknown>): void => {
    const { ok, problem } = door.edit([e]);
    if (!ok) throw new Error(`${JSON.stringify(e)}: ${problem ?? ''}`);
  };
  const groove = (): Metal =>
    t.wanted === 'extend' && metal.deepest() === 0 ? old : metal.deepest() > 0 ? metal : old;
  /** How far the groove lies from the tool, + towards the headstock, as an eye sees them fit; null where there is none. */
  const offNow = (): number | null => {
    const deepest = groove().deepest();
    const at = Math.max(0.05, deepest * 0.6);
    const middle = groove().middleNear(place(), at);
    // unlike flanks: the tool's own middle at that height lies beside its tip
    const tilt = (Math.tan(rad(tool.headDeg)) - Math.tan(rad(tool.tailDeg))) / 2;
    return middle === null ? null : middle - Math.max(0, deepest - at) * tilt;
  };
  const lose = (): void => {
    phase += dice.between(0.2, 0.8) * lead;
  };
  const setTo = (settings: readonly SettingSaid[]): void => {
    for (const s of settings) {
      if (s.slide === 'control') {
        const mm = s.value * (s.unit === 'mm' ? 1 : 25.4) * (s.reads === 'diameter' ? 0.5 : 1);
        cross.comeTo((internal ? 1 : -1) * (mm - toldMm / 2) - top.mm * Math.cos(rad(slideDeg)) - zero);
        continue;
      }
      const slide = s.slide === 'cross' ? cross : top;
      slide.comeTo(travelOf(s.slide === 'cross' ? t.cross : t.top, s) + dice.gauss(HAND_MM));
    }
  };
  const goBack = (a: Answers): void => {
    const { outMm, outTurns } = a.card;
    const before = cross.mm;
    const by = outTurns !== null ? outTurns * turnMm(t.cross) : Math.ceil((outMm ?? 0) / 0.05) * 0.05 + t.crossSlackMm;
    cross.to(before - by);
    // clear of the highest spot of the surface, all the way back
    if (tip() > -t.eccentricMm) throw new Scrapped(`the tool came back through the work, ${tip().toFixed(2)} deep`);
    if (t.barMm !== null && -tip() > blankMm - t.barMm) throw new Scrapped('the bar was drawn into the far wall');
    cross.to(before);
    comeBack(a);
  };
  /** The carriage comes back: on the chasing dial where marks are given, else with the nuts shut and the spindle reversed. */
  const comeBack = (a: Answers): void => {
    const { halfNuts } = t;
    if (!halfNuts) return;
    const { closeOn } = a.card;
    if (closeOn === null) {
      if (halfNuts.screwedChuck && !a.card.cautions.includes('screwed-chuck'))
        throw new Scrapped('the chuck unscrewed itself in reverse');
      return;
    }
    // a whole number of dial turns more, and the mark: the carriage is that far from where it would have come by itself
    const mark = dice.of(closeOn);
    const travel = (dice.whole(0, 5) + mark / halfNuts.marks) * halfNuts.dialTeeth * halfNuts.leadscrewMm;
    const off = travel - lead * Math.round(travel / lead);
    phase += off;
  };
  const pass = (a: Answers, again = false): void => {
    setTo(a.card.settings);
    const stand = tip();
    const before = real;
    // part of what stands before the tool springs away
    real = stand > real ? real + t.share * (stand - real) : real;
    const spring = again || (a.card.pass?.spring ?? false);
    if (Math.abs(gears.cuts - 1) > 1e-9)
      throw new Scrapped(`a lead of ${(lead * gears.cuts).toFixed(3)} where ${lead.toFixed(3)} is wanted`);
    if (stand - before > t.capMm * 1.5 + 0.03 && !spring)
      throw new Scrapped(`a pass of ${(stand - before).toFixed(2)} where at most ${t.capMm.toFixed(2)} was asked for`);
    {
      const at = place();
      if (t.wanted === 'extend') {
        const wound = old.would(tool, real, at);
        if (wound.areaMm2 > 0.05 + BESIDE_MM * real && real < t.oldDepthMm - 0.1)
          throw new Scrapped(
            `the tool cut into the old thread beside its groove, ${wound.areaMm2.toFixed(3)} at ${(old.middleNear(at, 0.5) ?? 0).toFixed(3)}`,
          );
      }
      const chip = metal.cut(tool, real, at);
      // a spring pass takes what the pass before sprang away from
      // what sprang away from the pass before comes with this one
      const said = Math.max((a.card.chipMm2 ?? 0) + lastChip * (1 - t.share), spring ? lastChip * 0.8 : 0);
      lastChip = said;
      if (chip.areaMm2 > 2.2 * said + 0.06)
        throw new Scrapped(
          `a chip of ${chip.areaMm2.toFixed(3)} where ${said.toFixed(3)} was planned: thrown sideways or off the groove`,
        );
    }
    goBack(a);
  };
  /** A scratch, or turns of the chuck: what they span is read with a rule and said. */
  const provePitch = (a: Answers, p: NonNullable<Answers['card']['pitch']>): void => {
    if (p.by === 'scratch') {
      setTo(a.card.settings);
      if (tip() > DEEP_SCRATCH_MM) throw new Scrapped(`a scratch ${tip().toFixed(2)} deep`);
    }
    say({
      do: 'scratch',
      crests: p.count,
      spanMm: Number((p.count * lead * gears.cuts + dice.gauss(RULE_MM)).toFixed(2)),
    });
  };
  const runAlong = (a: Answers): void => {
    if (a.card.pitch) {
      provePitch(a, a.card.pitch);
      return;
    }
    const there = offNow();
    say({ do: 'airPass', result: there !== null && Math.abs(there) > 0.05 ? 'off' : 'in' });
  };
  const measured = (): number => {
    const line = metal.pitchLineMm(t.pitchMm, t.starts);
    return blankMm + (internal ? 2 : -2) * line;
  };
  const prove = (): void => {
    const d2 = measured();
    if (t.wire !== null) {
      const a = rad(t.freeEndDeg);
      const slope = lead / (Math.PI * d2);
      const over =
        d2 +
        t.wire * (1 + 1 / Math.sin(a)) -
        t.pitchMm / 2 / Math.tan(a) +
        (t.wire / 2) * slope * slope * (Math.cos(a) / Math.tan(a));
      say({ do: 'overWires', mm: over + dice.gauss(0.003), wire: { text: 'wire', mm: t.wire } });
      return;
    }
    if (t.gauges) {
      const goes = (mm: number): boolean => (internal ? 1 : -1) * (d2 - mm) + dice.gauss(0.002) > 0;
      const go = goes(t.gauges.goMm);
      say({ do: 'gauge', which: 'go', passes: go, pitchDiameterMm: t.gauges.goMm });
      if (go) say({ do: 'gauge', which: 'not-go', passes: goes(t.gauges.notGoMm), pitchDiameterMm: t.gauges.notGoMm });
      return;
    }
    // clearance in steps of 0.01 sqrt(P), as this hand feels it
    const g = 0.01 * Math.sqrt(t.pitchMm);
    const clearance = ((internal ? 1 : -1) * (d2 - t.mateMm)) / g + hand + dice.gauss(0.2);
    const result =
      clearance < -2
        ? 'no-start'
        : clearance < -0.5
          ? 'starts'
          : clearance < 1
            ? 'tight'
            : clearance < 5
              ? 'runs'
              : 'shakes';
    say({ do: 'tryMate', mate: 'mate', result });
  };
  const pickUp = (): void => {
    const there = offNow();
    if (there === null) {
      say({ do: 'inGroove', way: 'by-eye' });
      return;
    }
    if (door.job().pickup.problem === 'slide-not-along-bed') {
      // swinging it takes the tool somewhere else
      slideDeg = 90;
      lose();
      say({ do: 'swingSlide', deg: 90 });
    }
    if (door.job().pickup.problem === 'not-dropped') {
      // at a control the tool is jogged until it drops into the groove; every start is whole leads from there
      const there = offNow() ?? 0;
      phase += there + dice.gauss(EYE_MM);
      say({ do: 'dropIn', zMm: -7.31 });
      if (door.job().pickup.problem === 'no-length') say({ do: 'setUp', lengthMm: 40 });
      say({ do: 'inGroove' });
      return;
    }
    const off = offNow() ?? 0;
    say({ do: 'offset', mm: Number((off + dice.gauss(EYE_MM)).toFixed(3)) });
    // a slide square across moves nothing along: another way in
    if (door.job().pickup.problem === 'slide-square') say({ do: 'setPickup', way: 'turn' });
    const { move } = door.job().pickup;
    if (!move) throw new Error('no move was offered');
    switch (move.way) {
      case 'parallel': {
        // against the cut the slack stays open, unless the slide goes past and comes back
        if (move.comeBack || move.axialMm * dir >= 0) top.comeTo(top.mm + move.axialMm);
        else top.to(top.mm + move.axialMm);
        break;
      }
      case 'angled': {
        top.comeTo(top.mm + move.slideMm);
        cross.comeTo(cross.mm - move.crossOutMm);
        break;
      }
      case 'turn':
        // forward carries a right-hand groove towards the headstock: the tool is then that much behind
        phase -= ((move.direction === 'forward' ? 1 : -1) * move.deg * lead * dir) / 360;
        break;
      case 'slip':
        if (t.slip)
          phase += ((move.direction === 'forward' ? 1 : -1) * move.teeth * t.slip.travelMm * dir) / t.slip.teeth;
        if (Math.abs(move.leftMm) > 0.02) {
          // less than half a tooth is left: taken up by turning the work
          say({ do: 'setPickup', way: 'turn' });
          pickUp();
          return;
        }
        break;
      case 'start':
        phase -= move.outMm * dir;
        break;
      case 'z':
        throw new Error('this machinist has no control');
    }
    say({ do: 'inGroove' });
  };

  /** Looks and least cuts in a row that changed nothing for good: after so many anybody lets it be. */
  let looks = 0;
  let leasts = 0;
  const follow = (a: Answers, next: NonNullable<Answers['prove']['next']>): void => {
    const least = next.or?.find((o) => o.do === 'cut' && (o.risk ?? 1) <= MOST_RISK)?.byMm;
    switch (next.code) {
      case 'deeper':
        looks = 0;
        say({ do: 'deeper', byMm: next.byMm });
        return;
      case 'spring':
        pass(a, true);
        say({ do: 'springDone' });
        return;
      case 'measure':
        looks += 1;
        if (looks > MOST_LOOKS) say({ do: 'accept', by: 'the machinist' });
        else prove();
        return;
      case 'doubt':
      case 'enough':
        leasts += 1;
        if (least === undefined || leasts > MOST_LEASTS) say({ do: 'accept', by: 'the machinist' });
        else say({ do: 'deeper', byMm: least });
        return;
      default:
        say({ do: 'finishPart', ...(next.code === 'past' ? { verdict: 'scrapped' } : {}) });
    }
  };
  let worst = 0;
  /** A part that is done: how far off it is, and whether it goes on the screw it was made for. */
  const judge = (): void => {
    const left = (internal ? -1 : 1) * (measured() - t.targetPitchDiameterMm);
    if (Math.abs(left) > Math.abs(worst) || part === 1) worst = left;
    if (!t.screw) return;
    if (measured() <= t.screw.thickestMm)
      throw new Scrapped('the nut does not go over the thickest place of its screw');
    if (blankMm <= t.screw.rootMm) throw new Scrapped('the bore of the nut rides on the root of its screw');
  };

  try {
    for (steps = 0; steps < MOST_STEPS; steps += 1) {
      for (const e of mischief(steps)) {
        const kind = e['do'];
        if (kind === 'slipped' || kind === 'reseat' || kind === 'changeTool' || kind === 'mountGears') lose();
        if (kind === 'setUp' && typeof e['slideAngleDeg'] === 'number') slideDeg = e['slideAngleDeg'];
        say(e);
      }
      const a = door.job();
      const { card } = a;
      if (card.do === 'finished' || card.do === 'next-part') {
        judge();
        if (card.do === 'finished') break;
        putUp();
        real = 0;
        round = new Round(t.starts);
        say({ do: 'beginPart' });
        const aim = door.job().before?.aims[0];
        if (aim) say({ do: 'deeper', byMm: aim.deeperMm });
        continue;
      }
      switch (card.do) {
        case 'check':
          stops += 1;
          if (isSlip(card)) {
            gears.putUp(card);
            say({ do: 'mountGears' });
            break;
          }
          if (stops > MOST_STOPS) throw new Scrapped('the card stopped for good');
          say({ do: 'check' });
          break;
        case 'mount':
          if (card.what === 'gears') {
            if (groove().deepest() > 0) lose();
            gears.putUp(card);
            say({ do: 'mountGears' });
          } else say({ do: 'mount' });
          break;
        case 'measure':
        case 'try':
          if (card.what === 'blank') {
            toldMm = Number((blankMm + dice.gauss(0.003) + misread).toFixed(3));
            say({ do: 'measureBlank', diameterMm: toldMm });
            break;
          }
          if (card.do === 'try' && a.prove.next) follow(a, a.prove.next);
          else prove();
          break;
        case 'touch':
          // the tool is fed in with the cross slide; both dials are then set to zero where they stand
          phase = place();
          top.rezero();
          cross.rezero();
          cross.comeTo(0);
          if (card.what === 'groove') {
            const there = offNow() ?? 0;
            zero =
              groove().deepest() -
              Math.abs(there) / Math.max(0.05, Math.tan(rad(Math.min(t.freeEndDeg, t.headEndDeg))));
            real = Math.max(real, groove().deepest());
          } else zero = dice.gauss(0.004);
          say({ do: 'touchOff', on: card.what === 'groove' ? 'groove' : 'surface' });
          break;
        case 'pickup':
          pickUp();
          break;
        case 'air':
          runAlong(a);
          break;
        case 'next-start':
          real = round.on(real);
          phase += t.pitchMm;
          say({ do: 'nextStart' });
          break;
        case 'set':
          // a second look at the blank: what was read wrongly is put right while there is metal left
          if (readAgain(card, misread)) {
            misread = 0;
            say({ do: 'correctBlank', diameterMm: Number((blankMm + dice.gauss(0.003)).toFixed(3)) });
            break;
          }
          pass(a);
          say({ do: card.pass?.spring ? 'springDone' : 'passDone', after: card.after });
          break;
        default:
          throw new Error(`the card says "${card.do}"`);
      }
    }
  } catch (e) {
    if (!(e instanceof Scrapped)) throw e;
    scrapped = e.message;
  }
  if (scrapped === null && steps >= MOST_STEPS) scrapped = 'it never came to an end';
  return { scrapped, leftMm: worst, steps };
}
