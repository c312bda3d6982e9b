/** How large the demo is: the usual twelve athletes, and more where it is tried at size. */
export interface DemoSize {
  readonly athletes: number;
  /** Of history of those beyond the usual twelve. */
  readonly years: number;
}

/** Lanternfield Hall as everybody sees it. */
export const USUAL_DEMO: DemoSize = { athletes: 12, years: 0 };
const MOST = { athletes: 2000, years: 10 } as const;

/** Reads what DEMO says. @returns null where no demo is wanted @throws Error naming what would be right */
export function readDemoSize(text: string | undefined): DemoSize | null {
  if (text === undefined || text === '' || text === 'on') return USUAL_DEMO;
  if (text === 'off') return null;
  const match = /^studio:(\d+),years:(\d+)$/.exec(text);
  const [athletes, years] = [Number(match?.[1]), Number(match?.[2])];
  if (!(athletes >= USUAL_DEMO.athletes && athletes <= MOST.athletes && years >= 1 && years <= MOST.years)) {
    throw new Error(
      `DEMO must be “off”, or like “studio:200,years:2” with ${USUAL_DEMO.athletes}–${MOST.athletes} athletes and 1–${MOST.years} years, not “${text}”`,
    );
  }
  return { athletes, years };
}
