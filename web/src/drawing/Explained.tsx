import { termsIn } from '@incremen/core/glossary';
import { Fragment, useMemo } from 'react';
import { Term } from './Term.tsx';

/** A sentence of the application in which each trade word says on a tap what it means. */
export function Explained({ children }: { readonly children: string }) {
  const pieces = useMemo(() => termsIn(children), [children]);
  return (
    <>
      {pieces.map(({ text, word }, i) =>
        word === null ? (
          <Fragment key={i}>{text}</Fragment>
        ) : (
          <Term key={i} word={word}>
            {text}
          </Term>
        ),
      )}
    </>
  );
}
