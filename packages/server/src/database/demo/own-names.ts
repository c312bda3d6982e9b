/** What Lanternfield Hall calls some movements: people remember those. */
export const HALL_NAMES = {
  'free.open-close': 'Jellyfish',
  'free.finger-flicks': 'Sparks',
  'free.lying-eights': 'Two eddies',
  'glide.five-shapes': 'Five lanterns',
  'rock.kneeling-walk': 'Round the buoy',
  'strength.palm-lift': 'Tide out',
  'grip.towel-gather': 'Reef the sail',
  'settle.shakes': 'Wet hands',
} as const;
