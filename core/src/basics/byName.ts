/** Puts what bears a name in the order of names as people have it: E2 before E10. */
export const byName = (a: { readonly name: string }, b: { readonly name: string }): number =>
  a.name.localeCompare(b.name, undefined, { numeric: true });
