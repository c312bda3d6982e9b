const WAYS: Readonly<Record<string, readonly [right: number, down: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Which way an arrow key points on the screen: right and down; nothing for other keys. @example arrowWay('ArrowUp') → [0, -1] */
export const arrowWay = (key: string) => WAYS[key];
