/** What somebody types into: no box to tick, no list to pick from. */
const TYPED = 'input:not([type="checkbox"]):not([type="radio"]):not([role="combobox"]), textarea';

const fieldsIn = (root: ParentNode): HTMLInputElement[] =>
  [...root.querySelectorAll<HTMLInputElement>(TYPED)].filter(
    (field) => !field.disabled && !field.readOnly && field.offsetParent !== null,
  );

/** Goes to the first field in which nothing is typed yet, after `from` where that is given; answers whether there is one. */
export function toEmptyField(root: ParentNode, from?: Element): boolean {
  const fields = fieldsIn(root);
  const next = fields
    .slice(from instanceof HTMLInputElement ? fields.indexOf(from) + 1 : 0)
    .find(({ value }) => value === '');
  next?.focus();
  return next !== undefined;
}
