const isDigit = (code: number): boolean => code >= 48 && code <= 57;

/**
 * Seconds of a clock such as "07:30:00", "7:30:00,25 PM", "125:30:00" or "30:15.5", read without a copy of the text: a log has millions.
 * Of two parts they are hours and minutes, or minutes and seconds where told.
 * @returns NaN where it is none
 */
export function clockSeconds(text: string, from = 0, minutesFirst = false): number {
  let at = from;
  let parts = 0;
  let seconds = 0;
  let ended = false;
  while (!ended) {
    let value = 0;
    const start = at;
    for (let code = text.charCodeAt(at); isDigit(code); code = text.charCodeAt(++at)) value = value * 10 + code - 48;
    if (at === start) return NaN;
    parts += 1;
    if (parts > 3 || (parts > 1 && value > 59 && !(parts === 3 && value === 60))) return NaN;
    seconds = seconds * 60 + value;
    if (text.charCodeAt(at) === 58) at += 1;
    else ended = true;
  }
  if (parts < 2) return NaN;
  const mark = text.charCodeAt(at);
  if ((mark === 46 || mark === 44) && (parts === 3 || minutesFirst)) {
    let scale = 1;
    for (let code = text.charCodeAt(++at); isDigit(code); code = text.charCodeAt(++at))
      seconds += (code - 48) * (scale /= 10);
  }
  const whole = parts === 3 || minutesFirst ? seconds : seconds * 60;
  if (at >= text.length) return whole;
  return withHalf(whole, text.slice(at).trim().toLowerCase());
}

/** Of a clock of twelve hours. */
const HALVES: Readonly<Record<string, number>> = { am: 0, 'a.m.': 0, pm: 43_200, 'p.m.': 43_200 };

/** NaN where something else stands behind the clock. */
function withHalf(seconds: number, behind: string): number {
  if (behind === '') return seconds;
  const half = HALVES[behind];
  if (half === undefined || seconds >= 46_800) return NaN;
  return (seconds % 43_200) + half;
}

const OFFSET = /(?:z|([+-])(\d\d):?(\d\d)?)$/i;

/** Seconds east of Greenwich that stand behind a clock, and the clock without them; null where none do. */
export function offsetBehind(text: string): { readonly clock: string; readonly offsetS: number } | null {
  const found = OFFSET.exec(text);
  if (!found) return null;
  const [all, sign, hours = '0', minutes = '0'] = found;
  const offsetS = (Number(hours) * 3600 + Number(minutes) * 60) * (sign === '-' ? -1 : 1);
  return { clock: text.slice(0, -all.length).trimEnd(), offsetS };
}
