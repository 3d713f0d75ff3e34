import { useState } from 'react';
import type { SeenInput } from '../contracts';
import { NOTHING_SEEN } from '../contracts';
import { person, screen, show, within } from '../../../../test-support/dom';

const { BeforeRefire } = await import('./BeforeRefire');
const { RefireFields } = await import('./RefireFields');

const BEFORE = {
  firing: 'Marta 3',
  photos: [],
  surface: 'gloss',
  signs: [
    { sign: 'pinhole', severity: 2 as const, wanted: false },
    { sign: 'crazing', severity: 3 as const, wanted: false },
  ],
  refire: { why: 'pinholes', todo: 'another coat', cone: '5.5', atmosphere: null },
};

let read: SeenInput;
function Room({ start = NOTHING_SEEN }: { start?: SeenInput }) {
  const [seen, setSeen] = useState(start);
  read = seen;
  return (
    <>
      <BeforeRefire code="HEMPN" before={BEFORE} seen={seen} onSeen={setSeen} />
      <RefireFields
        seen={seen}
        onChange={(refire) => setSeen({ ...seen, refire })}
        refires={null}
        stacks={[]}
      />
    </>
  );
}

test('one touch of each old fault says what became of it; what is not said is not claimed', async () => {
  const hand = person();
  show(<Room />);
  expect(screen.getByText('Refire at cone 5½: another coat, because of pinholes')).toBeTruthy();
  const of = (name: string) => within(screen.getByRole('group', { name: `${name} since then` }));
  const pressed = (name: string) =>
    of(name)
      .getAllByRole('button')
      .filter((one) => one.getAttribute('aria-pressed') === 'true')
      .map((one) => one.textContent);
  expect(pressed('Pinholes')).toEqual([]);
  await hand.click(of('Pinholes').getByText('healed'));
  expect([read.signs, read.healed, pressed('Pinholes')]).toEqual([[], ['pinhole'], ['healed']]);
  await hand.click(of('Pinholes').getByText('worse'));
  expect(read.signs).toEqual([{ sign: 'pinhole', severity: 3, wanted: false }]);
  expect(read.healed).toEqual([]);
  await hand.click(of('Crazing').getByText('same'));
  expect(read.signs).toHaveLength(2);
  // Touched again it is unsaid.
  await hand.click(of('Crazing').getByText('same'));
  expect(read.signs.map(({ sign }) => sign)).toEqual(['pinhole']);
});

test('what a refire is for: its faults at a touch, what will be done, a cone as people write it', async () => {
  const hand = person();
  const signs = [{ sign: 'crazing', severity: 1 as const, wanted: false }];
  show(<Room start={{ ...NOTHING_SEEN, signs, verdict: 'refire' }} />);
  await hand.click(screen.getByRole('button', { name: 'crazing' }));
  await hand.click(screen.getByRole('button', { name: 'another coat' }));
  const cone = screen.getByLabelText('At cone');
  await hand.type(cone, '77');
  expect(screen.getByText(/There is no cone/)).toBeTruthy();
  await hand.clear(cone);
  await hand.type(cone, '5 1/2');
  await hand.tab();
  expect(read.refire).toEqual({
    why: 'crazing',
    todo: 'another coat',
    cone: '5.5',
    atmosphere: null,
  });
});
