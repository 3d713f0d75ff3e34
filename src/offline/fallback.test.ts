import { fallbackPage, titleIn } from './fallback';

test('the page says what is on the device, and leads there', () => {
  const html = fallbackPage([{ path: '/opening/1', title: 'Opening <Rook> 12' }]);
  expect(html).toContain('<a href="/opening/1">Opening &#60;Rook&#62; 12</a>');
  expect(html).not.toContain('Nothing of the studio');
  expect(fallbackPage([])).toContain('Nothing of the studio is on this device yet');
});

test('a page is known by its title, without the name of the application', () => {
  expect(titleIn('<head><title>Bench · Jiten</title></head>')).toBe('Bench');
  expect(titleIn('<p>nothing</p>')).toBeNull();
});
