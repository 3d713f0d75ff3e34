/**
 * The tests, how they are done and what they mean. All of them only find bad ones: nothing here clears a
 * glaze for food, which a laboratory's leach test of that glaze on that body out of that firing does. Steps
 * are common practice, no source, unless one stands beside them.
 */
export type Outcome = {
  id: string;
  words: string;
  /** It was found bad: what that means for use. */
  bad?: string;
  /** What it says of a fault, for the clinic: a fact and its value. */
  tells?: readonly [fact: string, value: string];
};

export type UseTest = {
  id: string;
  name: string;
  how: string;
  /** What it can find. */
  finds: string;
  caution?: string;
  /** What is counted of it: cycles, rounds; null where it is done once. */
  counted: string | null;
  /** Does it weigh the piece dry and soaked? */
  weighs?: true;
  outcomes: readonly Outcome[];
  /** After so many days it is worth doing again; null: once is enough. */
  againDays: number | null;
};

const SPLITS = 'Goggles, gloves and tongs; ware may split, and hot water spits.';
const NO_FOOD = 'Not for food or drink.';

export const USE_TESTS: readonly UseTest[] = [
  {
    id: 'ice',
    name: 'Hot into ice water',
    how: 'Twenty minutes at 150 °C in an oven, straight into ice water, dry, ink rubbed in and wiped; up to three cycles, then 20 °C hotter.',
    finds: 'Crazing that waits: it stretches the glaze.',
    caution: SPLITS,
    counted: 'cycle',
    outcomes: [
      { id: 'sound', words: 'no line under a lens', tells: ['t-ice', 'no'] },
      {
        id: 'crazed',
        words: 'it crazed',
        bad: 'It crazes in use: weaker, and not for food on an open body.',
        tells: ['t-ice', 'yes'],
      },
      { id: 'split', words: 'it split', bad: 'It does not bear heat.' },
    ],
    againDays: null,
  },
  {
    id: 'boil',
    name: 'Frozen into boiling water',
    how: 'A night in a freezer, straight into boiling water, five minutes; a thumb nail along rim and handle; up to three cycles.',
    finds: 'Shivering that waits: it squeezes the glaze.',
    caution: SPLITS,
    counted: 'cycle',
    outcomes: [
      { id: 'sound', words: 'nothing lifts', tells: ['t-boil', 'no'] },
      {
        id: 'slivers',
        words: 'slivers lift',
        bad: `${NO_FOOD} Slivers are sharp: hold its whole lot back.`,
        tells: ['t-boil', 'yes'],
      },
      { id: 'split', words: 'it split', bad: 'It does not bear heat.' },
    ],
    againDays: null,
  },
  {
    id: 'absorption',
    name: 'Absorption',
    // Source: ASTM C373 boils five hours and soaks for a day.
    how: 'Unglazed, or a chip of it: dried at 110 °C and weighed; boiled five hours, soaked a day, wiped with a damp cloth and weighed at once.',
    finds: 'A body that is not tight at its cone.',
    counted: null,
    weighs: true,
    outcomes: [{ id: 'weighed', words: 'weighed dry and soaked' }],
    againDays: null,
  },
  {
    id: 'acid',
    name: 'Lemon or vinegar overnight',
    how: 'A slice of lemon or a drop of vinegar under film on the glaze for a night, rinsed, dried, and held beside the rest in daylight.',
    finds: 'A glaze that acid attacks.',
    counted: null,
    outcomes: [
      { id: 'same', words: 'no difference to be seen' },
      { id: 'dull', words: 'duller or rougher there', bad: NO_FOOD },
      {
        id: 'colour',
        words: 'another colour there',
        bad: `${NO_FOOD} Metal goes into food from it.`,
      },
    ],
    againDays: null,
  },
  {
    id: 'dishwasher',
    name: 'Dishwasher rounds',
    how: 'With the ordinary wash, a twin kept aside to compare; looked at after every ten rounds.',
    finds: 'Alkali wearing the glaze, colours and lustres.',
    counted: 'round',
    outcomes: [
      { id: 'same', words: 'as its twin' },
      { id: 'dull', words: 'duller than its twin', bad: 'Hand wash only; it wears.' },
      {
        id: 'crazed',
        words: 'it crazed',
        bad: 'It crazes in use: weaker, and not for food on an open body.',
      },
    ],
    againDays: 90,
  },
  {
    id: 'cutlery',
    name: 'Cutlery marks',
    how: 'A steel knife drawn firmly over the glaze, ten strokes; then a mild cleaner.',
    finds: 'A surface too rough or too soft for plates.',
    counted: null,
    outcomes: [
      { id: 'none', words: 'no mark' },
      { id: 'cleans', words: 'a grey mark that cleans off', tells: ['metal', 'cleans'] },
      { id: 'groove', words: 'a groove stays', bad: 'Too soft for plates.', tells: ['metal', 'groove'] },
    ],
    againDays: null,
  },
  {
    id: 'weeks',
    name: 'Looked at again with ink',
    how: 'Ink rubbed over and wiped off, weeks after the firing: lines that were not there at the opening.',
    finds: 'Crazing that comes late.',
    counted: null,
    outcomes: [
      { id: 'sound', words: 'no line under a lens' },
      {
        id: 'crazed',
        words: 'it crazed',
        bad: 'It crazes in use: weaker, and not for food on an open body.',
      },
    ],
    againDays: 30,
  },
  {
    id: 'laboratory',
    name: 'Leach test by a laboratory',
    how: 'By an accredited laboratory, on this glaze, this body and this firing; what it says holds for no other.',
    finds: 'What goes into food from it, by number.',
    counted: null,
    outcomes: [
      { id: 'passed', words: 'passed, by its report' },
      {
        id: 'failed',
        words: 'failed, by its report',
        bad: `${NO_FOOD} Nor anything of that glaze.`,
      },
    ],
    againDays: null,
  },
];

const BY_ID = new Map(USE_TESTS.map((one) => [one.id, one]));
export const testKind = (id: string): UseTest | undefined => BY_ID.get(id);
export const outcomeOfTest = (kind: string, outcome: string): Outcome | undefined =>
  testKind(kind)?.outcomes.find(({ id }) => id === outcome);

/** Said wherever a test was passed. */
export const ONLY_BAD =
  'Home tests only find bad ones: whether a glaze may be used for food, a laboratory’s leach test says.';
