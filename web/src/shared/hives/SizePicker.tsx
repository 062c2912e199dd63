import { Field, Flex, Input, NativeSelect, Text } from '@chakra-ui/react';
import {
  allFrameSizes,
  frameSize,
  isOwnSize,
  OWN_SIZE_MM,
  ownSizeId,
  type FrameSizeId,
} from '@incremen/core/comb';
import type { Operation } from '@incremen/core/records';
import { useState } from 'react';

/** A frame size as it is being chosen; a new one of the user's own has a name that is kept on saving. */
export interface PickedSize {
  readonly id: FrameSizeId;
  readonly newName: string | null;
}

/** What a frame size is called in this operation. */
export function sizeName(operation: Operation, id: FrameSizeId): string {
  return operation.ownSizes.find((s) => s.id === id)?.name ?? frameSize(id).name;
}

/** The command that keeps the names of new sizes, or none when there are none. */
export function keepSizes(operation: Operation, picked: readonly PickedSize[]) {
  const fresh = picked.flatMap(({ id, newName }) =>
    newName !== null && !operation.ownSizes.some((s) => s.id === id) ? [{ id, name: newName }] : [],
  );
  const unique = fresh.filter((s, i) => fresh.findIndex((o) => o.id === s.id) === i);
  return unique.length === 0
    ? []
    : [{ type: 'changeSettings' as const, ownSizes: [...operation.ownSizes, ...unique] }];
}

/** Chooses a frame size: one that ships, one of the user's own, or a new measure. */
export function SizePicker({
  label,
  operation,
  picked,
  onPick,
}: {
  readonly label: string;
  readonly operation: Operation;
  readonly picked: PickedSize;
  /** Null while a measure is not complete. */
  readonly onPick: (picked: PickedSize | null) => void;
}) {
  const [own, setOwn] = useState(false);
  const [name, setName] = useState('');
  const [width, setWidth] = useState('430');
  const [depth, setDepth] = useState('220');

  function measure(next: { name?: string; width?: string; depth?: string }) {
    const all = { name, width, depth, ...next };
    const [w, d] = [Number(all.width), Number(all.depth)];
    const fits = [w, d].every((mm) => Number.isFinite(mm) && mm >= OWN_SIZE_MM.min && mm <= OWN_SIZE_MM.max);
    onPick(fits && all.name.trim() !== '' ? { id: ownSizeId(w, d), newName: all.name.trim() } : null);
  }
  const wrong = (text: string) => {
    const mm = Number(text);
    return !Number.isFinite(mm) || mm < OWN_SIZE_MM.min || mm > OWN_SIZE_MM.max;
  };
  const shown = frameSize(picked.id);
  return (
    <Field.Root>
      <Field.Label>{label}</Field.Label>
      <NativeSelect.Root size="lg">
        <NativeSelect.Field
          bg="sheet"
          aria-label={label}
          value={own ? 'own' : picked.id}
          onChange={(e) => {
            setOwn(e.target.value === 'own');
            if (e.target.value === 'own') measure({});
            else onPick({ id: e.target.value as FrameSizeId, newName: null });
          }}
        >
          {allFrameSizes().map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
          {operation.ownSizes.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
          <option value="own">Top bar or another: my own measure</option>
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
      {own ? (
        <Flex gap={3} mt={2} wrap="wrap">
          <Measured
            label="What you call it"
            value={name}
            width="11rem"
            onChange={(v) => {
              setName(v);
              measure({ name: v });
            }}
          />
          <Measured
            label="Comb width, mm"
            value={width}
            width="7rem"
            numeric
            invalid={wrong(width)}
            onChange={(v) => {
              setWidth(v);
              measure({ width: v });
            }}
          />
          <Measured
            label="Comb depth, mm"
            value={depth}
            width="7rem"
            numeric
            invalid={wrong(depth)}
            onChange={(v) => {
              setDepth(v);
              measure({ depth: v });
            }}
          />
          {(wrong(width) || wrong(depth)) && (
            <Text color="alarm" w="100%">
              Width and depth of the comb are between {OWN_SIZE_MM.min} and {OWN_SIZE_MM.max} mm.
            </Text>
          )}
        </Flex>
      ) : (
        <Field.HelperText color="inkSoft">
          {Math.round(shown.areaCm2PerSide)} cm² of comb a side
          {isOwnSize(picked.id) ? '' : `, ${shown.isPublished ? 'published' : 'by arithmetic'}`}
        </Field.HelperText>
      )}
    </Field.Root>
  );
}

function Measured({
  label,
  value,
  width,
  numeric = false,
  invalid = false,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly width: string;
  readonly numeric?: boolean;
  readonly invalid?: boolean;
  readonly onChange: (value: string) => void;
}) {
  return (
    <Text as="label" fontWeight="600" fontSize="sm">
      {label}
      <Input
        bg="sheet"
        display="block"
        w={width}
        maxLength={80}
        {...(numeric ? { inputMode: 'numeric' as const } : {})}
        aria-invalid={invalid}
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
    </Text>
  );
}
