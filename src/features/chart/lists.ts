/** What every board and every closer look begins with, kept: not to be changed by who gets it. */
import { boardChoices } from '@/data/board';
import { listBodies } from '@/data/bodies';
import { listCoatings } from '@/data/coatings';
import { keepRead } from '@/data/kept';

export const keptBodies = keepRead({ most: 1, key: () => '', read: listBodies });
export const keptCoatings = keepRead({ most: 1, key: () => '', read: listCoatings });
export const keptChoices = keepRead({ most: 1, key: () => '', read: boardChoices });
