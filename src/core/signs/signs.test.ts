import { SIGNS, findSign, signOf } from './signs';

test('signs have their own ids and a rule to tell them apart', () => {
  expect(new Set(SIGNS.map((sign) => sign.id)).size).toBe(SIGNS.length);
  for (const sign of SIGNS) expect(sign.look.length).toBeGreaterThan(10);
  expect(new Set(SIGNS.map((sign) => sign.is)).size).toBe(SIGNS.length);
});

test('people’s words find the sign', () => {
  expect(findSign('Pinholes')?.id).toBe('pinhole');
  expect(findSign('pin hole')?.id).toBe('pinhole');
  expect(findSign('crazed')?.id).toBe('crazing');
  expect(findSign('pitting')?.id).toBe('pit');
  expect(findSign('ghosts')).toBeUndefined();
  expect(signOf('nothing')).toBeUndefined();
});

test('what can cut or poison says so', () => {
  expect(signOf('shivering')?.caution).toMatch(/food/i);
  expect(signOf('blister')?.caution).toMatch(/sharp/i);
});
