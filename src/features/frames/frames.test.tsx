import { jest } from '@jest/globals';
import { fireEvent, waitFor } from '@testing-library/react';
import { person, screen, server, show } from '../../../test-support/dom';
import { lookerSees, picturesAre } from '../../../test-support/looker';
import type { Seen } from '@/core/sight';
import { laidByFace, type FramedPhoto, type Laid } from './of-piece';

/** Stands in for the worker: what it sees in the next picture. */
let sees: Seen | null = null;
const posted = lookerSees(() => ({ seen: sees }));
picturesAre({ width: 2, height: 2 });

const { facesFrom } = await import('./propose');
const { FrameDialog } = await import('./components/FrameDialog');
const { GreyCard } = await import('./components/GreyCard');
const { BeforeAfter } = await import('./components/BeforeAfter');
const many = await import('./components/FrameMany');

const corners = (left: number, right: number) => ({
  kind: 'corners' as const,
  corners: [
    { x: left, y: 0.8 },
    { x: right, y: 0.8 },
    { x: right, y: 0.2 },
    { x: left, y: 0.2 },
  ] as never,
});
const NO_GREY = { found: null, why: 'none' } as const;
const seen = (...shapes: ReturnType<typeof corners>[]): Seen => ({
  frames: shapes.map((shape) => ({ shape, edge: 1 })),
  why: shapes.length > 0 ? null : 'nothing',
  grey: NO_GREY,
});

test('as many frames as faces: one for two is divided, none is begun by hand, too many are said', () => {
  const xs = (faces: number[], what: Seen | null) =>
    facesFrom(what, faces).frames.map(({ face, shape }) => [
      face,
      shape.kind === 'corners' && shape.corners[0].x,
    ]);
  expect(xs([1, 2], seen(corners(0.1, 0.4), corners(0.5, 0.9)))).toEqual([
    [1, 0.1],
    [2, 0.5],
  ]);
  const [first, second] = xs([1, 2], seen(corners(0.2, 0.6)));
  expect([first, second]).toEqual([
    [1, 0.2],
    [2, expect.closeTo(0.4)],
  ]);
  expect(xs([1], null)).toEqual([[1, 0.3]]);
  expect(facesFrom(null, [1]).words[0]).toMatch(/drag the corners/);
  expect(facesFrom(seen(), [1]).words[0]).toMatch(/stands out/);
  expect(facesFrom(seen(corners(0, 0.3), corners(0.4, 0.9)), [1]).words[0]).toMatch(/^2 things/);
  const two = { ...seen(corners(0, 0.3)), grey: { found: null, why: 'two-that-disagree' } as const };
  expect(facesFrom(two, [1]).words.join()).toMatch(/disagree/);
});

const photo: FramedPhoto = {
  id: '0192c7cd-5baa-71a4-a619-90db87e81001',
  sha: 'a'.repeat(64),
  width: 400,
  height: 300,
  frames: [],
  grey: null,
  colours: [],
};
const faces = [
  { no: 1, label: 'Face', zones: [{ stretch: { from: 0, to: 1 }, sector: { from: 0, to: 1 } }] },
];

function open(card: number[] | null) {
  const closed = jest.fn();
  show(<FrameDialog photo={photo} faces={faces} card={card} code="K3RVT" onClose={closed} />);
  fireEvent.load(screen.getByAltText('Picture of K3RVT'));
  return closed;
}
const sentFrames = (sent: ReturnType<typeof server>) =>
  sent.map(
    ({ body }) =>
      body.input as {
        frames: { guessed: boolean; shape: { corners: { x: number; y: number }[] } }[];
        grey: unknown;
      },
  );
const ANSWER = { ok: true, data: { zones: 1, byGrey: true, why: null, before: {} } };

test('what is found is accepted with one touch, and the card that was looked for is the studio’s', async () => {
  sees = {
    ...seen(corners(0.3, 0.6)),
    grey: {
      found: {
        corners: [] as never,
        steps: [
          { at: { x: 0.1, y: 0.1 }, seen: [0.1, 0.1, 0.1] },
          { at: { x: 0.2, y: 0.1 }, seen: [0.5, 0.5, 0.5] },
        ],
        card: [50, 90],
      },
    },
  };
  const sent = server(() => ANSWER);
  const closed = open([50, 90]);
  await screen.findByText('Colours will be measured by the grey card.');
  expect(posted.at(-1)).toMatchObject({ cards: [[50, 90]], faces: 1 });
  await person().click(screen.getByRole('button', { name: 'That is it' }));
  await screen.findByText('Framed; colours of one zone measured');
  const [told] = sentFrames(sent);
  expect(told!.frames[0]).toMatchObject({ face: 1, guessed: true });
  expect(told!.grey).toEqual([
    { x: 0.1, y: 0.1 },
    { x: 0.2, y: 0.1 },
  ]);
  expect(closed).toHaveBeenCalled();
});

