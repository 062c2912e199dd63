export { GLOSSARY, glossaryEntry, type GlossaryEntry } from './glossary.ts';
