import {
  fitsSetting,
  type HandPictureSpec,
  handSaid,
  type HandStation,
  isSome,
  type Level,
  type Movement,
  settingOf,
  stationsOf,
} from '@clay-pot/core';

/** What a station is called, of so many: where there is a way, its start and its end. */
export function stationName(index: number, count: number, round: boolean): string {
  if (count === 1) return 'Held';
  if (round) return String(index + 1);
  if (index === 0) return 'Start';
  if (index === count - 1) return 'End';
  return count === 3 ? 'Middle' : `Middle ${index}`;
}

/** A level with its hand drawn otherwise; what is not said is left out. */
export function withHand(level: Level, part: { [K in keyof HandPictureSpec]?: HandPictureSpec[K] | undefined }): Level {
  const { hand: before, ...rest } = level;
  const merged = Object.entries({ ...before, ...part }).filter(([, value]) => value !== undefined);
  return merged.length ? { ...rest, hand: Object.fromEntries(merged) } : rest;
}

/** A level with these stations. Its shapes are theirs from now on. */
export function withStations(level: Level, course: readonly HandStation[]): Level {
  if (!isSome(course)) return level;
  const { shapes: _before, ...rest } = level;
  return withHand(rest, { course });
}

/** A level with the hand of another one: its stations, and where and how it is drawn. */
export function withHandOf(level: Level, movement: Movement, from: Level): Level {
  const { setting: _named, ...said } = handSaid(movement, from);
  const setting = settingOf(movement, from);
  // What this level's own movement says otherwise is said against here.
  const hand = { round: false, presses: false, ...said, ...(fitsSetting(setting, level.load) && { setting }) };
  return withStations({ ...level, hand }, stationsOf(movement, from));
}
