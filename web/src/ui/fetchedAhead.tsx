import { lazy, Suspense, useState, type ComponentType } from 'react';

/**
 * A view whose code is fetched while the view before it is read. Once it is there it is drawn with the tap that opens
 * it; for a view that the router has to fetch, all that stands is drawn anew first, which a slow phone feels.
 *
 * @param load rejects when the code is out of reach; opening the view then throws what it rejected with
 */
export function fetchedAhead(load: () => Promise<ComponentType>): {
  readonly View: ComponentType;
  /** Fetches the code. What fails is tried again when the view is opened. */
  readonly fetch: () => void;
} {
  let ready: ComponentType | null = null;
  const part = () =>
    lazy(async () => {
      try {
        return { default: (ready ??= await load()) };
      } catch (error) {
        // A part that failed stays failed: who opens the view again gets a new one.
        Fetched = part();
        throw error;
      }
    });
  let Fetched = part();
  return {
    View: function View() {
      // What it began with it stays, or all that was typed in it would be lost.
      const [Part] = useState<ComponentType>(() => ready ?? Fetched);
      return (
        <Suspense fallback={null}>
          <Part />
        </Suspense>
      );
    },
    fetch: () => {
      load().then(
        (view) => (ready ??= view),
        () => undefined,
      );
    },
  };
}
