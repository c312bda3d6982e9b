import type { HandDemand } from '../../mechanics/demand.js';
import type { Clearance } from '../../model/athlete.js';
import type { Level } from '../../model/movement.js';
import { type Action, ACTION_NAMES } from '../../vocabulary/actions.js';
import type { Contact } from '../../vocabulary/contacts.js';
import { GROUP_OF } from '../../vocabulary/muscles.js';

/** What of a level limits are held against. */
export type WayOfLoading = Pick<Level, 'loading' | 'contact' | 'load'>;

/** What is off or capped for a hand. What is not named is free. */
export interface Caps {
  /** Any effort, % of the own maximum. */
  readonly effortPercent?: number;
  /** Effort of holding still: presses, holds, hangs. */
  readonly stillEffortPercent?: number;
  /** Effort of fingers that close hard: squeezes, edges, hangs. */
  readonly gripEffortPercent?: number;
  /** Effort of single actions. */
  readonly actionPercent?: Readonly<Partial<Record<Action, number>>>;
  /** Wrist extension under load or help. */
  readonly extensionDeg?: number;
  /** Wrist flexion under load or help. */
  readonly flexionDeg?: number;
  /** Parts of the hand that are not put down. */
  readonly contactsOff?: readonly Contact[];
  readonly noBodyWeight?: true;
  readonly noAddedWeight?: true;
  readonly noEndOfRange?: true;
  readonly noBentWristHang?: true;
  readonly noCrimp?: true;
  /** No weight on the body while it hangs. */
  readonly noAddedHang?: true;
  readonly noOneHandHang?: true;
  /** No set until the form fails, from an effort on that tires. */
  readonly noFailure?: true;
}

/** A stretch to more than this share of the range goes to its end. */
const END_OF_RANGE_PERCENT = 90;
/** More than this share of body weight on a hand is body weight on it. */
const BODY_WEIGHT_FROM_PERCENT = 1;

const addsWeight = ({ load }: WayOfLoading) =>
  (load.kind === 'weight' || load.kind === 'lift' || load.kind === 'roller' ? load.massKg : load.kind === 'hang' ? load.addedKg : 0) > 0;
const atEndOfRange = ({ load }: WayOfLoading) => load.kind === 'stretch' && load.reachPercent > END_OF_RANGE_PERCENT;
const isStill = ({ load }: WayOfLoading) => load.kind === 'press' || load.kind === 'body' || load.kind === 'hang' || load.kind === 'lift';
const gripsHard = ({ load }: WayOfLoading) =>
  load.kind === 'hang' ||
  load.kind === 'lift' ||
  ((load.kind === 'press' || load.kind === 'resist') && GROUP_OF[load.action] === 'finger flexors');
const isCrimped = ({ load }: WayOfLoading) => (load.kind === 'hang' || load.kind === 'lift') && load.edgeGrip === 'half crimp';
/** Whether weight is added to a hang. */
export const hangsWeighted = ({ load }: WayOfLoading) => load.kind === 'hang' && load.addedKg > 0;
/** Whether one hand carries a hang. */
export const hangsOnOneHand = ({ load }: WayOfLoading) => load.kind === 'hang' && load.hands === 1;
/** Whether the wrist is bent in a hang. */
export const hangsBent = ({ load }: WayOfLoading) => load.kind === 'hang' && load.wristBendDeg > 0;

const CONTACT_NAMES: Record<Contact, string> = {
  none: 'nothing',
  'open palm': 'the open palm',
  'raised palm': 'fingers and knuckles',
  fist: 'the fist',
  'back of hand': 'the back of the hand',
  fingertips: 'the fingertips',
  edge: 'edges',
  handle: 'handles',
  ball: 'a ball',
};

const above = (effortPercent: number, most: number | undefined) =>
  most !== undefined && effortPercent > most ? `${Math.round(effortPercent)} % effort, limit ${most} %` : null;

/** How a level breaks a cap for one hand, in words; null when it does not. */
export function brokenCap(caps: Caps, level: WayOfLoading, demand: HandDemand, toFailure = false): string | null {
  const broken = brokenByKind(caps, level) ?? brokenByLoad(caps, demand) ?? brokenByEffort(caps, level, demand);
  if (broken) return broken;
  const tires = toFailure && demand.effortPercent >= TIRES_FROM_PERCENT;
  return caps.noFailure && tires ? 'it continues until form breaks down' : null;
}
/** Below this effort a set ends by itself long before anything fails. */
const TIRES_FROM_PERCENT = 20;

