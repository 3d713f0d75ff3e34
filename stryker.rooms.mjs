/** What is broken on purpose, and by which tests that has to be noticed. */
const asked = process.env.JITEN_MUTANTS ?? 'zones,chemistry,codes,looks,standing,statistics';
export const operation = asked === 'operation';
const rooms = asked.split(',');

/** A room of the core, or one file of it: `load`, `heatwork/cooling`. */
const files = (room) =>
  room.includes('/')
    ? [`src/core/${room}*.ts`, `!src/core/${room}*.test.ts`]
    : [`src/core/${room}/*.ts`, `!src/core/${room}/*.test.ts`];

export const mutated = operation ? ['src/platform/operation.ts'] : rooms.flatMap(files);

/** Tests beside the code; whole simulated worlds are too slow to be run for each break. */
export const noticedBy = operation
  ? ['<rootDir>/src/platform/operation.db.test.ts']
  : rooms.map((room) => `<rootDir>/src/core/${room.split('/')[0]}/**/*.test.ts`);
