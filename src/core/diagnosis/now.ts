/**
 * What to do with a piece that shows a complaint, before anybody knows why: what it may still be used for,
 * whether grinding or another firing is worth a try, and when it is over. Common practice, no source; where
 * food is concerned only a laboratory clears.
 */
import { complaintOf } from './complaints';

export type Now = { use: string; mend: string | null; keep: string | null };

const NO_FOOD = 'Not for food or drink.';
const STUDY = 'Write on its foot what it is, and keep it with its twins.';
const REFIRE = 'A refire on a waster, dry through and slow to 120 °C, may heal it';

const of = (use: string, mend: string | null = null, keep: string | null = STUDY): Now => ({
  use,
  mend,
  keep,
});

const BY: Readonly<Record<string, Now>> = {
  pinhole: of(
    `On a tight body a second for show; ${NO_FOOD.toLowerCase()}`,
    `${REFIRE}, with a hold at the top; some holes come back larger.`,
  ),
  pit: of(
    'Shallow and glossy inside: usable where nothing catches; try it with a nail and a cloth.',
    `${REFIRE}, with a longer hold, half a cone cooler.`,
  ),
  blister: of(
    NO_FOOD,
    'Grind the tops off wet, glasses and respirator on, fill with glaze and refire on a waster.',
  ),
  crater: of(
    NO_FOOD,
    'Grind the rings off wet, glasses and respirator on, fill with glaze and refire on a waster.',
  ),
  cloudy: of('Sound: a matter of taste.', `${REFIRE}, slower at the top; thick places stay milky.`, null),
  'boron-blue': of(
    'Sound: a matter of taste.',
    'Another firing with a faster fall from 1000 to 800 °C clears some.',
    null,
  ),
  crazing: of(
    `For show and for dry things; on an open body not for food or drink.`,
    'A refire closes it for a day: it crazes again while the fit is as it is.',
  ),
  shivering: of(
    `${NO_FOOD} Nothing heals it.`,
    null,
    'Hold back its whole lot; break it up with glasses on, and keep one in a closed bag for study.',
  ),
  crawling: of(
    'Bare edges hold dirt: a second outside, not for food inside.',
    'Warm it, brush glaze with gum into the gaps, and refire on a waster; large islands do not close.',
  ),
  running: of(
    'Sound once the foot is ground flat and smooth, wet, glasses and respirator on.',
    'Grind the foot; do not refire it without a waster.',
    null,
  ),
  stuck: of(
    'When it came off whole: grind it smooth, wet, glasses and respirator on. With a chip in the foot a second.',
    'Chip and grind the shelf too, wet, eyes and lungs covered, and wash it again.',
  ),
  dry: of(
    `${NO_FOOD} An unmelted glaze gives off what is in it.`,
    `${REFIRE}, to the cone that it is meant for.`,
  ),
  matt: of(
    'When it is smooth and cleans: a second. When strong colours are in it, not for food.',
    `${REFIRE}, at its full cone with a faster fall; crystals melt in again.`,
    null,
  ),
  gloss: of('Sound.', 'Another firing with a slow fall from 1100 to 900 °C may bring the matt.', null),
  patchy: of(
    'Sound where it is covered; bare places are not for food.',
    'Warm it, coat the thin places, and refire on a waster.',
    null,
  ),
  lifting: of(
    `${NO_FOOD} Loose edges break off.`,
    null,
    'Stop the same before it is bisqued: slip goes on at leather-hard.',
  ),
  'slip-crackle': of('Sound when nothing comes off under a thumb nail and the glaze over it is whole.', null),
  dunt: of(
    'Not for use: it may part under heat or load.',
    null,
    'Break it up with glasses on and look at the wall; keep the pieces with the firing’s number.',
  ),
  'drying-crack': of('For show when it holds water for a night; never for heat.', null),
  'handling-crack': of('For show when it holds water for a night; never for heat.', null),
  bloat: of('Not for use: weak, and it goes on when fired again.', null),
  slump: of('Sound when it stands firm and its lid fits.', null, null),
  'black-core': of('Not for use: brittle, and it bloats when fired again.', null),
  'lime-pop': of(
    'Not for use: it throws sharp chips for weeks.',
    null,
    'Hold back its whole lot: nothing helps once it is fired.',
  ),
  spot: of('Smooth: sound. Sharp: grind it wet, glasses on, before anybody drinks from it.', null, null),
  scum: of('Sound, and rough to the lip: keep it off rims for drinking.', null),
  smoke: of(
    'Sound: a matter of taste.',
    'Another firing with clean air to 1000 °C takes some of it out.',
    null,
  ),
  cutlery: of('Sound; a mild cleaner takes the lines off. Where a groove stays, not for plates.', null, null),
  staining: of('Take it out of use for food: wet gets in.', null),
  leaching: of(
    'Take it out of use for food; keep the rest of the batch back too, until a laboratory has passed it.',
    null,
  ),
  'raw-flakes': of('Not into the kiln as it is.', 'Wash it off, dry it through, and glaze it again.', null),
  'too-thick': of(
    'Not into the kiln as it is.',
    'Scrape or wash it off, respirator on, dry it through, and glaze it again.',
    null,
  ),
  'too-thin': of(
    'Not fired: another coat can go on.',
    'Another coat while it is raw; once fired, warm it first and use gum.',
    null,
  ),
  'refire-trouble': of('Once more is once too often: it does not get better.', null),
  froth: of(NO_FOOD, 'Grind what is sharp, wet, glasses and respirator on.'),
  manganese: of(NO_FOOD, null),
};

/** Where nothing of its own is said: colour and effects that nobody asked for are sound. */
const OTHERWISE = of(
  'Sound, if it is smooth and melted through; strong colours are not for food.',
  null,
  null,
);

/** What to do now, for each of the complaints. Empty where none is named. */
export const nowWith = (complaints: readonly string[]): { name: string; now: Now }[] =>
  complaints.flatMap((id) => {
    const one = complaintOf(id);
    return one === undefined ? [] : [{ name: one.name, now: BY[id] ?? OTHERWISE }];
  });
