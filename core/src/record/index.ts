export { type Fit, fitChoice } from './fitChoice';
export { rateOf, type Seconds, secondsOf } from './rates';
export { compareWordings, type Share, shareWithin } from './within';
