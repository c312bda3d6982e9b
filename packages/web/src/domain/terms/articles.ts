import {
  CHECK_IN_EVERY,
  CHECK_IN_EVERY_SORE,
  BATTERIES,
  type BatteryId,
  batteryMinutes,
  DISCOMFORT_GO_ON_MAX,
  DISCOMFORT_HOLD_MAX,
  itemAt,
} from '@clay-pot/core';

const WEEK_DAYS = 7;
const minutesOf = (battery: BatteryId) => batteryMinutes(BATTERIES[battery].protocolIds);

/** A picture of a level in an article. */
export interface ArticlePicture {
  readonly movementId: string;
  readonly levelId: string;
  readonly caption: string;
}
/** A short article of the help, for reading between two athletes. */
export interface Article {
  readonly id: string;
  readonly title: string;
  /** What a reader can do after it, in a sentence. */
  readonly summary: string;
  /** Addresses of the screens that it is about, as their beginnings. */
  readonly screens: readonly RegExp[];
  /** Steps or facts, each short. */
  readonly steps: readonly string[];
  readonly picture?: ArticlePicture;
  readonly link?: { readonly to: string; readonly label: string };
}

/** The help, in the order in which a new coach needs it. */
export const ARTICLES: readonly Article[] = [
  {
    id: 'first-session',
    title: 'Your first session',
    summary: 'Add an athlete, check in, generate a sequence and start.',
    screens: [/^\/$/, /^\/people\/new$/],
    steps: [
      'Open People and press Add athlete. A name is enough to start.',
      'Press Start check-in (3 min). Tap sore places on the hand and answer the questions.',
      'The result says: clear to train, train with limits, get it checked first, or stop.',
      'Press Generate, choose a goal and the minutes you have.',
      'Press Use this sequence, then Start session. The player counts and times for you.',
      'Rate each block with one press. The record compares planned with done.',
    ],
    picture: { movementId: 'free.wrist-circles', levelId: 'supported-fist', caption: 'Most first sessions start with wrist circles.' },
    link: { to: '/people/new', label: 'Add athlete' },
  },
  {
    id: 'check-in',
    title: 'Check-in and restrictions',
    summary: 'Find out what an athlete may do today.',
    screens: [/^\/people\/[^/]+\/check-in/, /^\/people\/[^/]+\/letter/],
    steps: [
      `Ask before the first session, after ${CHECK_IN_EVERY / WEEK_DAYS} weeks, and after ${CHECK_IN_EVERY_SORE / WEEK_DAYS} weeks if something is sore.`,
      'Warning signs lead to get it checked first or stop. No one can train past them.',
      'Sore places set limits: less angle, less effort, or no weight on that part of the hand.',
      'To lift a restriction, record who cleared it and when. A clearance can have limits and an end date.',
      'Referral letter writes what you know in plain words, for a doctor or hand therapist.',
      'Clay Pot informs. It does not diagnose.',
    ],
    link: { to: '/people', label: 'Open People' },
  },
  {
    id: 'testing',
    title: 'Test range and strength',
    summary: 'Get values that sequences and suggestions can rely on.',
    screens: [/^\/people\/[^/]+\/(measure|trends|band|import)/],
    steps: [
      `First assessment takes about ${minutesOf('first-visit')} minutes, the 4-week retest ${minutesOf('four-weekly')}.`,
      'Type values from a goniometer or gauge, or read them from a device.',
      'Active range is what the wrist’s own muscles reach. Passive range is what it reaches with help.',
      'Each test takes two or three trials. Their spread shows the error.',
      'Trends tells a real change from measurement error. Without a clear trend, it says so.',
      'Target practice shows what 40 % effort feels like, live from a gauge.',
    ],
    picture: { movementId: 'isometric.extension', levelId: 'gentle', caption: 'Hold 40 % of maximum: easier to feel with a gauge.' },
  },
  {
    id: 'sequences',
    title: 'Build a sequence',
    summary: 'Add movements, set doses, fix what the checks find.',
    screens: [/^\/sequences/, /^\/methods/],
    steps: [
      'Type in the shelf and press Enter to add a movement.',
      'Choose the level with the arrows in its row. Choose an athlete to see what it demands.',
      'Set the dose with the fields or type it: 3x8 @40% rest20 means three sets of eight.',
      'Checks list problems, the worst first. Each fix says exactly what it changes.',
      'Mute a check if you have a reason. Safety checks can’t be muted.',
      'Every change saves itself. Ctrl Z undoes without limit.',
    ],
    picture: { movementId: 'bearing.palm-support', levelId: 'all-fours', caption: 'Weight on the hands counts in percent of body weight.' },
    link: { to: '/sequences', label: 'Open Sequences' },
  },
  {
    id: 'pot',
    title: 'Read the pot and the wheel',
    summary: 'See an uneven or overloaded session at a glance.',
    screens: [/^\/sequences\/[^/]+\/compare/, /^\/people\/[^/]+\/week/],
    steps: [
      'Time runs from the foot to the rim. Each layer is a block, as high as it lasts.',
      'The left half is the left hand’s load, the right half the right hand’s.',
      'A lopsided pot means one hand does the work. A thin foot means no warm-up.',
      'Glaze inside the wall is the strength left. A crack is a hold that can’t be held.',
      'The wheel shows where the wrist goes: unloaded, assisted or planted, in eight directions.',
      'Press any layer to select its block.',
    ],
  },
  {
    id: 'generate',
    title: 'Generate a sequence',
    summary: 'Set a goal and a time, and get a sequence with reasons.',
    screens: [/^\/compose/],
    steps: [
      'Choose the athlete first: restrictions, equipment and history then shape the result.',
      'A first sequence appears within a second and improves while you watch.',
      'Stop here keeps the best one so far. The gap shows how much better it could get.',
      'Pin blocks you want to keep and press Regenerate for the rest.',
      'Every block says why it is there. Press What limits it to see what holds the result back.',
      'Use this sequence opens it in the editor, where you can change everything.',
    ],
    link: { to: '/compose', label: 'Generate a sequence' },
  },
  {
    id: 'lead',
    title: 'Lead a session',
    summary: 'Start, pause, rate and finish.',
    screens: [/^\/sequences\/[^/]+\/lead/, /^\/session/, /^\/records/],
    steps: [
      'Before the start, read the restrictions and lay out the equipment.',
      'Space pauses and continues. The arrow keys go back and skip ahead.',
      'Tick form faults hand by hand while you watch. Levels only rise after clean sessions.',
      'After a block, rate it: one press if it was fine.',
      'A lost network changes nothing: sets are kept on the device and sent later.',
      'At the end, rate the effort (RPE): 0 is rest, 10 is all-out.',
    ],
  },
  {
    id: 'hurts',
    title: 'When something hurts',
    summary: 'Stop, ease off or carry on, by fixed rules.',
    screens: [],
    steps: [
      'Press Something hurts at any time: the clock stops. Numbness, a pop, swelling, a cold hand or sharp pain end the session.',
      'After a warning sign the hand stays off until a doctor or hand therapist clears it.',
      `Up to ${DISCOMFORT_GO_ON_MAX} of 10, carry on. Up to ${DISCOMFORT_HOLD_MAX}, keep the level. Above, ease off or stop.`,
      'A method that allows no discomfort is one step stricter.',
      'Choose an easier form from the list. It changes all similar blocks that follow.',
      'Ask again the next day. Pain that grows over a week needs a referral.',
    ],
  },
  {
    id: 'suggestions',
    title: 'Next steps: suggestions',
    summary: 'Decide with the athlete what comes next.',
    screens: [/^\/people\/(?!new$)[^/]+$/, /^\/predictions/, /^\/simulation/],
    steps: [
      'Today lists suggestions, the most serious first: refer, rest, ease off, swap, test, keep, progress.',
      'Why? shows the rule, its values and the sessions behind it.',
      'Accept carries it out. Edit changes the dose first. Dismiss asks for a reason.',
      'Undo takes an answer back, with what it changed.',
      'A level rises after clean sessions: all of it done, little discomfort, good form.',
      'Predicted vs. actual shows how good the predictions have been.',
    ],
    link: { to: '/', label: 'Open Today' },
  },
  {
    id: 'programmes',
    title: 'Plan weeks',
    summary: 'Put sequences on a calendar that builds, deloads and tapers.',
    screens: [/^\/programmes/],
    steps: [
      'Start from a goal, an event and the available days, or add sessions yourself.',
      'Drag a session to another day, or move it with the arrow keys.',
      'A deload is a lighter week in which tissue recovers. A taper lowers the load before an event.',
      'The chart shows each muscle group’s load per week against its usual range.',
      'What if tries a missed week or an extra day before you apply it.',
      'Calendar export gives the athlete a private address for their own calendar.',
    ],
    link: { to: '/programmes', label: 'Open Programmes' },
  },
  {
    id: 'load-bench',
    title: 'Movements and the load bench',
    summary: 'Find a movement, see what it demands, solve for a load.',
    screens: [/^\/movements/, /^\/bench/],
    steps: [
      'Search by name, muscle or motion, or look through the gallery.',
      'Drag the hand to turn it. Planted hands show their pressure from below.',
      'Levels go from easier to harder. Each shows its load and effort for the athlete.',
      'On the load bench, drag hands, knees or shoulders and watch the numbers.',
      'Solve for: type the load you want and let Clay Pot find the distance or height.',
      'Duplicate and edit makes your own version of a movement.',
    ],
    picture: {
      movementId: 'strength.palm-lift',
      levelId: 'all-fours',
      caption: 'The palm lift: wrist flexors at the angle planted work uses.',
    },
    link: { to: '/bench', label: 'Open the load bench' },
  },
  {
    id: 'offline',
    title: 'Offline and several devices',
    summary: 'Keep working without a network and lose nothing.',
    screens: [/^\/account/],
    steps: [
      'Clay Pot opens without a network and shows the last copy it has.',
      'A session runs on. Its sets wait on the device and are sent when the network is back.',
      'The number beside the connection shows how many entries wait.',
      'Two people can edit one sequence. The second sees what differs and chooses.',
      'Signing out with unsent entries asks first: send, keep or discard.',
      'Each account sees only its own entries on a shared device.',
    ],
    link: { to: '/account', label: 'Open your account' },
  },
];

/** The article that a screen’s help opens with: the one with the closest address, else the first session. */
export function articleFor(pathname: string): Article {
  const found = ARTICLES.flatMap((article) =>
    article.screens.filter((screen) => screen.test(pathname)).map((screen) => ({ article, closeness: screen.source.length })),
  ).sort((a, b) => b.closeness - a.closeness);
  return found[0]?.article ?? itemAt(ARTICLES, 0);
}
