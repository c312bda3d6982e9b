import {
  fitsSetting,
  HAND_SETTINGS,
  HAND_VIEWS,
  handSaid,
  type HandSetting,
  type HandViewName,
  type Level,
  type Movement,
  OTHER_HANDS,
  type OtherHandDoes,
  settingOf,
} from '@clay-pot/core';
import { Choice } from '../../../domain/movement/subject-fields.js';
import { withHand } from './stations.js';

const AS_SAID = 'as the level says';

interface Props {
  movement: Movement;
  level: Level;
  set: (level: Level) => void;
}

/** Where a level's hand is, from where it is seen, how it goes, and what the other hand does meanwhile. */
export function PictureWords({ movement, level, set }: Props) {
  const setting = settingOf(movement, level);
  const { round = false, presses = false } = handSaid(movement, level);
  const body = level.load.kind === 'body';
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <Choice
        label="Where the hand is"
        value={level.hand?.setting ?? AS_SAID}
        options={[AS_SAID, ...HAND_SETTINGS.filter((each) => fitsSetting(each, level.load) || each === level.hand?.setting)]}
        names={{ [AS_SAID]: `${AS_SAID}: ${setting}` }}
        set={(name) => set(withHand(level, { setting: name === AS_SAID ? undefined : (name as HandSetting) }))}
      />
      <Choice
        label="View"
        value={level.hand?.view ?? AS_SAID}
        options={[AS_SAID, ...HAND_VIEWS]}
        names={{ [AS_SAID]: 'best view' }}
        set={(name) => set(withHand(level, { view: name === AS_SAID ? undefined : (name as HandViewName) }))}
      />
      <Choice
        label="Movement"
        value={round ? 'round' : 'back'}
        options={['back', 'round']}
        names={{ back: 'out and back the same way', round: 'on round through all' }}
        set={(way) => set(withHand(level, { round: way === 'round' }))}
      />
      {body && level.facing !== 'forward' && level.facing !== 'free' && (
        <Choice
          label="Other hand"
          value={level.hand?.other ?? AS_SAID}
          options={[AS_SAID, ...OTHER_HANDS]}
          set={(name) => set(withHand(level, { other: name === AS_SAID ? undefined : (name as OtherHandDoes) }))}
        />
      )}
      {body && (
        <Choice
          label="Contact"
          value={presses ? 'presses' : 'stands'}
          options={['stands', 'presses']}
          names={{ stands: 'it only rests on it', presses: 'it presses, without moving' }}
          set={(does) => set(withHand(level, { presses: does === 'presses' }))}
        />
      )}
    </div>
  );
}
