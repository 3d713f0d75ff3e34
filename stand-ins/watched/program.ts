/** Programs, and the controller that follows one: its clock may run on, wait, or wait at corners. */
import type { Draw } from './random';
import type { Clock, Firer, Segment } from './kiln';
import { RANGES } from './ranges';

const { abs, floor, max, min, sign } = Math;

export function drawFirer(draw: Draw, top: number): Firer {
  const soak = draw.between(...RANGES.handSoakMinutes);
  const who = draw.between(0, 1);
  if (who > RANGES.controllerShare) {
    if (who > RANGES.controllerShare + RANGES.switchesShare)
      return { kind: 'gas', seed: floor(draw.between(1, 1e6)), soak };
    const hours = RANGES.switchSteps.slice(1).map(() => draw.between(...RANGES.switchHours));
    return { kind: 'switches', hours, soak };
  }
  const segments: Segment[] = [];
  if (draw.chance(RANGES.candleShare))
    segments.push({
      rate: draw.between(50, 100),
      target: draw.between(90, 120),
      holdMinutes: 60 * draw.between(...RANGES.candleHours),
    });
  segments.push({
    rate: draw.between(...RANGES.middleRate),
    target: top - draw.between(60, 140),
    holdMinutes: 0,
  });
  segments.push({
    rate: draw.between(...RANGES.lastRate),
    target: top,
    holdMinutes: draw.between(...RANGES.topHoldMinutes),
  });
  if (draw.chance(RANGES.dropShare))
    segments.push({
      rate: null,
      target: top - draw.between(...RANGES.dropBy),
      holdMinutes: draw.between(...RANGES.dropHoldMinutes),
    });
  else if (draw.chance(RANGES.slowCoolShare))
    segments.push({
      rate: draw.between(...RANGES.slowCoolRate),
      target: top - 250,
      holdMinutes: 0,
    });
  const clock = draw.oneOf<Clock>([
    { kind: 'runs' },
    { kind: 'waits', band: draw.between(...RANGES.waits) },
    { kind: 'at corners' },
  ]);
  return {
    kind: 'controller',
    segments,
    clock,
    band: draw.between(...RANGES.band),
    mend: draw.between(...RANGES.mendSeconds),
  };
}

/** Follows a program minute by minute: the share of power it switches on, and whether it has ended. */
export class Controller {
  private segment = 0;
  setpoint: number;
  private held = 0;
  private sum = 0;
  ended = false;

  constructor(
    private readonly firer: Extract<Firer, { kind: 'controller' }>,
    begins: number,
  ) {
    this.setpoint = begins;
  }

  share(shown: number, seconds: number): number {
    const { segments, clock, band, mend } = this.firer;
    const now = segments[this.segment];
    if (now === undefined) {
      this.ended = true;
      return 0;
    }
    const up = now.target >= this.setpoint;
    const apart = abs(this.setpoint - shown);
    const stands = clock.kind === 'waits' && up && this.setpoint - shown > clock.band;
    if (!stands) {
      if (this.setpoint !== now.target) {
        const move = now.rate === null ? Infinity : (now.rate / 3600) * seconds;
        this.setpoint += sign(now.target - this.setpoint) * min(move, abs(now.target - this.setpoint));
      } else if (clock.kind === 'runs' || apart < 4 || this.held > 0) this.held += seconds;
      if (this.setpoint === now.target && this.held >= now.holdMinutes * 60) {
        const arrived = clock.kind === 'runs' || apart < 6 || this.held > 0;
        if (arrived) {
          this.segment++;
          this.held = 0;
        }
      }
    }
    const miss = this.setpoint - shown;
    const proportional = miss / band;
    const wanted = proportional + this.sum;
    // What is wanted beyond full power is not added up.
    if ((wanted < 1 || miss < 0) && (wanted > 0 || miss > 0))
      this.sum = max(0, min(1, this.sum + (miss / band) * (seconds / mend)));
    return max(0, min(1, proportional + this.sum));
  }
}
