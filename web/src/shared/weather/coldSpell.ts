/** Cold nights that are forecast last about so many days (our estimate, no source). */
export const COLD_SPELL_DAYS = 7;
