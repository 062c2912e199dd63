import { Box, Button, Flex } from '@chakra-ui/react';
import type { Colony, Yard } from '@incremen/core/records';
import { count } from '../../ui/format.ts';
import { Select } from '../../ui/Select.tsx';
import common from '../../ui/common.module.css';
import styles from './HivePicker.module.css';

/** The hives of a yard to tick, in the order of their stands; all of them are one tap. */
export function HivePicker({
  yards,
  yard,
  colonies,
  resting,
  isOn,
  onYard,
  onTurn,
}: {
  readonly yards: readonly Yard[];
  readonly yard: Yard;
  readonly colonies: readonly Colony[];
  /** Who must not be opened today, and why. */
  readonly resting: ReadonlyMap<string, string>;
  readonly isOn: (id: string) => boolean;
  readonly onYard: (yardId: string) => void;
  readonly onTurn: (ids: readonly string[], on: boolean) => void;
}) {
  const on = colonies.filter((c) => isOn(c.id)).length;
  return (
    <Box as="section" aria-label="Hives" mb={4}>
      <Flex gap={3} align="center" wrap="wrap" mb={3}>
        {yards.length > 1 && (
          <Select
            fit
            label="Yard"
            value={yard.id}
            options={yards.map((y) => [y.id, y.name])}
            onChange={onYard}
          />
        )}
        <Button
          variant="outline"
          bg="sheet"
          onClick={() =>
            onTurn(
              colonies.filter((c) => !resting.has(c.id)).map((c) => c.id),
              true,
            )
          }
        >
          Tick all
        </Button>
        <Button
          variant="outline"
          bg="sheet"
          onClick={() =>
            onTurn(
              colonies.map((c) => c.id),
              false,
            )
          }
        >
          Tick none
        </Button>
        <Box as="span" role="status" color="inkSoft">
          {on} of {count(colonies.length, 'colony', 'colonies')}
        </Box>
      </Flex>
      <ul className={styles.hives}>
        {colonies.map((c) => (
          <li key={c.id}>
            <label
              className={styles.hive}
              data-on={isOn(c.id) || undefined}
              data-rests={resting.has(c.id) || undefined}
            >
              <span className={common.pick}>
                <input
                  type="checkbox"
                  checked={isOn(c.id)}
                  onChange={(e) => onTurn([c.id], e.target.checked)}
                />
              </span>
              <span>
                <b>{c.name}</b>
                {resting.has(c.id) && <small>{resting.get(c.id)}</small>}
              </span>
            </label>
          </li>
        ))}
      </ul>
    </Box>
  );
}
