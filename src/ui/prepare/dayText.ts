const FORMAT = new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', weekday: 'short', day: 'numeric', month: 'short' });

/** A date of the calendar as it is spoken: `Mon 7 Dec`. @param date YYYY-MM-DD */
export const dayText = (date: string): string => FORMAT.format(new Date(date)).replace(',', '');
