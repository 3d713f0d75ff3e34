import { rangeOf, soundAnswer } from './door';
import { mediaOf } from './media-of';
import { lengthWords } from './words';

/** By RFC 9110, 14.1.2: first and last byte, an open end, the last so many. */
test.each([
  ['bytes=0-99', { from: 0, to: 99 }],
  ['bytes=500-', { from: 500, to: 999 }],
  ['bytes=-200', { from: 800, to: 999 }],
  ['bytes=0-5000', { from: 0, to: 999 }],
  ['bytes=-5000', { from: 0, to: 999 }],
  ['bytes=1000-', null],
  ['bytes=9-3', null],
  ['bytes=-', null],
  ['bytes=0-1,5-6', null],
  ['items=0-1', null],
  [null, null],
])('%s of 1000 bytes', (asked, range) => {
  expect(rangeOf(asked, 1000)).toEqual(range);
});

test('a player gets the whole, or the part that it asked for', async () => {
  const sound = { media: 'audio/webm', bytes: Buffer.from('0123456789') };
  const whole = soundAnswer(sound, null);
  expect([whole.status, whole.headers.get('accept-ranges'), await whole.text()]).toEqual([
    200,
    'bytes',
    '0123456789',
  ]);
  const part = soundAnswer(sound, 'bytes=2-4');
  expect([
    part.status,
    part.headers.get('content-range'),
    part.headers.get('content-length'),
    await part.text(),
  ]).toEqual([206, 'bytes 2-4/10', '3', '234']);
});

/** How such files begin: RFC 8794 (EBML), RFC 3533 (Ogg), ISO/IEC 14496-12 (MP4), and WAVE from memory. */
test.each([
  ['1a45dfa3000000000000000000', 'audio/webm'],
  ['4f676753000000000000000000', 'audio/ogg'],
  ['00000020667479704d344120', 'audio/mp4'],
  ['524946460000000057415645', 'audio/wav'],
  ['524946460000000041564920', null],
  ['3c68746d6c3e3c626f64793e', null],
  ['1a45dfa3', null],
])('%s', (hex, media) => {
  expect(mediaOf(Buffer.from(hex, 'hex'))).toBe(media);
});

test('lengths as a player shows them', () => {
  expect([0, 7.4, 59.6, 150].map(lengthWords)).toEqual(['0:00', '0:07', '1:00', '2:30']);
});
