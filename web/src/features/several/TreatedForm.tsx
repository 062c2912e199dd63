import { TreatmentGivenForm } from '../../shared/telling/TreatmentGivenForm.tsx';
import { giveCommand } from '../../shared/telling/giveCommand.ts';
import { count } from '../../ui/format.ts';
import type { SeveralProps } from './SeveralPage.tsx';

/** Each was given the same treatment. */
export function TreatedForm({ colonies, onTell, busy }: SeveralProps) {
  return (
    <TreatmentGivenForm
      label="Treated"
      verb={`It is in ${count(colonies.length, 'colony', 'colonies')}`}
      hives={colonies.length}
      busy={busy}
      onTell={(body, day) =>
        onTell(
          colonies.map((c) => giveCommand(c.id, day, body, () => crypto.randomUUID())),
          count(colonies.length, 'colony was treated', 'colonies were treated'),
        )
      }
    />
  );
}
