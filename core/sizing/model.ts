import { isSquare, slopeOf, type Flanks } from '../form/flanks.ts';
import { type Tip, tipBeyondPitchLineMm } from '../cutting/tip.ts';
import { normalCdf as cumulativeNormal } from '../numeric/normal.ts';
import { dice, type Dice } from './random.ts';

/**
 * What a part measures, as a cloud of hypotheses moved by every event. Everything is turned so that x falls as metal goes:
 * x = d2 of a screw, -D2 of a nut. A hypothesis holds where the tip really is, how wrong the dial is, how a pass shares what
 * stands before it, what wires share, and each mate's size with the hand that tries it.
 */

/** How a mate goes on, from not starting to shaking. */
export type MateResult = 'no-start' | 'starts' | 'binds' | 'tight' | 'runs' | 'shakes';
/** Limits of a size, mm. */
export interface Bounds {
  readonly minMm: number;
  readonly maxMm: number;
}
/** What happened, as far as it tells of the size. */
export type SizeEvent =
  | { readonly kind: 'cut'; readonly depthMm: number }
  | { readonly kind: 'spring' }
  | { readonly kind: 'side'; readonly shiftMm: number }
  /** Touched off anew; in the groove, where a tool beside its middle meets one flank early. */
  | { readonly kind: 'rezero'; readonly in?: 'groove' }
  | { readonly kind: 'tool'; readonly tip: Tip }
  /** The groove was found again, and the tool stands beside its middle by about so much along the axis, one standard deviation. */
  | { readonly kind: 'picked-up'; readonly axialMm: number }
  /** A measurement that gives the pitch diameter outright: over wires, between balls. */
  | { readonly kind: 'measured'; readonly pitchDiameterMm: number; readonly uncertaintyMm: number }
  | {
      readonly kind: 'gauge';
      readonly which: 'go' | 'not-go';
      readonly passes: boolean;
      readonly pitchDiameterMm: number;
    }
  | {
      readonly kind: 'mate';
      readonly name: string;
      readonly result: MateResult;
      readonly turns: number | null;
      readonly shakeMm: number | null;
      readonly uncertaintyMm: number;
      readonly bounds: Bounds | null;
      readonly lengthMm: number | null;
    };

/** The thread and the lathe, as the size is reckoned from them. */
export interface SizeModel extends Flanks {
  readonly member: 'external' | 'internal';
  readonly pitchMm: number;
  readonly surfaceMm: number;
  readonly tip: Tip;
  readonly dialUncertaintyMm: number;
  readonly settingMm: number;
  readonly wiresSharedMm: number;
  /** Pitch diameter of the basic thread of its name, about which a mate of unknown size lies; null: it has no name. */
  readonly basicMm: number | null;
  /** Of no standard: a mate may lie further from it. */
  readonly special: boolean;
}

/** Hypotheses in the cloud. */
const CLOUD = 2000;
const SEED = 20_26;
/** A pass takes 60 to 97 % of what stands before the tool. Common practice, no source. */
const SHARE = [0.6, 0.97] as const;
const SHARE_SCATTER = 0.03;
/** Under this it may only rub, mm. Common practice, no source. */
const RUBS_MM = 0.005;
/** A gauge tells its size within this, mm. */
const GAUGE_MM = 0.002;
/**
 * A mate of unknown size clears the basic thread by its allowance, its tolerance and its wear: so much of it at least and at
 * most, on pitch diameter, in units of the root of the pitch, mm. Common practice, no source.
 */
const UNKNOWN_MATE = { standard: [-0.03, 0.25], special: [-0.15, 0.4] } as const;
/** Without a name: the pitch line lies so far under the surface, on diameter, over the pitch; a nut may be bored over. Common practice, no source. */
const UNKNOWN_MATE_PITCHES = { external: [0.4, 0.8], internal: [0.2, 0.7] } as const;
/** Edges of feel, in units of 0.01 sqrt(P): no start, starts, tight, runs, shakes. Common practice, no source. */
const EDGES = { starts: -2, tight: -0.5, runs: 1, shakes: 4 } as const;
const HAND_G = 0.5;
const TRIAL_G = 0.2;
/** An answer less likely than this says that something taken for granted is wrong; then the dial is let out so many times. */
const ANSWER = 0.003;
const REOPENED = 3;
/** A mate that answered as none of what is usual would lies so much further from it, in units of the root of the pitch, mm. */
const WIDER = 0.2;
/** A reading that is explained no better than this is doubted: some four standard deviations off. */
const STRANGE = 3e-4;
/** Where a mate binds is felt within so much play, and within this share of it, mm. Common practice, no source. */
const BIND_MM = 0.01;
const BIND_SHARE = 0.25;
/** A reading now and then is simply wrong: over a burr, a wire not home. */
const ASTRAY = 0.01;
const ASTRAY_MM = 0.15;

