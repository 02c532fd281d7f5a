/** What asks for a name; the walk fetches it ahead, so that it opens without a connection. */
export const loadAskName = () => import('./AskName').then(file => file.AskName);
