import { useCallback, useInsertionEffect, useRef } from 'react';

/** A function that stays the same and always does what the latest one given does. */
export function useLatest<A extends readonly unknown[], R>(work: (...args: A) => R): (...args: A) => R {
  const latest = useRef(work);
  useInsertionEffect(() => {
    latest.current = work;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
