/** What the clinic knows of a cause, and short ways of writing it down. */

/** On what it acts: where it would have to be changed. */
export type Scope = 'piece' | 'coating' | 'bucket' | 'body' | 'kiln' | 'firing';
/** Where it is known from; shares and weights are judgement throughout. */
export type Source = 'published' | 'common practice' | 'judgement';

/**
 * How strongly values of a fact speak for a cause (positive) or against it, as the decimal logarithm of how
 * much more often they are found with it than with its rivals for the same complaint. Values that are not
 * named share what is left.
 */
export type Evidence = {
  fact: string;
  weights: Readonly<Record<string, number>>;
  /** Only for these complaints; else for all that the cause brings about. */
  of?: readonly string[];
};

export type Remedy = {
  do: string;
  /** What it may cost. */
  but?: string;
  /** Whose way it is, where ways differ. */
  school?: string;
};

export type Cause = {
  id: string;
  name: string;
  how: string;
  scope: Scope;
  source: Source;
  /** In how many of 100 cases of a complaint it takes part, with nothing else known. */
  shares: Readonly<Record<string, number>>;
  evidence: readonly Evidence[];
  /** Ruled out where one of these facts is known to be something else. */
  needs: Readonly<Record<string, readonly string[]>>;
  /** Tests that separate it from its rivals, the cheapest first, with the outcome that speaks for it. */
  tests: readonly { fact: string; says: string }[];
  remedies: readonly Remedy[];
  caution?: string;
};

/** One cause in short: what it takes part in, evidence, and what to do. */
export type Short = Partial<Pick<Cause, 'needs' | 'caution'>> & {
  shares: Cause['shares'];
  source?: Source;
  evidence: readonly Evidence[];
  /** "fact: outcome", the cheapest first. */
  tests?: readonly string[];
  /** In order; after "; but" what it may cost. */
  do: readonly (string | Remedy)[];
};

export function cause(id: string, name: string, scope: Scope, how: string, short: Short): Cause {
  return {
    id,
    name,
    how,
    scope,
    source: short.source ?? 'common practice',
    shares: short.shares,
    evidence: short.evidence,
    needs: short.needs ?? {},
    tests: (short.tests ?? []).map((one) => {
      const [fact = '', says = 'yes'] = one.split(': ');
      return { fact, says };
    }),
    remedies: short.do.map((one) => {
      if (typeof one !== 'string') return one;
      const [what = '', but] = one.split('; but ');
      return { do: what, ...(but === undefined ? {} : { but }) };
    }),
    ...(short.caution === undefined ? {} : { caution: short.caution }),
  };
}

/** Evidence of one fact: `says('heat', { above: 1, lower: -1 })`. */
export const says = (fact: string, weights: Evidence['weights'], ...of: readonly string[]): Evidence => ({
  fact,
  weights,
  ...(of.length > 0 ? { of } : {}),
});

// Evidence that many causes share.
export const THICK = [says('thickness', { 'only-thick': 1, 'worse-thick': 0.3, alike: -1, 'only-thin': -1 })];
export const THIN = [says('thickness', { 'only-thin': 1, alike: -0.3, 'worse-thick': -1, 'only-thick': -1 })];
export const HOT = [says('heat', { above: 1, lower: -1, below: -1.5 })];
export const COLD = [says('heat', { below: 1, upper: -1, above: -1.5 })];
export const LOAD = [says('load', { shared: 1, usual: -1 })];
export const PLACE = [says('place', { one: 1, random: -0.6 })];
export const BODY = [says('body', { only: 1, every: -1 })];
export const RECIPE = [says('recipe', { everywhere: 1, sound: -1 })];
export const BATCH = [says('batch', { began: 1, older: -1, same: -0.6 })];
export const STACK = [says('stack', { 'together-thick': 2, together: 0.6, alone: -1, single: -1.5 })];
export const UNDER = [says('under', { 'only-over': 1, bare: -2 })];
export const HAND = [says('hand', { one: 0.6, all: -0.6 })];
export const REFIRE = [says('generation', { 'new-since': 2, first: -2 })];
export const AFTER_FIRST = { generation: ['new-since', 'again'] };
export const IN_REDUCTION = { air: ['reduction'] };

/**
 * Facts that tell of the same thing count together, and no more than the strongest of them and a third;
 * others each by themselves.
 */
export const TOGETHER: Readonly<Record<string, string>> = {
  thickness: 'coat',
  sg: 'coat',
  applied: 'coat',
  't-thin-thick': 'coat test',
  heat: 'heat',
  top: 'heat',
  place: 'heat',
  load: 'heat',
  moved: 'heat',
  'body-heat': 'body heat',
  body: 'body',
  bisque: 'body',
  'other-bisque': 'body',
  core: 'body',
  'new-body': 'body',
  stack: 'stack',
  order: 'stack',
  under: 'stack',
  where: 'place on the piece',
  surface: 'surface',
};