test('a corner goes by arrow keys, and then the frame is a person’s; crossed sides cannot be kept', async () => {
  sees = seen(corners(0.3, 0.6));
  const sent = server(() => ANSWER);
  open(null);
  await screen.findByText(/has not said what its grey card is/);
  const corner = screen.getByRole('button', { name: /^Face: foot left/ });
  fireEvent.keyDown(corner, { key: 'ArrowLeft', shiftKey: true });
  fireEvent.keyDown(corner, { key: 'ArrowDown' });
  for (let i = 0; i < 40; i++)
    fireEvent.keyDown(screen.getByRole('button', { name: /^Face: rim left/ }), {
      key: 'ArrowRight',
      shiftKey: true,
    });
  await screen.findByText(/cross/);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'That is it' }).disabled).toBe(true);
  for (let i = 0; i < 40; i++)
    fireEvent.keyDown(screen.getByRole('button', { name: /^Face: rim left/ }), {
      key: 'ArrowLeft',
      shiftKey: true,
    });
  await person().click(screen.getByRole('button', { name: 'That is it' }));
  await waitFor(() => expect(sentFrames(sent)).toHaveLength(1));
  const [told] = sentFrames(sent);
  expect(told!.frames[0]!.guessed).toBe(false);
  expect(told!.frames[0]!.shape.corners[0]!.x).toBeCloseTo(0.28);
  expect(told!.frames[0]!.shape.corners[0]!.y).toBeGreaterThan(0.8);
});

test('a refused frame is said, and stays as it was drawn', async () => {
  sees = seen(corners(0.3, 0.6));
  server(() => ({ ok: false, problem: { code: 'refused', message: 'The file of this picture is gone.' } }));
  const closed = open(null);
  await screen.findByText(/has not said/);
  await person().click(screen.getByRole('button', { name: 'That is it' }));
  await screen.findByText('The file of this picture is gone.');
  expect(closed).not.toHaveBeenCalled();
});

test('the studio says its card by a touch or by number; nonsense is not sent', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<GreyCard card={null} />);
  const keep = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Keep the card' });
  expect(keep().disabled).toBe(true);
  await hand.type(screen.getByLabelText(/Lightness of its steps/), '60, 30');
  expect(keep().disabled).toBe(true);
  await hand.click(screen.getByRole('button', { name: '30, 60, 90' }));
  await hand.click(keep());
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]!.body.input).toEqual({ card: [30, 60, 90] });
});

describe('many pictures at once', () => {
  const { FrameMany } = many;
  const of = (no: number, code: string) => ({
    photo: { ...photo, id: photo.id.replace(/1$/, String(no)), sha: String(no).repeat(64) },
    faces,
    code,
  });
  const list = [of(1, 'K3RVT'), of(2, 'MXH7P'), of(3, 'PQR4Y')];
  const loaded = async (code: string, what: Seen | null): Promise<void> => {
    sees = what;
    fireEvent.load(screen.getByAltText(`Picture of ${code}`));
    await waitFor(() =>
      expect(
        screen.getByRole<HTMLButtonElement>('button', { name: `Where ${code} is in the picture` }).disabled,
      ).toBe(false),
    );
  };
  const tick = (code: string) =>
    screen.getByRole<HTMLInputElement>('checkbox', { name: `Keep the frame of ${code}` });

  test('what was found plainly is ticked, what was not waits; all ticked go in one act', async () => {
    const sent = server(() => ({ ok: true, data: { framed: 2, measured: 0, before: { pictures: [] } } }));
    const hand = person();
    show(<FrameMany list={list} all={40} card={[50, 90]} />);
    await loaded('K3RVT', seen(corners(0.3, 0.6)));
    await loaded('MXH7P', seen());
    await loaded('PQR4Y', seen(corners(0.2, 0.5)));
    expect([tick('K3RVT').checked, tick('MXH7P').checked, tick('PQR4Y').checked]).toEqual([
      true,
      false,
      true,
    ]);
    await screen.findByText('1 of these left out, 37 more after them');
    await hand.click(tick('PQR4Y'));
    // The doubtful one is opened and said to hold nothing.
    await hand.click(screen.getByRole('button', { name: 'Where MXH7P is in the picture' }));
    await hand.click(await screen.findByRole('button', { name: 'Nothing to frame here' }));
    await screen.findByText('nothing to frame');
    await hand.click(screen.getByRole('button', { name: 'Accept 2 frames' }));
    await screen.findByText(/2 pictures framed/);
    const { pictures } = sent[0]!.body.input as {
      pictures: { photoId: string; frames: unknown[]; nothing: boolean }[];
    };
    expect(
      pictures.map(({ photoId, frames, nothing }) => [photoId.slice(-1), frames.length, nothing]),
    ).toEqual([
      ['1', 1, false],
      ['2', 0, true],
    ]);
  });

  test('a corner moved in one of them goes with the rest, as a person’s; a refusal loses nothing', async () => {
    server(() => ({ ok: false, problem: { code: 'refused', message: 'The file of this picture is gone.' } }));
    const hand = person();
    show(<FrameMany list={list.slice(0, 1)} all={1} card={null} />);
    await loaded('K3RVT', seen(corners(0.3, 0.6)));
    await hand.click(screen.getByRole('button', { name: 'Where K3RVT is in the picture' }));
    fireEvent.keyDown(await screen.findByRole('button', { name: /^Face: foot left/ }), { key: 'ArrowLeft' });
    await hand.click(screen.getByRole('button', { name: 'That is it' }));
    const sent = server(() => ({
      ok: false,
      problem: { code: 'refused', message: 'The file of this picture is gone.' },
    }));
    await hand.click(screen.getByRole('button', { name: 'Accept 1 frame' }));
    await screen.findByText('The file of this picture is gone.');
    const { pictures } = sent[0]!.body.input as { pictures: { frames: { guessed: boolean }[] }[] };
    expect(pictures[0]!.frames[0]!.guessed).toBe(false);
    expect(tick('K3RVT').checked).toBe(true);
  });
});

