import { daySheetQuery, timetableQuery, weekView } from '../../week';
import type { Operation } from '../operation';

const group = 'Week';

export const WEEK_OPERATIONS: readonly Operation[] = [
  {
    ...{ id: 'week', method: 'get', path: '/week', group, who: 'person', scope: 'jobs' },
    summary: 'The week with its plan',
    answer: { status: 200, json: weekView },
  },
  {
    ...{ id: 'weekCsv', method: 'get', path: '/week.csv', group, who: 'person', scope: 'jobs' },
    summary: 'The plan as CSV',
    answer: { status: 200, file: 'text/csv' },
  },
  {
    ...{ id: 'weekCalendar', method: 'get', path: '/week/calendar.ics', group, who: 'person', scope: 'jobs' },
    ...{ summary: 'Somebody’s days, or those of a place, for a calendar', query: timetableQuery },
    answer: { status: 200, file: 'text/calendar' },
  },
  {
    ...{ id: 'daySheet', method: 'get', path: '/week/day-sheet.pdf', group, who: 'person' },
    ...{ summary: 'Day sheets', query: daySheetQuery },
    answer: { status: 200, file: 'application/pdf' },
  },
];
