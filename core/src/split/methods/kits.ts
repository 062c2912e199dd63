/** Equipment, by name and number. */
export type Kit = { readonly what: string; readonly count: number }[];

const feeder = (feed: boolean): Kit => (feed ? [{ what: 'feeder', count: 1 }] : []);

/** A hive of full size for a new part. */
export function hiveKit(feed: boolean, tags: number): Kit {
  return [
    { what: 'floor', count: 1 },
    { what: 'box', count: 1 },
    { what: 'inner cover', count: 1 },
    { what: 'roof', count: 1 },
    { what: 'stand', count: 1 },
    { what: 'entrance block', count: 1 },
    ...feeder(feed),
    { what: 'hive tag', count: tags },
  ];
}

/** A nuc box for a new part. */
export function nucKit(slots: number, feed: boolean, tags: number): Kit {
  return [
    { what: `nuc box, ${slots} frames, with floor and lid`, count: 1 },
    { what: 'stand', count: 1 },
    { what: 'entrance block', count: 1 },
    ...feeder(feed),
    { what: 'hive tag', count: tags },
  ];
}
