/** One of the things that a dimension tells apart: a market, a fund, a project. */
export interface DimensionValue {
  readonly id: string;
  readonly name: string;
  /** Whether what carries it may be used only as its giver said: a gift for one purpose. */
  readonly restricted?: true;
}

/** Something by which postings are told apart without an account for each: market, department, fund … */
export interface Dimension {
  readonly id: string;
  readonly name: string;
  readonly values: readonly DimensionValue[];
}

/** The values that a posting carries: value id by dimension id. */
export type DimensionValues = Readonly<Record<string, string>>;

/** What an account asks of its postings in one dimension. */
export interface DimensionUse {
  readonly dimensionId: string;
  /** The value that a posting gets unless it says another; `null` for none. */
  readonly valueId: string | null;
  /** Whether a posting must carry a value. */
  readonly demanded: boolean;
}

/** Longest name of a dimension or a value, in characters. */
export const DIMENSION_NAME_LIMIT = 60;

/** Most values of one dimension. */
export const DIMENSION_VALUES_LIMIT = 2000;

/** Names that are offered for a first dimension. */
export const USUAL_DIMENSIONS = ['Market', 'Department', 'Fund', 'Location', 'Project'] as const;

/** What keeps a dimension from being as it is. */
export const DIMENSION_PROBLEMS = [
  'dimensionUnnamed',
  'dimensionNameTaken',
  'valueUnnamed',
  'valueNameTaken',
  'tooManyValues',
  'nameTooLong',
] as const;
export type DimensionProblem = (typeof DIMENSION_PROBLEMS)[number];

/** The values of a dimension that are restricted. */
export const restrictedValues = ({ values }: Dimension): readonly string[] =>
  values.flatMap(({ id, restricted }) => (restricted === true ? id : []));

/** The dimension that tells restricted from unrestricted, the first of several; none where nothing is restricted. */
export const restrictingDimension = (dimensions: readonly Dimension[]): Dimension | undefined =>
  dimensions.find((dimension) => restrictedValues(dimension).length > 0);

const key = (name: string): string => name.normalize('NFKC').trim().toLowerCase();

const repeated = (names: readonly string[]): boolean => new Set(names.map(key)).size < names.length;

/** The first thing that is wrong with a dimension beside the others of its chart; `null` for none. */
export const dimensionProblem = (
  dimension: Dimension,
  others: readonly Dimension[],
): DimensionProblem | null => {
  const names = dimension.values.map(({ name }) => name);
  if (key(dimension.name) === '') return 'dimensionUnnamed';
  if (repeated([dimension.name, ...others.map(({ name }) => name)])) return 'dimensionNameTaken';
  if (names.some((name) => key(name) === '')) return 'valueUnnamed';
  if (repeated(names)) return 'valueNameTaken';
  if (names.length > DIMENSION_VALUES_LIMIT) return 'tooManyValues';
  const tooLong = [dimension.name, ...names].some((name) => name.length > DIMENSION_NAME_LIMIT);
  return tooLong ? 'nameTooLong' : null;
};
