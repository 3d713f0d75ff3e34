import { Cutout } from '@/ui/Cutout';
import { pictureUrl } from '@/ui/picture-url';
import { Glyph, RunArrow, StandingFrame } from '../../drawings';
import type { Position } from '../board';
import css from './board.module.css';

/** A cell of the board: the tile on grey, its standing as frame, what is wrong or wanted, how far it runs. */
export function CellPicture({
  position,
  share,
  eager,
}: {
  position: Position;
  share: string | null;
  eager: boolean;
}) {
  const { main } = position;
  return (
    <div className={css.cell}>
      <div className={css.tile}>
        {main.photo && main.cut ? (
          // The zone itself, with a little of its neighbours.
          <Cutout className={css.photo} sha={main.photo} part={main.cut} alt="" share={share} />
        ) : main.photo ? (
          // The sizes are made on the server already, so the framework's image service is not wanted.
          // eslint-disable-next-line @next/next/no-img-element -- sizes are made on the server
          <img
            className={css.photo}
            src={pictureUrl(main.photo, 'small', share)}
            alt=""
            loading={eager ? 'eager' : 'lazy'}
            decoding="async"
          />
        ) : (
          <span className={css.bare}>{main.surface ?? 'seen'}, no picture</span>
        )}
        {main.refired && <span className={css.refired}>after a refire</span>}
        <StandingFrame standing={main.standing} />
      </div>
      <div aria-hidden className={css.marks}>
        <Marks position={position} />
      </div>
    </div>
  );
}

/** Faults before effects, three at most; the run arrow first; how many ways it was put on last. */
function Marks({ position }: { position: Position }) {
  const { main, ways } = position;
  const shown = [...main.signs].sort((a, b) => Number(a.wanted) - Number(b.wanted)).slice(0, 3);
  return (
    <>
      {(main.movementMm ?? 0) >= 1 && <RunArrow mm={main.movementMm as number} size={20} />}
      {shown.map((sign) => (
        <span key={sign.sign} className={sign.wanted ? css.wanted : css.sign}>
          <Glyph sign={sign.sign} severity={sign.wanted ? 1 : sign.severity} size={21} label={false} />
        </span>
      ))}
      {ways > 1 && <span className={css.ways}>{ways} ways</span>}
    </>
  );
}
