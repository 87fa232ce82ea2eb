import type { ApiProblem } from '../api/problem';

/** What a failed request says to the user, and what can be done. */
export const problemWords = (problem: ApiProblem): string => {
  switch (problem.code) {
    case 'badRequest':
      return problem.issues
        .map(({ field, rule }) => (field === '' ? rule : `${field}: ${rule}`))
        .join('; ');
    case 'wrongSignIn':
      return 'E-mail address and password do not fit together. Check both and try again.';
    case 'notSignedIn':
      return 'You are no longer signed in. Sign in again; your proposal is kept.';
    case 'notFound':
      return 'There is nothing here, or it is not your practice’s.';
    case 'nameTaken':
      return 'Another client bears this name. Add a place or a year to tell them apart.';
    case 'tooLarge':
      return 'That is more than the server takes at once.';
    case 'staleProposal':
      return 'This proposal was changed in another window.';
    case 'staleRevision':
      return `Revision ${problem.revision} was adopted meanwhile, and some of your changes no longer fit it.`;
    case 'refused':
      return 'The server refused a change that breaks a rule of the chart.';
    case 'failed':
      return `Something went wrong on our side. Nothing was changed. Quote ${problem.id.slice(0, 8)} when you report it.`;
    case 'unreachable':
      return 'The server cannot be reached. Check that it is running, then try again.';
    case 'unreadable':
      return 'The server’s answer could not be understood. Reload the page.';
    default:
      return problem satisfies never;
  }
};
