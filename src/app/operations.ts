import { clinicOperations } from '@/features/clinic/server';
import { exchangeOperations } from '@/features/exchange/server';
import { firelogOperations } from '@/features/firelog/server';
import { firingsOperations } from '@/features/firings/server';
import { controlOperations } from '@/features/control/server';
import { cropOperations, framesOperations, shelfOperations } from '@/features/frames/server';
import { handingOperations } from '@/features/handing/server';
import { kilnsOperations } from '@/features/kilns/server';
import { loadingOperations } from '@/features/loading/server';
import { lookagainOperations } from '@/features/lookagain/server';
import { mediaOperations } from '@/features/media/server';
import { mergingOperations } from '@/features/merging/server';
import { openingOperations } from '@/features/opening/server';
import { peopleOperations } from '@/features/people/server';
import { piecesOperations } from '@/features/pieces/server';
import { questionsOperations } from '@/features/questions/server';
import { soundsOperations } from '@/features/sounds/server';
import { storeOperations } from '@/features/store/server';
import { testsOperations } from '@/features/tests/server';
import { ticksOperations } from '@/features/ticks/server';
import { usetestsOperations } from '@/features/usetests/server';
import { wallboardOperations } from '@/features/wallboard/server';
import type { Operation } from '@/platform/operation';

/** Every write the application knows, by name. */
export const OPERATIONS: ReadonlyMap<string, Operation> = new Map(
  [
    peopleOperations,
    soundsOperations,
    storeOperations,
    piecesOperations,
    testsOperations,
    mediaOperations,
    questionsOperations,
    controlOperations,
    framesOperations,
    shelfOperations,
    cropOperations,
    handingOperations,
    kilnsOperations,
    firingsOperations,
    loadingOperations,
    lookagainOperations,
    firelogOperations,
    openingOperations,
    exchangeOperations,
    mergingOperations,
    clinicOperations,
    ticksOperations,
    usetestsOperations,
    wallboardOperations,
  ]
    .flatMap((group): Operation[] => Object.values(group))
    .map((operation) => [operation.contract.name, operation]),
);
