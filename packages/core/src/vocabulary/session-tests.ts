/**
 * What can be measured before and after a session without loading what the session loads: ids of protocols of the measuring bench. Holds and all-out tests are
 * sessions of their own.
 */
export const SESSION_TESTS = [
  'active.wrist-flexion',
  'active.wrist-extension',
  'active.radial-deviation',
  'active.ulnar-deviation',
  'active.pronation',
  'active.supination',
  'passive.wrist-flexion',
  'passive.wrist-extension',
  'loaded.wrist-extension',
  'span.finger-spread',
  'span.thumb-span',
  'span.finger-to-palm-gap',
  'force.grip',
] as const;
/** Something that is measured before and after a session. */
export type SessionTest = (typeof SESSION_TESTS)[number];

/** Whether a reading was taken before the session’s work or after it. */
export const MOMENTS = ['before', 'after'] as const;
/** Whether a reading was taken before the session’s work or after it. */
export type Moment = (typeof MOMENTS)[number];
