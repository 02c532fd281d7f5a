/** What the log calls a look at the verdict while the trial still ran. */
export const INTERIM_LOOK = 'verdict looked at before the end';
