/** The keeper's own door, for the application only: a socket in a folder that nobody else may enter. */
import { rmSync } from 'node:fs';
import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { houseAct, type HouseAct } from './state';
import { CannotDo } from './jobs';

const MOST_BYTES = 10_000;

export type Asked = {
  begin(act: HouseAct): Promise<void>;
  /** Writes a backup of that name as one file. Errors: CannotDo. */
  pack(name: string, to: ServerResponse): Promise<void>;
};

async function body(request: IncomingMessage): Promise<unknown> {
  let text = '';
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > MOST_BYTES) throw new CannotDo('Too much was asked at once.');
  }
  return JSON.parse(text);
}

async function answer(asked: Asked, request: IncomingMessage, to: ServerResponse): Promise<void> {
  const url = new URL(request.url ?? '/', 'http://keeper');
  try {
    if (request.method === 'GET' && url.pathname === '/pack') {
      await asked.pack(url.searchParams.get('name') ?? '', to);
      return;
    }
    await asked.begin(houseAct.parse(await body(request)));
    to.writeHead(202, { 'content-type': 'application/json' }).end('{"ok":true}');
  } catch (error) {
    if (to.headersSent) return void to.destroy(error as Error);
    const said = error instanceof CannotDo ? error.message : 'The keeper could not do that.';
    to.writeHead(error instanceof CannotDo ? 409 : 500, { 'content-type': 'application/json' });
    to.end(JSON.stringify({ ok: false, said }));
  }
}

/** Opens the door. The folder is held, so that a socket found there is a dead one's. */
export async function openControl(path: string, asked: Asked): Promise<Server> {
  rmSync(path, { force: true });
  const server = createServer((request, to) => void answer(asked, request, to));
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject).listen(path, resolve);
  });
  return server;
}
