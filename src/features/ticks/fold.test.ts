import type { Item } from '@/platform/sender/store';
import { clear, tick } from './contracts';
import { ticksWith } from './fold';

type Said = Parameters<typeof ticksWith>[1][number];
const said = (line: string, done: boolean, rest: Partial<Item> = {}): Said => ({
  name: tick.name,
  input: { line, done },
  state: 'waiting',
  sentAt: null,
  ...rest,
});
const done = (items: Said[], at = 100) => [...ticksWith({ lines: ['0/0'], at }, items)].sort();

test('what was ticked here lies over what the server had, in the order of touching', () => {
  expect(done([])).toEqual(['0/0']);
  expect(done([said('0/1', true), said('0/0', false)])).toEqual(['0/1']);
  expect(done([said('0/1', true), said('0/1', false), said('0/1', true)])).toEqual(['0/0', '0/1']);
});

test('what the server had already when it was asked is in its answer; what it got later is not', () => {
  expect(done([said('0/1', true, { state: 'sent', sentAt: 99 })])).toEqual(['0/0']);
  expect(done([said('0/1', true, { state: 'sent', sentAt: 101 })])).toEqual(['0/0', '0/1']);
});

test('begun anew nothing stays but what is ticked after; what was refused was never said', () => {
  const anew: Said = { name: clear.name, input: {}, state: 'waiting', sentAt: null };
  expect(done([said('0/1', true), anew, said('0/2', true)])).toEqual(['0/2']);
  expect(done([said('0/1', true, { state: 'refused' })])).toEqual(['0/0']);
  expect(done([{ ...said('0/9', true), name: 'else.thing' }])).toEqual(['0/0']);
});
