/** All benches by name. */
import { benchBodies } from './bodies';
import { benchBoard } from './board';
import { benchChemistry } from './chemistry';
import { benchClinic } from './clinic';
import { benchGrowth } from './growth';
import { benchImport } from './import';
import { benchKilns } from './kilns';
import type { Bench } from './measure';
import { benchPictures } from './pictures';
import { benchSaving } from './saving';

export const BENCHES: Readonly<Record<string, Bench>> = {
  import: benchImport,
  board: benchBoard,
  saving: benchSaving,
  chemistry: benchChemistry,
  kilns: benchKilns,
  growth: benchGrowth,
  clinic: benchClinic,
  pictures: benchPictures,
  bodies: benchBodies,
};
