import { sectionOf } from '../kinds/kinds';
import { nodesTo } from '../chart/queries';
import { traceOf, type Tracing } from './proof';
import { PURPOSES, PURPOSE_CODES, type Purpose } from './purpose';
import type { Expected, Sample } from './route-item';

/** A proof that is offered: what is put through the routes, and where it ought to land. */
export interface OfferedProof {
  readonly sample: Sample;
  readonly expected: Expected;
}

/** Purposes that are only ever used by the system, or that say nothing of a statement line. */
const UNTOLD: readonly Purpose[] = [
  'bank',
  'cash',
  'openingEquity',
  'retainedEarnings',
  'rounding',
];

/** Where a purpose ought to land whatever the chart says: in the section of the kind that suits it first. */
const expectedOf = (purpose: Purpose, sample: Sample, tracing: Tracing): Expected | null => {
  const section = sectionOf(PURPOSES[purpose].kinds[0]);
  if (section === null) return null;
  const { landing } = traceOf(sample, tracing);
  const suited: readonly string[] = PURPOSES[purpose].kinds.flatMap(
    (kind) => sectionOf(kind) ?? [],
  );
  if (landing === null || !suited.includes(landing.section))
    return { section, underId: null, returnLine: null };
  const heading = nodesTo(tracing.chart, landing.path.at(-1) ?? '').at(-2)?.account;
  return { section: landing.section, underId: heading?.id ?? null, returnLine: null };
};

/**
 * Proofs for what a client does: that each purpose with a default account, each customer, supplier and item, lands in the
 * section that is right for it, under the heading where it stands now. Those that are kept already are left out.
 */
export const offeredProofs = (tracing: Tracing): readonly OfferedProof[] => {
  const { routes } = tracing;
  const kept = routes.proofs.map(({ content }) => content.sample);
  const ofParties = routes.parties.flatMap(({ id, content }) => [
    ...(content.saleId === null ? [] : [{ purpose: 'sale' as const, partyId: id }]),
    ...(content.purchaseId === null ? [] : [{ purpose: 'purchase' as const, partyId: id }]),
  ]);
  const ofPurposes = PURPOSE_CODES.filter(
    (purpose) => routes.defaults.has(purpose) && !UNTOLD.includes(purpose),
  ).map((purpose) => ({ purpose, partyId: null }));
  return [...ofPurposes, ...ofParties].flatMap(({ purpose, partyId }): OfferedProof[] => {
    const isKept = kept.some(
      (one) => one.by === 'purpose' && one.purpose === purpose && one.partyId === partyId,
    );
    if (isKept) return [];
    const sample: Sample = { by: 'purpose', purpose, partyId };
    const expected = expectedOf(purpose, sample, tracing);
    return expected === null ? [] : [{ sample, expected }];
  });
};
