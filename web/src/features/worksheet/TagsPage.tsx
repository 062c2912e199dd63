import { Labels } from '../../shared/tags/Labels.tsx';
import { Box, Flex, Text } from '@chakra-ui/react';
import { dayInWords } from '@incremen/core/basics';
import { markingColour } from '@incremen/core/records';
import { tagsOfCallOut, tagsOfWork, type HiveTag } from '@incremen/core/work';
import { QRCodeSVG } from 'qrcode.react';
import { Link, useParams } from 'react-router';
import { RouteError } from '../../ui/RouteError.tsx';
import { dotColour } from '../../drawing/contentStyle.ts';
import { useApiary } from '../../mirror/hooks.ts';
import { OnlyHere } from '../../shared/settings/OnlyHere.tsx';
import { usePhoneOrigin } from '../../shared/settings/usePhoneOrigin.ts';
import { TagsHead } from '../../shared/tags/TagsHead.tsx';
import styles from '../../shared/tags/tags.module.css';

/** Tags for the hives of a piece of work, to print and tie on: each with a code that leads to its colony. */
export function TagsPage() {
  const phone = usePhoneOrigin();
  const apiary = useApiary();
  const { workId = '' } = useParams();
  const work = apiary.work[workId];
  const callOut = apiary.callOut[workId];
  const tags = work ? tagsOfWork(apiary, work) : callOut ? tagsOfCallOut(apiary, callOut) : null;
  if (!tags) return <RouteError missing />;
  return (
    <Box>
      <TagsHead
        title="Hive tags"
        aside="Print, cut, cover with clear tape, and tie one to each hive that day."
        back={<Link to={work ? `/worksheet/${workId}` : `/callout/${workId}`}>Back to the work</Link>}
      />
      {phone.onlyHere && <OnlyHere />}
      {tags.length === 0 && <Text>This plan makes no new hive, so no tag is needed.</Text>}
      <Labels
        labels={tags.map((t) => ({
          id: t.colonyId,
          name: t.name,
          lines: [`${dayInWords(t.day)} ${t.day.slice(0, 4)}`, t.queen, t.note],
          address: `${phone.origin}/colonies/${t.colonyId}`,
        }))}
      >
        <Box as="ul" className={styles.tags}>
          {tags.map((tag) => (
            <Tag key={tag.colonyId} tag={tag} origin={phone.origin} />
          ))}
        </Box>
      </Labels>
    </Box>
  );
}

function Tag({ tag, origin }: { readonly tag: HiveTag; readonly origin: string }) {
  const colour = tag.year === null ? null : markingColour(tag.year);
  return (
    <Flex as="li" className={styles.tag}>
      <Box flex="1" minW={0}>
        <p className={styles.name}>{tag.name}</p>
        <dl>
          <dt>Day</dt>
          <dd>
            {dayInWords(tag.day)} {tag.day.slice(0, 4)}
          </dd>
          {tag.mother && (
            <>
              <dt>Mother</dt>
              <dd>{tag.mother}</dd>
            </>
          )}
          <dt>Queen</dt>
          <dd>
            {tag.queen}
            {tag.year !== null && (
              <>
                , {tag.year}{' '}
                {colour && (
                  <span className={styles.dot} style={{ background: dotColour(colour) }} title={colour} />
                )}
                <span>{colour}</span>
              </>
            )}
          </dd>
        </dl>
        <p className={styles.note}>{tag.note}</p>
      </Box>
      <QRCodeSVG
        value={`${origin}/colonies/${tag.colonyId}`}
        size={112}
        marginSize={2}
        level="M"
        title={`Code that leads to ${tag.name}`}
      />
    </Flex>
  );
}
