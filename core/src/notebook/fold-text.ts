/** Text as it is compared: lower case, without accents, points and runs of blanks. */
export const foldText = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/[’']/g, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Without blanks too: "P 1", "P-1" and "p1" are one name. */
export const tightText = (text: string): string => foldText(text).replace(/ /g, '');
