/** What a timer takes; the walk fetches it ahead, so that it opens without a connection. */
export const loadWorkForm = () => import('./WorkForm').then(file => file.WorkForm);