/** Weighed guesses at how dial and metal stand to each other. */
export interface Cloud {
  readonly n: number;
  readonly x: Float64Array;
  readonly dial: Float64Array;
  readonly share: Float64Array;
  /** 1: the share holds throughout; 0: more is taken while the groove is narrow. */
  readonly law: Uint8Array;
  readonly shared: Float64Array;
  readonly side: Float64Array;
  /** Depth that the groove was as good as when it was last picked up, and how far beside its middle the tool stands since, mm. */
  readonly before: Float64Array;
  readonly aside: Float64Array;
  readonly hand: Float64Array;
  readonly mates: Map<string, Float64Array>;
  /** Lead error over length, only where mates of several lengths or a bind can tell it. */
  readonly lead: Float64Array;
  readonly w: Float64Array;
}

/**
 * Sign that turns a pitch diameter into x.
 * @example [signOf({ member: 'external' }), signOf({ member: 'internal' })] // [1, -1]
 */
export const signOf = (m: Pick<SizeModel, 'member'>): 1 | -1 => (m.member === 'external' ? 1 : -1);
/**
 * How finely a hand feels a mate, on the pitch diameter, mm. Common practice, no source.
 * @example feelMm(4) // 0.02
 */
export const feelMm = (pitchMm: number): number => 0.01 * Math.sqrt(pitchMm);
const toolOf = (m: SizeModel, tip: Tip) => ({ leadingDeg: m.leadingDeg, trailingDeg: m.trailingDeg, tip });

/** From tip depth to x, and back; a square thread has none. @throws RangeError for square flanks */
const scaleOf = (m: SizeModel, tip: Tip) => {
  const tool = toolOf(m, tip);
  if (isSquare(tool)) throw new RangeError('square flanks give no pitch diameter');
  const beyond = tipBeyondPitchLineMm(tool, m.pitchMm);
  const zero = signOf(m) * m.surfaceMm;
  return {
    x: (depth: number): number => zero - 2 * (depth - beyond),
    depth: (x: number): number => (zero - x) / 2 + beyond,
    slope: slopeOf(tool),
  };
};

const cloudLike = (c: Cloud): Cloud => ({
  n: c.n,
  x: c.x.slice(),
  dial: c.dial.slice(),
  share: c.share.slice(),
  law: c.law.slice(),
  shared: c.shared.slice(),
  side: c.side.slice(),
  before: c.before.slice(),
  aside: c.aside.slice(),
  hand: c.hand.slice(),
  lead: c.lead.slice(),
  w: c.w.slice(),
  mates: new Map([...c.mates].map(([name, size]) => [name, size.slice()])),
});

/** What is believed of the size, kept up as things happen. */
export class Sizing {
  readonly m: SizeModel;
  readonly g: number;
  readonly cloud: Cloud;
  private scale: ReturnType<typeof scaleOf>;
  /** Last setting of the dial; null: nothing cut. */
  lastMm: number | null = null;
  measuredSinceCut = 0;
  /** The last answer was one that hardly could have come. */
  surprised = false;
  /** Readings in a row that nothing explained. */
  strange = 0;
  private readonly ranges = new Map<string, readonly [number, number]>();
  private readonly dice: Dice;

