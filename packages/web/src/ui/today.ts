import { lightFormat } from 'date-fns';

/** The day of an instant as the coach's device sees it, ISO 8601. */
export const localDay = (instant: string | Date) => lightFormat(new Date(instant), 'yyyy-MM-dd');

/** Today as the coach's device sees it, ISO 8601. */
export const isoToday = () => localDay(new Date());
