/** Whether a bench is only run to see that it works: as the test run does, with as little as will do, writing nothing. */
export const IS_SMALL = process.env.BENCH === 'small';

/** A size, or a smaller one where it is only seen to work. */
export const sized = (usual, small) => (IS_SMALL ? small : usual);
