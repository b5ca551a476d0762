export { finish, type Job, type JobRule, oneStep, runJob } from './job';
