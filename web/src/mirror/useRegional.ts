import { inRegion } from '@incremen/core/basics';
import { useCallback } from 'react';
import { useOperation } from './hooks.ts';

/** Says a name as it is said where the keeper lives. */
export function useRegional(): (name: string) => string {
  const { words } = useOperation();
  return useCallback((name: string) => inRegion(name, words), [words]);
}
