/** Lengths of the ids that a block names. */
export const BLOCK_LIMITS = { idLength: 64, nameLength: 100 } as const;
