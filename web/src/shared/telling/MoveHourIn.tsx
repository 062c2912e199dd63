import { ChoiceIn } from './checkedFields.tsx';

/** At what time hives are carried, as the field `hour` of a checked form. */
export function MoveHourIn() {
  return (
    <ChoiceIn
      name="hour"
      label="When"
      options={[
        { id: 'dusk', label: 'At dusk, all at home' },
        { id: 'day', label: 'By day' },
      ]}
    />
  );
}
