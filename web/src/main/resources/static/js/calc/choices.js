// Finds what somebody means by a few letters: words of the name in any order, of what it is, or "like lard".
const words = (text) => text.toLowerCase().normalize('NFD').replace(/[\u0300-\u036f]/g, '').split(/[^\p{L}\d]+/u).filter(Boolean);

const begins = (query, text) => {
  const there = words(text);
  return words(query).every((word) => there.some((other) => other.startsWith(word)));
};

/**
 * @param {string} query what is typed
 * @param {{value: string, name: string, also?: string, like?: string[], own?: boolean}[]} choices in their order
 * @returns those that it may mean: names first, then kinds; all of them, own ones first, where nothing is typed
 */
export function matching(query, choices) {
  const ownFirst = (list) => [...list.filter((c) => c.own), ...list.filter((c) => !c.own)];
  const like = /^\s*like\s+(.+)/i.exec(query);
  if (like) {
    const named = choices.filter((c) => begins(like[1], c.name));
    const alike = new Set(named.flatMap((c) => c.like ?? []));
    return [...alike].map((value) => choices.find((c) => c.value === value)).filter(Boolean);
  }
  if (!query.trim()) {
    return ownFirst(choices);
  }
  const named = choices.filter((c) => begins(query, c.name));
  const kind = choices.filter((c) => !named.includes(c) && begins(query, `${c.name} ${c.also ?? ''}`));
  return [...ownFirst(named), ...ownFirst(kind)];
}
