import { dayInWords, addDays } from '@incremen/core/basics';
import {
  PHASE_WORDS,
  phaseAt,
  SEASON_EVENT_NAMES,
  SEASON_EVENTS,
  type Season,
  type SeasonEvent,
  type SeasonPhase,
} from '@incremen/core/season';
import {
  DndContext,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { useRef } from 'react';
import styles from './SeasonPage.module.css';

const DAYS = 365;
const percent = (day: number) => (100 * day) / DAYS;

/** Days that the arrow keys move a date. */
const STEP = 1;
const FAR = 7;

/** A year from midwinter to midwinter as a band of its parts, with a pin for every date that can be moved. */
export function SeasonBand({
  season,
  today,
  onMove,
}: {
  readonly season: Season;
  /** Days after midwinter. */
  readonly today: number;
  readonly onMove: (event: SeasonEvent, to: number) => void;
}) {
  const { calendar, midwinter } = season;
  const ground = useRef<HTMLDivElement>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 3 } }));
  const drop = ({ active, delta }: DragEndEvent) => {
    const width = ground.current?.getBoundingClientRect().width ?? 0;
    const event = SEASON_EVENTS.find((e) => e === active.id);
    if (width > 0 && event) onMove(event, Math.round(calendar[event] + (DAYS * delta.x) / width));
  };
  const bar = (from: SeasonEvent, to: SeasonEvent) => ({
    left: `${percent(calendar[from])}%`,
    width: `${percent(calendar[to] - calendar[from])}%`,
  });
  return (
    <DndContext sensors={sensors} onDragEnd={drop}>
      <div className={styles.band} ref={ground} role="group" aria-label="The year as a band">
        <div className={styles.months} aria-hidden>
          {monthsFrom(midwinter).map(({ at, name }) => (
            <span key={at} style={{ left: `${percent(at)}%` }}>
              {name}
            </span>
          ))}
        </div>
        <div className={styles.phases}>
          {phasesOf(season).map(({ phase, from, to }) => (
            <div
              key={from}
              className={styles.phase}
              data-phase={phase}
              style={{ width: `${percent(to - from)}%` }}
              title={PHASE_WORDS[phase]}
            >
              <span>{PHASE_WORDS[phase]}</span>
            </div>
          ))}
        </div>
        <div className={styles.bars} aria-hidden>
          <div className={styles.bar} data-bar="swarm" style={bar('swarm-start', 'swarm-end')}>
            <span>swarms</span>
          </div>
          <div className={styles.bar} data-bar="mating" style={bar('first-drones', 'last-mating')}>
            <span>queens mate</span>
          </div>
        </div>
        <div className={styles.pins}>
          {SEASON_EVENTS.map((event, i) => (
            <Pin
              key={event}
              event={event}
              nth={i}
              at={calendar[event]}
              day={dayInWords(season.days[event])}
              onMove={(by) => onMove(event, calendar[event] + by)}
            />
          ))}
        </div>
        <div className={styles.today} style={{ left: `${percent(today)}%` }} aria-hidden>
          <span>today</span>
        </div>
      </div>
    </DndContext>
  );
}

function Pin({
  event,
  nth,
  at,
  day,
  onMove,
}: {
  readonly event: SeasonEvent;
  readonly nth: number;
  readonly at: number;
  readonly day: string;
  readonly onMove: (by: number) => void;
}) {
  const { setNodeRef, listeners, transform } = useDraggable({ id: event });
  return (
    <button
      type="button"
      ref={setNodeRef}
      className={styles.pin}
      role="slider"
      aria-label={SEASON_EVENT_NAMES[event]}
      aria-valuemin={0}
      aria-valuemax={DAYS - 1}
      aria-valuenow={at}
      aria-valuetext={day}
      title={`${SEASON_EVENT_NAMES[event]}, ${day}`}
      data-row={nth % 2}
      style={{ left: `${percent(at)}%`, transform: `translateX(calc(-50% + ${transform?.x ?? 0}px))` }}
      {...listeners}
      onKeyDown={(e) => {
        const by = e.shiftKey ? FAR : STEP;
        if (e.key === 'ArrowRight' || e.key === 'ArrowUp') onMove(by);
        else if (e.key === 'ArrowLeft' || e.key === 'ArrowDown') onMove(-by);
        else return;
        e.preventDefault();
      }}
    >
      {nth + 1}
    </button>
  );
}

function phasesOf({ calendar }: Season): { phase: SeasonPhase; from: number; to: number }[] {
  const spans: { phase: SeasonPhase; from: number; to: number }[] = [];
  for (let at = 0; at < DAYS; at++) {
    const phase = phaseAt(calendar, at);
    const last = spans.at(-1);
    if (last?.phase === phase) last.to = at + 1;
    else spans.push({ phase, from: at, to: at + 1 });
  }
  return spans;
}

/** The first of each month of the season. */
function monthsFrom(midwinter: string): { at: number; name: string }[] {
  return Array.from({ length: DAYS }, (_, at) => ({ at, day: addDays(midwinter, at) }))
    .filter(({ day }) => day.endsWith('-01'))
    .map(({ at, day }) => ({ at, name: dayInWords(day).split(' ').at(-1) ?? '' }));
}
