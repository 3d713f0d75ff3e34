import { writeFile } from 'node:fs/promises';
import { Random } from '../demo/random';
import { GREY_CARD } from '../demo/paint';
import { developed, photograph } from '../test-support/photographs/camera';
import { PLAIN } from '../test-support/photographs/ranges';
import { drawScene } from '../test-support/photographs/scene';
const scene = drawScene(new Random(12), PLAIN, 'tile');
scene.card!.steps = GREY_CARD.map((l) => [l, 0, 0] as const);
await writeFile('/tmp/tile.jpg', await developed(photograph(scene, { ...PLAIN, exposure: [-0.3, 0] }, 12, 900)));
