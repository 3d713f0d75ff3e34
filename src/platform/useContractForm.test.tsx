import { waitFor } from '@testing-library/react';
import { z } from 'zod';
import { contract, toggled } from './contract';
import { named, person, screen, server, show } from '../../test-support/dom';

const { useContractForm } = await import('./useContractForm');
const { FormShell } = await import('@/ui/FormShell');
const { TextInput } = await import('@/ui/fields');
const { NumberInput } = await import('@/ui/NumberField');
const { useSay } = await import('@/ui/Undo');

const keep = toggled(
  contract(
    'test.keep',
    z.object({
      fields: z.object({
        name: z.string().trim().min(1, 'Give a name.'),
        grams: z.number('Give a weight.').max(500, 'More than 500 g?').nullable(),
      }),
      kept: z.boolean(),
    }),
  ),
  'kept',
);

function Form({ thing = 'one' as string | null }) {
  const say = useSay();
  const form = useContractForm(keep, {
    start: { fields: { name: '', grams: null }, kept: false },
    draft: thing,
    complete: (typed) => ({ ...typed, kept: true }),
    done: ({ undo }, { fields }) => say(`${fields.name} is kept`, undo),
  });
  return (
    <FormShell form={form} act="Keep">
      <TextInput control={form.control} name="fields.name" label="Name" />
      <NumberInput control={form.control} name="fields.grams" label="Weight, g" />
    </FormShell>
  );
}

const ok = () => ({ ok: true, data: null });
const refused = (problem: object) => () => ({
  ok: false,
  problem: { code: 'invalid', ...problem },
});
beforeEach(() => localStorage.clear());

test('what the schema refuses is said beside its field, and nothing is sent', async () => {
  const sent = server(ok);
  const hand = person();
  show(<Form />);
  await hand.type(named('Weight, g'), '900');
  await hand.click(screen.getByRole('button', { name: 'Keep' }));
  expect(await screen.findByText('Give a name.')).toBeTruthy();
  expect(screen.getByText('More than 500 g?')).toBeTruthy();
  expect(named('Name').getAttribute('aria-invalid')).toBe('true');
  expect(sent).toEqual([]);
});

test('it is sent as the contract says, with what the screen adds, and can be taken back by its inverse', async () => {
  const sent = server(ok);
  const hand = person();
  show(<Form />);
  await hand.type(named('Name'), 'Gull');
  await hand.type(named('Weight, g'), '12,5');
  await hand.click(screen.getByRole('button', { name: 'Keep' }));
  await screen.findByText('Gull is kept');
  await hand.click(screen.getByRole('button', { name: 'Undo' }));
  const fields = { name: 'Gull', grams: 12.5 };
  expect(sent.map(({ path, body }) => [path, body.input])).toEqual([
    ['/api/act/test.keep', { fields, kept: true }],
    ['/api/act/test.keep', { fields, kept: false }],
  ]);
});

test('the server’s messages stand beside the fields they speak of; what was typed stays', async () => {
  server(refused({ message: 'This name is taken.', fields: { 'fields.name': 'Taken; another?' } }));
  const hand = person();
  show(<Form />);
  await hand.type(named('Name'), 'Gull');
  await hand.click(screen.getByRole('button', { name: 'Keep' }));
  expect(await screen.findByText('Taken; another?')).toBeTruthy();
  expect(screen.getByText('This name is taken.')).toBeTruthy();
  expect(named('Name').value).toBe('Gull');
});

test('a try whose fate is unknown is repeated under the same id, another under another', async () => {
  let away = true;
  const sent = server(() => (away ? refused({ code: 'failed', message: 'No answer.' })() : ok()));
  const hand = person();
  show(<Form />);
  await hand.type(named('Name'), 'Gull');
  const press = () => hand.click(screen.getByRole('button', { name: 'Keep' }));
  await press();
  await screen.findByText('No answer.');
  away = false;
  await press();
  await screen.findByText('Gull is kept');
  await press();
  expect(sent).toHaveLength(3);
  expect(sent[1]!.body.id).toBe(sent[0]!.body.id);
  expect(sent[2]!.body.id).not.toBe(sent[0]!.body.id);
});

test('a form that was changed after a lost answer is the same act still, also after the page was left, until it is known what is on record', async () => {
  let answer: () => object = refused({ code: 'offline', message: 'No answer.' });
  const sent = server(() => answer());
  const hand = person();
  const left = show(<Form />);
  const press = () => hand.click(screen.getByRole('button', { name: 'Keep' }));
  await hand.type(named('Name'), 'Gull');
  await press();
  await screen.findByText('No answer.');
  await hand.type(named('Name'), 's');
  await press();
  await waitFor(() => expect(sent).toHaveLength(2));
  left.unmount();
  show(<Form />);
  expect(named('Name').value).toBe('Gulls');
  answer = refused({ code: 'arrived', message: 'It did arrive.', details: null });
  await press();
  await screen.findByText('It did arrive.');
  expect(named('Name').value).toBe('Gulls');
  answer = ok;
  await press();
  await screen.findByText('Gulls is kept');
  const [first, changed, later, known] = sent.map(({ body }) => body.id);
  expect([changed, later]).toEqual([first, first]);
  expect(known).not.toBe(first);
});

test('what is begun anew is another act', async () => {
  let answer: () => object = refused({ code: 'offline', message: 'No answer.' });
  const sent = server(() => answer());
  const hand = person();
  const left = show(<Form />);
  const press = () => hand.click(screen.getByRole('button', { name: 'Keep' }));
  await hand.type(named('Name'), 'Gull');
  await press();
  await screen.findByText('No answer.');
  left.unmount();
  show(<Form />);
  await hand.click(screen.getByRole('button', { name: 'Begin anew' }));
  answer = ok;
  await hand.type(named('Name'), 'Tern');
  await press();
  await screen.findByText('Tern is kept');
  expect(sent[1]!.body.id).not.toBe(sent[0]!.body.id);
});

test('what was typed is there again for the same person and the same thing, until it is sent', async () => {
  server(ok);
  const hand = person();
  const first = show(<Form />);
  await hand.type(named('Name'), 'Half a na');
  first.unmount();

  // The next person on the same tablet, and another thing, begin empty.
  const other = show(<Form />, { person: 'p2' });
  expect(named('Name').value).toBe('');
  other.unmount();
  const another = show(<Form thing="two" />);
  expect(named('Name').value).toBe('');
  another.unmount();

  const again = show(<Form />);
  expect(named('Name').value).toBe('Half a na');
  expect(screen.getByRole('status').textContent).toContain('What you had typed here is back.');
  await hand.click(screen.getByRole('button', { name: 'Keep' }));
  await screen.findByText('Half a na is kept');
  again.unmount();
  show(<Form />);
  expect(named('Name').value).toBe('');
});

test('a draft can be thrown away, and some forms keep none', async () => {
  server(ok);
  const hand = person();
  const first = show(<Form />);
  await hand.type(named('Name'), 'Half');
  first.unmount();
  const again = show(<Form />);
  await hand.click(screen.getByRole('button', { name: 'Begin anew' }));
  expect(named('Name').value).toBe('');
  again.unmount();
  show(<Form />);
  expect(named('Name').value).toBe('');
  await hand.type(named('Name'), 'x');
  localStorage.clear();
  show(<Form thing={null} />);
  await hand.type(screen.getAllByLabelText('Name').at(-1)!, 'secret');
  expect(JSON.stringify({ ...localStorage })).not.toContain('secret');
});
