import { dayOrderOf, readClock, readDay, readSpan } from './index.js';

const TODAY = '2031-04-20';
const one = (text: string) => {
  const { read, rest } = readDay(text, TODAY);
  const said =
    read.kind === 'day' ? read.day : read.kind === 'twoWays' ? `${read.dayFirst} or ${read.monthFirst}` : '-';
  return rest === '' ? said : `${said} | ${rest}`;
};

/** Reckoned by hand on a calendar, with 20 April 2031 as today. */
test.each([
  // Year first can be read one way only.
  ['2031-03-09', '2031-03-09'],
  ['2031-3-9', '2031-03-09'],
  ['2031/03/09', '2031-03-09'],
  ['2031.03.09', '2031-03-09'],
  ['20310309', '2031-03-09'],
  ['2031-03-09 14:05', '2031-03-09 | 14:05'],
  ['2031-03-09T14:05', '2031-03-09 | 14:05'],
  ['2028-02-29', '2028-02-29'],
  // Two numbers up to twelve: asked.
  ['3/4/2031', '2031-04-03 or 2031-03-04'],
  ['03/04/31', '2031-04-03 or 2031-03-04'],
  ['3-4-2031', '2031-04-03 or 2031-03-04'],
  ['12/03/2030', '2030-03-12 or 2030-12-03'],
  ['1/2/30 8:00', '2030-02-01 or 2030-01-02 | 8:00'],
  // The same number twice, more than twelve, or a day that one of the two has not.
  ['4/4/2031', '2031-04-04'],
  ['13/4/2031', '2031-04-13'],
  ['4/13/2031', '2031-04-13'],
  ['31/3/31', '2031-03-31'],
  ['3/31/31', '2031-03-31'],
  // A notebook tells what was: what would lie ahead is not meant.
  ['5/3/2031', '2031-03-05'],
  ['3/5/2031', '2031-03-05'],
  ['21/4/2031', '-'],
  ['7/12/2031', '-'],
  // Points part day, month and year in this order wherever they are used so.
  ['9.3.2031', '2031-03-09'],
  ['09.03.31', '2031-03-09'],
  ['3.4.2031', '2031-04-03'],
  ['9.3.', '2031-03-09'],
  ['9. 3. 2031', '2031-03-09'],
  // Years of two digits are the last century where they would lie ahead.
  ['9.3.99', '1999-03-09'],
  ['9.3.32', '-'],
  // Without a year: the last such day.
  ['13/4', '2031-04-13'],
  ['24/12', '2030-12-24'],
  ['12/24', '2030-12-24'],
  ['5/11', '2030-11-05 or 2030-05-11'],
  ['29/2', '2028-02-29'],
  ['30.4.', '2030-04-30'],
  // Months by name, in the languages of the trade.
  ['9 March 2031', '2031-03-09'],
  ['9 Mar 2031', '2031-03-09'],
  ['9-Mar-31', '2031-03-09'],
  ['09-MAR-2031', '2031-03-09'],
  ['9th of March 2031', '2031-03-09'],
  ['March 9, 2031', '2031-03-09'],
  ['Mar 9 2031', '2031-03-09'],
  ['Mar. 9th, 2031', '2031-03-09'],
  ['Sept 3 2030', '2030-09-03'],
  ['9 Mar', '2031-03-09'],
  ['Dec 24', '2030-12-24'],
  ['9 Mar 14:05', '2031-03-09 | 14:05'],
  ["9 Mar '31", '2031-03-09'],
  ['9. März 2031', '2031-03-09'],
  ['9 Maerz 2031', '2031-03-09'],
  ['9. Mrz. 31', '2031-03-09'],
  ['3. Okt. 2030', '2030-10-03'],
  ['9 mars 2031', '2031-03-09'],
  ['1er février 2031', '2031-02-01'],
  ['15 août 2030', '2030-08-15'],
  ['15 aout 2030', '2030-08-15'],
  ['9 de marzo de 2031', '2031-03-09'],
  ['9 ene 2031', '2031-01-09'],
  ['9 gennaio 2031', '2031-01-09'],
  ['9 de março de 2031', '2031-03-09'],
  ['9 maart 2031', '2031-03-09'],
  ['9 mei 2030', '2030-05-09'],
  ['9 marca 2031', '2031-03-09'],
  ['9 październik 2030', '2030-10-09'],
  // The day of the week before it says nothing more.
  ['Sun 9/3/2030', '2030-03-09 or 2030-09-03'],
  ['Sunday, 9 March 2031', '2031-03-09'],
  ['So 9.3.2031', '2031-03-09'],
  ['Mo., 10.03.2031 7:30', '2031-03-10 | 7:30'],
  ['lun. 10 mars 2031', '2031-03-10'],
  ['mar. 11 mars 2031', '2031-03-11'],
  ['mar 11.3.2031', '2031-03-11'],
  ['Mar 11 2031', '2031-03-11'],
  // Days that are not, and what is no date.
  ['31/2/2031', '-'],
  ['29.2.2031', '-'],
  ['31 April 2030', '-'],
  ['2031-02-30', '-'],
  ['0/3/2031', '-'],
  ['13/13/2030', '-'],
  ['12', '-'],
  ['yesterday', '-'],
  ['spring', '-'],
  ['6 h', '-'],
  ['6:30', '-'],
  ['', '-'],
  ['9/3/1940', '-'],
])('the day %j is %s', (text, expected) => {
  expect(one(text)).toBe(expected);
});

