import { v7 } from 'uuid';

/** A small seeded generator (mulberry32): the same seed gives the same history on every machine. */
export class SeededRandom {
  constructor(private state: number) {}

  /** Uniform in [0, 1). */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  }

  /** Whole number in [from, to]. */
  between(from: number, to: number): number {
    return from + Math.floor(this.next() * (to - from + 1));
  }

  /** Normal, of mean 0 and standard deviation 1 (Box, Muller 1958, Ann Math Stat 29:610–11). */
  normal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.next())) * Math.cos(2 * Math.PI * this.next());
  }

  chance(probability: number): boolean {
    return this.next() < probability;
  }

  /** A UUID version 7 of this instant. */
  id(at: Date): string {
    const random = Uint8Array.from({ length: 16 }, () => this.between(0, 255));
    return v7({ msecs: at.getTime(), random, seq: this.between(0, 0x7fffffff) });
  }
}
