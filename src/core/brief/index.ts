export {
  deleteAttempt,
  deleteAwaited,
  deleteLetter,
  keepAttempt,
  keepAwaited,
  keepLetter,
  letterState,
  newAttempt,
  newAwaited,
  newLetter,
} from './attempts';
export { briefOf, keepBrief, makeException, rulesNow, withdrawException, wouldBreak } from './brief';
export type { RuleNow } from './brief';
export { compromises } from './compromises';
export type { Compromise, CompromiseKind } from './compromises';
export { keepLooks, looksOf, mainColoursOf } from './looks';
export { mustStay, touchedBy } from './must-stay';
export { markParts } from './part-marks';
export { readyChance } from './ready';
export type { Rule, RuleAsks, RuleState } from './rule';
export { RULES } from './rules';
export {
  asideNow,
  deleteSpentTime,
  isAsideOver,
  keepAside,
  lookedAgain,
  putAsideUntil,
  spendTime,
  timeByModification,
} from './time';
export type { TimeOf } from './time';
