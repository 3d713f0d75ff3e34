import type { ReactElement } from 'react';
import type { Database } from '@/data/database';
import { openFirings } from '@/data/firings';
import { countStore, type Studio } from '@/data/studio';
import type { Person } from '@/data/people';
import { proposedLines } from '../clinic/rooms/ProposedLines';
import { paintingLines } from '../media/rooms/PaintingLines';
import { houseLines } from '../house/rooms/HouseLines';
import { hotLines } from '../firelog/rooms/HotLines';
import { plannedLines } from '../firings/rooms/PlannedLines';
import { waitingLines } from '../loading/rooms/WaitingLines';
import { doubtLines } from '../opening/rooms/DoubtLines';
import { openingLines } from '../opening/rooms/OpeningLines';
import { grindLines } from '../kilns/rooms/GrindLines';
import { readPainting } from '@/platform/painting';
import { today } from '@/ui/time';
import { flagLines } from '../pieces/rooms/FlagLines';
import { ripeLines, stockLines } from '../questions/rooms/QuestionLines';
import { dueLookLines } from '../lookagain/rooms/DueLookLines';
import { frameLines } from '../frames/rooms/FrameLines';
import { keyLines } from '../keys/rooms/KeyLines';
import { soundLines } from '../sounds/rooms/SoundLines';
import { dueLines } from '../usetests/rooms/DueLines';
import { bucketLines } from '../store/rooms/BucketLines';

export type DaySheet = Record<
  'house' | 'hot' | 'opened' | 'waiting' | 'planned' | 'store' | 'flags',
  readonly ReactElement[]
> & { has: Awaited<ReturnType<typeof countStore>> };

/** What each feature has to say for today: a bounded number of reads, however many kilns are hot. */
export async function daySheet(db: Database, studio: Studio, person: Person): Promise<DaySheet> {
  const firings = await openFirings(db);
  const among = (...statuses: readonly string[]) =>
    firings.filter(({ firing }) => statuses.includes(firing.status));
  const planned = among('planned', 'loaded');
  const has = await countStore(db);
  const day = today(studio.timeZone);
  const [hot, waiting, ripe, buckets, stock, flags, grind, due, again, shared, painting] = await Promise.all([
    hotLines(db, studio, among('firing', 'cooling')),
    waitingLines(db, planned),
    ripeLines(db),
    bucketLines(db),
    stockLines(db),
    flagLines(db),
    grindLines(db, day),
    has.due > 0 ? dueLines(db, day) : [],
    has.again > 0 ? dueLookLines(db, day) : [],
    proposedLines(db, among('opened')),
    readPainting(),
  ]);
  return {
    has,
    house: [...houseLines(person, new Date()), ...paintingLines(painting)],
    hot,
    opened: [
      ...openingLines(among('opened'), studio.timeZone),
      ...shared,
      ...grind,
      ...doubtLines(has.doubted),
      ...soundLines(has.untyped),
      ...keyLines(has.lost),
      ...frameLines(has.unframed),
    ],
    waiting,
    planned: plannedLines(planned),
    store: [...ripe, ...again, ...due, ...buckets, ...stock],
    flags,
  };
}
