/** A shorthand that cannot be read. */
export class ShorthandError extends Error {
  override readonly name = 'ShorthandError';
  constructor(
    /** The part of the text that is wrong, as it was typed. */
    readonly part: string,
    /** A sentence on what would be right. */
    message: string,
    /** Where the part begins in what was typed, in characters from its start. */
    readonly at: number,
  ) {
    super(message);
  }
}
