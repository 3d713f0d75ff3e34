import type { ServerResponse } from 'node:http';

/** An answer in words, for what never reaches the application. */
export function answerInWords(to: ServerResponse, status: number, word: string, json: boolean): void {
  to.statusCode = status;
  to.setHeader('content-type', json ? 'application/json' : 'text/html; charset=utf-8');
  to.setHeader('cache-control', 'no-store');
  to.end(
    json
      ? JSON.stringify({ ok: false, problem: { code: 'invalid', message: word } })
      : `<!doctype html><html lang="en"><title>Jiten</title><body style="font-family:sans-serif;padding:24px"><h1>${word}</h1><p><a href="/">To the studio</a></p>`,
  );
}
