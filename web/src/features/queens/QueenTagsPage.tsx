import { Labels } from '../../shared/tags/Labels.tsx';
import { Box, Flex, Text } from '@chakra-ui/react';
import { queenRegister, yearOfBirth } from '@incremen/core/colony';
import { markingColour } from '@incremen/core/records';
import { QRCodeSVG } from 'qrcode.react';
import { Link } from 'react-router';
import { dotColour } from '../../drawing/contentStyle.ts';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { TagsHead } from '../../shared/tags/TagsHead.tsx';
import styles from '../../shared/tags/tags.module.css';
import { OnlyHere } from '../../shared/settings/OnlyHere.tsx';
import { usePhoneOrigin } from '../../shared/settings/usePhoneOrigin.ts';

/** Tags with the queen of each colony, to be printed and tied to its hive. */
export function QueenTagsPage() {
  const { origin, onlyHere } = usePhoneOrigin();
  const apiary = useApiary();
  const { present } = queenRegister(apiary, useToday());
  const lines = present.filter((l) => l.colony !== null);
  return (
    <Box>
      <TagsHead
        title="Queen tags"
        aside="Print, cut, cover with clear tape, and tie one to each hive."
        back={<Link to="/queens">All queens</Link>}
      />
      {onlyHere && <OnlyHere />}
      {lines.length === 0 && <Text>No queen is known to be in one colony.</Text>}
      <Labels
        labels={lines.flatMap(({ queen, colony }) =>
          colony
            ? [
                {
                  id: colony.id,
                  name: colony.name,
                  lines: [
                    `Queen: ${[queen.name, queen.number && `no. ${queen.number}`].filter(Boolean).join(', ') || 'no name'}`,
                    `Born ${yearOfBirth(queen) ?? 'not known'}`,
                    queen.line ?? '',
                  ],
                  address: `${origin}/colonies/${colony.id}`,
                },
              ]
            : [],
        )}
      >
        <Box as="ul" className={styles.tags}>
          {lines.map(({ queen, colony }) => {
            const born = yearOfBirth(queen);
            const colour = queen.dot ?? (born === null ? null : markingColour(born));
            const rows = [
              [
                'Queen',
                [queen.name, queen.number && `no. ${queen.number}`].filter(Boolean).join(', ') || 'no name',
              ],
              ...(queen.line ? [['Line', queen.line] as const] : []),
              ...(queen.breeder ? [['Breeder', queen.breeder] as const] : []),
              ...(queen.matingPlace ? [['Mated at', queen.matingPlace] as const] : []),
            ] as const;
            return (
              <Flex as="li" key={queen.id} className={styles.tag}>
                <Box flex="1" minW={0}>
                  <p className={styles.name}>{colony?.name}</p>
                  <dl>
                    {rows.map(([what, words]) => [
                      <dt key={what}>{what}</dt>,
                      <dd key={`${what} said`}>{words}</dd>,
                    ])}
                    <dt>Born</dt>
                    <dd>
                      {born ?? 'not known'}{' '}
                      {colour && (
                        <span
                          className={styles.dot}
                          style={{ background: dotColour(colour) }}
                          title={colour}
                        />
                      )}
                      <span>{queen.dot ? colour : 'not marked'}</span>
                    </dd>
                  </dl>
                  {queen.clipped && <p className={styles.note}>A wing is clipped.</p>}
                </Box>
                <QRCodeSVG
                  value={`${origin}/colonies/${colony?.id ?? ''}`}
                  size={112}
                  marginSize={2}
                  level="M"
                  title={`Code that leads to ${colony?.name ?? 'the colony'}`}
                />
              </Flex>
            );
          })}
        </Box>
      </Labels>
    </Box>
  );
}
