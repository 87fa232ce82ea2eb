import type * as v from 'valibot';

type Same<A, B> = [A] extends [B] ? ([B] extends [A] ? true : false) : false;
type DeepMutable<T> = T extends readonly (infer E)[]
  ? DeepMutable<E>[]
  : T extends object
    ? { -readonly [K in keyof T]: DeepMutable<T[K]> }
    : T;

/**
 * Ties a schema to a type of the core: when the two drift apart, this does not compile.
 * Gives back the schema, read as the core's type.
 */
export const mirrors =
  <T>() =>
  <S extends v.GenericSchema>(
    schema: Same<DeepMutable<v.InferOutput<S>>, DeepMutable<T>> extends true ? S : never,
  ): v.GenericSchema<unknown, T> =>
    schema as unknown as v.GenericSchema<unknown, T>;
