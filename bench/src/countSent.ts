import { randomUUID } from 'node:crypto';

/** A frame as it is counted: its id, and what is read on it. */
interface Read {
  readonly frameId: string;
  readonly body: unknown;
}

/** The text of a count of one colony, as a device sends it: each under ids of its own. */
export function countSent(colonyId: string | undefined, frames: readonly Read[]): string {
  return JSON.stringify({
    id: randomUUID(),
    madeAt: new Date().toISOString(),
    command: {
      type: 'recordCount',
      visitId: randomUUID(),
      colonyId,
      day: '2026-05-15',
      note: '',
      readings: frames.map((f) => ({ id: randomUUID(), ...f })),
    },
  });
}
