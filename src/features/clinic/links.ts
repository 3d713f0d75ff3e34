/** Where the record stands that a fact was read from. */
import type { Told } from '@/core/diagnosis';
import type { ClinicCase } from '@/data/clinic';

type Places = {
  piece?: string;
  firing?: string;
  body?: string | undefined;
  coating?: string | undefined;
};

const OF_THE_FIRING = new Set([
  'load',
  'place',
  'heat',
  'body-heat',
  'range',
  'air',
  'top',
  'fall',
  'cooling',
  'opened',
]);
const OF_THE_BODY = new Set(['body', 'ground', 'red-body', 'porcelain', 'absorption', 'fit']);
const OF_THE_PIECE = new Set([
  'thickness',
  'where',
  'generation',
  'first-seen',
  'surface',
  'moved',
  'dried-between',
  'applied',
  'slip-stage',
  't-ice',
  't-boil',
  'metal',
]);

/** Facts with the address of their record; what is left is of the coating. */
export const linked = (told: readonly Told[], { piece, firing, body, coating }: Places): Told[] =>
  told.map((one) => {
    const href = OF_THE_FIRING.has(one.fact)
      ? firing && `/kilns/firings/${firing}`
      : OF_THE_BODY.has(one.fact)
        ? body && `/store/bodies/${body}`
        : OF_THE_PIECE.has(one.fact) && piece !== undefined
          ? `/pieces/${piece}`
          : coating && `/store/coatings/${coating}`;
    return href ? { ...one, href } : one;
  });

/** The page of the coating, bucket or body that a case is of. */
export const subjectHref = ({ scope, subject }: Pick<ClinicCase, 'scope' | 'subject'>): string =>
  `/store/${scope === 'bucket' ? 'buckets' : scope === 'body' ? 'bodies' : 'coatings'}/${subject?.slug ?? ''}`;
