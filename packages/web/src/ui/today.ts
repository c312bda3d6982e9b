import { format } from 'date-fns';

/** Today as the coach's device sees it, ISO 8601. */
export const isoToday = () => format(new Date(), 'yyyy-MM-dd');