describe('before and after', () => {
  const flat = corners(0.3, 0.6);
  const round = { kind: 'ellipse' as const, centre: { x: 0.5, y: 0.5 }, across: 0.2, along: 0.2, turn: 0 };
  const of = (
    id: string,
    firingId: string | null,
    day: number,
    frames: { face: number; shape: typeof flat | typeof round }[],
  ) => ({
    id,
    sha: id.repeat(64),
    width: 400,
    height: 300,
    firingId,
    createdAt: new Date(2026, 0, day),
    frames,
  });
  const order = [
    { firingId: 'f1', label: 'Marta 1' },
    { firingId: 'f2', label: 'Marta 2' },
  ];
  const laid = (list: ReturnType<typeof of>[]) =>
    laidByFace(
      list,
      [
        { no: 1, label: 'Face' },
        { no: 2, label: 'Back' },
      ],
      order,
    ).map(({ face, pictures }) => [face, ...pictures.map(({ label }) => label)]);

  test('pictures of a face stand as their firings went, however late they were taken; one alone is none', () => {
    expect(
      laid([
        of('b', 'f2', 1, [{ face: 1, shape: flat }]),
        of('a', 'f1', 9, [
          { face: 1, shape: flat },
          { face: 2, shape: flat },
        ]),
      ]),
    ).toEqual([['Face', 'Marta 1', 'Marta 2']]);
    expect(
      laid([of('a', 'f1', 1, [{ face: 1, shape: flat }]), of('c', 'f1', 4, [{ face: 1, shape: flat }])]),
    ).toEqual([['Face', 'Marta 1', 'Marta 1, picture 2']]);
    expect(laid([of('a', 'f1', 1, [{ face: 1, shape: flat }])])).toEqual([]);
  });

  test('what is framed flat and what is framed round are not laid on one another', () => {
    expect(
      laid([of('a', 'f1', 1, [{ face: 1, shape: flat }]), of('b', 'f2', 2, [{ face: 1, shape: round }])]),
    ).toEqual([]);
  });

  test('the slider uncovers the later one; another picture can be laid there', async () => {
    const [{ pictures, face }] = laidByFace(
      [of('a', 'f1', 1, [{ face: 1, shape: flat }]), of('b', 'f2', 2, [{ face: 1, shape: flat }])],
      [{ no: 1, label: 'Face' }],
      order,
    ) as [{ pictures: Laid[]; face: string }];
    show(<BeforeAfter pictures={pictures} face={face} />);
    const images = screen
      .getByRole('img', { name: 'Face: Marta 1 and Marta 2, laid on one another' })
      .querySelectorAll('img');
    expect([...images].map(({ src }) => src.includes('a'.repeat(64)))).toEqual([true, false]);
    expect(images[0]!.style.transform).toMatch(/^matrix3d\(/);
    const slider = screen.getByRole('slider', { name: 'How much of the earlier picture is seen' });
    fireEvent.change(slider, { target: { value: 80 } });
    expect((images[1]!.parentElement as HTMLElement).style.clipPath).toBe('inset(0 0 0 80%)');
  });
});
