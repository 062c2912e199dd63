import { Box } from '@chakra-ui/react';
import { QUEEN_ORIGIN_WORDS, QUEEN_ORIGINS, type Queen, type QueenOrigin } from '@incremen/core/records';
import { capital } from '@incremen/core/basics';
import { useState } from 'react';
import { useApiary } from '../../mirror/hooks.ts';
import { TellForm } from '../../shared/telling/TellForm.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { Select } from '../../ui/Select.tsx';
import { TextField } from '../../ui/TextField.tsx';
import common from '../../ui/common.module.css';

const orNull = (text: string) => (text.trim() === '' ? null : text.trim());
const year = (text: string) => (/^\d{4}$/.test(text.trim()) ? Number(text) : null);

/** Everything that is known of her besides what was done, to be corrected. */
export function QueenFacts({ queen }: { readonly queen: Queen }) {
  const apiary = useApiary();
  const { tell, problems, busy } = useTell();
  const [name, setName] = useState(queen.name ?? '');
  const [born, setBorn] = useState(String(queen.birthYear ?? ''));
  const [by, setBy] = useState(String(queen.bornWithin?.to ?? ''));
  const [origin, setOrigin] = useState<QueenOrigin | ''>(queen.origin ?? '');
  const [breeder, setBreeder] = useState(queen.breeder ?? '');
  const [line, setLine] = useState(queen.line ?? '');
  const [place, setPlace] = useState(queen.matingPlace ?? '');
  const [motherId, setMotherId] = useState(queen.motherQueenId ?? '');
  const mothers = Object.values(apiary.queen).filter((q) => q.id !== queen.id && q.name !== null);
  return (
    <details>
      <summary className={common.summary}>What is known of her</summary>
      <Box pt={2}>
        <TellForm
          label="What is known of her"
          verb="Save"
          busy={busy}
          problems={problems}
          onTell={() =>
            tell(
              {
                type: 'putQueen',
                queen: {
                  ...queen,
                  name: orNull(name),
                  birthYear: year(born),
                  bornWithin: year(by) === null ? null : { from: null, to: year(by) },
                  origin: origin === '' ? null : origin,
                  breeder: orNull(breeder),
                  line: orNull(line),
                  matingPlace: orNull(place),
                  motherQueenId: motherId === '' ? null : motherId,
                },
              },
              'Saved',
            )
          }
        >
          <TextField label="Name" value={name} onChange={setName} />
          <TextField label="Born in" numeric value={born} onChange={setBorn} placeholder="Year, if known" />
          <TextField
            label="Born in this year or before"
            numeric
            value={by}
            onChange={setBy}
            placeholder="Where the year is not known"
          />
          <Select
            fit
            label="How she came to be"
            value={origin}
            options={[
              ['', 'origin not known'],
              ...QUEEN_ORIGINS.map((o) => [o, capital(QUEEN_ORIGIN_WORDS[o])] as const),
            ]}
            onChange={(o) => setOrigin(o as QueenOrigin | '')}
          />
          <TextField label="Breeder" value={breeder} onChange={setBreeder} />
          <TextField label="Line" value={line} onChange={setLine} />
          <TextField label="Mated at" value={place} onChange={setPlace} />
          <Select
            fit
            label="Mother"
            value={motherId}
            options={[['', 'mother not known'], ...mothers.map((q) => [q.id, q.name ?? ''] as const)]}
            onChange={setMotherId}
          />
        </TellForm>
      </Box>
    </details>
  );
}
