export { judgeAccount, type AccountAsked } from './judge-account';
export { judgeNamed, judgePlaced } from './judge-placed';
