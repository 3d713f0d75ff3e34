/** What a page of the studio may load, do and stand in: its own things, and nobody's frame. */

/**
 * The sheet that the package for zooming into pictures lays into the page by itself, empty and filled: it
 * takes no nonce. A newer version of it needs a new sum; the browser test of the policy says so.
 */
const ZOOM_SHEET =
  "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU=' 'sha256-/aQdAPrD+kc0v7HnGQTuKBtoP6ZN+lnzOGVJ1Qt6dfw='";

const YEAR_S = 31_536_000;

/**
 * `nonce` marks what the server itself wrote into this one page. `dev`: code is made anew in the page, and styles
 * come without a mark, as the tools for following changes need it; never where a studio is served.
 */
export function policy(nonce: string, dev = false): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'${dev ? " 'unsafe-eval'" : ''}`,
    dev ? "style-src-elem 'self' 'unsafe-inline'" : `style-src-elem 'self' 'nonce-${nonce}' ${ZOOM_SHEET}`,
    // Widths and places are written beside what they place.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "media-src 'self' blob:",
    "font-src 'self' data:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/**
 * Headers of every answer. `lasting`: a certificate that every browser trusts, so that it may insist on it.
 */
export function answerHeaders(nonce: string, lasting: boolean, dev = false): [string, string][] {
  return [
    ['content-security-policy', policy(nonce, dev)],
    ['x-content-type-options', 'nosniff'],
    ['referrer-policy', 'same-origin'],
    ['permissions-policy', 'camera=(self), microphone=(self), geolocation=(), payment=()'],
    ['cross-origin-opener-policy', 'same-origin'],
    ...(lasting ? ([['strict-transport-security', `max-age=${YEAR_S}`]] satisfies [string, string][]) : []),
  ];
}
