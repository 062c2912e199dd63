import { memo } from 'react';
import { Box, Input, Text } from '@chakra-ui/react';
import { DISEASE_SIGN_NAMES, DISEASE_SIGNS } from '@incremen/core/records';
import { Key } from '../../ui/Key.tsx';
import { sameEvidence, type EvidenceProps } from './evidenceProps.ts';
import { Further, Question, ThreeAnswers } from './Question.tsx';
import choiceStyles from '../../ui/Choice.module.css';

/** Signs that brood may be sick: described, never diagnosed. */
export const DiseaseQuestion = memo(function DiseaseQuestion({
  evidence: { diseaseSigns },
  set,
  name,
}: EvidenceProps) {
  const signs = diseaseSigns.look === 'found' ? (diseaseSigns.signs ?? []) : [];
  return (
    <Question title="Signs of brood disease" hint="Smell, sunken or holed caps, discoloured or ropy larvae.">
      <ThreeAnswers
        label={name('signs of brood disease')}
        value={diseaseSigns.look}
        onChange={(look) => set({ diseaseSigns: { look } })}
      />
      {diseaseSigns.look === 'found' && (
        <Further>
          <div className={choiceStyles.choices} role="group" aria-label={name('signs')}>
            {DISEASE_SIGNS.map((s) => {
              const on = signs.includes(s);
              return (
                <Key
                  key={s}
                  on={on}
                  onClick={() =>
                    set({
                      diseaseSigns: {
                        look: 'found',
                        signs: on ? signs.filter((x) => x !== s) : [...signs, s],
                      },
                    })
                  }
                >
                  {DISEASE_SIGN_NAMES[s]}
                </Key>
              );
            })}
          </div>
          <Text fontSize="sm">
            Move no comb in or out, clean tools and gloves before the next hive, and have it examined. Some
            brood diseases must be reported where you live: ask your bee inspector.
          </Text>
        </Further>
      )}
    </Question>
  );
}, sameEvidence('diseaseSigns'));

/** A strip or another treatment in the hive. */
export const TreatmentQuestion = memo(function TreatmentQuestion({
  evidence: { treatment },
  set,
  name,
}: EvidenceProps) {
  return (
    <Question title="Varroa treatment in the hive">
      <ThreeAnswers
        label={name('treatment')}
        value={treatment.look}
        onChange={(look) => set({ treatment: { look } })}
      />
      {treatment.look === 'found' && (
        <Further>
          <Box as="label">
            <Text as="span" fontWeight="600" fontSize="sm">
              Which, and since when
            </Text>
            <Input
              bg="sheet"
              maxLength={80}
              value={treatment.what ?? ''}
              onChange={(e) =>
                set({
                  treatment:
                    e.target.value === '' ? { look: 'found' } : { look: 'found', what: e.target.value },
                })
              }
            />
          </Box>
          <Text fontSize="sm">The label and your local rules say how long, and when honey may be taken.</Text>
        </Further>
      )}
    </Question>
  );
}, sameEvidence('treatment'));
