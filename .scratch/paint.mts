import { demoHistory } from '../demo/history';
import { paintAll } from '../demo/paint-all';
const h = demoHistory(new Date());
for (const on of [false, true]) {
  const t = Date.now();
  const kept = await paintAll(h.scenes.map(({scene, framing}) => ({scene, framing: on ? framing : null})), '/tmp/paintfolder'+on, 2, () => {});
  console.log(on, h.scenes.length, Date.now()-t, kept[5]!.frames.length && JSON.stringify(kept[5]!.frames[0]).slice(0,600));
}
