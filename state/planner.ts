/** The planner as screens hand it to what loads it: late, beside the first of them. */
export * from '../workers/planning';
