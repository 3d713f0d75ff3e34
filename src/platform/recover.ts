/**
 * A page that could not be made comes back by itself: as soon as the server answers again after it did not,
 * and once where it answers already, for what failed may have been a moment. A fault of the program is not
 * asked for over and over.
 */
const ASK_MS = 3000;
const ONCE_IN_MS = 60_000;
const KEY = 'jiten-came-back';

const answers = (): Promise<boolean> =>
  fetch('/api/health', { cache: 'no-store' })
    .then((answer) => answer.json() as Promise<{ ok?: boolean }>)
    .then(
      ({ ok }) => ok === true,
      () => false,
    );

function triedLately(now: number): boolean {
  try {
    const last = Number(sessionStorage.getItem(KEY) ?? 0);
    return now - last < ONCE_IN_MS;
  } catch {
    return true;
  }
}

/** Watches until the page can be had again, and loads it; what comes back ends that. */
export function comeBack(reload: () => void = () => window.location.reload()): () => void {
  let wasAway = false;
  const timer = setInterval(() => {
    void answers().then((there) => {
      if (!there) wasAway = true;
      else if (wasAway || !triedLately(Date.now())) {
        clearInterval(timer);
        try {
          sessionStorage.setItem(KEY, String(Date.now()));
        } catch {
          // Without a memory it is tried when it was away, and by hand.
        }
        reload();
      }
    });
  }, ASK_MS);
  return () => clearInterval(timer);
}
