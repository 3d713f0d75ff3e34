/** The nearest clean piece of the same coats, and what is otherwise with it. */
import { contrastsOf } from './contrasts';
import type { SeenStack } from './from-record';

const [ONE, TWO] = ['tarn#1 dip×1', 'tarn#1 dip×2'];
const seen = (pieceId: string, rest: Partial<SeenStack> = {}): SeenStack => ({
  pieceId,
  firingId: 'f1',
  bodyId: 'b1',
  slips: '',
  stackKey: TWO,
  cone: '6',
  refired: false,
  shelf: 1,
  surface: null,
  seconds: null,
  faults: [],
  ...rest,
});
const own = seen('own', { faults: ['pit'] });

test('the nearest first, with what differs; another stack, and what has the fault itself, are none', () => {
  const found = contrastsOf(own, 'pit', [
    own,
    seen('other body', { bodyId: 'b2' }),
    seen('thinner', { stackKey: ONE }),
    seen('twin, next firing', { firingId: 'f2' }),
    seen('pitted too', { faults: ['pit'], stackKey: ONE }),
    seen('other stack', { stackKey: 'gull#1 dip×2' }),
    seen('crazed, which is another thing', { firingId: 'f3', faults: ['crazing'] }),
  ]);
  expect(found.map(({ pieceId, differs }) => [pieceId, differs])).toEqual([
    ['crazed, which is another thing', ['firing']],
    ['twin, next firing', ['firing']],
    ['thinner', ['thickness']],
  ]);
});

test('a piece is shown once, by its nearest zone, and never when another zone of it has the fault', () => {
  const zones = [seen('two', { stackKey: ONE, firingId: 'f2' }), seen('two', { firingId: 'f2' })];
  expect(contrastsOf(own, 'pit', zones).map(({ differs }) => differs)).toEqual([['firing']]);
  const half = [seen('half', { stackKey: ONE }), seen('half', { faults: ['pit'] })];
  expect(contrastsOf(own, 'pit', half)).toEqual([]);
});

test('another version of the same recipe is said, and stands nearer than another body', () => {
  const own = seen('own', { stackKey: 'foxglove#1 dip×1', faults: ['crazing'] });
  const kin = [
    seen('body', { stackKey: 'foxglove#1 dip×1', bodyId: 'b2' }),
    seen('version', { stackKey: 'foxglove#3 dip×1' }),
  ];
  expect(contrastsOf(own, 'crazing', kin).map(({ differs }) => differs)).toEqual([['version'], ['body']]);
});
