/** How glaze and body fit, and what breaks them. */
import { BATCH, BODY, cause, says, type Cause } from '../cause-types';

export const fit: readonly Cause[] = [
  cause(
    'misfit-high',
    'The glaze shrinks more than the body',
    'coating',
    'In cooling it wants to be smaller than the body lets it: it is stretched and tears into a net.',
    {
      source: 'published',
      shares: { crazing: 65, staining: 10 },
      evidence: [
        says('fit', { above: 0.6, below: -0.7, 'far-below': -1 }),
        says('first-seen', { opening: 0.1, days: 0.2, weeks: -0.3, years: -0.6 }, 'crazing'),
        says('absorption', { tight: 0.3, porous: -0.3 }, 'crazing'),
      ],
      tests: ['t-ladder', 't-ice'],
      do: [
        'More silica with a little kaolin, rung by rung; but it melts later and may turn matt',
        'Less soda and potash for lime, magnesia, zinc or boron; but colours change',
        'A body that shrinks more',
      ],
    },
  ),
  cause(
    'body-fit',
    'This body shrinks less than others, or was changed',
    'body',
    'A tight body with little free quartz shrinks little, so glazes that fit elsewhere are stretched on it.',
    {
      source: 'published',
      shares: { crazing: 18 },
      evidence: [...BODY, says('new-body', { yes: 0.6, no: -0.15 })],
      tests: ['t-two-bodies'],
      do: ['Another body for these glazes', 'A glaze made to fit it, by the ladder on this body'],
    },
  ),
  cause(
    'moisture',
    'The body takes up water and swells',
    'body',
    'An open body drinks from the air for weeks and years and grows a little; the glaze cannot follow.',
    {
      source: 'published',
      shares: { crazing: 10 },
      evidence: [
        says('absorption', { tight: -2, open: 0.6, porous: 1 }),
        says('first-seen', { opening: -0.6, days: 0, weeks: 0.6, years: 0.9 }),
        says('red-body', { yes: 0.5 }),
      ],
      tests: ['t-steam'],
      do: ['Fire the body tighter; but it may slump or bloat', 'A glaze of lower expansion'],
    },
  ),
  cause(
    'heat-shock',
    'A jolt of heat set it off',
    'firing',
    'Opened hot, or hot water into a cold pot: a passing pull sets off a stress that was there already.',
    {
      source: 'published',
      shares: { crazing: 7 },
      evidence: [says('opened', { hot: 0.6, cool: -1 })],
      tests: ['t-ice'],
      do: ['Open later and cooler', 'Then mend the fit: the stress is still there'],
    },
  ),
  cause(
    'batch',
    'A batch or a material was changed',
    'bucket',
    'Weighed wrongly, a flux short, a delivery that is another mineral: the glaze is not the recipe any more.',
    {
      shares: { crazing: 7, running: 6, dry: 12, matt: 12, gloss: 10, iron: 12, celadon: 4 },
      evidence: BATCH,
      tests: ['t-batch'],
      do: [
        'Old and new side by side in one firing',
        'Weigh it again, and correct or throw it away',
      ],
    },
  ),
  cause(
    'misfit-low',
    'The glaze shrinks less than the body',
    'coating',
    'The body squeezes it harder than it can bear; at edges it lets go in slivers.',
    {
      source: 'published',
      shares: { shivering: 50 },
      evidence: [
        says('fit', { 'far-below': 1, below: 0.2, near: -0.5, above: -1 }),
        says('where', { rim: 0.3 }),
      ],
      tests: ['t-boil', 't-ladder'],
      do: [
        'Less silica, more soda or potash; but it may craze when overdone',
        'A body with less free silica',
      ],
      caution: 'Slivers are sharp: bin the ware, hold the whole lot back.',
    },
  ),
  cause(
    'slip-lets-go',
    'The slip beneath lets go',
    'piece',
    'The glaze holds the slip, and the slip does not hold the body: both come off together.',
    {
      shares: { shivering: 20 },
      needs: { flake: ['slip'] },
      evidence: [says('flake', { slip: 2 })],
      do: ['A slip that shrinks as the body does', 'On wetter clay'],
    },
  ),
  cause(
    'cristobalite',
    'Free silica or cristobalite in the body',
    'body',
    'It shrinks by jumps at 573 and near 226 °C: more than the glaze, and unevenly.',
    {
      source: 'published',
      shares: { shivering: 15, dunt: 12 },
      evidence: [
        ...BODY,
        says('long-hot', { yes: 0.6, no: -0.2 }),
        says('porcelain', { yes: -0.6 }, 'dunt'),
      ],
      tests: ['t-two-bodies'],
      do: ['A body with less fine silica', 'Less time above 1200 °C'],
    },
  ),
  cause(
    'lithia',
    'Much lithia',
    'coating',
    'Lithia glasses shrink very little: the body squeezes them off.',
    {
      source: 'published',
      shares: { shivering: 10 },
      needs: { lithia: ['much', 'some'] },
      evidence: [says('lithia', { much: 0.6 })],
      tests: ['t-without'],
      do: ['Half the lithia, soda or potash instead'],
    },
  ),
  cause(
    'salts-at-rims',
    'Salts or dust at the rim',
    'piece',
    'A bloom dried out at the edges: the glaze sits on it and not on the body.',
    {
      shares: { shivering: 8 },
      evidence: [says('white-before', { yes: 1 }), says('flake', { body: -0.6 })],
      tests: ['t-wiped-half'],
      do: ['Wash rims, dry evenly', 'Barium carbonate in the body, by its supplier'],
      caution: 'Barium carbonate is poison.',
    },
  ),
  cause(
    'cooled-fast',
    'Cooled or opened too fast',
    'firing',
    'Quartz jumps at 573 °C: where one side passes it before the other, the pot is torn.',
    {
      source: 'published',
      shares: { dunt: 32 },
      evidence: [
        says('opened', { hot: 0.6, cool: -1 }),
        says('crack-edges', { sharp: 0.2, rounded: -0.5 }),
      ],
      tests: ['t-two-coolings'],
      do: ['Slow through 600 to 500 °C', 'Open under 80 °C'],
    },
  ),
  cause(
    'one-sided',
    'The glaze squeezes from one side',
    'piece',
    'A thick coat inside alone presses outwards until the wall gives.',
    {
      source: 'published',
      shares: { dunt: 20 },
      evidence: [
        says('glazed', { inside: 1, both: -0.6 }),
        says('fit', { 'far-below': 0.6, below: 0.2 }),
      ],
      do: ['Glaze both sides, evenly', 'A glaze that fits more loosely'],
    },
  ),
  cause(
    'tight-base',
    'A thick or wide base, held by the shelf',
    'piece',
    'Base and wall cool at different times, and a base that sticks cannot shrink.',
    {
      shares: { dunt: 20 },
      evidence: [
        says('section', { uneven: 0.6, even: -0.6 }),
        says('crack', { 'from-base': 0.8 }, 'dunt'),
      ],
      do: ['Sand under the base', 'Walls and base alike'],
    },
  ),
  cause(
    'heated-fast',
    'Heated too fast, as in a refire',
    'firing',
    'Tight glazed ware stands a quick climb badly: the outside grows first.',
    {
      source: 'published',
      shares: { dunt: 15, 'refire-trouble': 12 },
      evidence: [
        says('crack-edges', { rounded: 0.5, sharp: -0.8 }, 'dunt'),
        says('generation', { 'new-since': 1, again: 0.6, first: -0.4 }, 'dunt'),
        says('refire-climb', { fast: 0.6, slow: -1 }),
      ],
      do: ['Slow to 650 °C when firing again'],
    },
  ),
];
