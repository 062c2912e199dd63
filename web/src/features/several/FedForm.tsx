import { FeedGivenForm } from '../../shared/telling/FeedGivenForm.tsx';
import { giveCommand } from '../../shared/telling/giveCommand.ts';
import { count } from '../../ui/format.ts';
import type { SeveralProps } from './SeveralPage.tsx';

/** Each was given the same feed. */
export function FedForm({ colonies, onTell, busy }: SeveralProps) {
  return (
    <FeedGivenForm
      label="Fed"
      verb={count(colonies.length, 'colony has it', 'colonies have it')}
      hives={colonies.length}
      purpose="winter"
      busy={busy}
      onTell={(body, day) =>
        onTell(
          colonies.map((c) => giveCommand(c.id, day, body, () => crypto.randomUUID())),
          count(colonies.length, 'colony was fed', 'colonies were fed'),
        )
      }
    />
  );
}
