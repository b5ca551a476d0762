export { finish, type Job, type JobRule, runJob } from './job';
