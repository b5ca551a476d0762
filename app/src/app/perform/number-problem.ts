/** What is wrong with a whole number that is typed. @param isOptional whether the field may be empty. */
export const numberProblem =
  (from: number, to: number, isOptional = false) =>
  (text: string): string | undefined => {
    const plain = text.trim();
    if (plain === '' && isOptional) return undefined;
    const number = Number(plain);
    return plain !== '' && Number.isInteger(number) && number >= from && number <= to
      ? undefined
      : `Write a whole number from ${from.toString()} to ${to.toString()}.`;
  };
