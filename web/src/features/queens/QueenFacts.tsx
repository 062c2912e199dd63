import { Box } from '@chakra-ui/react';
import { QUEEN_ORIGIN_WORDS, QUEEN_ORIGINS, type Queen } from '@incremen/core/records';
import { capital } from '@incremen/core/basics';
import { z } from 'zod';
import { useApiary } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { LineIn, SelectIn } from '../../shared/telling/checkedFields.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { textOrNull, yearOrNull } from '../../ui/formFields.tsx';
import common from '../../ui/common.module.css';

const schema = z.strictObject({
  name: textOrNull,
  born: yearOrNull,
  by: yearOrNull,
  origin: z.union([z.literal('').transform(() => null), z.enum(QUEEN_ORIGINS)]),
  breeder: textOrNull,
  line: textOrNull,
  matingPlace: textOrNull,
  motherId: z.string().transform((id) => (id === '' ? null : id)),
});

/** Everything that is known of her besides what was done, to be corrected. */
export function QueenFacts({ queen }: { readonly queen: Queen }) {
  const apiary = useApiary();
  const { tell, problems, busy } = useTell();
  const mothers = Object.values(apiary.queen).filter((q) => q.id !== queen.id && q.name !== null);
  return (
    <details>
      <summary className={common.summary}>What is known of her</summary>
      <Box pt={2}>
        <CheckedForm
          label="What is known of her"
          verb="Save"
          schema={schema}
          start={{
            name: queen.name ?? '',
            born: String(queen.birthYear ?? ''),
            by: String(queen.bornWithin?.to ?? ''),
            origin: queen.origin ?? '',
            breeder: queen.breeder ?? '',
            line: queen.line ?? '',
            matingPlace: queen.matingPlace ?? '',
            motherId: queen.motherQueenId ?? '',
          }}
          busy={busy}
          problems={problems}
          onTell={({ born, by, motherId, ...facts }) =>
            tell(
              {
                type: 'putQueen',
                queen: {
                  ...queen,
                  ...facts,
                  birthYear: born,
                  bornWithin: by === null ? null : { from: null, to: by },
                  motherQueenId: motherId,
                },
              },
              'Saved',
            )
          }
        >
          <LineIn name="name" label="Name" maxLength={80} />
          <LineIn name="born" label="Born in" numeric hint="The year, if it is known." maxLength={4} />
          <LineIn
            name="by"
            label="Born in this year or before"
            numeric
            hint="Where the year is not known."
            maxLength={4}
          />
          <SelectIn
            name="origin"
            label="How she came to be"
            options={[
              ['', 'origin not known'],
              ...QUEEN_ORIGINS.map((o) => [o, capital(QUEEN_ORIGIN_WORDS[o])] as const),
            ]}
          />
          <LineIn name="breeder" label="Breeder" maxLength={80} />
          <LineIn name="line" label="Line" maxLength={80} />
          <LineIn name="matingPlace" label="Mated at" maxLength={80} />
          <SelectIn
            name="motherId"
            label="Mother"
            options={[['', 'mother not known'], ...mothers.map((q) => [q.id, q.name ?? ''] as const)]}
          />
        </CheckedForm>
      </Box>
    </details>
  );
}