  /** @param watch is shown the belief after each event in turn @param from goes on from a belief, which stays as it is */
  constructor(m: SizeModel, history: readonly SizeEvent[], watch?: (s: Sizing) => void, from?: Sizing) {
    this.m = m;
    this.g = feelMm(m.pitchMm);
    if (from) {
      this.scale = from.scale;
      this.dice = from.dice.copy();
      this.cloud = cloudLike(from.cloud);
      this.lastMm = from.lastMm;
      this.measuredSinceCut = from.measuredSinceCut;
      this.surprised = from.surprised;
      this.strange = from.strange;
      for (const [name, range] of from.ranges) this.ranges.set(name, range);
      for (const e of history) this.take(e);
      return;
    }
    this.scale = scaleOf(m, m.tip);
    this.dice = dice(SEED);
    const n = CLOUD;
    const start = this.scale.x(0);
    const of = (f: (i: number) => number): Float64Array => Float64Array.from({ length: n }, (_, i) => f(i));
    const lead = tellsLead(history) ? 1 : 0;
    this.cloud = {
      n,
      x: of(() => start),
      dial: of(() => m.dialUncertaintyMm * this.dice.normal()),
      share: of((i) => SHARE[0] + ((SHARE[1] - SHARE[0]) * (i + 0.5)) / n),
      law: Uint8Array.from({ length: n }, (_, i) => (i * 7) % 2),
      shared: of(() => m.wiresSharedMm * this.dice.normal()),
      side: of(() => 0),
      before: of(() => 0),
      aside: of(() => 0),
      hand: of(() => HAND_G * this.dice.normal()),
      lead: of((i) => lead * (i % WRONG_IN === 0 ? LEAD_WRONG : LEAD_SIGMA) * this.dice.normal()),
      mates: new Map(),
      w: of(() => 1 / n),
    };
    shuffle(this.cloud.share, this.dice);
    for (const e of history) {
      this.take(e);
      watch?.(this);
    }
  }

  take(e: SizeEvent): void {
    this.surprised = false;
    switch (e.kind) {
      case 'cut':
        this.lastMm = e.depthMm;
        this.pass(e.depthMm);
        this.measuredSinceCut = 0;
        return;
      case 'spring':
        this.pass(this.lastMm ?? 0);
        this.measuredSinceCut = 0;
        return;
      case 'side': {
        const by = (2 * e.shiftMm) / this.scale.slope;
        for (let i = 0; i < this.cloud.n; i += 1) this.cloud.side[i] = (this.cloud.side[i] ?? 0) + by;
        this.measuredSinceCut = 0;
        return;
      }
      case 'rezero':
      case 'tool':
        if (e.kind === 'tool') this.scale = scaleOf(this.m, e.tip);
        for (let i = 0; i < this.cloud.n; i += 1) {
          const early =
            e.kind === 'rezero' && e.in === 'groove' ? (2 * (this.cloud.aside[i] ?? 0)) / this.scale.slope : 0;
          this.cloud.dial[i] = this.m.dialUncertaintyMm * this.dice.normal() - early;
        }
        this.lastMm = null;
        return;
      case 'picked-up':
        this.foundAgain(e.axialMm);
        return;
      case 'measured':
        // 1 where all of what is believed lies on it, nearly 0 where none does
        this.strange =
          this.mean((i) => normalAt(this.offOf(i, e), e.uncertaintyMm) * e.uncertaintyMm) < STRANGE
            ? this.strange + 1
            : 0;
        // one reading that nothing explains may be a wire on a burr; two are the metal
        if (this.strange > 1) {
          this.surprised = true;
          this.reopen();
        }
        this.weigh((i) => {
          const off = this.offOf(i, e);
          return (1 - ASTRAY) * normalAt(off, e.uncertaintyMm) + ASTRAY * normalAt(off, ASTRAY_MM);
        });
        this.measuredSinceCut += 1;
        return;
      case 'gauge': {
        const at = signOf(this.m) * e.pitchDiameterMm;
        // go passes when the part has come down to it; a not-go that passes says the same of its own size
        this.weigh((i) => {
          const below = cumulativeNormal((at - this.size(i)) / GAUGE_MM);
          return e.passes ? below : 1 - below;
        }, ANSWER);
        this.measuredSinceCut += 1;
        return;
      }
      case 'mate':
        this.tried(e);
        this.measuredSinceCut += 1;
        return;
    }
  }

  /** How far a reading is from what it should say of a hypothesis. */
  private offOf(i: number, e: Extract<SizeEvent, { kind: 'measured' }>): number {
    return signOf(this.m) * e.pitchDiameterMm - this.size(i) - (this.cloud.shared[i] ?? 0);
  }

  /** x of a hypothesis, its side cuts and what it stands beside its old groove counted in. */
  size(i: number): number {
    return this.sizeAt(i, this.cloud.x[i] ?? 0);
  }
  /**
   * The size that a tip depth leaves. Beside an old groove by e the two together are wider: as good as
   * max(r, r0, (r + r0) / 2 + e / (tan a1 + tan a2)) deep, until the new one swallows the old. @param x of the tip alone
   */
  sizeAt(i: number, x: number): number {
    const side = this.cloud.side[i] ?? 0;
    const aside = this.cloud.aside[i] ?? 0;
    if (aside === 0) return x - side;
    const depth = this.scale.depth(x);
    const old = this.cloud.before[i] ?? 0;
    return this.scale.x(Math.max(depth, old, (depth + old) / 2 + aside / this.scale.slope)) - side;
  }

