/** What is shown where a page cannot be had: what is on the device, and the way back. */

const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** A page of its own, without scripts: it must stand when nothing else does. */
export function fallbackPage(pages: readonly { path: string; title: string }[]): string {
  const lines = pages
    .map(({ path, title }) => `<li><a href="${escaped(path)}">${escaped(title)}</a></li>`)
    .join('');
  const kept =
    pages.length === 0
      ? '<p>Nothing of the studio is on this device yet. Open it once where there is a network.</p>'
      : `<p>On this device:</p><ul>${lines}</ul>`;
  return `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>No connection · Jiten</title>
<style>body{font:1.1rem/1.5 sans-serif;margin:1.5rem;max-width:40rem;background:#f4f4f2;color:#161616}
li a,p a{display:inline-block;min-height:3.5rem;line-height:3.5rem;color:inherit;font-weight:650}
@media(prefers-color-scheme:dark){body{background:#1b1b1b;color:#eee}}</style>
<main><h1>No connection to the studio</h1>
<p>This page is not on this device. What you wrote is kept, and is sent when the studio can be reached.</p>
${kept}<p><a href="">Try again</a></p></main></html>`;
}

const answer = (html: string): Response =>
  new Response(html, {
    status: 503,
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
    },
  });

export const nothingKept = (): Promise<Response> => Promise.resolve(answer(fallbackPage([])));

/** The pages that are kept, each by the title it was made with. */
export async function keptPages(cache: Cache): Promise<Response> {
  const pages = [];
  for (const request of await cache.keys()) {
    const text = (await (await cache.match(request))?.text()) ?? '';
    const path = new URL(request.url).pathname;
    pages.push({ path, title: titleIn(text) ?? path });
  }
  return answer(fallbackPage(pages));
}

export const titleIn = (html: string): string | null => {
  const found = /<title>([^<]*)<\/title>/.exec(html)?.[1]?.replace(/ · Jiten$/, '') ?? '';
  return found === '' ? null : found;
};
