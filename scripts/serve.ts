/**
 * The application as a process of its own: `HOST`, `PORT`, `JITEN_PROXY`, `JITEN_TLS_CERT`, `JITEN_TLS_KEY`.
 */
import next from 'next';
import { readCertificate } from '../src/front/certificate';
import { makeFront } from '../src/front/front';
import { answerKept } from '../src/front/kept-answers';
import { answerByMark, markOf } from '../src/front/marks';
import { answerPicture } from '../src/front/pictures';
import { namedProxies } from '../src/front/peer';
import { answerStatic, answerWorker } from '../src/front/statics';
import { log } from '../src/platform/log';

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT);
/** With the sources followed: `npm run dev`. */
const dev = process.env.JITEN_DEV === '1';
const application = next({ dev, dir: process.cwd(), hostname: host, port });
await application.prepare();
const page = application.getRequestHandler();
const statics = answerStatic(process.env.JITEN_BUILD_DIR ?? '.next');
const server = makeFront({
  proxies: namedProxies(process.env.JITEN_PROXY),
  certificate: readCertificate(process.env.JITEN_TLS_CERT, process.env.JITEN_TLS_KEY),
  handle: async (from, to) => {
    // What follows each change is neither kept nor of the build.
    const answers = dev ? [answerPicture] : [statics, answerWorker, answerPicture, answerKept];
    for (const answer of answers) if (await answer(from, to)) return;
    const mark = await markOf(from, to);
    if (!dev && mark !== null && answerByMark(from, to, mark)) return;
    await page(from, to);
  },
  dev,
  fault: (error) => log.error({ error: String(error) }, 'a request fell through'),
});
server.listen(port, host);
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.once(signal, () => {
    // What is under way is answered; whoever only keeps a line open is let go.
    server.close(() => process.exit(0));
    server.closeIdleConnections();
  });
