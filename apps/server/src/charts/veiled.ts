declare const throughTheVeil: unique symbol;

/**
 * An answer about a chart that has passed the veil, so that nothing of it is hidden from whom it goes to.
 * Only the functions of `veil.ts` make one, and whatever is asked below a client is answered with one.
 */
export type Veiled<T> = T & { readonly [throughTheVeil]: true };
