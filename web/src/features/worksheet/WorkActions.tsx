import { Printer, Tag } from 'lucide-react';
import { memo, useState } from 'react';
import { Link } from 'react-router';
import { useLatest } from '../../ui/useLatest.ts';
import workKeyStyles from './workKey.module.css';

/** What can be done with a plan as a whole while it is worked: print it, or drop it, which is asked twice. */
export function WorkActions({ workId, onDrop }: { readonly workId: string; readonly onDrop: () => void }) {
  return <Actions workId={workId} onDrop={useLatest(onDrop)} />;
}

// Not drawn anew with every tick; plain elements, so that the work opens at once.
const Actions = memo(function Actions({
  workId,
  onDrop,
}: {
  readonly workId: string;
  readonly onDrop: () => void;
}) {
  const [dropping, setDropping] = useState(false);
  return (
    <>
      <button type="button" className={workKeyStyles.workKey} onClick={() => window.print()}>
        <Printer size={18} aria-hidden /> Print
      </button>
      <Link className={workKeyStyles.workKey} to={`/worksheet/${workId}/tags`}>
        <Tag size={18} aria-hidden /> Tags
      </Link>
      {dropping ? (
        <>
          <button type="button" className={workKeyStyles.workKey} data-alarm onClick={() => onDrop()}>
            Drop the plan
          </button>
          <button
            type="button"
            className={workKeyStyles.workKey}
            data-quiet
            onClick={() => setDropping(false)}
          >
            Keep it
          </button>
        </>
      ) : (
        <button type="button" className={workKeyStyles.workKey} data-quiet onClick={() => setDropping(true)}>
          Drop
        </button>
      )}
    </>
  );
});
