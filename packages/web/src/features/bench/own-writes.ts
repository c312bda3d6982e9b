/**
 * What a page wrote into its address and has not seen come back: on a slow machine more than one is under way, and the page is drawn with an
 * older one when the hand is further on already.
 */
export class OwnWrites {
  private underWay: string[] = [];

  /** The newest of them; undefined when all have come back. */
  get newest(): string | undefined {
    return this.underWay.at(-1);
  }

  wrote(text: string): void {
    this.underWay.push(text);
  }

  /** Whether what is seen was written here. What somebody else wrote makes all that is under way stale. */
  sees(text: string): boolean {
    const own = this.underWay.indexOf(text);
    this.underWay = own < 0 ? [] : this.underWay.slice(own + 1);
    return own >= 0;
  }
}
