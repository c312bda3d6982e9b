/** A word of the field, explained. */
export interface GlossaryEntry {
  readonly term: string;
  /** What else it is called, or what is shown instead. */
  readonly also?: string;
  readonly means: string;
}

/** Words of the field that screens use, in the order of the alphabet. */
export const GLOSSARY: readonly GlossaryEntry[] = [
  { term: 'Active range', means: 'How far a joint goes by its own muscles, without help.' },
  { term: 'All-out test', means: '24 maximal contractions of 7 s with 3 s rest. It shows the force that can be sustained.' },
  { term: 'Clearance', means: 'A doctor’s or therapist’s permission to load a hand again, sometimes with limits and an end date.' },
  { term: 'Contract–relax', means: 'A stretch: push gently against the resistance, let go, then ease further.' },
  { term: 'Critical force', also: 'sustainable force', means: 'The force a hand can sustain in a rhythm without tiring further.' },
  { term: 'Deload', means: 'A lighter week, so that tendons, skin and muscles recover.' },
  { term: 'Dose', means: 'How much of a movement: sets, repetitions or seconds, effort, tempo, rest, hands.' },
  { term: 'Effort', also: '%MVC', means: 'How hard a hand works, in percent of its own maximum in that action.' },
  { term: 'Endurance dose', also: 'tiring work', means: 'How much work tires a muscle. 1 equals one hold to failure.' },
  {
    term: 'Extension',
    also: 'wrist bent back',
    means: 'The back of the hand moves toward the forearm. Flat hands on the floor are in extension.',
  },
  { term: 'Facing', means: 'Where the fingers point on the floor: forward, outward, inward or backward.' },
  { term: 'Flexion', also: 'wrist bent in', means: 'The palm moves toward the forearm.' },
  { term: 'Gate', means: 'What has to be done cleanly, and how often, before the next level.' },
  { term: 'Hand load', also: '% of body weight', means: 'The share of body weight on one hand. A plank puts about 33 % on each.' },
  { term: 'Isometric', means: 'Muscles work, nothing moves: pushing or holding.' },
  { term: 'Ladder, level', means: 'A movement’s forms from easier to harder. Level 1 is the easiest.' },
  { term: 'Method', means: 'A coach’s settings on which practitioners differ: hard days, discomfort, side order, growth per week.' },
  { term: 'Passive range', means: 'How far a joint goes with help: the other hand, the floor or a weight.' },
  { term: 'Passive tension', means: 'The pull of stretched tissue near the end of its range.' },
  { term: 'Pronation', also: 'palm down', means: 'The forearm turns the palm down.' },
  { term: 'Radial deviation', also: 'toward the thumb', means: 'The hand tips toward the thumb side.' },
  { term: 'Range of motion', means: 'How far a joint moves, in degrees. Active by itself, passive with help.' },
  { term: 'Real change', means: 'A difference larger than measurement error, so it is probably not chance.' },
  { term: 'RPE', also: 'effort rating', means: 'How hard it felt (rating of perceived exertion), from 0 (rest) to 10 (all-out).' },
  { term: 'Supination', also: 'palm up', means: 'The forearm turns the palm up.' },
  { term: 'Taper', means: 'Less work before an event, so that the athlete arrives fresh.' },
  { term: 'Tendon glide', means: 'A slow series of hand shapes that moves tendons along their sheaths.' },
  { term: 'Torque', also: 'moment, N·m', means: 'How strongly a load would bend a joint: force times distance.' },
  { term: 'Ulnar deviation', also: 'toward the little finger', means: 'The hand tips toward the little-finger side.' },
];
