export { judgeAccount, type AccountAsked } from './judge-account';
export { placedJudge } from './judge-placed';
