import type { FollowUp, FollowUpTopic } from '../records/index.ts';

const WORDS: Readonly<Record<FollowUpTopic, string>> = {
  'early-capped': 'Cells capped too early?',
  'which-part': 'Which part has the queen?',
  'surplus-cells': 'Reserved cell capped? Surplus out',
  'eggs-due': 'Eggs of the new queen due',
  'capped-due': 'Flat-capped brood due: is she mated?',
  rhythm: 'Weekly inspection',
  rest: 'Hands off',
  act: 'To be done',
  watch: 'On watch: is the test met?',
  cage: 'Is the cage empty?',
  'bees-stay': 'Have the bees stayed?',
  'empty-stand': 'Leave nothing on the old stand',
  feed: 'Feed it this evening',
  entrance: 'Open the entrance',
  carry: 'Carry it to the other yard',
  'take-off': 'Take it off',
  'take-out': 'Take the treatment out',
  'drone-comb': 'Cut or freeze the drone comb',
};

/** What a follow-up is about, in a few words. */
export function topicInWords(topic: FollowUpTopic): string {
  return WORDS[topic];
}

/** Things to be done, which no inspection records: they are done or they are not. */
const JOBS: ReadonlySet<FollowUpTopic> = new Set([
  'bees-stay',
  'empty-stand',
  'feed',
  'entrance',
  'carry',
  'take-off',
  'take-out',
  'drone-comb',
]);

/** True for a thing to be done; false for a day to look, or to keep hands off. */
export const isJob = ({ topic }: { readonly topic: FollowUpTopic }): boolean => JOBS.has(topic);

/** True for a day to open the hive and look. */
export const isInspection = ({ kind, topic }: Pick<FollowUp, 'kind' | 'topic'>): boolean =>
  kind === 'look' && !JOBS.has(topic);

/** A follow-up in one line: what is to be done is said itself, in its first sentence. */
export function followUpInShort({ topic, expect }: { topic: FollowUpTopic; expect: string }): string {
  const [first = ''] = expect.split('. ');
  return (topic === 'act' || JOBS.has(topic)) && first !== ''
    ? first.replace(/\.$/, '')
    : topicInWords(topic);
}