  /** The groove was found again: as good as it was, and the tool somewhere beside its middle. */
  private foundAgain(axialMm: number): void {
    const { before, aside, side, n } = this.cloud;
    for (let i = 0; i < n; i += 1) {
      before[i] = this.scale.depth(this.size(i) + (side[i] ?? 0));
      aside[i] = abs(axialMm * this.dice.normal());
    }
    this.lastMm = null;
  }

  /** Depth at which the tip stands in its groove, as far as it has cut, mm. */
  standsAt(i: number): number {
    return this.scale.depth(this.cloud.x[i] ?? 0);
  }

  /** What a pass at a setting would leave of a hypothesis. @param noise scatter of share and setting, in their own standard deviations */
  after(i: number, depthMm: number, noise: readonly [number, number]): number {
    const { scale } = this;
    const x = this.cloud.x[i] ?? 0;
    const real = scale.depth(x);
    const ahead = depthMm + (this.cloud.dial[i] ?? 0) + this.m.settingMm * noise[0] - real;
    if (ahead <= 0) return x;
    const base = between(0.3, (this.cloud.share[i] ?? 0.8) + SHARE_SCATTER * noise[1], 0.995);
    const k =
      this.cloud.law[i] === 1 ? base : 1 / (1 + (1 / base - 1) * between(0.05, depthMm > 0 ? real / depthMm : 1, 1));
    // under a few microns it rubs as often as it cuts
    const takes = ahead < RUBS_MM ? k * ahead * (noise[1] > 0 ? 1 : 0.2) : k * ahead;
    return scale.x(real + takes);
  }
  /** What repeating the setting until no chip comes would leave. */
  atLast(i: number, depthMm: number): number {
    const { scale } = this;
    const x = this.cloud.x[i] ?? 0;
    const at = scale.x(depthMm + (this.cloud.dial[i] ?? 0));
    return at < x ? at : x;
  }

  /** Mate's own x: the part's x less its clearance to it. */
  mate(name: string, bounds: Bounds | null): Float64Array {
    const known = this.cloud.mates.get(name);
    if (known) return known;
    const s = signOf(this.m);
    const n = this.cloud.n;
    const [low, high] = bounds
      ? s === 1
        ? [bounds.minMm, bounds.maxMm]
        : [-bounds.maxMm, -bounds.minMm]
      : this.unknown();
    // evenly, so that no tail of it is thin
    const size = Float64Array.from({ length: n }, (_, i) => low + ((high - low) * (i + 0.5)) / n);
    shuffle(size, this.dice);
    this.ranges.set(name, [low, high]);
    this.cloud.mates.set(name, size);
    return size;
  }
  /** Nothing said of a mate: it goes with the basic thread of its name, whatever was turned or bored here. */
  private unknown(): [number, number] {
    const { member, surfaceMm, pitchMm, basicMm, special } = this.m;
    const s = signOf(this.m);
    if (basicMm !== null) {
      const [least, most] = UNKNOWN_MATE[special ? 'special' : 'standard'];
      return [s * basicMm + least * Math.sqrt(pitchMm), s * basicMm + most * Math.sqrt(pitchMm)];
    }
    const [least, most] = UNKNOWN_MATE_PITCHES[member];
    return [s * surfaceMm - most * pitchMm, s * surfaceMm - least * pitchMm];
  }

  /** Clearance of a hypothesis to a mate, mm on pitch diameter, as it is felt over the mate's length. */
  clearance(i: number, size: Float64Array, lengthMm: number | null): number {
    const tan = this.scale.slope / 2;
    return (size[i] ?? 0) - this.size(i) - (abs(this.cloud.lead[i] ?? 0) * (lengthMm ?? 0)) / tan;
  }

