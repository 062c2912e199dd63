type Decider = typeof import('@incremen/core/decide');

let here: Decider | null = null;
let coming: Promise<Decider> | null = null;

/**
 * What decides on commands, fetched once and apart from what the first page needs: nobody asks for anything before
 * there is something to be seen.
 *
 * @throws TypeError while neither the server nor the copy on this device can be reached; asked again, it tries again
 */
export function decider(): Promise<Decider> {
  coming ??= import('@incremen/core/decide').then(
    (loaded) => (here = loaded),
    (error: unknown) => {
      coming = null;
      throw error;
    },
  );
  return coming;
}

/** The same where waiting is impossible. @throws Error before it is there */
export function deciderNow(): Decider {
  if (!here) throw new Error('wait for decider() before commands are shown');
  return here;
}
