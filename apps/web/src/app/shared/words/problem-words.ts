import type { ApiProblem } from '../api/problem';

const waitWords = (seconds: number): string =>
  seconds < 90
    ? $localize`in ${seconds} seconds`
    : $localize`in ${Math.ceil(seconds / 60)} minutes`;

const overtakenWords = (by: Extract<ApiProblem, { code: 'overtaken' }>['by']): string => {
  switch (by) {
    case 'reversal':
      return $localize`Somebody took this entry back meanwhile.`;
    case 'correction':
      return $localize`Somebody posted a correction of this entry meanwhile.`;
    case 'standing':
      return $localize`Somebody posted or skipped this day meanwhile.`;
    case 'draft':
      return $localize`This draft was changed in another window. Reload to see it.`;
    case 'route':
    case 'layout':
    case 'rules':
    case 'openItems':
      return $localize`Somebody changed this meanwhile. Look again before you go on.`;
    case 'lock':
      return $localize`Somebody locked or opened the books meanwhile. Look again before you go on.`;
    default:
      return by satisfies never;
  }
};

/** What a failed request says to the user, and what can be done. */
export const problemWords = (problem: ApiProblem): string => {
  switch (problem.code) {
    case 'badRequest':
      return problem.issues
        .map(({ field, rule }) => (field === '' ? rule : `${field}: ${rule}`))
        .join('; ');
    case 'wrongSignIn':
      return $localize`E-mail address and password do not fit together. Check both and try again.`;
    case 'notSignedIn':
      return $localize`You are no longer signed in. Sign in again; your proposal is kept.`;
    case 'notAllowed':
      return $localize`That is not yours to do in this practice. Ask an administrator.`;
    case 'foreignOrigin':
      return $localize`The request did not come from a page of this application. Open it by its own address.`;
    case 'emailTaken':
      return $localize`Somebody has this e-mail address already. Use another one.`;
    case 'lastAdministrator':
      return $localize`Somebody must keep the practice. Make another person administrator first.`;
    case 'tooManyTries':
      return $localize`Too many tries. The next one is looked at ${waitWords(problem.seconds)}.`;
    case 'unavailable':
      return $localize`The server cannot reach its database at the moment. Try again in a few seconds.`;
    case 'busy':
      return $localize`The server is busy with others. Try again in a few seconds.`;
    case 'tookTooLong':
      return $localize`That took longer than the server lets anything take. Nothing was changed. Do it in smaller parts.`;
    case 'notFound':
      return $localize`There is nothing here, or it is not your practice’s.`;
    case 'nameTaken':
      return $localize`This name is taken. Add a place or a year to tell them apart.`;
    case 'tooLarge':
      return $localize`That is more than the server takes at once.`;
    case 'staleProposal':
      return $localize`This proposal was changed in another window.`;
    case 'staleRevision':
      return $localize`Revision ${problem.revision} was adopted meanwhile, and some of your changes no longer fit it.`;
    case 'refused':
      return $localize`The server refused a change that breaks a rule of the chart.`;
    case 'entryRefused':
      return $localize`The entry cannot be posted as it is; its lines say why.`;
    case 'proofsBroken':
      return problem.names.length === 0
        ? $localize`This breaks proofs that the practice wishes to hold.`
        : $localize`This breaks proofs that the practice wishes to hold: ${problem.names.join(', ')}.`;
    case 'overtaken':
      return overtakenWords(problem.by);
    case 'failed':
      return $localize`Something went wrong on our side. Nothing was changed. Quote ${problem.id.slice(0, 8)} when you report it.`;
    case 'unreachable':
      return $localize`The server cannot be reached. Check that it is running, then try again.`;
    case 'unreadable':
      return $localize`The server’s answer could not be understood. Reload the page.`;
    default:
      return problem satisfies never;
  }
};
