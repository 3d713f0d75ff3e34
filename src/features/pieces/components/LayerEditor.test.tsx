import { FormProvider, useForm } from 'react-hook-form';
import type { LayersForm } from './LayerEditor';
import { person, screen, server, show, within } from '../../../../test-support/dom';

const { LayerEditor } = await import('./LayerEditor');
const { FaceEditor } = await import('./FaceEditor');
const { StackPreview } = await import('./StackPreview');
const { CorrectLayers } = await import('./CorrectLayers');

const COATINGS = ['Tarn', 'Pitch'].map((name) => ({
  versionId: name.toLowerCase(),
  slug: name.toLowerCase(),
  name,
  kind: 'glaze',
  version: 1,
  colour: '#557788',
}));
const SLIP = { ...COATINGS[0]!, versionId: 'chalk', slug: 'chalk', name: 'Chalk', kind: 'slip' };

let read: () => LayersForm;
function Editor({ heightMm = 90 as number | null, coatings = [...COATINGS, SLIP] }) {
  const form = useForm<LayersForm>({
    defaultValues: {
      layers: [],
      faces: [{ no: 1, kind: 'bare', slipVersionId: null }],
      heightMm,
    },
  });
  read = form.getValues;
  return (
    <FormProvider {...form}>
      <FaceEditor coatings={coatings} />
      <LayerEditor coatings={coatings} />
      <StackPreview coatings={coatings} bodyColour="#cccccc" form="L tile" />
    </FormProvider>
  );
}
const layer = (no: number) => within(screen.getByRole('group', { name: `Layer ${no}` }));
const stack = () => read().layers.map(({ coatingVersionId }) => coatingVersionId);
const add = (hand: ReturnType<typeof person>) =>
  hand.click(screen.getByRole('button', { name: /Put a(nother)? layer/ }));
async function choose(
  hand: ReturnType<typeof person>,
  within: { getByLabelText: (label: string) => HTMLElement },
  label: string,
  option: string | RegExp,
): Promise<void> {
  await hand.click(within.getByLabelText(label));
  await hand.click(inList().getByText(option));
}
const inList = () => within(screen.getByRole('listbox'));

test('layers go on in order, are changed, moved and left out', async () => {
  const hand = person();
  show(<Editor />);
  await add(hand);
  await add(hand);
  await choose(hand, layer(2), 'Coating', 'Pitch');
  expect(stack()).toEqual(['tarn', 'pitch']);
  await hand.click(screen.getByRole('button', { name: 'Layer 2 earlier' }));
  expect(stack()).toEqual(['pitch', 'tarn']);
  await hand.click(screen.getByRole('button', { name: 'Leave out layer 1' }));
  expect(stack()).toEqual(['tarn']);
  await hand.clear(layer(1).getByLabelText('Dips or coats'));
  await hand.type(layer(1).getByLabelText('Dips or coats'), '3');
  expect(read().layers[0]!.coats).toBe(3);
});

test('where it lies: by name, and measured in words of the bench', async () => {
  const hand = person();
  show(<Editor />);
  await add(hand);
  await choose(hand, layer(1), 'Where, foot to rim', /measured/);
  await hand.clear(layer(1).getByLabelText('From'));
  await hand.type(layer(1).getByLabelText('From'), '30 mm');
  await hand.clear(layer(1).getByLabelText('to'));
  await hand.type(layer(1).getByLabelText('to'), '100 %');
  const { from, to } = read().layers[0]!.region.stretch;
  expect([from, to]).toEqual([expect.closeTo(30 / 90, 6), 1]);
});

test('an end beyond the rim is said and keeps the form from being sent', async () => {
  const hand = person();
  show(<Editor />);
  await add(hand);
  await choose(hand, layer(1), 'Where, foot to rim', /measured/);
  await hand.clear(layer(1).getByLabelText('to'));
  await hand.type(layer(1).getByLabelText('to'), '120 mm');
  expect(screen.getByText(/is beyond the/)).toBeTruthy();
  expect(read().layers[0]!.region.stretch.to).toBeGreaterThan(1);
});

test('faces are added up to four, with their slip, and one always stays', async () => {
  const hand = person();
  show(<Editor />);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Leave out' }).disabled).toBe(true);
  for (let i = 0; i < 3; i++) await hand.click(screen.getByRole('button', { name: 'Another face' }));
  expect(screen.queryByRole('button', { name: 'Another face' })).toBeNull();
  expect(read().faces.map(({ no }) => no)).toEqual([1, 2, 3, 4]);
  const [, second] = screen.getAllByLabelText('With which slip');
  await hand.click(second!);
  await hand.click(inList().getByText('Chalk'));
  expect(read().faces[1]!.slipVersionId).toBe('chalk');
});

test('without a coating in the store it says so', () => {
  show(<Editor coatings={[]} />);
  expect(screen.getByText(/no coating in the store/)).toBeTruthy();
  const button = screen.getByRole<HTMLButtonElement>('button', { name: 'Put a layer on' });
  expect(button.disabled).toBe(true);
});

const ID = '0192c7cd-5baa-71a4-a619-90db87e84770';

test('a correction sends the layers and nothing that only stands beside them', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(
    <CorrectLayers
      pieceId={ID}
      layers={[]}
      likely={false}
      faces={[{ no: 1, kind: 'bare', slipVersionId: null }]}
      heightMm={90}
      coatings={COATINGS.map((one) => ({ ...one, versionId: ID }))}
      bodyColour="#ccbb99"
      form="L tile"
      generation={2}
    />,
  );
  const press = (name: string) => hand.click(screen.getByRole('button', { name }));
  await press('Correct, or add a coat for the refire');
  await press('Put a layer on');
  await press('Save what was done');
  await screen.findByText('What was done is on record; the chart follows');
  const input = sent[0]!.body.input as { layers: object[] };
  expect(Object.keys(input).sort()).toEqual(['layers', 'likely', 'pieceIds']);
  expect(input.layers).toMatchObject([{ generation: 2, stage: 'glaze-fired' }]);
});

test('what was measured from the rim follows when the height is another', async () => {
  const hand = person();
  function Tall() {
    const form = useForm<LayersForm>({
      defaultValues: {
        layers: [],
        faces: [{ no: 1, kind: 'bare', slipVersionId: null }],
        heightMm: 240,
      },
    });
    read = form.getValues;
    return (
      <FormProvider {...form}>
        <LayerEditor coatings={COATINGS} />
        <button onClick={() => form.setValue('heightMm', 120)}>shorter</button>
      </FormProvider>
    );
  }
  show(<Tall />);
  await add(hand);
  await choose(hand, layer(1), 'Where, foot to rim', /measured/);
  await hand.clear(layer(1).getByLabelText('From'));
  await hand.type(layer(1).getByLabelText('From'), '25 mm from rim');
  const from = (): number => read().layers[0]!.region.stretch.from;
  expect(from()).toBeCloseTo(1 - 25 / 240, 6);
  await hand.click(screen.getByRole('button', { name: 'shorter' }));
  // 79 %, not the 90 % of the taller piece.
  expect(from()).toBeCloseTo(1 - 25 / 120, 6);
});
