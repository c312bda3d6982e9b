import type { AthleteInput } from '@clay-pot/contracts';
import type { Equipment } from '@clay-pot/core';
import type { DemoPerson } from './people.js';
import type { SeededRandom } from './random.js';
import type { SequenceKey } from './sequences.js';

/** Two lists of made-up names: 40 first names and 50 surnames make 2,000 people. */
const FIRST =
  'Adaeze Alva Anouk Bastian Birgit Caius Calla Dario Delphine Edda Emeka Farid Fenna Gideon Greta Hessel Ilse Imani Joris Juno Kaito Keziah Lieke Lorcan Maeve Milan Nadia Nico Odile Oskar Petra Quinn Rafi Rosalie Sanne Silas Tamsin Teun Vera Yusuf'.split(
    ' ',
  );
const LAST =
  'Abbink Achterberg Amara Beekhof Blomgren Bracken Carver Castellan Dekker Dunmore Eikhout Ellery Faber Fenwick Garrow Haldane Hartog Idowu Iversen Jansz Kerr Kloet Larkin Lindqvist Maas Marlowe Nakata Norbury Oakes Oosting Penrose Pruitt Quayle Rahmani Ravn Selkirk Sorensen Stroud Tamm Tennant Ueda Vance Veldkamp Wardle Wessels Yilmaz Yorke Zandstra Zeller Zwart'.split(
    ' ',
  );
const PRACTICES = ['Yoga', 'Bouldering', 'Calisthenics', 'Hand balancing', 'Tennis', 'Judo', 'Rowing', 'Aerial silks'] as const;
/** About a dozen sets each. */
const GIVEN: readonly SequenceKey[] = ['gentle', 'return', 'free'];
const THINGS: Equipment[] = ['mat', 'chair', 'table', 'wall', 'soft ball', 'finger band', 'towel', 'putty'];
const WEEKS_A_YEAR = 52;
const [YOUNGEST, OLDEST] = [19, 64];

/**
 * People beyond the twelve, for trying Clay Pot at size: three or four sessions a week over years, retested every eight weeks. Every third does a version of their own.
 * @param birthDate the ISO day so many years ago
 */
export function morePeople(
  count: number,
  years: number,
  random: SeededRandom,
  birthDate: (yearsAgo: number, monthDay: string) => string,
): DemoPerson[] {
  return Array.from({ length: count }, (_, index): DemoPerson => {
    const sex = random.chance(0.5) ? 'female' : 'male';
    const statureCm = Math.round((sex === 'female' ? 168 : 181) + random.normal() * 6);
    const athlete: AthleteInput = {
      name: `${FIRST[index % FIRST.length]} ${LAST[(index + Math.floor(index / FIRST.length) * 7) % LAST.length]}`,
      practice: PRACTICES[random.between(0, PRACTICES.length - 1)] ?? 'Yoga',
      birthDate: birthDate(random.between(YOUNGEST, OLDEST), `0${random.between(1, 9)}-${random.between(10, 28)}`),
      sex,
      dominantHand: random.chance(0.1) ? 'left' : 'right',
      statureCm,
      massKg: Math.round(statureCm * 0.4 + random.normal() * 7),
      equipment: THINGS,
      cautions: [],
      notes: '',
    };
    const first = random.between(0, 6);
    return {
      athlete,
      gives: {
        sequence: GIVEN[index % GIVEN.length] ?? 'gentle',
        weekdayOffsets: [0, 2, 4, ...(index % 5 === 0 ? [5] : [])].map((offset) => (first + offset) % 7),
        isOwn: index % 3 === 0,
      },
      course: {
        weeks: years * WEEKS_A_YEAR,
        missChance: 0.04,
        discomfort: random.between(0, 2),
        ...(random.chance(0.1) && { lastDiscomfort: random.between(3, 5) }),
        ...(random.chance(0.3) && { flareWeeksAgo: random.between(3, years * WEEKS_A_YEAR - 4) }),
      },
      build: { strength: 0.9 + random.next() * 0.5 },
      retestedEveryWeeks: 8,
      askedDaysAgo: random.between(1, 200),
      goalId: index % 2 === 0 ? 'handstand-load' : null,
    };
  });
}
