import { fitsSetting } from '../../model/hand-picture.js';
import { handSaid } from '../../model/level-shapes.js';
import { answerFor, type LoadKind, type LoadTable } from '../../model/load.js';
import type { Level, Movement } from '../../model/movement.js';
import type { HandSetting, HandViewName } from '../../vocabulary/hand-settings.js';

/** Where a level's hand is: as named where its load can be drawn so, else by its load. */
export function settingOf(movement: Movement, level: Level): HandSetting {
  const { setting } = handSaid(movement, level);
  return setting && fitsSetting(setting, level.load) ? setting : answerFor(SETTINGS, level.load, movement, level);
}

const SETTINGS: LoadTable<LoadKind, HandSetting, [Movement, Level]> = {
  body: () => 'planted',
  hang: () => 'holding',
  lift: () => 'holding',
  weight: () => 'holding',
  roller: () => 'turning a roller',
  press: ({ action }, movement, level) => {
    if (level.contact !== 'none' || movement.shapes || action === 'grip') return 'holding';
    const helps = {
      'wrist flexion': 'helped at the fingers',
      'wrist extension': 'helped at the back',
      'radial deviation': 'helped at the thumb side',
      'ulnar deviation': 'helped at the little side',
      pronation: 'helped at the forearm',
      supination: 'helped at the forearm',
      'finger extension': 'helped around the fingers',
    } as const;
    return action in helps ? helps[action as keyof typeof helps] : 'holding';
  },
  resist: () => 'holding',
  move: (_, movement, level) => {
    if (level.contact !== 'none') return 'holding';
    return level.equipment.includes('table') || movement.equipment.includes('table') ? 'forearm on a table' : 'forearm ahead';
  },
  stretch: ({ motion }, _, level) => {
    if (level.loading !== 'assisted') return 'forearm ahead';
    const helps = {
      'wrist extension': 'helped at the fingers',
      'wrist flexion': 'helped at the back',
      'radial deviation': 'helped at the little side',
      'ulnar deviation': 'helped at the thumb side',
      pronation: 'helped at the forearm',
      supination: 'helped at the forearm',
      'finger extension': 'helped at one finger',
      'finger flexion': 'helped around the fingers',
      'finger spreading': 'helped between the fingers',
      'thumb extension': 'helped at the thumb',
    } as const;
    return helps[motion];
  },
  rest: () => 'forearm ahead',
};

/** From where a level's hand is looked at: as named, else by its place and its load. */
export function viewOf(movement: Movement, level: Level, setting: HandSetting): HandViewName {
  // Hands that are turned show both, as one sees them oneself.
  const turned = setting.startsWith('planted') && level.facing !== 'forward' && level.facing !== 'free';
  return (
    handSaid(movement, level).view ??
    (turned ? 'as one sees it' : undefined) ??
    VIEWS[setting] ??
    answerFor(LOAD_VIEWS, level.load, movement)
  );
}

const VIEWS: Partial<Record<HandSetting, HandViewName>> = {
  'palms together': 'facing',
  'palms together, fingers tipped': 'from the fingertips, above',
  'palms together, fingers down': 'facing',
  'palms together, fingers back': 'facing',
  'backs together': 'facing',
  'fingertips together': 'as one sees it',
  'fingertips together, shifted': 'as one sees it',
  'fingertips together, rolling': 'as one sees it',
  'on the ribs': 'as one sees it',
  'under the foot': 'thumb side, from above',
  interlaced: 'as one sees it',
  'hooked together': 'facing',
  'twisting a towel': 'as one sees it',
  'turning a roller': 'as one sees it',
  'helped at the fingers': 'thumb side, from above',
  'helped at the back': 'thumb side, from above',
  'helped around the fingers': 'thumb side, from above',
  'helped at the thumb side': 'thumb side, from behind',
  'helped at the little side': 'thumb side, from behind',
  'helped at the thumb': 'thumb side, from behind',
  'helped at the forearm': 'thumb side, from above',
  'planted, fingers in turn': 'from the fingertips, above',
  'planted, fingers in pairs': 'from the fingertips, above',
  'on a wall, fingers down': 'thumb side, from above',
};
const SIDEWAYS: readonly string[] = ['radial deviation', 'ulnar deviation', 'finger spreading'];
const LOAD_VIEWS: LoadTable<LoadKind, HandViewName, [Movement]> = {
  body: () => 'thumb side',
  hang: ({ on }) => (on === 'edge' ? 'thumb side, from behind' : 'from the fingertips'),
  lift: ({ on }) => (on === 'edge' ? 'from behind' : on === 'pinch' ? 'from the fingertips, above' : 'from the fingertips'),
  weight: ({ action }) => (action.endsWith('deviation') ? 'thumb side' : 'from the fingertips, above'),
  roller: () => 'as one sees it',
  press: () => 'thumb side',
  resist: () => 'thumb side, from above',
  move: ({ actions }, { motions }) => {
    if (actions.includes('pronation')) return 'from the fingertips, above';
    if (motions.length > 0 && motions.every((motion) => SIDEWAYS.includes(motion) || motion.startsWith('thumb'))) return 'from above';
    return 'thumb side';
  },
  stretch: () => 'thumb side',
  rest: () => 'thumb side',
};
