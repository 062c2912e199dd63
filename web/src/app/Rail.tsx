import { Box, Flex, Text } from '@chakra-ui/react';
import { openFollowUps, type Apiary } from '@incremen/core/records';
import { isInspection } from '@incremen/core/followup';
import type { Day } from '@incremen/core/basics';
import {
  BookOpen,
  CalendarClock,
  CloudSun,
  Crown,
  Droplets,
  Ellipsis,
  Hammer,
  House,
  LayoutGrid,
  Route,
  SlidersHorizontal,
  type LucideIcon,
} from 'lucide-react';
import { memo, useMemo, useState, type MouseEvent } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { useApiary, useToday } from '../mirror/hooks.ts';
import { LookSwitch } from '../shared/settings/LookSwitch.tsx';
import { useAppSelector } from '../state/store.ts';
import common from '../ui/common.module.css';
import { afterPaint } from '../ui/afterPaint.ts';
import styles from './Rail.module.css';

interface Place {
  readonly to: string;
  readonly label: string;
  /** Where the label has no room. */
  readonly short?: string;
  readonly icon: LucideIcon;
  /** Addresses beside its own that belong to it. */
  readonly also?: readonly string[];
  /** At the hive it is under the thumb; the others are a tap away. */
  readonly atHive?: boolean;
  /** What waits there, in words for a number of it. */
  readonly waits?: keyof Waiting;
}

const PLACES: readonly Place[] = [
  { to: '/', label: 'Today', icon: House, atHive: true },
  {
    to: '/yard',
    label: 'Yard',
    icon: LayoutGrid,
    also: ['/yards', '/colonies', '/compare', '/weak', '/several', '/scan'],
    atHive: true,
  },
  { to: '/plan', label: 'Plan', icon: Route, also: ['/season', '/spares'], atHive: true },
  { to: '/worksheet', label: 'Work', icon: Hammer, also: ['/callout'], atHive: true, waits: 'work' },
  {
    to: '/inspections',
    label: 'Inspections',
    short: 'Inspect',
    icon: CalendarClock,
    also: ['/look'],
    atHive: true,
    waits: 'inspections',
  },
  { to: '/queens', label: 'Queens and cells', icon: Crown, also: ['/cells'] },
  { to: '/feed', label: 'Feed and store', icon: Droplets, also: ['/store'] },
  { to: '/weather', label: 'Weather', icon: CloudSun },
  { to: '/records', label: 'Records', icon: BookOpen, also: ['/outbox', '/forecasts'] },
  { to: '/settings', label: 'Settings', icon: SlidersHorizontal, also: ['/rules', '/people', '/words'] },
];

interface Waiting {
  /** Inspections that may be done today, or should have been. */
  readonly inspections: number;
  /** Work that was begun. */
  readonly work: number;
}

const WAITING_WORDS: Readonly<Record<keyof Waiting, string>> = { inspections: 'due', work: 'begun' };

const waitingIn = (apiary: Apiary, today: Day): Waiting => ({
  inspections: openFollowUps(apiary).filter((f) => isInspection(f) && f.window.earliest <= today).length,
  work: Object.values(apiary.work).filter((w) => w.status === 'working').length,
});

const isAt = ({ to, also = [] }: Place, pathname: string) =>
  [to, ...also].some((p) => pathname === p || (p !== '/' && pathname.startsWith(`${p}/`)));

const MORE_ID = 'more-views';
const closeMore = (e: MouseEvent<HTMLElement>) =>
  e.currentTarget.closest<HTMLElement>('[popover]')?.hidePopover();

/** Where one can go: a rail on wide screens, on narrow ones a bar at the thumb with the rest a tap away. */
export const Rail = memo(function Rail() {
  const { pathname } = useLocation();
  const isThere = useAppSelector((s) => s.mirror.status === 'ready');
  const rest = PLACES.filter((p) => !p.atHive);
  return (
    <Box as="nav" aria-label="Views" className={styles.rail}>
      <Flex display={{ base: 'none', md: 'flex' }} align="center" gap={2.5} px={2} pb={5}>
        <img src="/icon.svg" alt="" width={30} height={30} className={styles.mark} />
        <Text fontFamily="heading" fontSize="2xl" fontWeight="700" letterSpacing="-0.02em">
          Incremen
        </Text>
      </Flex>
      {PLACES.map((p) => (
        <PlaceLink key={p.to} place={p} here={isAt(p, pathname)} told={isThere} />
      ))}
      <button
        type="button"
        className={styles.place}
        data-more
        data-here={rest.some((p) => isAt(p, pathname)) || undefined}
        popoverTarget={MORE_ID}
      >
        <Ellipsis size={20} aria-hidden />
        <span>More</span>
      </button>
      <div id={MORE_ID} popover="auto" className={styles.more} role="group" aria-label="More views">
        {rest.map((p) => (
          <Link key={p.to} to={p.to} className={styles.place} onClick={closeMore}>
            <p.icon size={20} aria-hidden />
            <span>{p.label}</span>
          </Link>
        ))}
      </div>
      <Box display={{ base: 'none', md: 'block' }} mt="auto">
        <LookSwitch />
      </Box>
    </Box>
  );
});

function PlaceLink({
  place: { to, label, short, icon: Icon, atHive, waits },
  here,
  told,
}: {
  readonly place: Place;
  readonly here: boolean;
  /** The records are there: what waits can be told. */
  readonly told: boolean;
}) {
  const navigate = useNavigate();
  const { key } = useLocation();
  const [tapped, setTapped] = useState('');
  // The tap is answered at once, on the place itself; what is there is drawn after that has been painted.
  const go = (e: MouseEvent) => {
    if (e.metaKey || e.ctrlKey || e.shiftKey || e.altKey) return;
    e.preventDefault();
    setTapped(key);
    afterPaint(() => void navigate(to));
  };
  return (
    <Link
      to={to}
      className={styles.place}
      onClick={go}
      data-here={here || tapped === key || undefined}
      data-rest={!atHive || undefined}
      aria-current={here ? 'page' : undefined}
    >
      <Icon size={20} aria-hidden />
      <span className={styles.label} data-short={short}>
        {label}
      </span>
      {waits && told && <Waits what={waits} />}
    </Link>
  );
}

/** By itself: it is drawn anew with every change of the records, and the rail is not. */
function Waits({ what }: { readonly what: keyof Waiting }) {
  const apiary = useApiary();
  const today = useToday();
  const n = useMemo(() => waitingIn(apiary, today), [apiary, today])[what];
  return n === 0 ? null : (
    <span className={styles.waits}>
      {n}
      <span className={common.forReaders}> {WAITING_WORDS[what]}</span>
    </span>
  );
}
