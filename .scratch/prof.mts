import { demoHistory } from '../demo/history';
import { framesIn } from '../demo/frames';
import { paint } from '../demo/paint';
const h = demoHistory(new Date());
const some = h.scenes.slice(0, 60).map((s) => ({ px: paint(s.scene), f: s.framing }));
const t = Date.now(); let z = 0;
for (const { px, f } of some) z += framesIn(px, f).reduce((s, one) => s + one.colours.length, 0);
console.log(some.length, 'pictures', z, 'zones', Date.now() - t, 'ms');
