import { QueenComing } from './QueensComing.tsx';
import { useLanes } from './useLanes.ts';

/** The lane of one colony, where it raises its queen. */
export default function ColonyLane({ colonyId }: { readonly colonyId: string }) {
  const own = useLanes().lanes.find((l) => l.lane.colonyId === colonyId);
  return own ? <QueenComing {...own} /> : null;
}
