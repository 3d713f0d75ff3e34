import * as care from './care-actions';
import * as firings from './actions';
import * as runs from './run-actions';

export const kilnsOperations = { ...firings, ...runs, ...care };
export { ingestRequest } from './ingest';
export { knownOf, learnFrom } from './learn';
export { scheduleKilns } from './learn';
export { firingRoom } from './room';
export { checkedLoad } from './load-check';
export { compareFirings } from './compare';
export { asICalendar, firingCalendar } from './calendar';
