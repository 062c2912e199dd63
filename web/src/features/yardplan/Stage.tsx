import {
  DndContext,
  DragOverlay,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragOverEvent,
} from '@dnd-kit/core';
import { AT, type Evaluation, type YardProblem, type YardUnit } from '@incremen/core/yardplan';
import { STORE_KEY, type FramePin } from '@incremen/core/records';
import { Link } from 'react-router';
import { X } from 'lucide-react';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { hiveSize, slotPoint } from '../../drawing/HiveDrawing.tsx';
import { Slat, SLAT } from '../../drawing/Slat.tsx';
import { one } from '../../ui/format.ts';
import type { BenchArrow, BenchHive, BenchPicture } from './benchHives.ts';
import { HiveOnBench, type FrameActs } from './HiveOnBench.tsx';
import styles from './Stage.module.css';
import common from '../../ui/common.module.css';

/** Hives before and after, frames as lines between them, all to be taken up and put elsewhere. */
export function Stage({
  problem,
  seen,
  picture,
  acts,
  aimedAt,
  names,
  onName,
  onHover,
  onPlace,
  onLeaveOut,
}: {
  readonly problem: YardProblem;
  readonly seen: Evaluation;
  readonly picture: BenchPicture;
  readonly acts: FrameActs;
  /** The unit, or the store, that the keyboard aims at. */
  readonly aimedAt: string | null;
  readonly names: Readonly<Record<string, string>>;
  readonly onName: (key: string, name: string) => void;
  /** A frame is held over a place; null when it is over none. */
  readonly onHover: (pin: FramePin | null) => void;
  readonly onPlace: (pin: FramePin) => void;
  readonly onLeaveOut: (colonyId: string) => void;
}) {
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
    // A finger that moves at once scrolls; one that rests takes the frame up.
    useSensor(TouchSensor, { activationConstraint: { delay: 160, tolerance: 8 } }),
  );
  const [carried, setCarried] = useState<string | null>(null);
  const ground = useRef<HTMLDivElement>(null);
  const arrows = useArrows(ground, picture);
  const pinOf = (e: DragOverEvent | DragEndEvent): FramePin | null => {
    const frameId = e.active.data.current?.['frameId'] as string | undefined;
    const to = e.over?.data.current?.['unit'] as string | undefined;
    return frameId && to ? { frameId, to } : null;
  };
  const frame = problem.frames.find((f) => f.id === carried);
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      onDragStart={(e) => setCarried((e.active.data.current?.['frameId'] as string | undefined) ?? null)}
      onDragOver={(e) => onHover(pinOf(e))}
      onDragEnd={(e) => {
        setCarried(null);
        onHover(null);
        const pin = pinOf(e);
        if (pin) onPlace(pin);
      }}
      onDragCancel={() => {
        setCarried(null);
        onHover(null);
      }}
    >
      <div
        className={styles.stage}
        ref={ground}
        role="region"
        aria-label="Hives before and after"
        tabIndex={-1}
      >
        <svg className={styles.arrows} aria-hidden width="100%" height="100%">
          {arrows.map((a) => (
            <path
              key={a.frameId}
              d={a.d}
              strokeDasharray={a.isShake ? '2 6' : undefined}
              strokeLinecap="round"
              fill="none"
              stroke={a.ink}
              strokeWidth={acts.chosen === a.frameId ? 4 : 2}
              opacity={acts.chosen === null || acts.chosen === a.frameId ? 0.9 : 0.35}
            />
          ))}
        </svg>
        <Column title="Before">
          {picture.before.map((h) => (
            <div key={h.unit.key}>
              <div className={styles.head}>
                <Link
                  className={styles.name}
                  to={`/colonies/${h.unit.key}/choices`}
                  title={`Choices for ${h.unit.name}`}
                >
                  <b>{h.unit.name}</b>
                </Link>
                <span>{figures(h.unit.before)}</span>
                <button
                  type="button"
                  className={common.quietButton}
                  style={{ minHeight: 24, minWidth: 24, marginLeft: 'auto' }}
                  aria-label={`Leave ${h.unit.name} out`}
                  title={`Leave ${h.unit.name} out`}
                  onClick={() => onLeaveOut(h.unit.key)}
                >
                  <X size={15} aria-hidden />
                </button>
              </div>
              <HiveOnBench hive={h} problem={problem} acts={acts} isTarget={false} />
            </div>
          ))}
          <Store aimed={aimedAt === STORE_KEY} />
        </Column>
        <span />
        <Column title="After">
          {picture.after.map((h) => (
            <div key={h.unit.key}>
              <AfterHead hive={h} seen={seen} name={names[h.unit.key] ?? h.unit.name} onName={onName} />
              <HiveOnBench hive={h} problem={problem} acts={acts} isTarget={aimedAt === h.unit.key} />
            </div>
          ))}
        </Column>
      </div>
      <DragOverlay dropAnimation={null}>
        {frame && (
          <svg width={SLAT.width + 14} height={SLAT.deepHeight + 16} aria-hidden>
            <Slat
              reading={frame.reading}
              x={7}
              y={6}
              height={SLAT.deepHeight}
              outline="var(--chakra-colors-feasible)"
            />
          </svg>
        )}
      </DragOverlay>
    </DndContext>
  );
}

