/** The places of the rows below each row, in the order of the list. */
export const childrenByPlace = (
  rows: readonly { readonly parent: number | null }[],
): readonly (readonly number[])[] => {
  const children: number[][] = rows.map(() => []);
  rows.forEach(({ parent }, at) => {
    if (parent !== null) children[parent]?.push(at);
  });
  return children;
};
