import { useDraggable, useDroppable } from '@dnd-kit/core';
import type { YardProblem } from '@incremen/core/yardplan';
import { memo, useId, type KeyboardEvent } from 'react';
import { HiveDrawing, hiveInWords, hiveSize, slotPoint, type DrawnBox } from '../../drawing/HiveDrawing.tsx';
import { SLAT } from '../../drawing/Slat.tsx';
import type { BenchHive } from './benchHives.ts';
import styles from './HiveOnBench.module.css';

/** What the keyboard and the finger can do to a frame of a hive on the bench. */
export interface FrameActs {
  /** The frame that is looked at. */
  readonly chosen: string | null;
  readonly choose: (frameId: string | null) => void;
  /** Takes the chosen frame up, moves on to the next place for it, puts it down, or lets go of it. */
  readonly carrying: { readonly frameId: string; readonly toName: string } | null;
  readonly lift: (frameId: string) => void;
  readonly aim: (step: 1 | -1) => void;
  readonly drop: () => void;
  readonly cancel: () => void;
}

/** How large hives are drawn on the bench. */
const SCALE = 1.02;

/**
 * A hive with its frames to be taken up. One stop of the tab key: arrows go from frame to frame, Enter takes
 * one up, arrows then choose where it goes, Enter puts it down.
 */
export const HiveOnBench = memo(function HiveOnBench({
  hive,
  problem,
  acts,
  isTarget,
}: {
  readonly hive: BenchHive;
  readonly problem: YardProblem;
  readonly acts: FrameActs;
  /** The keyboard aims at it. */
  readonly isTarget: boolean;
}) {
  const id = useId();
  const { unit, side, boxes } = hive;
  const { setNodeRef, isOver } = useDroppable({ id: `${side}:${unit.key}`, data: { unit: unit.key } });
  const frames = boxes.flatMap((b) => b.frames.map((f) => ({ ...f, box: b })));
  const at = frames.findIndex((f) => f.id === acts.chosen);
  const { width, height } = hiveSize(boxes);

  const go = (to: number) => acts.choose(frames[Math.min(frames.length - 1, Math.max(0, to))]?.id ?? null);

  function onKeyDown(e: KeyboardEvent) {
    const { key } = e;
    const handled = () => {
      e.preventDefault();
      e.stopPropagation();
    };
    if (acts.carrying) {
      if (key === 'Enter' || key === ' ') acts.drop();
      else if (key === 'Escape') acts.cancel();
      else if (key === 'ArrowDown' || key === 'ArrowRight') acts.aim(1);
      else if (key === 'ArrowUp' || key === 'ArrowLeft') acts.aim(-1);
      else return;
      handled();
      return;
    }
    if (key === 'ArrowRight') go(at + 1);
    else if (key === 'ArrowLeft') go(at < 0 ? 0 : at - 1);
    else if (key === 'Home') go(0);
    else if (key === 'End') go(frames.length - 1);
    else if (key === 'Enter' && at >= 0) acts.lift(frames[at]?.id ?? '');
    else if (key === 'Escape') acts.choose(null);
    else return;
    handled();
  }

  return (
    <div
      ref={setNodeRef}
      className={styles.hive}
      data-unit={unit.key}
      data-side={side}
      data-over={isOver || isTarget || undefined}
      style={{ width: width * SCALE, ...(hive.ink ? { ['--ink' as string]: hive.ink } : {}) }}
    >
      <div className={styles.frames} style={{ width: width * SCALE, height: height * SCALE }}>
        <HiveDrawing
          boxes={boxes}
          queenColour={hive.queenColour}
          label={`${side === 'before' ? 'Before' : 'After'}: ${hiveInWords(unit.name, boxes)}`}
          scale={SCALE}
        />
        <div
          role="listbox"
          tabIndex={0}
          aria-label={`Frames of ${unit.name} ${side === 'before' ? 'before' : 'after the work'}`}
          aria-activedescendant={at >= 0 ? `${id}-${frames[at]?.id ?? ''}` : undefined}
          className={styles.handles}
          onKeyDown={onKeyDown}
          onClick={(e) => {
            const frameId = (e.target as HTMLElement).dataset['frame'];
            if (frameId) acts.choose(frameId);
          }}
          onFocus={(e) => {
            // The mouse chooses by what it clicks.
            if (e.currentTarget.matches(':focus-visible') && at < 0 && !acts.carrying) go(0);
          }}
        >
          {frames.map((f) => (
            <Handle
              key={f.id}
              id={`${id}-${f.id}`}
              frameId={f.id}
              side={side}
              boxes={boxes}
              boxId={f.box.id}
              slot={f.slot}
              label={problem.frames.find((p) => p.id === f.id)?.label ?? `comb of the store, slot ${f.slot}`}
              chosen={acts.chosen === f.id}
            />
          ))}
        </div>
      </div>
    </div>
  );
});

/** The place where a frame can be taken hold of. */
const Handle = memo(function Handle({
  id,
  frameId,
  side,
  boxes,
  boxId,
  slot,
  label,
  chosen,
}: {
  readonly id: string;
  readonly frameId: string;
  readonly side: 'before' | 'after';
  readonly boxes: readonly DrawnBox[];
  readonly boxId: string;
  readonly slot: number;
  readonly label: string;
  readonly chosen: boolean;
}) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: `${side}:${frameId}`, data: { frameId } });
  const point = slotPoint(boxes, boxId, slot);
  if (!point) return null;
  return (
    <div
      ref={setNodeRef}
      {...listeners}
      id={id}
      role="option"
      tabIndex={-1}
      aria-selected={chosen}
      aria-label={label}
      className={styles.handle}
      data-frame={frameId}
      data-chosen={chosen || undefined}
      data-dragging={isDragging || undefined}
      style={{
        left: (point.x - SLAT.pitch / 2) * SCALE,
        top: (point.top - 6) * SCALE,
        width: SLAT.pitch * SCALE,
        height: (point.bottom - point.top + 12) * SCALE,
      }}
    />
  );
});
