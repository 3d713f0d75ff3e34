const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** What a phone sees first: how it learns to trust the studio's certificate, and where it goes then. */
export const trustPage = (address: string): string => `<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>Trust this studio · Jiten</title>
<style>body{font:1.1rem/1.5 sans-serif;margin:1.5rem auto;max-width:38rem;padding:0 1rem;background:#f4f4f2;color:#161616}
a{color:inherit;font-weight:650;display:inline-block;min-height:3rem;line-height:3rem}
@media(prefers-color-scheme:dark){body{background:#1b1b1b;color:#eee}}</style>
<main><h1>Trust this studio, once on each phone</h1>
<p>The studio made its certificate itself. A phone that trusts it can use the camera, and can be used in a cellar without
a network. Whoever holds the studio’s data folder could make certificates that this phone believes: trust it only if you
trust whoever runs the studio’s computer, and take it away again when you leave the studio.</p>
<ol>
<li><a href="studio-certificate.crt" download>Load the studio’s certificate</a></li>
<li>Open the file on the phone and let it be installed as a <b>certificate authority</b>. Where the phone does not offer it,
look in its settings for “install a certificate” under security, or for a profile that was loaded.</li>
<li>Some phones ask to switch the trust on as well: look in their settings for “certificate trust”.</li>
<li><a href="${escaped(address)}">Open ${escaped(address)}</a> and add it to the home screen.</li>
</ol>
<p>Without this the studio still opens, after a warning, and keeps what you write; but the browser gives it no
camera in the page, and no pages without a network.</p></main></html>
`;
