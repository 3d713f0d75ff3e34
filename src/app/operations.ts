import { kilnsOperations } from '@/features/kilns';
import { openingOperations } from '@/features/opening';
import { peopleOperations } from '@/features/people';
import { storeOperations } from '@/features/store';
import { testsOperations } from '@/features/tests';
import type { Operation } from '@/platform/operation';

/** Every write the application knows, by name. */
export const OPERATIONS: ReadonlyMap<string, Operation> = new Map(
  [peopleOperations, storeOperations, testsOperations, kilnsOperations, openingOperations]
    .flatMap((group) => Object.values(group) as unknown as Operation[])
    .map((operation) => [operation.name, operation]),
);
