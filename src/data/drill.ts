/**
 * Pictures for the drill: of study tiles and of ware that its owner shows, with what is on record of them.
 */
import type { DrillCase, DrillPicture } from '@/core/diagnosis';
import type { Row, Source } from './database';

/** The newest pictures that are looked through: enough for years of drills. */
const MOST = 1500;

const shownOnly = (query: ReturnType<Source>): ReturnType<Source> =>
  query
    .whereNull('photo.binned_at')
    .whereNull('piece.binned_at')
    .where((one) => one.whereNull('piece.owner_id').orWhere('piece.shown', true));

/** Pictures on which one sign alone was seen, wanted or not. */
export async function drillPictures(src: Source): Promise<DrillPicture[]> {
  const rows: Row[] = await shownOnly(
    src('photo')
      .join('piece', 'piece.id', 'photo.piece_id')
      .join('sighting', function () {
        this.on('sighting.piece_id', 'photo.piece_id').andOn('sighting.firing_id', 'photo.firing_id');
      })
      .orderBy('photo.created_at', 'desc')
      .limit(MOST),
  ).select('photo.sha', 'piece.code', 'sighting.signs');
  const bySha = new Map<string, { code: string; signs: Set<string> }>();
  for (const { sha, code, signs } of rows) {
    const one = bySha.get(sha) ?? { code, signs: new Set<string>() };
    for (const { sign } of signs as { sign: string }[]) one.signs.add(sign);
    bySha.set(sha, one);
  }
  return [...bySha].flatMap(([sha, { code, signs }]) => {
    const [sign, ...more] = signs;
    return sign === undefined || more.length > 0 ? [] : [{ sha, code, sign }];
  });
}

/** Cases that those who keep the records closed with a cause, with a picture of their piece. */
export async function drillCases(src: Source): Promise<DrillCase[]> {
  const rows: Row[] = await shownOnly(
    src('clinic_case')
      .join('person', 'person.id', 'clinic_case.closed_by')
      .join('piece', 'piece.id', 'clinic_case.piece_id')
      .join('photo', function () {
        this.on('photo.piece_id', 'piece.id').andOn('photo.firing_id', 'clinic_case.firing_id');
      })
      .whereIn('person.role', ['technician', 'teacher'])
      .whereNotNull('clinic_case.turned_out')
      .orderBy('clinic_case.no', 'desc'),
  ).select('clinic_case.id', 'complaints', 'turned_out', 'piece.code', 'photo.sha');
  const byCase = new Map(rows.map((row) => [row.id as string, row]));
  return [...byCase.values()].flatMap((row) => {
    const [complaint] = row.complaints as string[];
    return complaint === undefined
      ? []
      : [{ sha: row.sha, code: row.code, complaint, causes: row.turned_out }];
  });
}
