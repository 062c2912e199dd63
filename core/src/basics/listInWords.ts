const LIST = new Intl.ListFormat('en-GB');

/** Names one after the other, as they are said: “Ash”, “Ash and Birch”, “Ash, Birch and Cherry”. */
export const listInWords = (names: readonly string[]): string => LIST.format(names);
