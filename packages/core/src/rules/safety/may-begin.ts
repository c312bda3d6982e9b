import type { SessionView } from '../../effort/session-view.js';
import { CHECKS, findingsBy, type Finding } from '../checks/index.js';

const STOPS = CHECKS.filter(({ severity }) => severity === 'stop');

/**
 * What keeps a session from beginning: the rules of safety that its sequence breaks for this athlete, each with its fix. Empty when it may
 * begin. Asked by the editor, by the page before a session, by the sheet and by the server: there is no other answer.
 */
export const stopsOf = (view: SessionView): Finding[] => findingsBy(STOPS, view);
