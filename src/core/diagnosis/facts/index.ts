/**
 * The published list of facts. Thresholds are rules of thumb and judgement unless a source stands beside
 * them; what is read from records is read as these values too, so that a case can be written down by hand.
 */
import type { Fact } from '../fact-types';
import { chemistry } from './chemistry';
import { close } from './close';
import { coat } from './coat';
import { firing } from './firing';
import { outcomes } from './outcomes';
import { pot } from './pot';
import { where } from './where';

export const FACTS: readonly Fact[] = [
  ...where,
  ...close,
  ...coat,
  ...chemistry,
  ...firing,
  ...pot,
  ...outcomes,
];

const BY_ID = new Map(FACTS.map((one) => [one.id, one]));
export const factOf = (id: string): Fact | undefined => BY_ID.get(id);
