import { copiedSettings, type AccountSettings } from '../settings/account-settings';

/** Fresh ids by the ids that they stand for. */
export type IdMap = Map<string, string>;

/** Settings for a copy in another chart: without who may see it and, unless it is the whole, what is never copied, naming the copy's dimensions. */
export const mapped = (
  settings: AccountSettings,
  fresh: (id: string) => string,
  copied: 'structure' | 'whole',
): AccountSettings => {
  const {
    restrictedTo: _restrictedTo,
    dimensions,
    ...rest
  } = copied === 'whole' ? settings : copiedSettings(settings);
  if (dimensions === undefined) return rest;
  return {
    ...rest,
    dimensions: dimensions.map(({ dimensionId, valueId, demanded }) => ({
      dimensionId: fresh(dimensionId),
      valueId: valueId === null ? null : fresh(valueId),
      demanded,
    })),
  };
};
