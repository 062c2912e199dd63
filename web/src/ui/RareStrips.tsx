import { Button } from '@chakra-ui/react';
import { dayInWords, type Day } from '@incremen/core/basics';
import { RefreshCw, TriangleAlert } from 'lucide-react';
import { count } from './format.ts';
import { Strip } from './Strip.tsx';

/** What hardly any page has to say: it is fetched when one has. */
export default function RareStrips({
  keeps,
  apart,
  clockFault,
  today,
}: {
  readonly keeps: boolean;
  readonly apart: 'page-old' | 'server-old' | null;
  /** Days by which the clock of this device is ahead; null where it is right. */
  readonly clockFault: number | null;
  readonly today: Day;
}) {
  return (
    <>
      {clockFault !== null && (
        <Strip icon={TriangleAlert} alarm>
          The clock of this device is {count(Math.abs(clockFault), 'day')}{' '}
          {clockFault > 0 ? 'ahead' : 'behind'}. Today is taken from the server: {dayInWords(today)}. Set the
          clock before you go where there is no signal.
        </Strip>
      )}
      {!keeps && (
        <Strip icon={TriangleAlert} alarm>
          This browser keeps nothing for Incremen: a private window, full, or switched off. You can work as
          long as the server is in reach, and not in a yard without signal.
        </Strip>
      )}
      {apart === 'server-old' && (
        <Strip icon={TriangleAlert} alarm>
          This page is newer than the server. Go on: what you enter is kept here, and sent once the newer
          version runs there too.
        </Strip>
      )}
      {apart === 'page-old' && (
        <Strip icon={RefreshCw} alarm>
          The server has a newer version. What you enter is kept here, and sent by the newer page.{' '}
          <Button size="sm" minH="36px" variant="outline" bg="sheet" onClick={() => location.reload()}>
            Open it
          </Button>
        </Strip>
      )}
    </>
  );
}
