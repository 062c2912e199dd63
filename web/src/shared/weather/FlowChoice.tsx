import { flowOn } from '@incremen/core/forecast';
import type { Yard } from '@incremen/core/records';
import { useToday } from '../../mirror/hooks.ts';
import { Choice } from '../../ui/Choice.tsx';
import { ProblemList } from '../../ui/ProblemList.tsx';
import { useTell } from '../telling/useTell.ts';
import { useWeather } from './useWeather.ts';

/**
 * Whether nectar comes in at a yard, as is on record. The answer is noted, so that every page counts with it.
 *
 * @param named - more than one yard is asked about: each is named
 */
export function FlowChoice({ yard, named = false }: { readonly yard: Yard; readonly named?: boolean }) {
  const today = useToday();
  // A scale that is asked may know already: what it says is put on record.
  useWeather();
  const { tell, problems, busy } = useTell();
  const flow = flowOn(yard, today);
  const on = flow !== null && flow.to === null;
  const question = named ? `Does nectar come in at ${yard.name}?` : 'Does nectar come in?';
  return (
    <>
      <Choice
        label={question}
        shown={on && flow.by === 'scale' ? 'Nectar comes in, says the scale' : question}
        value={on ? 'yes' : 'no'}
        options={[
          { id: 'yes', label: 'Yes' },
          { id: 'no', label: 'No' },
        ]}
        onChange={(answer) => {
          if (busy || (answer === 'yes') === on) return;
          const what = answer === 'yes' ? 'begins' : 'ends';
          void tell(
            { type: 'noteFlow', yardId: yard.id, what, day: today, by: 'keeper', kgPerDay: null },
            answer === 'yes' ? 'Nectar comes in' : 'The flow is over',
          );
        }}
      />
      <ProblemList problems={problems} />
    </>
  );
}
