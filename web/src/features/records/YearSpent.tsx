import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { dayInWords, moneyInWords } from '@incremen/core/basics';
import type { YearReview } from '@incremen/core/colony';
import { X } from 'lucide-react';
import { useState } from 'react';
import { z } from 'zod';
import { useOperation, useToday } from '../../mirror/hooks.ts';
import { CheckedForm } from '../../shared/telling/CheckedForm.tsx';
import { DayIn, LineIn } from '../../shared/telling/checkedFields.tsx';
import { useTell } from '../../shared/telling/useTell.ts';
import { typedNumber } from '../../ui/formFields.tsx';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { SquareButton } from '../../ui/SquareButton.tsx';
import styles from './YearPage.module.css';

const schema = z.strictObject({
  what: z.string().trim().min(1, 'Say what it was for.').max(80),
  amount: typedNumber('how much it was', 0.01, 1_000_000),
  day: z.string(),
});

/** What a year cost, line by line, and the form for one more. */
export function YearSpent({ review: { expenses } }: { readonly review: YearReview }) {
  const { currency } = useOperation();
  const { tell } = useTell();
  const [adding, setAdding] = useState(false);
  return (
    <Box as="section" aria-label="Spent" mt={7}>
      <SectionHeading mb={1}>Spent</SectionHeading>
      {expenses.length === 0 && !adding && (
        <Text color="inkSoft" mb={2}>
          Nothing is entered. Sugar, queens, boxes: what you enter here stands beside what the season plan
          said it would cost.
        </Text>
      )}
      <dl className={styles.lines}>
        {expenses.map((e) => (
          <div key={e.id}>
            <dt>
              {e.what}{' '}
              <Text as="span" color="inkSoft">
                {dayInWords(e.day)}
              </Text>
            </dt>
            <dd>
              <Flex gap={2} align="center">
                {moneyInWords(e.amount, currency)}
                <SquareButton
                  label={`Take ${e.what} off`}
                  onClick={() => void tell({ type: 'dropExpense', expenseId: e.id }, `${e.what}: taken off`)}
                >
                  <X size={16} aria-hidden />
                </SquareButton>
              </Flex>
            </dd>
          </div>
        ))}
      </dl>
      {adding ? (
        <Adding done={() => setAdding(false)} />
      ) : (
        <Button variant="outline" bg="sheet" mt={2} onClick={() => setAdding(true)}>
          Add what was spent
        </Button>
      )}
    </Box>
  );
}

function Adding({ done }: { readonly done: () => void }) {
  const today = useToday();
  const { currency } = useOperation();
  const { tell, problems, busy } = useTell();
  return (
    <CheckedForm
      label="Add what was spent"
      verb="Save amount"
      schema={schema}
      start={{ what: '', amount: '', day: '' }}
      busy={busy}
      problems={problems}
      onTell={async ({ what, amount, day }) => {
        const told = await tell(
          { type: 'noteExpense', expenseId: crypto.randomUUID(), day: day || today, what, amount },
          `${moneyInWords(amount, currency)} saved`,
        );
        if (told) done();
      }}
    >
      <LineIn name="what" label="What for" maxLength={80} />
      <LineIn name="amount" label={`How much, in ${currency}`} numeric />
      <DayIn name="day" label="Day" orToday />
      <Button variant="ghost" justifySelf="start" onClick={done}>
        Cancel
      </Button>
    </CheckedForm>
  );
}
