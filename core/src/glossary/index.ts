export { GLOSSARY, glossaryEntry, type GlossaryEntry } from './glossary.ts';
export { type Piece, termsIn } from './termsIn.ts';
