import { useMemo, useSyncExternalStore } from 'react';

/** The look is the class of the page. */
function onLook(changed: () => void): () => void {
  const watch = new MutationObserver(changed);
  watch.observe(document.documentElement, { attributes: true, attributeFilter: ['class'] });
  return () => watch.disconnect();
}

/**
 * The colours that some tokens have in the present look, read anew when the look changes: charts are given colours, not
 * the names of tokens.
 *
 * @param names - tokens as the style sheet names them, `ink-soft`; the same list at every call
 */
export function useTokenColours<T extends string>(names: readonly T[]): Readonly<Record<T, string>> {
  const look = useSyncExternalStore(onLook, () => document.documentElement.className);
  return useMemo(() => {
    const style = getComputedStyle(document.body);
    const read = (name: T) => [name, style.getPropertyValue(`--chakra-colors-${name}`).trim()] as const;
    // The look is what the style sheet resolves them by.
    void look;
    return Object.fromEntries(names.map(read)) as Record<T, string>;
  }, [names, look]);
}
