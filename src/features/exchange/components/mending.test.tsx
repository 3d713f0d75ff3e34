import { jest } from '@jest/globals';
import { named, person, press, screen, server, show, within } from '../../../../test-support/dom';
import type { ImportPlan } from '../plan';

const { MendGrid } = await import('./MendGrid');
const { PictureRoom } = await import('./PictureRoom');

const row = (line: number, warnings: string[]) => ({ line, errors: [], warnings });
const PLAN = {
  header: ['Tile', 'Cone'],
  rows: [row(2, []), row(3, ['Cone “5-6”: more than one cone.']), row(4, ['the same'])],
  written: [
    { line: 3, cells: ['K1', '5-6'] },
    { line: 4, cells: ['K2', '5-6'] },
  ],
} as unknown as ImportPlan;

test('a cell is written over where it stands; the same words elsewhere are mended in one act, and taken back', async () => {
  const onMended = jest.fn();
  const hand = person();
  const { rerender } = show(<MendGrid plan={PLAN} mended={[]} onMended={onMended} />);
  await hand.dblClick(screen.getAllByText('5-6')[0]!);
  const cell = screen.getByDisplayValue('5-6');
  await hand.clear(cell);
  await hand.type(cell, '6{Enter}');
  const one = { column: 1, line: 3, from: '5-6', to: '6' };
  expect(onMended).toHaveBeenLastCalledWith([one]);
  rerender(<MendGrid plan={PLAN} mended={[one]} onMended={onMended} />);
  expect(screen.getByText(/stands in 1 more row under Cone/)).toBeTruthy();
  await press(hand, 'Mend all alike');
  expect(onMended).toHaveBeenLastCalledWith([one, { ...one, line: null }]);
  await press(hand, 'Take the last mending back (1)');
  expect(onMended).toHaveBeenLastCalledWith([]);
});

test('without a remark there is nothing to mend', () => {
  show(<MendGrid plan={{ ...PLAN, written: [] }} mended={[]} onMended={jest.fn()} />);
  expect(screen.getByText(/nothing to mend/)).toBeTruthy();
});

test('a picture without a code is shown, and placed by the code somebody reads on it', async () => {
  Object.assign(URL, { createObjectURL: () => 'blob:x', revokeObjectURL: () => undefined });
  const lost = { pieceId: null, firingId: null, code: null, key: 'lost', maybe: [] };
  const piece = { pieceId: 'p', firingId: 'f', code: 'ACEF7', key: 'sure', why: 'code ACEF7', maybe: [] };
  const sent = server(({ body }) => {
    const [file] = (body as unknown as { files: string[] }).files;
    if (file === 'ACEF7') return { ok: true, data: [{ ...piece, file }] };
    if (file === '12')
      return {
        ok: true,
        data: [{ ...lost, file, why: '2 pieces bear the mark “12”', maybe: [{ id: 'p', code: 'ACEF7' }] }],
      };
    return { ok: true, data: [{ ...lost, file, why: 'no code or mark in its name' }] };
  });
  const hand = person();
  show(<PictureRoom />);
  await hand.upload(named('Choose pictures'), new File(['x'], 'sunset.png', { type: 'image/png' }));
  const shown = await screen.findByRole('figure');
  expect(within(shown).getByAltText('sunset.png')).toBeTruthy();
  expect(screen.getByRole('status').textContent).toContain('0 sure, 0 likely, 1 lost');
  await hand.type(named('Code or mark'), 'zz{Enter}');
  expect(await screen.findByText('No piece has “zz”.')).toBeTruthy();
  await hand.clear(named('Code or mark'));
  await hand.type(named('Code or mark'), '12{Enter}');
  // Whose it may be is offered; one touch places it.
  await hand.click(await screen.findByText('ACEF7'));
  expect(await screen.findByText('said by you')).toBeTruthy();
  expect(screen.queryByRole('figure')).toBeNull();
  expect(sent.map(({ path }) => path)).toEqual(Array.from({ length: 4 }, () => '/api/import/pictures'));
});

test('pictures of an opening go to its pieces in the order of taking; one that shows none moves those after it; sent, and taken back as one', async () => {
  const id = (n: number) => `0192c7cd-5baa-71a4-a619-90db87e8100${n}`;
  const nothing = (file: string) => ({
    file,
    pieceId: null,
    firingId: null,
    code: null,
    key: 'lost',
    why: 'no code or mark in its name',
    maybe: [],
  });
  const sent = server(({ path, body }) => {
    if (path.endsWith('/order'))
      return { ok: true, data: [1, 2, 3].map((n) => ({ id: id(n), code: `K3RV${n}`, pictured: n === 3 })) };
    if (path.endsWith('/pictures'))
      return { ok: true, data: (body as { files: string[] }).files.map(nothing) };
    return { ok: true, data: { id: id(sent.length), sha: 's', added: true } };
  });
  const hand = person();
  show(<PictureRoom firings={[{ id: id(9), title: 'Marta 12' }]} />);
  const files = ['P10.png', 'P9.png', 'P11.png'].map((name) => new File(['x'], name, { type: 'image/png' }));
  await hand.upload(named('Choose pictures'), files);
  await hand.click(await screen.findByRole('combobox', { name: 'Taken in order at the opening of' }));
  await hand.click(screen.getByRole('option', { name: 'Marta 12' }));
  // Three pictures for two pieces: nothing is given without somebody's look.
  expect(await screen.findAllByText(/3 pictures for 2/)).toHaveLength(2);
  expect(screen.getByRole('status').textContent).toContain('0 of 3 pictures');
  await hand.click(screen.getByLabelText('also those that have a picture'));
  expect(screen.getByRole('status').textContent).toContain('3 of 3 pictures');
  await hand.click(screen.getByLabelText('also those that have a picture'));
  const first = screen.getByAltText('P9.png').closest('figure')!;
  await hand.click(within(first).getByRole('button', { name: 'None of them' }));
  expect(await screen.findByText(/By the order of taking/)).toBeTruthy();
  const codeOf = (file: string) =>
    within(screen.getByAltText(file).closest('figure')!).queryByText(/^K3RV\d$/)?.textContent;
  expect([codeOf('P10.png'), codeOf('P11.png'), codeOf('P9.png')]).toEqual(['K3RV1', 'K3RV2', undefined]);
  await press(hand, 'Bring in 2 pictures');
  await screen.findByText('2 pictures kept');
  const kept = sent.filter(({ path }) => path.endsWith('add-picture')).map(({ body }) => body.input);
  expect(kept).toEqual([
    { pieceId: id(1), firingId: id(9) },
    { pieceId: id(2), firingId: id(9) },
  ]);
  await press(hand, 'Undo');
  await screen.findByRole('button', { name: 'Bring in 2 pictures' });
  expect((sent.at(-1)!.body.input as { photoIds: string[] }).photoIds).toHaveLength(2);
});
