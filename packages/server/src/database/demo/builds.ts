import type { Hand } from '@clay-pot/core';

/** A person’s level against the norm of their sex, age and size. */
export interface Build {
  /** Strength over the estimate; the weaker side has a tenth less. */
  readonly strength: number;
  /** Wrist extension beyond the norm, degrees. */
  readonly extensionDeg?: number;
  readonly stiffSide?: Hand;
  /** Whether the wrist’s extension was read between the visits as well. */
  readonly isFollowed?: true;
}

/** Who has been measured; whoever is missing here has only estimates, which the screens say. */
export const BUILDS: Readonly<Record<string, Build>> = {
  'Ines Okafor-Lund': { strength: 1.7 },
  'Tobi Marchetti': { strength: 1.7, extensionDeg: 6 },
  'Saskia Brandvold': { strength: 1.4 },
  'Ruan Pellew': { strength: 1.3 },
  'Mirela Danko': { strength: 1.1, extensionDeg: -8, stiffSide: 'right', isFollowed: true },
  'Jory Ashdown': { strength: 1.05 },
  'Anneke Vos': { strength: 1.05, extensionDeg: 14 },
  'Callum Reyes-Whitlock': { strength: 1.8, extensionDeg: -3, stiffSide: 'left', isFollowed: true },
  'Béatrice Lemoine': { strength: 1.15 },
  'Wilf Tarrant': { strength: 1.1, extensionDeg: -12 },
};