  private tried(e: Extract<SizeEvent, { kind: 'mate' }>): void {
    const size = this.mate(e.name, e.bounds);
    const tan2 = this.scale.slope;
    const [low, high] = bandOf(e.result);
    if (e.result === 'binds' && e.turns !== null && e.turns > 0) {
      // it ran until the lead had used its play up: s = e k P
      const gone = e.turns * this.m.pitchMm;
      this.weigh((i) => {
        const play = (this.clearance(i, size, null) * tan2) / 2;
        const used = abs(this.cloud.lead[i] ?? 0) * gone;
        return play > 0 ? normalAt(play - used, BIND_MM + BIND_SHARE * used) + 1e-9 : 1e-9;
      });
      return;
    }
    this.weigh(
      (i) => {
        const c = this.clearance(i, size, e.lengthMm);
        if (e.shakeMm !== null && (e.result === 'runs' || e.result === 'shakes'))
          return normalAt(c - (2 * e.shakeMm) / tan2, (2 * e.uncertaintyMm) / tan2) + 1e-9;
        const felt = c / this.g + (this.cloud.hand[i] ?? 0);
        return cumulativeNormal((high - felt) / TRIAL_G) - cumulativeNormal((low - felt) / TRIAL_G) + 1e-9;
      },
      ANSWER,
      e.name,
    );
  }
  /** Another mate than it was taken for: bruised, of another make, or worn beyond what is usual. */
  private mateAnew(name: string): void {
    const size = this.cloud.mates.get(name);
    if (!size) return;
    const [low, high] = this.ranges.get(name) ?? this.unknown();
    const wide = WIDER * Math.sqrt(this.m.pitchMm);
    for (let i = 0; i < size.length; i += 1) size[i] = low - wide + (high - low + 2 * wide) * this.dice.uniform();
  }
  /** Which result a mate would give, by its place on the scale of feel. */
  feel(i: number, size: Float64Array, lengthMm: number | null): number {
    return this.clearance(i, size, lengthMm) / this.g + (this.cloud.hand[i] ?? 0);
  }

  private pass(depthMm: number): void {
    for (let i = 0; i < this.cloud.n; i += 1)
      this.cloud.x[i] = this.after(i, depthMm, [this.dice.normal(), this.dice.normal()]);
  }

  /** @param least the least chance that what was answered may have had; below it one of the things taken for granted is wrong @param mate the one that answered */
  private weigh(likely: (i: number) => number, least = 0, mate: string | null = null): void {
    const { w, n } = this.cloud;
    let each = Float64Array.from({ length: n }, (_, i) => likely(i));
    if (least > 0) {
      const answers = each;
      this.surprised = this.mean((i) => answers[i] ?? 0) < least;
      if (this.surprised) {
        // a mate is more easily another than it was taken for than everything measured is wrong
        if (mate) {
          this.mateAnew(mate);
          each = each.map((_, i) => likely(i));
        }
        const again = each;
        if (!mate || this.mean((i) => again[i] ?? 0) < least) {
          this.reopen();
          each = each.map((_, i) => likely(i));
        }
      }
    }
    let sum = 0;
    for (let i = 0; i < n; i += 1) {
      const l = each[i] ?? 0;
      const now = (w[i] ?? 0) * (l > 1e-300 ? l : 1e-300);
      w[i] = now;
      sum += now;
    }
    let square = 0;
    for (let i = 0; i < n; i += 1) {
      w[i] = (w[i] ?? 0) / sum;
      square += (w[i] ?? 0) ** 2;
    }
    if (1 / square < n / 2) this.resample();
  }

  /** The likely hypotheses are multiplied, a little apart so that none is counted twice for the same thing. @see Liu and West's shrinkage */
  private resample(): void {
    const c = this.cloud;
    const from = new Int32Array(c.n);
    const u = this.dice.uniform() / c.n;
    let at = 0;
    let sum = c.w[0] ?? 0;
    for (let i = 0; i < c.n; i += 1) {
      const want = u + i / c.n;
      while (sum < want && at < c.n - 1) {
        at += 1;
        sum += c.w[at] ?? 0;
      }
      from[i] = at;
    }
    const spreadOf = (a: Float64Array): readonly [number, number] => {
      let mean = 0;
      for (let i = 0; i < c.n; i += 1) mean += (c.w[i] ?? 0) * (a[i] ?? 0);
      let v = 0;
      for (let i = 0; i < c.n; i += 1) v += (c.w[i] ?? 0) * ((a[i] ?? 0) - mean) ** 2;
      return [mean, Math.sqrt(v)];
    };
    const apart = (a: Float64Array): void => {
      const [mean, sd] = spreadOf(a);
      const old = a.slice();
      for (let i = 0; i < c.n; i += 1)
        a[i] =
          mean + SHRINK * ((old[from[i] ?? 0] ?? 0) - mean) + sd * Math.sqrt(1 - SHRINK * SHRINK) * this.dice.normal();
    };
    // depth and dial error go together: what is between them is what a measurement has told
    const { scale } = this;
    const gap = Float64Array.from(c.x, (x, i) => scale.depth(x) - (c.dial[i] ?? 0));
    const law = c.law.slice();
    for (const a of [gap, c.x, c.share, c.shared, c.hand, c.lead, ...c.mates.values()]) apart(a);
    for (let i = 0; i < c.n; i += 1) {
      c.dial[i] = scale.depth(c.x[i] ?? 0) - (gap[i] ?? 0);
      c.share[i] = Math.min(SHARE[1], Math.max(SHARE[0], c.share[i] ?? 0));
      c.law[i] = law[from[i] ?? 0] ?? 0;
    }
    for (const a of [c.side, c.before, c.aside]) a.set(Float64Array.from(from, (j) => a[j] ?? 0));
    c.w.fill(1 / c.n);
  }

