import { becameOf, becameWords } from './refired';

const sign = (name: string, severity: 1 | 2 | 3 = 2) => ({ sign: name, severity });

test('each old sign is healed, the same, worse or milder; new ones are none of its business', () => {
  const before = [sign('crazing'), sign('pinhole'), sign('running', 1), sign('shivering', 3)];
  const after = [sign('pinhole'), sign('running', 3), sign('shivering', 1), sign('crawling')];
  expect(becameOf(before, after)).toEqual([
    { sign: 'crazing', became: 'healed' },
    { sign: 'pinhole', became: 'same' },
    { sign: 'running', became: 'worse' },
    { sign: 'shivering', became: 'less' },
  ]);
  expect(becameOf([], after)).toEqual([]);
});

test('in words, with what is new apart', () => {
  expect(becameWords([sign('crazing')], [])).toBe('crazing healed');
  expect(becameWords([sign('crazing', 3)], [sign('crazing', 1), sign('crawling')])).toBe(
    'crazing milder; new: crawling',
  );
  expect(becameWords([], [])).toBe('');
});
