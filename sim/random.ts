/** Seeded, so that a run can be had again (mulberry32). */
export class Dice {
  private state: number;
  constructor(seed: number) {
    this.state = seed >>> 0;
  }
  next(): number {
    this.state = (this.state + 0x6d2b79f5) >>> 0;
    let t = this.state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }
  between(a: number, b: number): number {
    return a + (b - a) * this.next();
  }
  whole(a: number, b: number): number {
    return Math.floor(this.between(a, b + 1));
  }
  chance(p: number): boolean {
    return this.next() < p;
  }
  of<T>(list: readonly T[]): T {
    return list[Math.min(list.length - 1, Math.floor(this.next() * list.length))] as T;
  }
  gauss(sigma: number): number {
    return sigma * Math.sqrt(-2 * Math.log(1 - this.next())) * Math.cos(2 * Math.PI * this.next());
  }
}