function brokenByKind(caps: Caps, level: WayOfLoading): string | null {
  if (caps.noAddedWeight && addsWeight(level)) return 'it adds weight';
  if (caps.noBentWristHang && hangsBent(level)) return 'it hangs on a bent wrist';
  if (caps.noEndOfRange && atEndOfRange(level)) return 'it goes to end range';
  if (caps.noCrimp && isCrimped(level)) return 'it uses a crimp grip';
  if (caps.noAddedHang && hangsWeighted(level)) return 'it adds weight to a hang';
  if (caps.noOneHandHang && hangsOnOneHand(level)) return 'it hangs on one hand';
  return caps.contactsOff?.includes(level.contact) ? `it is done on ${CONTACT_NAMES[level.contact]}` : null;
}

function brokenByLoad({ noBodyWeight, extensionDeg, flexionDeg }: Caps, { loadPercentBW, angle }: HandDemand): string | null {
  if (noBodyWeight && loadPercentBW > BODY_WEIGHT_FROM_PERCENT) return 'it puts weight on the hand';
  const deg = angle && Math.round(angle.deg);
  if (deg === null) return null;
  if (angle?.motion === 'wrist extension' && extensionDeg !== undefined && deg > extensionDeg) {
    return `${deg}° of extension, limit ${extensionDeg}°`;
  }
  if (angle?.motion === 'wrist flexion' && flexionDeg !== undefined && deg > flexionDeg) {
    return `${deg}° of flexion, limit ${flexionDeg}°`;
  }
  return null;
}

function brokenByEffort(caps: Caps, level: WayOfLoading, { effortPercent, efforts }: HandDemand): string | null {
  for (const { action, effortPercent: percent } of efforts) {
    const broken = above(percent, caps.actionPercent?.[action]);
    if (broken) return `${broken} of ${action}`;
  }
  return (
    above(effortPercent, caps.effortPercent) ??
    (isStill(level) ? above(effortPercent, caps.stillEffortPercent) : null) ??
    (gripsHard(level) ? above(effortPercent, caps.gripEffortPercent) : null)
  );
}

const PLAIN = {
  noBodyWeight: 'no body weight on the hand',
  noAddedWeight: 'no added weight',
  noEndOfRange: 'no end range',
  noBentWristHang: 'no hanging on a bent wrist',
  noCrimp: 'no crimp grip',
  noAddedHang: 'no added weight in hangs',
  noOneHandHang: 'no one-hand hangs',
  noFailure: 'no sets until form breaks down',
} as const satisfies Partial<Record<keyof Caps, string>>;

/**
 * Caps in words, for sheets and screens; empty where there are none.
 * @example capWords({ effortPercent: 40, extensionDeg: 60 }) → 'effort up to 40 %, extension up to 60°'
 */
export function capWords(caps: Caps): string {
  const upTo = (what: string, value: number | undefined, unit: string) => (value === undefined ? [] : [`${what} up to ${value}${unit}`]);
  return [
    ...upTo('effort', caps.effortPercent, ' %'),
    ...upTo('holding still', caps.stillEffortPercent, ' %'),
    ...upTo('gripping', caps.gripEffortPercent, ' %'),
    ...ACTION_NAMES.flatMap((action) => upTo(action, caps.actionPercent?.[action], ' %')),
    ...upTo('extension', caps.extensionDeg, '°'),
    ...upTo('flexion', caps.flexionDeg, '°'),
    ...(caps.contactsOff ? [`not on ${caps.contactsOff.map((contact) => CONTACT_NAMES[contact]).join(', ')}`] : []),
    ...(Object.keys(PLAIN) as (keyof typeof PLAIN)[]).filter((name) => caps[name]).map((name) => PLAIN[name]),
  ].join(', ');
}

/** A clearance as caps: what it names of numbers and weight. */
export const clearanceCaps = ({ effortPercent, extensionDeg, noBodyWeight }: Clearance): Caps => ({
  ...(effortPercent !== undefined && { effortPercent }),
  ...(extensionDeg !== undefined && { extensionDeg }),
  ...(noBodyWeight && { noBodyWeight }),
});
