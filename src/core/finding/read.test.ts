import { apart, readAsked, type Named } from './index';

const NAMES: Named[] = [
  { kind: 'coating', key: 'pitch', name: 'Pitch' },
  { kind: 'coating', key: 'tarn', name: 'Tarn' },
  { kind: 'coating', key: 'yard-clear', name: 'Yard Clear' },
  { kind: 'coating', key: 'snowmelt', name: 'Snowmelt' },
  { kind: 'coating', key: 'moss', name: 'Moss' },
  { kind: 'body', key: 'eider', name: 'Eider' },
  { kind: 'kiln', key: 'marta', name: 'Marta' },
  { kind: 'person', key: 'p1', name: 'Noor Haddad' },
];
const read = (text: string) => {
  const { chips, words, over } = readAsked(text, NAMES);
  return [
    ...chips.map(({ filter }) => {
      const no = filter.is === 'sign' && filter.without ? 'no ' : '';
      return `${no}${filter.is}:${filter.key}`;
    }),
    ...(over ? ['over'] : []),
    ...words.map((word) => `“${word}”`),
  ];
};

test.each([
  ['satin black', ['surface:satin', 'colour:black']],
  ['crazing on Eider', ['sign:crazing', 'body:eider']],
  ['EIDER crazed', ['body:eider', 'sign:crazing']],
  ['pitch tarn', ['coating:pitch', 'coating:tarn']],
  ['Tarn over Pitch', ['coating:tarn', 'coating:pitch', 'over']],
  ['blue cone 6 no runs', ['colour:blue', 'cone:6', 'no sign:running']],
  ['no crazing c10', ['no sign:crazing', 'cone:10']],
  ['∆04 matte', ['cone:04', 'surface:matt']],
  ['cone 5½ reduction', ['cone:5.5', 'atmosphere:reduction']],
  ['yard clear on eider', ['coating:yard-clear', 'body:eider']],
  ['a clear on eider', ['opacity:transparent', 'body:eider']],
  [
    'a satin black at cone 6 on a dark body that does not run',
    ['surface:satin', 'colour:black', 'cone:6', 'ground:dark', 'no sign:running'],
  ],
  ['blue on porcelain clay', ['colour:blue', 'ground:porcelain']],
  ['dark blue', ['colour:dark blue']],
  ['pale green matt on light clay', ['colour:pale green', 'surface:matt', 'ground:light']],
  ['celadon', ['colour:celadon']],
  ['tenmoku', ['colour:tenmoku']],
  // A name goes before a colour.
  ['moss', ['coating:moss']],
  ['snow melt', ['coating:snowmelt']],
  ['pitch by itself', ['coating:pitch']],
  ['refire', ['waiting:refire']],
  ['noor', ['person:p1']],
  ['Noor’s pinholes', ['person:p1', 'sign:pinhole']],
  ['marta 12', ['kiln:marta', '“12”']],
  ['damper slipped', ['“damper”', '“slipped”']],
  ['', []],
] as const)('%s', (text, expected) => {
  expect(read(text)).toEqual(expected);
});

test.each([
  ['snowmlet', 'coating:snowmelt'],
  ['snowmellt', 'coating:snowmelt'],
  ['crasing', 'sign:crazing'],
  ['pinhols', 'sign:pinhole'],
  ['eidar', 'body:eider'],
])('a slip of the finger, %s, is %s', (text, expected) => {
  expect(read(text)).toEqual([expected]);
});

test('short words have to be right, and first letters', () => {
  expect(read('tarm')).toEqual(['“tarm”']);
  expect(read('xnowmelt')).toEqual(['“xnowmelt”']);
  expect(apart('ab', 'ba')).toBe(1);
  expect(apart('kitten', 'sitting')).toBe(3);
  expect(apart('', 'abc')).toBe(3);
});

test('a chip says its own words, so that it can be taken off', () => {
  const { chips } = readAsked('blue cone 6 no runs', NAMES);
  expect(chips.map(({ words, name }) => [words, name])).toEqual([
    ['blue', 'blue'],
    ['cone 6', 'cone 6'],
    ['no runs', 'no running'],
  ]);
});
