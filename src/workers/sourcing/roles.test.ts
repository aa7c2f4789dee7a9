import { describe, expect, it } from 'vitest';
import { passesFor, rolesFor } from './roles';

describe('how a solve is shared out', () => {
  it('a small problem is one thread’s, a middling or large one has two that do different things', () => {
    expect(rolesFor(100, 10)).toEqual(['whole']);
    expect(rolesFor(3000, 10)).toEqual(['whole', 'search']);
    expect(rolesFor(20_000, 10)).toEqual(['search', 'trial']);
  });

  it('in a short time there is a search and no more', () => {
    expect(rolesFor(3000, 2)).toEqual(['around', 'around']);
    expect(rolesFor(20_000, 2)).toEqual(['search', 'floor']);
  });

  it('a long solve begins with a whole short one, a large problem later than a middling one', () => {
    expect(passesFor(3000, 9)).toEqual([1]);
    expect(passesFor(3000, 10)).toEqual([0.2, 1]);
    expect(passesFor(20_000, 10)).toEqual([1]);
    expect(passesFor(20_000, 60)).toEqual([0.2, 1]);
    // What is solved whole at once is not begun twice.
    expect(passesFor(100, 60)).toEqual([1]);
  });
});
