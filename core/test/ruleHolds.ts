/** Whether a plain rule in words holds of what was chosen, by name; one that was not chosen makes no rule hold. */
export const ruleHolds = (words: string, chosen: ReadonlyMap<string, number>): boolean => {
  if (words === 'always') return true;
  if (words.includes(', or ')) return words.split(', or ').some((each) => ruleHolds(each, chosen));
  const both = words.split(/ and (?=\w+ is |\w+ less \w+ is |\w+ and \w+ together is )/);
  if (both.length > 1) return both.every((each) => ruleHolds(each, chosen));
  const subject = /^(.*?) is /.exec(words)?.[1] ?? '';
  const says = words.slice(subject.length + 4).replaceAll('−', '-');
  const counts = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
  const compared =
    /^(the same as|no more than|less than|no less than|more than|(\S+) (?:more|less) than) (\w+)$/.exec(says);
  if (compared) {
    const [one, other] = [chosen.get(compared[3]), chosen.get(subject)];
    if (one === undefined || other === undefined) return false;
    switch (compared[1]) {
      case 'the same as':
        return other === one;
      case 'no more than':
        return other <= one;
      case 'less than':
        return other < one;
      case 'no less than':
        return other >= one;
      case 'more than':
        return other > one;
    }
    const count = counts.includes(compared[2]) ? counts.indexOf(compared[2]) : Number(compared[2]);
    return other - one === (compared[1].includes('more') ? count : -count);
  }
  const value = valueOf(subject, chosen);
  if (value === undefined) return false;
  if (says === 'odd' || says === 'even') return Math.abs(value % 2) === (says === 'odd' ? 1 : 0);
  if (says.startsWith('not ')) return value !== Number(says.slice(4));
  const named = [...says.matchAll(/-?\d+/g)].map(([each]) => Number(each));
  const [one, other] = named;
  if (says.startsWith('under')) return value < one || value > other;
  if (says.endsWith('or less')) return value <= one;
  if (says.endsWith('or more')) return value >= one;
  if (says.includes(' to ')) return value >= one && value <= other;
  return named.includes(value);
};

const valueOf = (subject: string, chosen: ReadonlyMap<string, number>): number | undefined => {
  const [, one, way, other] = /^(\w+) (less|and) (\w+)/.exec(subject) ?? [];
  const [a, b] = [chosen.get(one), chosen.get(other)];
  if (!way) return chosen.get(subject);
  return a === undefined || b === undefined ? undefined : way === 'less' ? a - b : a + b;
};