test.each([
  ['14:05', 845],
  ['8:05', 485],
  ['08:05:30', 485],
  ['14.05', 845],
  ['14h05', 845],
  ['14h', 840],
  ['14 Uhr', 840],
  ['14:05 Uhr', 845],
  ['2:05 pm', 845],
  ['2:05PM', 845],
  ['2 p.m.', 840],
  ['12 am', 0],
  ['12:30 am', 30],
  ['12 pm', 720],
  ['noon', 720],
  ['midnight', 0],
  ['1405', 845],
  ['0805', 485],
  ['0805 hrs', 485],
  ['24:00', null],
  ['25:00', null],
  ['14:60', null],
  ['13 pm', null],
  ['14', null],
  ['6 h 30', null],
  ['late', null],
])('the time of day %j is %s minutes', (text, expected) => {
  expect(readClock(text)).toBe(expected);
});

test.each([
  ['8:00-14:30', [480, 870]],
  ['8:00 – 14:30', [480, 870]],
  ['8:00 to 14:30', [480, 870]],
  ['8.00 bis 14.30', [480, 870]],
  ['8 am - 2 pm', [480, 840]],
  ['22:00-6:00', [1320, 360]],
  ['14:05', [845, null]],
  ['from 8:00 to 9:00', [480, 540]],
  ['8', null],
])('%j is from and to', (text, expected) => {
  expect(readSpan(text)).toEqual(expected);
});

test.each([
  ['one day over twelve settles it for all', ['3/4/2031', '25/3/2031', '1/2/2031'], 'dayFirst'],
  ['a month over twelve never is', ['3/4/2031', '3/25/2031'], 'monthFirst'],
  ['nothing tells: asked', ['3/4/2031', '1/2/2031', '2/2/2031'], 'open'],
  ['both habits in one column: asked', ['25/3/2031', '3/25/2031', '1/2/2031'], 'open'],
  ['nothing is open', ['2031-03-09', '9 Mar 2031', '9.3.2031'], 'told'],
  ['both habits, each plain: told', ['25/3/2031', '3/25/2031'], 'told'],
  ['a day ahead of today tells as well', ['5/3/2031', '1/2/2031'], 'dayFirst'],
  ['no dates at all', ['x', ''], 'told'],
])('%s', (_, texts, order) => {
  expect(dayOrderOf(texts, TODAY)).toBe(order);
});
