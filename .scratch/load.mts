import { emptyDatabase } from '../test-support/studio';
