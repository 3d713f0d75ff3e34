/**
 * A kiln controller that is not there: it runs a schedule on a simulated kiln and posts readings
 * as a real one would, in batches, keeping what the server did not take until it does.
 */
import { plannedAt, profileOf, type Segment } from '../src/core/heatwork';
import { coldKiln, control, shown, step, type Kiln } from './kiln';

export type ControllerOptions = {
  /** Where readings go: the application's address. */
  url: string;
  token: string;
  kiln: Kiln;
  segments: readonly Segment[];
  noise: () => number;
  /** When the kiln was lit. In the past: it catches up as fast as it may, then goes on in real time. */
  since: Date;
  /** Seconds between readings, and readings in a batch while catching up. */
  every?: number;
  batch?: number;
  /** How many simulated seconds pass in a real one while catching up; without it, as fast as it goes. */
  speed?: number;
  /** Stops by itself at this simulated second. */
  until?: number;
  signal?: AbortSignal;
  /** The door stands open between these simulated seconds. */
  door?: readonly [number, number];
  say?: (line: string) => void;
};

type Sent = { at: string; celsius: number };

const pause = (ms: number, signal?: AbortSignal): Promise<void> =>
  new Promise((resolve) => {
    const timer = setTimeout(done, ms);
    function done(): void {
      clearTimeout(timer);
      signal?.removeEventListener('abort', done);
      resolve();
    }
    signal?.addEventListener('abort', done);
  });

/** One batch; true when the server has it. A refusal for good (a revoked token) is thrown. */
async function post(options: ControllerOptions, readings: readonly Sent[]): Promise<boolean> {
  let answer: Response;
  try {
    answer = await fetch(`${options.url}/api/readings`, {
      method: 'POST',
      headers: {
        'content-type': 'application/json',
        authorization: `Bearer ${options.token}`,
      },
      body: JSON.stringify({ readings }),
      ...(options.signal ? { signal: options.signal } : {}),
    });
  } catch {
    return false;
  }
  if (answer.ok) return true;
  if (answer.status === 401 || answer.status === 422)
    throw new Error(
      ((await answer.json()) as { problem?: { message?: string } }).problem?.message ??
        'The readings were refused.',
    );
  return false;
}

/** Runs until the kiln has cooled, `until`, or the signal. Resolves with how many readings were sent. */
export async function runController(options: ControllerOptions): Promise<number> {
  const { kiln, since, signal, noise } = options;
  const every = options.every ?? 60;
  const profile = profileOf(options.segments, kiln.room);
  let state = coldKiln(kiln);
  let clock = 0;
  let sent = 0;
  let backlog: Sent[] = [];
  while (!signal?.aborted) {
    const moment = since.getTime() + state.t * 1000;
    const ahead = moment - Date.now();
    if (ahead > 0) await pause(Math.min(ahead, 60_000), signal);
    if (signal?.aborted || moment > Date.now() + 1000) continue;
    const celsius = shown(kiln, state, noise);
    backlog.push({
      at: new Date(moment).toISOString(),
      celsius: Math.round(celsius * 10) / 10,
    });
    const caughtUp = Date.now() - moment < every * 1000;
    if (backlog.length >= (options.batch ?? 500) || caughtUp) {
      if (await post(options, backlog.slice(0, 4000))) {
        sent += Math.min(backlog.length, 4000);
        options.say?.(`${Math.round(celsius)} °C at ${new Date(moment).toISOString()}`);
        backlog = backlog.slice(4000);
      } else if (caughtUp) await pause(1000, signal);
    }
    if (!caughtUp && options.speed !== undefined) await pause((1000 * every) / options.speed, signal);
    const wanted = clock > profile.at(-1)!.t ? null : plannedAt(profile, clock);
    if (wanted === null && state.chamber < 35) break;
    if (options.until !== undefined && state.t >= options.until) break;
    const { power, integral } = control(state, celsius, wanted, every);
    const door = options.door !== undefined && state.t >= options.door[0] && state.t < options.door[1];
    state = step(kiln, { ...state, integral, door }, power, every);
    if (wanted === null || wanted - celsius < 15) clock += every;
  }
  while (backlog.length > 0 && !signal?.aborted) {
    if (await post(options, backlog.slice(0, 4000))) {
      sent += Math.min(backlog.length, 4000);
      backlog = backlog.slice(4000);
    } else await pause(1000, signal);
  }
  return sent;
}
