/** Stories of the demo studio with what is true of each: what its generator made of them. */
export type Story = {
  complaints: readonly string[];
  /** Causes that its generator put into it; the first is the one to be found. */
  truth: readonly string[];
  by: string;
  daysAgo: number;
  /** A test that it waits for, or had. */
  test?: string;
  closing?: { turnedOut: readonly string[]; daysAgo: number; note: string };
} & (
  | { of: 'piece'; stack: string; body: string; sign: string | null; surface?: string }
  | { of: 'firing'; notes: string }
);

export const pieceStories: readonly Story[] = [
  {
    of: 'piece',
    stack: 'foxglove#1 dip×1',
    body: 'eider',
    sign: 'crazing',
    complaints: ['crazing'],
    truth: ['misfit-high'],
    by: 'iben',
    daysAgo: 430,
    test: 't-ladder',
    closing: {
      turnedOut: ['misfit-high'],
      daysAgo: 380,
      note: 'The ladder ends on its second step: silica with a little kaolin.',
    },
  },
  {
    of: 'piece',
    stack: 'yard-clear#1 dip×1',
    body: 'peat',
    sign: 'lifting',
    complaints: ['lifting'],
    truth: ['slip-dry'],
    by: 'tomasz',
    daysAgo: 300,
    closing: {
      turnedOut: ['slip-dry'],
      daysAgo: 298,
      note: 'The two on leather-hard clay hold; the three on dry clay do not.',
    },
  },
  {
    of: 'piece',
    stack: 'gull#1 dip×1',
    body: 'saltbox',
    sign: 'blush',
    complaints: ['blush'],
    truth: ['chrome-neighbour'],
    by: 'tomasz',
    daysAgo: 240,
    closing: {
      turnedOut: ['chrome-neighbour'],
      daysAgo: 236,
      note: 'Only those that stood by Rosehip.',
    },
  },
  {
    of: 'piece',
    stack: 'pitch#1 dip×1 + cinder#1 dip×1',
    body: 'loft',
    sign: 'blister',
    complaints: ['blister'],
    truth: ['early-seal'],
    by: 'iben',
    daysAgo: 120,
  },
  {
    of: 'piece',
    stack: 'gull#1 dip×1 + tarn#1 dip×1',
    body: 'saltbox',
    sign: null,
    surface: 'matt',
    complaints: ['matt'],
    truth: ['thin'],
    by: 'tomasz',
    daysAgo: 60,
  },
  {
    of: 'piece',
    stack: 'ember#1 dip×4',
    body: 'peat',
    sign: 'pit',
    complaints: ['pit'],
    truth: ['silicon-carbide', 'thick'],
    by: 'iben',
    daysAgo: 20,
  },
  {
    of: 'piece',
    stack: 'pitch#1 dip×1 + slack-tide#1 dip×1',
    body: 'drift',
    sign: 'running',
    complaints: ['running'],
    truth: ['flux-pair'],
    by: 'tomasz',
    daysAgo: 9,
    test: 't-order',
  },
];

export const firingStory: Story = {
  of: 'firing',
  notes: 'Damper slipped%',
  complaints: ['celadon', 'copper-red'],
  truth: ['reduced-late'],
  by: 'iben',
  daysAgo: 90,
};
