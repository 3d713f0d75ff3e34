import { kilnsOperations } from '@/features/kilns/server';
import { openingOperations } from '@/features/opening/server';
import { peopleOperations } from '@/features/people/server';
import { questionsOperations } from '@/features/questions/server';
import { storeOperations } from '@/features/store/server';
import { testsOperations } from '@/features/tests/server';
import type { Operation } from '@/platform/operation';

/** Every write the application knows, by name. */
export const OPERATIONS: ReadonlyMap<string, Operation> = new Map(
  [
    peopleOperations,
    storeOperations,
    testsOperations,
    questionsOperations,
    kilnsOperations,
    openingOperations,
  ]
    .flatMap((group) => Object.values(group) as unknown as Operation[])
    .map((operation) => [operation.name, operation]),
);
