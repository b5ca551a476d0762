export { calibration, type CalibrationBin } from './calibration';
export { type Confusion, confusions } from './confusions';
export { type Attempt, type ItemPace, itemPaces, tells } from './attempt';
export { type DaySpeed, daySpeeds, type SpeedBin, speedBins } from './speed';
export { saySlow, type StageVerdict, stageVerdict } from './verdict';
export { weakest } from './weakest';