function Column({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <div className={styles.column}>
      <h3>{title}</h3>
      {children}
    </div>
  );
}

function AfterHead({
  hive,
  seen,
  name,
  onName,
}: {
  readonly hive: BenchHive;
  readonly seen: Evaluation;
  readonly name: string;
  readonly onName: (key: string, name: string) => void;
}) {
  const { unit, ink } = hive;
  const after = seen.after[unit.index];
  return (
    <div className={styles.head}>
      {unit.kind === 'nuc' ? (
        <input
          className={styles.name}
          style={{ borderBottomColor: ink ?? 'transparent' }}
          aria-label={`Name of ${unit.name}`}
          key={name}
          defaultValue={name}
          maxLength={80}
          onBlur={(e) => {
            const next = e.target.value.trim();
            if (next && next !== name) onName(unit.key, next);
          }}
        />
      ) : (
        <b style={{ borderBottomColor: ink ?? 'transparent' }}>{unit.name}</b>
      )}
      <span>{after ? figures(after) : ''}</span>
    </div>
  );
}

const figures = (m: YardUnit['before']) => `${one(m[AT.bees] ?? 0)} bees · ${one(m[AT.brood] ?? 0)} brood`;

function Store({ aimed }: { readonly aimed: boolean }) {
  const { setNodeRef, isOver } = useDroppable({ id: 'store', data: { unit: STORE_KEY } });
  return (
    <div ref={setNodeRef} className={styles.store} data-over={isOver || aimed || undefined}>
      the store
    </div>
  );
}

/** A line of the picture, in pixels of the stage. */
interface Line {
  readonly frameId: string;
  readonly d: string;
  readonly ink: string;
  readonly isShake: boolean;
}

/** The lines between slots, in pixels of the stage; measured anew when anything changes its place. */
function useArrows(ground: React.RefObject<HTMLDivElement | null>, picture: BenchPicture): readonly Line[] {
  const [lines, setLines] = useState<readonly Line[]>([]);
  useLayoutEffect(() => {
    const measure = () => {
      if (ground.current) setLines(linesOf(ground.current, picture));
    };
    measure();
    const watch = new ResizeObserver(measure);
    if (ground.current) watch.observe(ground.current);
    return () => watch.disconnect();
  }, [ground, picture]);
  return lines;
}

function linesOf(ground: HTMLElement, picture: BenchPicture): Line[] {
  const origin = ground.getBoundingClientRect();
  const place = (side: 'before' | 'after', unit: number, slot: BenchArrow['to']) => {
    // A colony that is united has two hives before.
    const hive = picture[side].find(
      (h) => h.unit.index === unit && (!slot || h.boxes.some((b) => b.id === slot.boxId)),
    );
    const node =
      hive && ground.querySelector(`[data-side="${side}"][data-unit="${CSS.escape(hive.unit.key)}"] svg`);
    if (!hive || !node) return null;
    const box = node.getBoundingClientRect();
    const k = box.width / hiveSize(hive.boxes).width;
    // Shaken bees run in at the side of the box.
    const point = slot
      ? slotPoint(hive.boxes, slot.boxId, slot.slot)
      : { x: 2, top: box.height / k - 14, bottom: box.height / k - 8 };
    if (!point) return null;
    return {
      x: box.left - origin.left + ground.scrollLeft + point.x * k,
      y: box.top - origin.top + ((point.top + point.bottom) / 2) * k,
    };
  };
  return picture.arrows.flatMap((a) => {
    const from = place('before', a.fromUnit, a.from);
    const to = place('after', a.toUnit, a.to);
    if (!from || !to) return [];
    const bend = Math.max(40, (to.x - from.x) * 0.45);
    return [
      {
        frameId: a.frameId,
        ink: a.ink,
        isShake: a.isShake,
        d: `M${from.x} ${from.y}C${from.x + bend} ${from.y} ${to.x - bend} ${to.y} ${to.x} ${to.y}`,
      },
    ];
  });
}
