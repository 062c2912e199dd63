import { Flex } from '@chakra-ui/react';
import { QRCodeSVG } from 'qrcode.react';
import { useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { Select } from '../../ui/Select.tsx';
import { Stepper } from '../../ui/Stepper.tsx';
import common from '../../ui/common.module.css';
import { LABEL_SHEETS, PAGE_MM, type LabelSheet } from './labelSheets.ts';
import styles from './Labels.module.css';

/** What stands on a label: the name large, a line or two, and the code. */
export interface Label {
  readonly id: string;
  readonly name: string;
  readonly lines: readonly string[];
  readonly address: string;
}

const KEPT = 'incremen.labelSheet';

/** Tags to cut out, or labels on a sheet that is sold: which one, and where the first free label is. */
export function Labels({
  labels,
  children,
}: {
  readonly labels: readonly Label[];
  readonly children: ReactNode;
}) {
  const [id, setId] = useState(() => localStorage.getItem(KEPT) ?? '');
  const [first, setFirst] = useState(1);
  const sheet = LABEL_SHEETS.find((s) => s.id === id);
  return (
    <>
      <Flex gap={4} wrap="wrap" align="flex-end" mb={4} className={common.noPrint}>
        <Select
          fit
          label="Print as"
          value={sheet?.id ?? ''}
          options={[['', 'Tags to cut out'], ...LABEL_SHEETS.map((s) => [s.id, s.name] as const)]}
          onChange={(to) => {
            localStorage.setItem(KEPT, to);
            setId(to);
            setFirst(1);
          }}
        />
        {sheet && (
          <Stepper
            label="First free label"
            value={first}
            min={1}
            max={sheet.columns * sheet.rows}
            onChange={setFirst}
          />
        )}
      </Flex>
      {sheet ? <Sheets sheet={sheet} labels={labels} first={first} /> : children}
    </>
  );
}

function Sheets({
  sheet,
  labels,
  first,
}: {
  readonly sheet: LabelSheet;
  readonly labels: readonly Label[];
  readonly first: number;
}) {
  const each = sheet.columns * sheet.rows;
  const cells: readonly (Label | null)[] = [...Array.from({ length: first - 1 }, () => null), ...labels];
  const pages = Array.from({ length: Math.ceil(cells.length / each) }, (_, i) =>
    cells.slice(i * each, (i + 1) * each),
  );
  const [width, height] = PAGE_MM[sheet.page];
  const small = sheet.heightMm < 30;
  const side = sheet.heightMm - (small ? 6 : 10);
  return (
    <div className={styles.pages} data-labels>
      {createPortal(<style>{`@page { size: ${sheet.page}; margin: 0 }`}</style>, document.head)}
      {pages.map((page, i) => (
        <section
          key={i}
          aria-label={`Sheet ${i + 1}`}
          className={styles.page}
          style={{ width: `${width}mm`, height: `${height}mm` }}
        >
          <ul
            className={styles.grid}
            style={{
              paddingTop: `${sheet.topMm}mm`,
              paddingLeft: `${sheet.leftMm}mm`,
              columnGap: `${sheet.gapMm}mm`,
              gridTemplateColumns: `repeat(${sheet.columns}, ${sheet.widthMm}mm)`,
              gridAutoRows: `${sheet.heightMm}mm`,
            }}
          >
            {page.map((label, k) => (
              <li key={label?.id ?? k} className={styles.label} data-small={small || undefined}>
                {label && (
                  <>
                    <span className={styles.words}>
                      <b>{label.name}</b>
                      {label.lines.slice(0, small ? 1 : 3).map((l) => (
                        <span key={l}>{l}</span>
                      ))}
                    </span>
                    <QRCodeSVG
                      value={label.address}
                      level="M"
                      marginSize={2}
                      style={{ width: `${side}mm`, height: `${side}mm` }}
                      title={`Code that leads to ${label.name}`}
                    />
                  </>
                )}
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