  /**
   * No hypothesis explains what came: a dial that slipped, a mate changed or burred. Half of them are let out again, the dial
   * wider than at first and each mate as if nothing were known of it.
   */
  private reopen(): void {
    const { n, x, dial, before, mates, w } = this.cloud;
    for (let i = 0; i < n; i += 2) {
      const by = REOPENED * this.m.dialUncertaintyMm * this.dice.normal();
      dial[i] = (dial[i] ?? 0) + by;
      x[i] = (x[i] ?? 0) - 2 * by;
      before[i] = (before[i] ?? 0) + by;
      for (const [name, size] of mates) {
        const [low, high] = this.ranges.get(name) ?? this.unknown();
        size[i] = low + (high - low) * this.dice.uniform();
      }
      w[i] = 1 / n;
    }
  }

  /** Mean over the hypotheses, by their weights. */
  private mean(of: (i: number) => number): number {
    let mean = 0;
    for (let i = 0; i < this.cloud.n; i += 1) mean += (this.cloud.w[i] ?? 0) * of(i);
    return mean;
  }
  spread(of: (i: number) => number = (i) => this.size(i)): { readonly mean: number; readonly sd: number } {
    const mean = this.mean(of);
    let v = 0;
    for (let i = 0; i < this.cloud.n; i += 1) v += (this.cloud.w[i] ?? 0) * (of(i) - mean) ** 2;
    return { mean, sd: Math.sqrt(v) };
  }
  share(of: (i: number) => boolean): number {
    let sum = 0;
    for (let i = 0; i < this.cloud.n; i += 1) if (of(i)) sum += this.cloud.w[i] ?? 0;
    return sum;
  }
}

const SHRINK = 0.98;
/** Lead of a screw cut by its own gears is off by this much, mm per mm, one standard deviation. Common practice, no source. */
const LEAD_SIGMA = 0.0002;
/** One in so many is cut by wrong gears, or follows a wrong name, and is off by this much. Common practice, no source. */
const WRONG_IN = 5;
const LEAD_WRONG = 0.003;
/**
 * Whether a history can tell a lead error: a bind, or mates of several lengths.
 * @example tellsLead([]) // false
 */
export const tellsLead = (history: readonly SizeEvent[]): boolean => {
  const lengths = new Set<number>();
  for (const e of history)
    if (e.kind === 'mate') {
      if (e.result === 'binds') return true;
      if (e.lengthMm !== null) lengths.add(e.lengthMm);
    }
  return lengths.size > 1;
};

/** Where on the scale of feel a result lies. */
function bandOf(result: MateResult): readonly [number, number] {
  switch (result) {
    case 'no-start':
      return [-Infinity, EDGES.starts];
    case 'starts':
      return [EDGES.starts, EDGES.tight];
    case 'tight':
      return [EDGES.tight, EDGES.runs];
    case 'runs':
      return [EDGES.runs, EDGES.shakes];
    case 'shakes':
      return [EDGES.shakes, Infinity];
    case 'binds':
      return [EDGES.tight, EDGES.shakes];
  }
}
/** Clearances at which a fit feels another way, mm. */
export const FEEL_EDGES = [EDGES.starts, EDGES.tight, EDGES.runs, EDGES.shakes] as const;

// a look-up of Math for every hypothesis is most of the time that a step takes
const { abs, exp } = Math;
const between = (low: number, x: number, high: number): number => (x < low ? low : x > high ? high : x);
const normalAt = (x: number, sd: number): number => exp((-x * x) / (2 * sd * sd)) / sd;

function shuffle(a: Float64Array, d: Dice): void {
  for (let i = a.length - 1; i > 0; i -= 1) {
    const j = Math.floor(d.uniform() * (i + 1));
    const t = a[i] ?? 0;
    a[i] = a[j] ?? 0;
    a[j] = t;
  }
}
