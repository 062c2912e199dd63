import { useAwake } from '../../ui/useAwake.ts';
import common from '../../ui/common.module.css';
import { PrintedWork } from './PrintedWork.tsx';
import { usePrinting } from '../../ui/usePrinting.ts';
import { Box, Flex } from '@chakra-ui/react';
import type { ClosingAnswer, ClosingUnit, Work, WorkStep } from '@incremen/core/records';
import type { StepBox } from '@incremen/core/work';
import { memo, Suspense, useDeferredValue, useRef, useState, type ReactNode } from 'react';
import { afterPaint } from '../../ui/afterPaint.ts';
import { lazyPart } from '../../ui/lazyPart.tsx';
import { Cautions } from '../../shared/work/Cautions.tsx';
import { ClosingPanel } from '../../shared/work/ClosingPanel.tsx';
import { KitList } from './KitList.tsx';
import { ReportPanel } from './ReportPanel.tsx';
import { StepList } from './StepList.tsx';
import { WorkBar } from './WorkBar.tsx';

// What works a plan out is not fetched for the steps.
const WorkPromises = lazyPart(() => import('../../shared/work/WorkPromises.tsx'));

/** Work under way: the steps, what to bring and beware of, and the closing of the visit. */
export function Worksheet({
  work,
  pictures,
  steps,
  units,
  onTick,
  onNext,
  children,
}: {
  readonly work: Work;
  /** By step, the boxes and slots that it is about. */
  readonly pictures: ReadonlyMap<string, readonly StepBox[]>;
  readonly steps: readonly WorkStep[];
  /** Units that answer before the visit closes. */
  readonly units: readonly ClosingUnit[];
  /** With the last step come the answers of all units. */
  readonly onTick: (tick: { stepId: string; done: boolean; closing?: ClosingAnswer[] }) => Promise<unknown>;
  /** Takes a hive before the others. */
  readonly onNext?: (stepId: string) => void;
  /** What else is told beside the steps. */
  readonly children?: ReactNode;
}) {
  useAwake();
  const { id: workId, body } = work;
  const [last, setLast] = useState<string | null>(null);
  const [reporting, setReporting] = useState(false);
  // Ticks on their way to the records: the visit is closed after all of them.
  const underway = useRef<Promise<unknown>>(Promise.resolve());
  const afterwards = (work: () => Promise<unknown>) => {
    const done = new Promise<unknown>((resolve) => {
      afterPaint(() => resolve(work()));
    });
    underway.current = Promise.allSettled([underway.current, done]);
    return done;
  };
  // The steps first: what stands beside them is drawn a moment later.
  const beside = useDeferredValue(true, false);
  const printing = usePrinting();
  return (
    <>
      {printing && <PrintedWork kit={body.kit} cautions={body.cautions} steps={steps} pictures={pictures} />}
      <Flex
        className={common.noPrint}
        gap={{ base: 6, lg: 10 }}
        direction={{ base: 'column', lg: 'row' }}
        align="flex-start"
        mt={2}
      >
        <Box flex="1" w="100%" maxW="46rem">
          {reporting ? (
            <ReportPanel
              workId={workId}
              current={steps.find((s) => s.doneOn === null) ?? null}
              units={body.units}
              onClose={() => setReporting(false)}
            />
          ) : last === null ? (
            <>
              <WorkBar workId={workId} steps={steps} units={body.units} onReport={() => setReporting(true)} />
              <StepList
                steps={steps}
                pictures={pictures}
                tick={({ id }, done) => afterwards(() => onTick({ stepId: id, done }))}
                onLast={({ id }) => setLast(id)}
                onNext={onNext && (({ id }) => onNext(id))}
              />
            </>
          ) : (
            <ClosingPanel
              units={units}
              onBack={() => setLast(null)}
              onClosed={(closing) =>
                void underway.current.then(() =>
                  onTick({ stepId: last, done: true, ...(closing.length > 0 && { closing }) }),
                )
              }
            />
          )}
        </Box>
        {beside && (
          <Beside workId={workId} kit={body.kit} cautions={body.cautions}>
            <Suspense fallback={null}>
              <WorkPromises of={work.id} workOf={() => work} />
            </Suspense>
            {children}
          </Beside>
        )}
      </Flex>
    </>
  );
}

const Beside = memo(function Beside({
  workId,
  kit,
  cautions,
  children,
}: {
  readonly workId: string;
  readonly kit: Parameters<typeof KitList>[0]['kit'];
  readonly cautions: readonly string[];
  readonly children: ReactNode;
}) {
  return (
    <Box w={{ base: '100%', lg: '300px' }} flex="none" display="grid" gap={6}>
      <KitList workId={workId} kit={kit} />
      <Cautions cautions={cautions} />
      {children}
    </Box>
  );
});
